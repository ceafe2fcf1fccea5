import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { placeSetup } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { type FactName, factNames, type Facts, factsOf, factTable, plainFactsOf } from './index.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const setups = [firstMark, secondMark].flatMap((rig) => rig.setups.map((setup) => [rig, setup] as const))

/** The facts of a set-up, which note what is read of them. */
const noting = (facts: Facts, read: Set<string>): Facts =>
  new Proxy(facts, {
    get: (target, name: string) => {
      if (name in factTable) read.add(name)
      return target[name as FactName]
    },
  })

test('a figure reads the figures it says it needs, and nothing else', () => {
  const reads = new Map<FactName, Set<string>>()
  for (const [rig, setup] of setups) {
    const facts = plainFactsOf(placeSetup(rig, setup, context.catalogue), context)
    for (const name of factNames) {
      const read = reads.get(name) ?? new Set()
      reads.set(name, read)
      factTable[name].make(noting(facts, read))
    }
  }
  for (const [name, read] of reads) expect([name, [...read].sort()]).toEqual([name, [...factTable[name].needs].sort()])
})

test('what figures need of each other has no ring', () => {
  const visit = (name: FactName, path: readonly FactName[]): void => {
    expect(path).not.toContain(name)
    for (const next of factTable[name].needs) visit(next, [...path, name])
  }
  for (const name of factNames) visit(name, [])
})

test('asked in any order, each figure is what the plainest reckoning makes of it', () => {
  const [rig, setup] = [secondMark, secondMark.setups[0]]
  if (!setup) throw new Error('a set-up')
  const assembly = placeSetup(rig, setup, context.catalogue)
  const plain = plainFactsOf(assembly, context)
  for (const order of [factNames, factNames.toReversed()]) {
    const facts = factsOf(assembly, context)
    for (const name of order) expect([name, facts[name]]).toEqual([name, plain[name]])
  }
})
