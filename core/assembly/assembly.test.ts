import fc from 'fast-check'
import { type catalogueOf } from '../catalogue/index.ts'
import { lengthOf, subtract, type Vec3 } from '../kernel/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../testing/index.ts'
import {
  carriedBy,
  type Command,
  edit,
  everywhere,
  freshId,
  newRig,
  offPlaces,
  placeSetup,
  pointsOf,
  type Rig,
  rigSchema,
  seatingsAt,
  type Setup,
  slideWay,
  soundnessAfter,
  soundnessIssues,
  startHistory,
  step,
  swapCommands,
  redo,
  undo,
  wayName,
} from './index.ts'

const cube = (id: string, more = {}) =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])], ...more })
const place = (rig: Rig, context: { catalogue: ReturnType<typeof catalogueOf> }) =>
  placeSetup(rig, rig.setups[0] as Setup, context.catalogue)
const near = (a: Vec3 | undefined, b: Vec3) => expect(lengthOf(subtract(a ?? [9e9, 0, 0], b))).toBeLessThan(1e-9)

test('a cube on the top hole stands on the camera, its middle 10 mm higher', () => {
  const { rig, context } = tinyRig([cube('one')], [on('one', 'foot', 'camera', 'hole')])
  const one = place(rig, context).byInstance.get('one')
  near(one?.frame.at, [0, 40, 0])
  near(one?.centre, [0, 50, 0])
  expect(one?.bounds).toEqual({ min: [-10, 40, -10], max: [10, 60, 10] })
})

test('a stack of cubes grows by 20 mm each', () => {
  const { rig, context } = tinyRig(
    [cube('one'), cube('two')],
    [on('two', 'foot', 'one', 'top'), on('one', 'foot', 'camera', 'hole')],
  )
  near(place(rig, context).byInstance.get('two')?.centre, [0, 70, 0])
})

test('a clamp slides along the rail of its host, and turns about the joint', () => {
  const clamp = tinyPart({ id: 'clamp', centre: [5, 10, 0], mounts: [plug('foot', 'nato', { lengthMm: 20 })] })
  const { rig, context } = tinyRig([clamp], [on('clamp', 'foot', 'camera', 'rail', { slideMm: 7 })])
  const piece = place(rig, context).byInstance.get('clamp')
  // The rail faces left, so the clamp's height points left and what was ahead of it points up: its right then points
  // back.
  near(piece?.centre, [-60, 0, 7 + 5])
  expect(wayName(slideWay(piece as never) as Vec3)).toBe('back')
  const turned = tinyRig([clamp], [on('clamp', 'foot', 'camera', 'rail', { slideMm: 7, turnDeg: 180 })])
  near(place(turned.rig, turned.context).byInstance.get('clamp')?.centre, [-60, 0, 7 - 5])
})

test('when the slot is in the guest, sliding moves the guest the other way', () => {
  const sled = tinyPart({
    id: 'sled',
    mounts: [plug('foot', 'thread-1/4', { travel: { along: [0, 0, -1], minMm: -20, maxMm: 20, stepMm: 1 } })],
  })
  const { rig, context } = tinyRig([sled], [on('sled', 'foot', 'camera', 'hole', { slideMm: 8 })])
  const piece = place(rig, context).byInstance.get('sled')
  near(piece?.frame.at, [0, 40, 8])
  expect(wayName(slideWay(piece as never) as Vec3)).toBe('back')
})

test('pieces that did not change are the same objects after an edit', () => {
  const { rig, context } = tinyRig(
    [cube('one'), cube('two')],
    [on('one', 'foot', 'camera', 'hole'), on('two', 'foot', 'camera', 'pinned')],
  )
  const edited = edit(rig, [{ do: 'set', setup: 'main', instance: 'two', turnDeg: 90 }], context.catalogue)
  const [before, after] = [place(rig, context), place((edited as { value: Rig }).value, context)]
  expect(after.byInstance.get('one')).toBe(before.byInstance.get('one'))
  expect(after.byInstance.get('two')).not.toBe(before.byInstance.get('two'))
})

test('two pieces of one part go on alike ends by the same mate; a piece of another health is another piece', () => {
  const block = cube('block')
  const { rig, context } = tinyRig([block], [on('block', 'foot', 'camera', 'hole')])
  const [camera, one] = rig.kit
  const worn = { ...rig, kit: [camera, { ...one, health: 0.5 }] } as Rig
  const moved = { ...rig, setups: structuredClone(rig.setups) }
  const [first, second, third] = [rig, worn, moved].map((of) => place(of, context).byInstance.get('block'))
  expect(second).not.toBe(first)
  expect(second?.instance).toMatchObject({ id: 'block', health: 0.5 })
  expect(place(rig, context).byInstance.get('block')).toBe(first)
  // A joint that is another object puts on another piece; how the two ends go together stays the same.
  expect(third).not.toBe(first)
  expect(third?.mate).toBe(first?.mate)
})

test('what hangs on a piece is carried by it and comes off with it', () => {
  const { rig, context } = tinyRig(
    [cube('one'), cube('two'), cube('three')],
    [on('one', 'foot', 'camera', 'hole'), on('two', 'foot', 'one', 'top'), on('three', 'foot', 'camera', 'pinned')],
  )
  const assembly = place(rig, context)
  expect(carriedBy(assembly, assembly.byInstance.get('one') as never).map(({ instance }) => instance.id)).toEqual([
    'one',
    'two',
  ])
  const off = edit(rig, [{ do: 'take-off', setup: 'main', instance: 'one' }], context.catalogue)
  expect(off.ok && off.value.setups[0]?.joints.map(({ guest }) => guest)).toEqual(['three'])
  expect(off.ok && place(off.value, context).loose.map(({ instance }) => instance.id)).toEqual(['one', 'two'])
})

test('points: taken, blocked by a sharer, or open; a rail stays open while there is room', () => {
  const two = tinyPart({
    id: 'two-holes',
    mounts: [
      plug('foot', 'thread-1/4'),
      socket('a', 'thread-1/4', [0, 20, 0], [0, 1, 0], { shares: ['b'] }),
      socket('b', 'thread-3/8', [0, 20, 0], [0, 1, 0], { shares: ['a'] }),
    ],
  })
  const clamp = tinyPart({ id: 'clamp', mounts: [plug('foot', 'nato', { lengthMm: 30 })] })
  const { rig, context } = tinyRig(
    [two, cube('one'), clamp],
    [
      on('two-holes', 'foot', 'camera', 'hole'),
      on('one', 'foot', 'two-holes', 'a'),
      on('clamp', 'foot', 'camera', 'rail'),
    ],
  )
  const open = new Map(pointsOf(place(rig, context)).map((p) => [`${p.piece.instance.id}/${p.mount.id}`, p.open]))
  expect(
    ['camera/hole', 'two-holes/a', 'two-holes/b', 'camera/rail', 'camera/shoe'].map((key) => open.get(key)),
  ).toEqual([false, false, false, true, true])
})

test('a part is never hung up by the mount that is there to carry something', () => {
  const arm = tinyPart({
    id: 'arm',
    mounts: [plug('foot', 'shoe-cold'), { ...plug('stud', 'thread-1/4'), carries: true }],
  })
  const { rig, context } = tinyRig([], [], { extra: [arm] })
  const points = pointsOf(place(rig, context))
  const at = (id: string) =>
    seatingsAt(points.find(({ mount }) => mount.id === id) as never, { id: 'arm', partId: 'arm' }, arm).length
  expect([at('hole'), at('shoe')]).toEqual([0, 2])
})

test.each<[string, (rig: Rig) => Rig, string]>([
  [
    'a part the catalogue does not know',
    (rig) => ({ ...rig, kit: [...rig.kit, { id: 'x', partId: 'nothing', status: 'in' as const }] }),
    'part-unknown',
  ],
  ['one id twice', (rig) => ({ ...rig, kit: [...rig.kit, ...rig.kit.slice(1)] }), 'id-repeated'],
  [
    'a ring of joints',
    (rig) => ({
      ...rig,
      setups: [
        { ...(rig.setups[0] as Setup), joints: [on('one', 'foot', 'two', 'top'), on('two', 'foot', 'one', 'top')] },
      ],
    }),
    'joints-in-a-ring',
  ],
  [
    'a piece in two places',
    (rig) => ({
      ...rig,
      setups: [
        {
          ...(rig.setups[0] as Setup),
          joints: [on('one', 'foot', 'camera', 'hole'), on('one', 'foot', 'camera', 'pinned')],
        },
      ],
    }),
    'sits-twice',
  ],
  [
    'a mount that is not there',
    (rig) => ({ ...rig, setups: [{ ...(rig.setups[0] as Setup), joints: [on('one', 'foot', 'camera', 'nose')] }] }),
    'mount-unknown',
  ],
  [
    'a host outside the kit',
    (rig) => ({ ...rig, setups: [{ ...(rig.setups[0] as Setup), joints: [on('one', 'foot', 'ghost', 'hole')] }] }),
    'instance-unknown',
  ],
  [
    'a camera that sits on something',
    (rig) => ({ ...rig, setups: [{ ...(rig.setups[0] as Setup), joints: [on('camera', 'hole', 'one', 'foot')] }] }),
    'root-is-guest',
  ],
  [
    'no camera',
    (rig) => ({ ...rig, setups: [{ ...(rig.setups[0] as Setup), root: 'gone', joints: [] }] }),
    'root-missing',
  ],
])('unsound: %s', (_, spoil, code) => {
  const { rig, context } = tinyRig([cube('one'), cube('two')], [on('one', 'foot', 'camera', 'hole')])
  expect(soundnessIssues(rig, context.catalogue)).toEqual([])
  expect(soundnessIssues(spoil(rig), context.catalogue).map((issue) => issue.code)).toContain(code)
  // Told as well where only what an edit changed is looked at, and of a rig that never was sound.
  const spoilt = spoil(rig)
  expect(soundnessAfter(rig, spoilt, context.catalogue)).toEqual(soundnessIssues(spoil(rig), context.catalogue))
  const renamed = { ...spoilt, name: 'as unsound as before' }
  expect(soundnessAfter(spoilt, renamed, context.catalogue)).toEqual(soundnessIssues(spoilt, context.catalogue))
})

test('a set-up that nobody touched is looked at again when something it names goes', () => {
  const { rig, context } = tinyRig([cube('one'), cube('two')], [on('one', 'foot', 'camera', 'hole')])
  const [main] = rig.setups
  if (!main) throw new Error('a set-up')
  const two: Rig = { ...rig, setups: [main, { ...main, id: 'other', joints: [on('two', 'foot', 'camera', 'hole')] }] }
  const codes = (was: Rig, now: Rig) => {
    expect(soundnessAfter(was, now, context.catalogue)).toEqual(soundnessIssues(now, context.catalogue))
    return soundnessAfter(was, now, context.catalogue).map(({ code, path }) => `${code} ${path}`)
  }
  expect(codes(two, { ...two, kit: two.kit.filter(({ id }) => id !== 'one') })).toEqual([
    'instance-unknown setups[0].joints[0].guest',
  ])
  // Something else under the same name has no such mounts.
  const exchanged = two.kit.map((one) => (one.id === 'two' ? { ...one, partId: 'gone' } : one))
  expect(codes(two, { ...two, kit: exchanged })).toContain(`part-unknown kit[${exchanged.length - 1}].partId`)
  const [first, second] = two.setups
  if (!first || !second) throw new Error('two set-ups')
  const loose = { ...second, joints: [on('two', 'foot', 'ghost', 'hole')] }
  expect(codes(two, { ...two, setups: [first, loose] })).toEqual(['instance-unknown setups[1].joints[0].host'])
  // One set-up less moves the others up: each is told by the place it has now.
  expect(codes(two, { ...two, setups: [loose] })).toEqual(['instance-unknown setups[0].joints[0].host'])
  expect(codes(two, { ...two, setups: [first, first] })).toEqual(['id-repeated setups'])
  // What a second hold holds has to sit somewhere, and not on itself.
  const held: Rig = { ...two, setups: [first, { ...second, braces: [on('two', 'top', 'camera', 'pinned')] }] }
  const [, braced] = held.setups
  if (!braced) throw new Error('two set-ups')
  expect(codes(held, { ...held, setups: [first, { ...braced, joints: [] }] })).toEqual([
    'brace-loose setups[1].braces[0].guest',
  ])
  // What goes along in the bag does not sit on the rig as well.
  const bagged = [{ instance: 'one', at: offPlaces[0] }]
  const along: Rig = { ...two, setups: [first, { ...second, off: bagged }] }
  const onToo = [...second.joints, on('one', 'foot', 'camera', 'pinned')]
  expect(codes(along, { ...along, setups: [first, { ...second, off: bagged, joints: onToo }] })).toEqual([
    'off-and-on setups[1].off[0]',
  ])
  const round = [on('two', 'foot', 'one', 'top'), on('one', 'foot', 'two', 'top')]
  expect(codes(two, { ...two, setups: [first, { ...second, joints: round }] })).toContain(
    'joints-in-a-ring setups[1].joints',
  )
  expect(codes(two, { ...two, kit: [...two.kit, { id: 'one', partId: 'one', status: 'in' }] })).toContain(
    'id-repeated kit',
  )
})

test('edits are all or none and leave the rig they were given alone', () => {
  const { rig, context } = tinyRig([cube('one')], [on('one', 'foot', 'camera', 'hole')])
  const before = JSON.stringify(rig)
  const result = edit(
    rig,
    [
      { do: 'rename', name: 'new' },
      { do: 'discard', instance: 'camera' },
    ],
    context.catalogue,
  )
  expect(result).toMatchObject({ ok: false, issues: [{ code: 'root-stays' }] })
  expect(edit(rig, [{ do: 'drop-setup', setup: 'main' }], context.catalogue)).toMatchObject({
    ok: false,
    issues: [{ code: 'last-setup' }],
  })
  expect(edit(rig, [{ do: 'note', instance: 'nobody', notes: 'x' }], context.catalogue)).toMatchObject({
    ok: false,
    issues: [{ code: 'instance-unknown' }],
  })
  expect(edit(rig, [{ do: 'take-off', setup: 'nowhere', instance: 'one' }], context.catalogue)).toMatchObject({
    ok: false,
    issues: [{ code: 'setup-unknown' }],
  })
  expect(JSON.stringify(rig)).toBe(before)
})

test('the small edits do what they say', () => {
  const { rig, context } = tinyRig([cube('one')], [on('one', 'foot', 'camera', 'hole')])
  const result = edit(
    rig,
    [
      { do: 'note', instance: 'one', notes: 'scratched' },
      { do: 'status', instance: 'one', status: 'considered' },
      { do: 'copy-setup', setup: 'main', id: 'slip', name: 'slip' },
      { do: 'change-setup', setup: 'slip', support: 'tripod' },
      { do: 'brief', brief: { ...rig.brief, kind: 'promo' } },
    ],
    context.catalogue,
  )
  expect(result.ok && result.value).toMatchObject({
    brief: { kind: 'promo' },
    kit: [{}, { notes: 'scratched', status: 'considered' }],
    setups: [{ support: 'hand-low' }, { id: 'slip', support: 'tripod' }],
  })
  expect(result.ok && result.value.setups[1]?.joints).toBe(rig.setups[0]?.joints)
})

test('a swap keeps neighbours on the like mounts and takes off what finds no place', () => {
  const bare = tinyPart({ id: 'bare', mounts: [plug('screw', 'thread-1/4')] })
  const other = cube('other', { mounts: [plug('base', 'thread-1/4'), socket('crown', 'thread-1/4', [0, 30, 0])] })
  const { rig, context } = tinyRig(
    [cube('one'), cube('two')],
    [on('one', 'foot', 'camera', 'hole'), on('two', 'foot', 'one', 'top')],
    {
      extra: [bare, other],
    },
  )
  const kept = edit(rig, swapCommands(rig, 'one', other, context.catalogue), context.catalogue)
  expect(kept.ok && kept.value.setups[0]?.joints).toEqual([
    on('one', 'base', 'camera', 'hole'),
    on('two', 'foot', 'one', 'crown'),
  ])
  const lost = edit(rig, swapCommands(rig, 'one', bare, context.catalogue), context.catalogue)
  expect(lost.ok && lost.value.setups[0]?.joints).toEqual([on('one', 'screw', 'camera', 'hole')])
})

test('ids of new pieces are free', () => {
  const { rig } = tinyRig([cube('one')], [])
  expect([freshId(rig, 'two'), freshId(rig, 'one'), freshId(rig, 'one', ['one-2'])]).toEqual(['two', 'one-2', 'one-3'])
})

test('history walks back and forth without limit; a new step ends the way forward', () => {
  let history = startHistory(0)
  for (let n = 1; n <= 500; n++) history = step(history, n)
  for (let n = 0; n < 500; n++) history = undo(history)
  expect([history.present, undo(history)]).toEqual([0, history])
  history = redo(redo(history))
  expect(history.present).toBe(2)
  history = step(history, 99)
  expect(redo(history)).toBe(history)
  expect(step(history, 99)).toBe(history)
})

describe('properties of random edits', () => {
  const parts = ['a', 'b', 'c', 'd'].map((id) => cube(id))
  const base = tinyRig(parts, [])
  const guest = fc.constantFrom('a', 'b', 'c', 'd')
  const command: fc.Arbitrary<Command> = fc.oneof(
    fc
      .tuple(
        guest,
        fc.constantFrom('camera/hole', 'camera/pinned', 'a/top', 'b/top', 'c/top'),
        fc.integer({ min: -180, max: 180 }),
      )
      .map(([id, at, turnDeg]): Command => {
        const [host = '', hostMount = ''] = at.split('/')
        return { do: 'place', setup: 'main', joint: on(id, 'foot', host, hostMount, { turnDeg }) }
      }),
    guest.map((instance): Command => ({ do: 'take-off', setup: 'main', instance })),
    fc
      .tuple(guest, fc.constantFrom(...offPlaces))
      .map(([instance, at]): Command => ({ do: 'stow', setup: 'main', instance, at })),
    fc
      .tuple(guest, fc.integer({ min: -180, max: 180 }))
      .map(([instance, turnDeg]): Command => ({ do: 'set', setup: 'main', instance, turnDeg })),
  )
  const walk = (commands: readonly Command[]) => {
    let history = startHistory(base.rig)
    for (const each of commands) {
      const next = edit(history.present, [each], base.context.catalogue)
      if (next.ok) history = step(history, next.value)
    }
    return history
  }

  test('undoing everything gives back the very same rig', () => {
    fc.assert(
      fc.property(fc.array(command, { maxLength: 30 }), (commands) => {
        let history = walk(commands)
        while (history.past.length > 0) history = undo(history)
        return history.present === base.rig
      }),
    )
  })
  test('a sound rig stays sound, and any rig written out and read in is equal', () => {
    fc.assert(
      fc.property(fc.array(command, { maxLength: 30 }), (commands) => {
        const { present } = walk(commands)
        expect(soundnessIssues(present, base.context.catalogue)).toEqual([])
        expect(rigSchema.parse(JSON.parse(JSON.stringify(present)))).toEqual(present)
      }),
    )
  })
  test('each piece is placed once, goes along off the rig once, or lies loose', () => {
    fc.assert(
      fc.property(fc.array(command, { maxLength: 30 }), (commands) => {
        const assembly = place(walk(commands).present, base.context)
        return everywhere(assembly).length + assembly.loose.length === 5
      }),
    )
  })
})

test('a new rig is the camera alone and parses', () => {
  expect(rigSchema.parse(newRig('one', 'One', 'tiny-camera')).kit).toHaveLength(1)
})

test.each([
  ['another format', { format: 'other' }],
  ['a later version', { version: 99 }],
  ['no set-up', { setups: [] }],
  ['a stray field', { colour: 1 }],
  ['an empty name', { name: '  ' }],
])('the rig schema refuses %s', (_, change) => {
  expect(rigSchema.safeParse({ ...newRig('one', 'One', 'tiny-camera'), ...change }).success).toBe(false)
})
