import { demoParts } from '@zucchini/demo/catalogue'
import { syntheticRig } from '@zucchini/demo/synthetic'
import { type PlacedPart, placeSetup } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { startingFrom } from './before.ts'

const catalogue = catalogueOf(demoParts)
const rig = syntheticRig(12, 20, catalogue, 'calabash-h1')
const [setup] = rig.setups
const pieces = setup ? placeSetup(rig, setup, catalogue).placed : []
const [a, b, c, d] = pieces as [PlacedPart, PlacedPart, PlacedPart, PlacedPart]

/** Of some pieces those that are marked; a piece that is near one of them is looked at, and says nothing. */
const finder = (marked: readonly PlacedPart[], near: readonly PlacedPart[]) => {
  let looked = 0
  const of = startingFrom({
    find: ({ assembly }: { assembly: { placed: readonly PlacedPart[] }; word?: string }) => {
      looked++
      return assembly.placed.filter((piece) => marked.includes(piece))
    },
    touches: (piece) => marked.includes(piece) || near.includes(piece),
    about: (piece) => [piece],
    key: ({ word = '' }) => word,
  })
  const among = (...placed: PlacedPart[]) => ({ assembly: { placed } })
  return { of, among, looked: () => looked }
}

test('a piece that touches nothing leaves the very same list, and nothing is looked for; one that does is found', () => {
  const { of, among, looked } = finder([b, d], [])
  const first = of(among(a, b))
  expect(of(among(a, b, c), first)).toBe(first)
  expect(looked()).toBe(1)
  expect(of(among(a, b, d), first)).toEqual([b, d])
  expect(of(among(a, c), first)).toEqual([])
  expect(looked()).toBe(3)
})

test('another order, another word and a list from elsewhere are looked at whole', () => {
  const { of, among, looked } = finder([b], [])
  const first = of(among(a, b, c))
  of(among(c, b, a), first)
  of({ ...among(a, b, c), word: 'gloved' }, first)
  of(among(a, b, c), [b])
  expect(looked()).toBe(4)
})

test('a try that is looked at and comes to the same does not change what its next is held to', () => {
  const { of, among, looked } = finder([b], [d])
  const first = of(among(a, b))
  expect(of(among(a, b, d), first)).toBe(first)
  expect(looked()).toBe(2)
  // Held to the try before, the piece that went from there would have to be looked at.
  expect(of(among(a, b, c), first)).toBe(first)
  expect(looked()).toBe(2)
})

test('what was edited far from where it was found is found anew once, not at each edit', () => {
  const { of, among, looked } = finder([b], [d])
  const first = of(among(a, b))
  const far = [a, b, ...pieces.slice(3)]
  expect(of(among(...far), first)).toBe(first)
  expect(looked()).toBe(2)
  expect(of(among(...far, c), first)).toBe(first)
  expect(looked()).toBe(2)
})
