import { demoParts } from '@zucchini/demo/catalogue'
import { demoRigs } from '@zucchini/demo/scenario'
import { syntheticRig } from '@zucchini/demo/synthetic'
import fc from 'fast-check'
import { changeBetween, type PlacedPart, placeSetup } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { clashesAfter, clashesAny, clashesOf } from './index.ts'

const catalogue = catalogueOf(demoParts)
/** Pieces of several set-ups in one place, so that many of them want the same space. */
const crowd: readonly PlacedPart[] = [
  ...new Set(
    [...demoRigs, syntheticRig(20, 20, catalogue, 'calabash-h1')].flatMap((rig) =>
      rig.setups.slice(0, 1).flatMap((setup) => placeSetup(rig, setup, catalogue).placed.slice(0, 12)),
    ),
  ),
]

test('clashes made of what they were, and which came and went, are those that are found anew, in the same order', () => {
  let [came, went] = [0, 0]
  const some = fc.subarray([...crowd.keys()])
  const few = fc.subarray([...crowd.keys()], { maxLength: 3 })
  fc.assert(
    fc.property(some, few, (one, turned) => {
      const other = [...crowd.keys()].filter((i) => one.includes(i) !== turned.includes(i))
      const piecesAt = (list: readonly number[]) => list.map((i) => crowd[i] as PlacedPart)
      const [before, after] = [piecesAt(one), piecesAt(other)]
      const change = changeBetween(before, after)
      if (!change) throw new Error('both are in the same order')
      const [was, now] = [clashesOf({ placed: before }), clashesOf({ placed: after })]
      if (now.length > was.length) came++
      if (now.length < was.length) went++
      expect(clashesAfter(was, change, { placed: after })).toEqual(now)
      // A piece that presses into nothing adds nothing, one that is not there neither.
      for (const piece of change.came)
        expect(clashesAny(piece, { placed: after })).toBe(now.some(({ a, b }) => a === piece || b === piece))
      for (const piece of change.went) expect(clashesAny(piece, { placed: after })).toBe(false)
    }),
    { numRuns: trialRuns(200), seed: trialSeed },
  )
  // Both happened: clashes that came, and such that went.
  expect(Math.min(came, went)).toBeGreaterThan(5)
})
