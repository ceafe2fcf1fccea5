import { demoParts } from '@zucchini/demo/catalogue'
import { secondMark } from '@zucchini/demo/scenario'
import { type Assembly, placeSetup } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import type { Ask } from '../engine/index.ts'
import { factsOf, lotOf, lotOfParts } from './index.ts'
import { lotNamed, Lots, pickedFrom } from './lots.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map<string, number>() }
const [setup] = secondMark.setups
if (!setup) throw new Error('a set-up')
const assembly = placeSetup(secondMark, setup, context.catalogue)

const heavy = lotOf(({ part }) => part.massG > 300)
const broken = lotOf(({ part }) => {
  if (part.massG > 300) throw new RangeError('nobody can tell')
  return false
})

test('a lot has its pieces in the order of all, and is the same whoever asks', () => {
  const facts = factsOf(assembly, context)
  const all = assembly.placed.filter(({ part }) => part.massG > 300)
  expect(all.length).toBeGreaterThan(1)
  expect(heavy({ assembly })).toEqual(all)
  expect(heavy(facts)).toEqual(all)
})

test('a piece of which a lot can’t tell is in it, so that its rule meets it; other lots are as they were', () => {
  expect(broken({ assembly })).toEqual(assembly.placed.filter(({ part }) => part.massG > 300))
  expect(heavy({ assembly })).toEqual(assembly.placed.filter(({ part }) => part.massG > 300))
})

test('a lot that the part alone tells asks each part once, however often and wherever it sits', () => {
  const askedOf: string[] = []
  const light = lotOfParts(({ id, massG }) => {
    askedOf.push(id)
    return massG <= 300
  })
  // Figures that note what is read of them, as those are that a rule gets.
  const noting = (of: Assembly): { readonly assembly: Assembly } => {
    const ask: Ask = {
      kept: new Map(),
      leaf: (name) => Lots.of(of.placed).get(lotNamed(name)?.lot ?? -1),
      query: () => undefined,
    }
    return { assembly: of, ask } as { readonly assembly: Assembly }
  }
  const anew = placeSetup(structuredClone(secondMark), structuredClone(setup), context.catalogue)
  const found = light(noting(assembly))
  expect(found).toEqual(assembly.placed.filter(({ part }) => part.massG <= 300))
  expect(light(noting(anew)).map(({ instance }) => instance.id)).toEqual(found.map(({ instance }) => instance.id))
  expect(askedOf.sort()).toEqual([...new Set(assembly.placed.map(({ part }) => part.id))].sort())
})

test('a part of which a lot can’t tell is in it as well', () => {
  const unclear = lotOfParts(({ massG }) => {
    if (massG > 300) throw new RangeError('nobody can tell')
    return false
  })
  expect(unclear(factsOf(assembly, context))).toEqual(assembly.placed.filter(({ part }) => part.massG > 300))
})

test('after an edit the lots of what came and went are looked through again, and all others that were asked for are the very lists', () => {
  const light = lotOf(({ part }) => part.massG <= 300)
  const named = (lot: (facts: { readonly assembly: Assembly }) => unknown) => {
    let leaf = ''
    const ask: Ask = { kept: new Map(), leaf: (name) => (leaf = name), query: () => undefined }
    lot({ assembly, ask } as never)
    return lotNamed(leaf)?.lot ?? -1
  }
  const [few, many] = [named(heavy), named(light)]
  const { placed } = assembly
  const all = Lots.of(placed)
  // Nobody hangs on a list that was not asked for.
  const [fewBefore, manyBefore] = [all.get(few), all.get(many)]
  const gone = placed.at(-1)
  if (!gone || gone.part.massG > 300) throw new Error('the last piece is a light one')
  const less = all.after(placed.slice(0, -1))
  expect(less.get(few)).toBe(fewBefore)
  expect(less.get(many)).toEqual(manyBefore.filter((piece) => piece !== gone))
  // It comes again: nobody had asked in between, and yet the list is the one that it was.
  const between = less.after([...placed])
  expect(between.get(few)).toBe(all.get(few))
  expect(between.get(many)).toEqual(all.get(many))
  // In another order there is no telling what came: the same lists in the new order.
  const turned = all.after([...placed].reverse())
  expect(turned.get(many)).toEqual([...all.get(many)].reverse())
  expect(all.after(placed)).toBe(all)
})

test('a lot is told as what it is picked from', () => {
  expect(pickedFrom('setup.links')).toBe('setup.links')
  expect(pickedFrom('lot 0')).toBe('assembly.placed')
  expect(pickedFrom('lot 0 glass')).toBe('glass.placed')
})
