import { placeSetup, soundnessIssues } from '@zucchini/core/assembly'
import { catalogueOf, partSchema } from '@zucchini/core/catalogue'
import { clashesOf } from '@zucchini/core/clearance'
import { demoParts } from '../catalogue/index.ts'
import { syntheticParts, syntheticRig } from './index.ts'

test('a seed decides the parts, and every one is a whole part', () => {
  const some = syntheticParts(300, 7)
  expect(some).toEqual(syntheticParts(300, 7))
  expect(some).not.toEqual(syntheticParts(300, 8))
  expect(new Set(some.map(({ id }) => id)).size).toBe(300)
  for (const part of some) expect(partSchema.parse(part)).toEqual(part)
})

test('a synthetic rig is sound, as large as asked for, and nothing in it clashes but the camera’s own cage', () => {
  const catalogue = catalogueOf(demoParts)
  const rig = syntheticRig(40, 8, catalogue, 'calabash-h1')
  expect(rig.kit).toHaveLength(40)
  expect(soundnessIssues(rig, catalogue)).toEqual([])
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  const assembly = placeSetup(rig, setup, catalogue)
  expect(assembly.placed).toHaveLength(40)
  expect(clashesOf(assembly)).toEqual([])
  expect(syntheticRig(40, 8, catalogue, 'calabash-h1')).toEqual(rig)
})
