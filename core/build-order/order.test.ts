import { type Assembly, edit, type Joint, placeSetup } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import type { Vec3 } from '../kernel/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../testing/index.ts'
import { buildOrderOf, buildSheetOf, changeoverOf, isHolding, jamsIn } from './index.ts'
import { turnsIn, withFewerTurns } from './turns.ts'

const placedOf = ({ rig, context: { catalogue } }: ReturnType<typeof tinyRig>, at = 0): Assembly => {
  const setup = rig.setups[at]
  if (!setup) throw new Error('a set-up')
  return placeSetup(rig, setup, catalogue)
}
const cube = (id: string, more: Partial<Part> = {}) =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])], ...more })
const idsOf = (tiny: ReturnType<typeof tinyRig>) =>
  buildOrderOf(placedOf(tiny)).steps.map((item) => (isHolding(item) ? 'hold' : item.piece.instance.id))

const stack = [on('a', 'foot', 'camera', 'hole'), on('b', 'foot', 'a', 'top')]

test('what its maker wants joined before is joined in the hand, and both come to the rig as one', () => {
  const tiny = tinyRig([cube('a', { order: { joinedBefore: ['top'] } }), cube('b')], stack)
  const assembly = placedOf(tiny)
  const { steps, knots, against } = buildSheetOf(assembly, [])
  expect([knots, against]).toEqual([[], []])
  expect(steps.map(({ instance, inHand = false, riders = [] }) => [instance, inHand, riders.length])).toEqual([
    ['b', true, 0],
    ['a', false, 1],
  ])
  // In the hand nothing is on the rig yet; then both are.
  expect(steps.map(({ commands }) => commands.length)).toEqual([0, 2])
  const bare = { ...tiny.rig, setups: tiny.rig.setups.map((setup) => ({ ...setup, joints: [] })) }
  const built = edit(
    bare,
    steps.flatMap(({ commands }) => commands),
    tiny.context.catalogue,
  )
  expect(built.ok && built.value.setups[0]?.joints).toEqual(stack)
  // Without its maker's word it is the usual way: one after the other.
  expect(idsOf(tinyRig([cube('a'), cube('b')], stack))).toEqual(['a', 'b'])
})

test('what its maker wants off first goes on after it, whatever is nearer at hand', () => {
  const onPinned = on('b', 'foot', 'camera', 'rail')
  const rail = [plug('foot', 'nato', { lengthMm: 20 })]
  const hood = tinyPart({ id: 'b', role: 'hood', mounts: rail })
  const joints = [on('a', 'foot', 'camera', 'hole'), onPinned]
  const wants = cube('a', { order: { offFirst: ['hood'] } })
  expect(idsOf(tinyRig([wants, hood], joints))).toEqual(['a', 'b'])
  const other = tinyPart({ id: 'b', role: 'hood', mounts: rail, order: { offFirst: ['adapter'] } })
  expect(idsOf(tinyRig([cube('a'), other], joints))).toEqual(['b', 'a'])
  // Each wants the other off: no order keeps both, and the one that is broken is told.
  const { knots, against } = jamsIn(placedOf(tinyRig([wants, other], joints)).placed)
  expect([knots, against.length, against[0]?.why]).toEqual([[], 1, 'off-first'])
})

test('what waits in the hand comes with its own carrier, not with what carries that', () => {
  // b waits on a for its key, and a sits on the foot: all that goes by coin is done first, and the foot comes alone.
  const carrier = tinyPart({
    id: 'a',
    mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4-pin', [0, 20, 0])],
    order: { joinedBefore: ['top'] },
  })
  const guest = tinyPart({ id: 'b', mounts: [plug('foot', 'thread-1/4-pin')] })
  const tiny = tinyRig(
    [cube('foot'), carrier, guest],
    [on('foot', 'foot', 'camera', 'hole'), on('a', 'foot', 'foot', 'top'), on('b', 'foot', 'a', 'top')],
  )
  const { steps } = buildSheetOf(placedOf(tiny), [])
  const told = steps.map(({ instance, riders = [] }) => [instance, riders.map((one) => one.instance)])
  expect(told).toEqual([
    ['b', []],
    ['foot', []],
    ['a', ['b']],
  ])
})

test('what comes from one side is put on together: the rig is turned once, where hand to hand it would be thrice', () => {
  const top = (id: string) => tinyPart({ id, mounts: [plug('foot', 'thread-1/4')] })
  const side = (id: string) => tinyPart({ id, mounts: [plug('foot', 'nato', { lengthMm: 12 })] })
  const tiny = tinyRig(
    [top('a'), side('b'), top('c'), side('d')],
    [
      on('a', 'foot', 'camera', 'hole'),
      on('b', 'foot', 'camera', 'rail', { slideMm: -15 }),
      on('c', 'foot', 'camera', 'pinned'),
      on('d', 'foot', 'camera', 'rail', { slideMm: 15 }),
    ],
  )
  const { steps, turns, toolChanges } = buildOrderOf(placedOf(tiny))
  expect([steps.length, turns, toolChanges]).toEqual([4, 1, 0])
  // The worse order of the same steps, bettered.
  const [first, second, third, fourth] = steps
  if (!first || !second || !third || !fourth) throw new Error('four steps')
  const mixed = [first, third, second, fourth]
  const cost = { toolOf: () => undefined, rankOf: () => 1 }
  expect(turnsIn(mixed)).toBe(3)
  expect(turnsIn(withFewerTurns(mixed, placedOf(tiny).placed[0], cost))).toBe(1)
  // What should come last stays last, though it costs a turn.
  const last = { toolOf: () => undefined, rankOf: (item: (typeof steps)[number]) => (item === third ? 2 : 1) }
  const kept = withFewerTurns([first, second, fourth, third], placedOf(tiny).placed[0], last)
  expect(kept.at(-1)).toBe(third)
})

/** A post with an arm over its own guest's only way: the guest hangs under the arm, 10 mm above the camera. */
const gallows = tinyPart({
  id: 'gallows',
  solids: [
    { kind: 'box', centre: [0, 20, 0], size: [10, 40, 10], matter: 'body' },
    { kind: 'box', centre: [-25, 35, 0], size: [50, 10, 60], matter: 'body' },
    // Its skirt stands round the guest on all sides.
    { kind: 'box', centre: [-25, 18, -28], size: [44, 26, 4], matter: 'body' },
    { kind: 'box', centre: [-25, 18, 28], size: [44, 26, 4], matter: 'body' },
    { kind: 'box', centre: [-48, 18, 0], size: [4, 26, 60], matter: 'body' },
  ],
  mounts: [plug('foot', 'thread-1/4'), socket('under', 'thread-1/4', [-25, 30, 0], [0, -1, 0])],
})
const hanging = tinyPart({ id: 'hanging', mounts: [plug('foot', 'thread-1/4')] })

test('what has no way to its seat alone comes with what carries it', () => {
  const tiny = tinyRig(
    [gallows, hanging],
    [on('gallows', 'foot', 'camera', 'pinned'), on('hanging', 'foot', 'gallows', 'under')],
  )
  expect(jamsIn(placedOf(tiny).placed).knots).toEqual([])
  const { steps } = buildSheetOf(placedOf(tiny), [])
  expect(steps.map(({ instance, inHand = false }) => [instance, inHand])).toEqual([
    ['hanging', true],
    ['gallows', false],
  ])
})

/** A table on the pinned hole that reaches over what stands in the plain one, 5 mm above it. */
const table = tinyPart({
  id: 'table',
  solids: [
    { kind: 'box', centre: [0, 30, 0], size: [10, 60, 10], matter: 'body' },
    { kind: 'box', centre: [-20, 30, 0] as Vec3, size: [50, 10, 200], matter: 'body' },
  ],
  mounts: [plug('foot', 'thread-1/4')],
})
const between = (parts: readonly Part[], from: readonly Joint[], to: readonly Joint[]) => {
  const tiny = tinyRig(parts, from)
  const [setup] = tiny.rig.setups
  if (!setup) throw new Error('a set-up')
  const both = { ...tiny, rig: { ...tiny.rig, setups: [setup, { ...setup, id: 'other', joints: to }] } }
  return changeoverOf(placedOf(both), placedOf(both, 1))
}
const told = ({ steps }: ReturnType<typeof changeoverOf>) => steps.map((step) => `${step.do} ${step.instance}`)

test('a changeover lifts aside what stands in the way, and puts it back', () => {
  const under = on('a', 'foot', 'camera', 'hole')
  const over = on('table', 'foot', 'camera', 'pinned')
  const gone = between([cube('a'), table], [under, over], [over])
  expect(told(gone)).toEqual(['undo table', 'undo a', 'put on table'])
  // Three screws with a coin, 25 s each.
  expect(gone.seconds).toBe(75)
  expect(told(between([cube('a'), table], [over], [under, over]))).toEqual(['undo table', 'put on a', 'put on table'])
  // Where both go, the table goes first though it comes later in no list.
  expect(told(between([cube('a'), table], [over, under], []))).toEqual(['undo table', 'undo a'])
})

test('a changeover takes a carrier off for what its maker wants joined before', () => {
  const [carrier, guest] = stack
  if (!carrier || !guest) throw new Error('two')
  const parts = [cube('a', { order: { joinedBefore: ['top'] } }), cube('b')]
  const { steps } = between(parts, [carrier, guest], [carrier])
  expect(steps.map((step) => `${step.do} ${step.instance}`)).toEqual(['undo a', 'undo b', 'put on a'])
  expect(steps[0]?.with).toEqual(['b'])
  expect(told(between(parts, [carrier], [carrier, guest]))).toEqual(['undo a', 'put on b', 'put on a'])
})
