import { syntheticRig } from '@zucchini/demo/synthetic'
import { demoParts } from '@zucchini/demo/catalogue'
import fc from 'fast-check'
import { changeBetween, type PlacedPart, placeSetup } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { roofs, underRoofs } from '../testing/fit-rigs.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../testing/index.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { type Jams, jamsIn, jamsStand } from './index.ts'

const placedOf = ({ rig, context: { catalogue } }: ReturnType<typeof tinyRig>): readonly PlacedPart[] => {
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  return placeSetup(rig, setup, catalogue).placed
}
const cube = (id: string) =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])] })
/** Does what was found among some pieces stand among others? */
const stands = (was: readonly PlacedPart[], now: readonly PlacedPart[]): boolean => {
  const change = changeBetween(was, now)
  return change !== undefined && jamsStand(jamsIn(was), change, now)
}
const told = ({ knots, against, free }: Jams) => [
  free,
  knots.map(({ piece, by }) => [piece.instance.id, ...by.map(({ instance }) => instance.id)]),
  against.map(({ piece, after, why }) => `${piece.instance.id} ${after.instance.id} ${why}`),
]

const shoe = tinyPart({
  id: 'c',
  mounts: [plug('foot', 'nato', { lengthMm: 20 }), socket('top', 'thread-1/4', [0, 20, 0])],
})
const lockedRig = placedOf(
  tinyRig(
    [...roofs, shoe, cube('d'), cube('e')],
    [...underRoofs, on('c', 'foot', 'camera', 'rail'), on('d', 'foot', 'c', 'top'), on('e', 'foot', 'd', 'top')],
  ),
)

test('what goes off first leaves what was found among the others', () => {
  const parts = [cube('a'), cube('b')]
  const two = placedOf(tinyRig(parts, [on('a', 'foot', 'camera', 'hole')]))
  const was = jamsIn(two)
  expect(told(was)).toEqual([true, [], []])
  const [camera, a] = two
  if (!camera || !a) throw new Error('two pieces')
  // b stands on a, and goes before it: nothing of the two is asked again.
  const b = placedOf(tinyRig(parts, [on('a', 'foot', 'camera', 'hole'), on('b', 'foot', 'a', 'top')])).find(
    ({ instance }) => instance.id === 'b',
  )
  if (!b) throw new Error('b')
  expect(stands(two, [camera, a, b])).toBe(true)
  expect(told(jamsIn([camera, a, b]))).toEqual(told(was))
})

/** Some of the pieces with all that they sit on. */
const withHosts = (placed: readonly PlacedPart[], picked: readonly number[]): readonly PlacedPart[] => {
  const chosen = new Set(picked.map((i) => i % placed.length))
  const here = new Set<PlacedPart>(placed.slice(0, 1))
  placed.forEach((piece, i) => {
    if (!chosen.has(i)) return
    for (let at: PlacedPart | undefined = piece; at; at = at.host) here.add(at)
  })
  return placed.filter((piece) => here.has(piece))
}

const catalogue = catalogueOf(demoParts)
const rigs = [20, 40].map((pieces) => {
  const rig = syntheticRig(pieces, 20, catalogue, 'calabash-h1')
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  return placeSetup(rig, setup, catalogue).placed
})

test('of random rigs, begun from what another was found to be or from nothing, they are the same', () => {
  let [short, locked] = [0, 0]
  const some = fc.uniqueArray(fc.nat(39), { maxLength: 40, size: 'max' })
  fc.assert(
    fc.property(
      fc.constantFrom(...rigs, lockedRig, lockedRig),
      some,
      some,
      fc.boolean(),
      (placed, one, other, more) => {
        const before = withHosts(placed, one)
        const after = withHosts(placed, more ? [...one, ...other.slice(0, 3)] : other)
        const [was, now] = [jamsIn(before), jamsIn(after)]
        if (now.knots.length > 0) locked++
        if (!stands(before, after)) return
        short++
        expect(told(now)).toEqual(told(was))
      },
    ),
    { numRuns: trialRuns(120), seed: trialSeed },
  )
  // Both were met: rigs that lock, and rigs of which nothing had to be asked again.
  expect(short).toBeGreaterThan(10)
  expect(locked).toBeGreaterThan(5)
})

test('of a rig that locks, a piece fewer is looked at anew', () => {
  const was = jamsIn(lockedRig)
  expect(told(was)).toEqual([
    false,
    [
      ['left', 'right'],
      ['right', 'left'],
    ],
    [],
  ])
  const less = lockedRig.filter(({ instance }) => instance.id !== 'right')
  expect(stands(lockedRig, less)).toBe(false)
  expect(told(jamsIn(less))).toEqual([true, [], []])
  expect(stands(less, lockedRig)).toBe(false)
})

test('a piece more elsewhere leaves what locks as it was found', () => {
  expect(stands(lockedRig.slice(0, -1), lockedRig)).toBe(true)
  expect(jamsIn(lockedRig.slice(0, -1)).knots).toHaveLength(2)
})
