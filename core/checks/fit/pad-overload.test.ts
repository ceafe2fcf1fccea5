import { padOverload } from './pad-overload.ts'
import { testCheck } from '../tester.ts'
import { padded } from '../../testing/fit-rigs.ts'

testCheck(padOverload, {
  speaks: [
    {
      name: '251 g',
      message: 'peels',
      level: 'risk',
      numbers: { carriedG: 251, limitG: 250 },
      parts: ['box'],
      ...padded(251),
    },
  ],
  silent: [{ name: 'exactly 250 g', message: 'holds', ...padded(250) }],
})
