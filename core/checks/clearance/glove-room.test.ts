import { factsOf } from '../../facts/index.ts'
import { gloveRoom } from './glove-room.ts'
import { testCheck } from '../tester.ts'
import { placed, beside } from '../../testing/view-rigs.ts'

testCheck(gloveRoom, {
  speaks: [
    {
      name: '5 mm clear, 8 wanted',
      message: 'blocked',
      level: 'hint',
      numbers: { intoMm: 3 },
      ...beside('lever', 5, true),
    },
  ],
  silent: [
    { name: 'exactly 8 mm', message: 'free', ...beside('lever', 8, true) },
    { name: 'bare fingers can not reach it either', message: 'free', ...beside('lever', -3, true) },
  ],
})

test('nobody wears gloves in the warm', () => {
  expect(gloveRoom.judgements(factsOf(placed(beside('lever', 5, false)), beside('lever', 5, false).context))).toEqual(
    [],
  )
})
