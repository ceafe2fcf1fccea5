import { memoCounts, numberOf, perKey, perPair, perPairKey, perThing } from './index.ts'

const since = (name: string, before: ReadonlyMap<string, number>): number =>
  (memoCounts().get(name) ?? 0) - (before.get(name) ?? 0)

test('an answer is worked out once a thing, also when it is nothing; another thing is another question', () => {
  const sizes = perThing('test size', (list: readonly number[]) => (list.length > 1 ? list.length : undefined))
  const [one, two] = [[1], [1, 2]]
  const before = memoCounts()
  expect([sizes(one), sizes(one), sizes(two), sizes([1, 2])]).toEqual([undefined, undefined, 2, 2])
  expect(since('test size', before)).toBe(3)
})

test('what throws is asked again: only answers are kept', () => {
  let fails = true
  const risky = perThing('test risk', (thing: object) => {
    if (fails) throw new RangeError('not yet')
    return thing
  })
  const thing = {}
  expect(() => risky(thing)).toThrow('not yet')
  fails = false
  expect(risky(thing)).toBe(thing)
})

test('keys and pairs are told apart, and a pair has its order', () => {
  const keyed = perKey<object, string>('test key')
  const thing = {}
  expect([
    keyed(thing, 'a', () => 'first'),
    keyed(thing, 'a', () => 'second'),
    keyed(thing, 'b', () => 'third'),
  ]).toEqual(['first', 'first', 'third'])
  const way = perPair('test pair', (a: { n: number }, b: { n: number }) => b.n - a.n)
  const [low, high] = [{ n: 1 }, { n: 5 }]
  expect([way(low, high), way(high, low), way(low, high)]).toEqual([4, -4, 4])
  const both = perPairKey<object, object, number>('test both')
  expect([both(low, high, 'x', () => 1), both(low, high, 'y', () => 2), both(high, low, 'x', () => 3)]).toEqual([
    1, 2, 3,
  ])
  expect(both(low, high, 'x', () => 9)).toBe(1)
})

test('a running number stays with its thing and is nobody else’s', () => {
  const [a, b] = [{}, {}]
  expect(numberOf(a)).toBe(numberOf(a))
  expect(numberOf(a)).not.toBe(numberOf(b))
})
