import { evaluate } from '@zucchini/core/assess'
import { catalogueOf } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { secondMark } from '@zucchini/demo/scenario'
import { alongWith, alongWords } from './take-off.ts'

const { assembly } = evaluate(secondMark, 'crossing', { catalogue: catalogueOf(demoParts), owned: new Map() })
const along = (id: string) => {
  const piece = assembly.byInstance.get(id)
  if (!piece) throw new Error(id)
  return alongWith(assembly, piece)
}

test('what comes off with a piece: riders on riders, and the leads of all of them', () => {
  expect(along('monitor').riders.map(({ instance }) => instance.id)).toEqual(['slab'])
  expect(
    along('handle')
      .riders.map(({ instance }) => instance.id)
      .sort(),
  ).toEqual(['block', 'monitor', 'receiver', 'slab', 'tilt'])
  // The picture lead of the monitor, the two sound leads of the receiver.
  expect([along('monitor').leads, along('handle').leads, along('tether').leads]).toEqual([1, 3, 0])
})

test('it is said as one would', () => {
  expect(alongWords(along('monitor'))).toBe('the short slab on it and 1 lead')
  expect(alongWords(along('handle'))).toBe('the 5 pieces on it and 3 leads')
  expect(alongWords(along('tether'))).toBe('')
  expect(alongWords({ riders: [], leads: 2 })).toBe('2 leads')
})
