import fc from 'fast-check'
import { adoptRig } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, demoRigs } from '@zucchini/demo/scenario'
import { unfitFigures } from '../testing/finite.ts'
import { mutated, mutations } from '../testing/mutate.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { evaluate } from './evaluate.ts'

const owned = new Map(Object.entries(demoLocker))
const used = new Set(demoRigs.flatMap(({ kit }) => kit.map(({ partId }) => partId)))
const parts = demoParts.filter(({ id }) => used.has(id))
const rest = demoParts.filter(({ id }) => !used.has(id))
const setups = demoRigs.flatMap((rig, r) => rig.setups.map((setup) => ({ r, setup: setup.id })))

test('whatever figures parts have, no assessment holds one that is no number', () => {
  fc.assert(
    fc.property(fc.constantFrom(...setups), mutations(parts, 24), ({ r, setup }, changes) => {
      const rig = demoRigs[r]
      const taken = rig && adoptRig(rig, catalogueOf([...mutated(parts, changes), ...rest]))
      if (!taken?.ok) throw new Error('a rig of the demo is taken up')
      const assessment = evaluate(taken.value.rig, setup, { catalogue: taken.value.catalogue, owned })
      expect(unfitFigures(assessment)).toEqual([])
      const broken = assessment.findings.filter(({ message }) => message === 'fact-failed' || message === 'rule-failed')
      expect(broken.map(({ check, names }) => `${check} ${names['fact'] ?? ''} ${names['reason'] ?? ''}`)).toEqual([])
    }),
    { numRuns: trialRuns(60), seed: trialSeed },
  )
})
