import { demoParts } from '@zucchini/demo/catalogue'
import { syntheticRig } from '@zucchini/demo/synthetic'
import { type PlacedPart, placeSetup } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { startingFrom, startingFromEach, wholeStartingFrom } from './before.ts'

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

type Among = { readonly assembly: { readonly placed: readonly PlacedPart[] } }
const among = (...placed: readonly PlacedPart[]): Among => ({ assembly: { placed } })

test('made of what it was, a list is told what came and what went, and is not found anew', () => {
  let found = 0
  const of = startingFrom<Among, PlacedPart>({
    find: ({ assembly }) => {
      found++
      return assembly.placed.filter((piece) => piece !== c)
    },
    touches: (piece) => piece !== c,
    about: (piece) => [piece],
    after: (was, { came, went }) => [
      ...was.filter((piece) => !went.includes(piece)),
      ...came.filter((one) => one !== c),
    ],
  })
  const first = of(among(a, b))
  expect(of(among(a, b, d), first)).toEqual([a, b, d])
  expect(of(among(a, d), first)).toEqual([a, d])
  expect(of(among(a, b, c), first)).toBe(first)
  expect(found).toBe(1)
})

/** What is found at each piece but the first: the two names, of its own and of all that `near` says is near it. */
const eachFinder = (near: (piece: PlacedPart, at: PlacedPart) => boolean) => {
  const looked: PlacedPart[] = []
  const of = startingFromEach<Among & { word?: string }, string>({
    at: ({ assembly }) => assembly.placed.slice(1),
    find: (piece, { assembly }) => {
      looked.push(piece)
      return assembly.placed
        .filter((other) => other !== piece && near(other, piece))
        .map((other) => `${piece.instance.id} ${other.instance.id}`)
    },
    touches: near,
    key: ({ word = '' }) => word,
  })
  const lookedAt = () => looked.splice(0)
  return { of, lookedAt }
}
const [idA, idB, idC, idD] = [a, b, c, d].map(({ instance }) => instance.id)

test('piece by piece, only what is touched is looked at again; where nothing is, it is the very same list', () => {
  // c is near b; nothing is near d but a.
  const { of, lookedAt } = eachFinder((one, at) => (at === b && one === c) || (at === d && one === a))
  const first = of(among(a, b, d))
  expect(first).toEqual([`${idD} ${idA}`])
  lookedAt()
  const more = of(among(a, b, c, d), first)
  expect(more).toEqual([`${idB} ${idC}`, `${idD} ${idA}`])
  expect(lookedAt()).toEqual([b, c])
  // It goes again: only where it was near is looked.
  expect(of(among(a, b, d), more)).toEqual(first)
  expect(lookedAt()).toEqual([b])
  // Of two that go and touch nothing, nothing is looked at, and what is left is in its order.
  expect(of(among(a, b), first)).toEqual([])
  expect(lookedAt()).toEqual([])
  expect(of(among(a, b, d), first)).toBe(first)
  expect(lookedAt()).toEqual([])
})

test('piece by piece, another word and another order are looked at whole', () => {
  const { of, lookedAt } = eachFinder(() => false)
  const first = of(among(a, b, c))
  lookedAt()
  of({ ...among(a, b, c), word: 'gloved' }, first)
  expect(lookedAt()).toEqual([b, c])
  of(among(a, c, b), first)
  expect(lookedAt()).toEqual([c, b])
})

test('a whole that stands is the very same; one that does not is found anew, and kept where it says the same', () => {
  let found = 0
  const of = wholeStartingFrom(
    ({ assembly }: Among) => {
      found++
      return { pieces: assembly.placed.filter((piece) => piece !== c).length }
    },
    (_, { came, went }) => went.length === 0 && came.every((piece) => piece === c),
  )
  const first = of(among(a, b))
  expect(of(among(a, b, c), first)).toBe(first)
  expect(found).toBe(1)
  expect(of(among(a, b, d), first)).toEqual({ pieces: 3 })
  // Looked for, and it says the same: the old object.
  expect(of(among(a, d), first)).toBe(first)
  expect(found).toBe(3)
})
