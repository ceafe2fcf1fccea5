import { demoParts } from '@zucchini/demo/catalogue'
import { syntheticRig } from '@zucchini/demo/synthetic'
import fc from 'fast-check'
import { catalogueOf } from '../catalogue/index.ts'
import { type Bounds, overlap } from '../kernel/index.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { near, placeSetup } from './index.ts'

const catalogue = catalogueOf(demoParts)
const rig = syntheticRig(40, 20, catalogue, 'calabash-h1')
const [setup] = rig.setups
const placed = setup ? placeSetup(rig, setup, catalogue).placed : []

const box = fc
  .tuple(...Array.from({ length: 6 }, () => fc.integer({ min: -400, max: 400 })))
  .map(([a = 0, b = 0, c = 0, d = 0, e = 0, f = 0]): Bounds => ({
    min: [Math.min(a, b), Math.min(c, d), Math.min(e, f)],
    max: [Math.max(a, b), Math.max(c, d), Math.max(e, f)],
  }))

test('near a box are the pieces whose box overlaps it, in their order', () => {
  fc.assert(
    fc.property(box, fc.constantFrom(0, 0.5, 20, -10), fc.nat(40), (bounds, slackMm, from) => {
      const plain = placed.slice(from).filter((piece) => overlap(bounds, piece.bounds, slackMm))
      expect(near(placed, bounds, slackMm, from)).toEqual(plain)
    }),
    { numRuns: trialRuns(200), seed: trialSeed },
  )
})

test('a box that only touches is not near, and one less than the slack away is', () => {
  const [camera] = placed
  if (!camera) throw new Error('a camera')
  const { min, max } = camera.bounds
  const beside: Bounds = { min: [max[0], min[1], min[2]], max: [max[0] + 10, max[1], max[2]] }
  expect(near([camera], beside)).toEqual([])
  expect(near([camera], beside, -0.1)).toEqual([camera])
  expect(near([camera], beside, 0, 1)).toEqual([])
})
