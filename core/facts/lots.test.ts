import { demoParts } from '@zucchini/demo/catalogue'
import { secondMark } from '@zucchini/demo/scenario'
import { placeSetup } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { factsOf, lotOf } from './index.ts'

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
