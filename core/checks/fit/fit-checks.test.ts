import { placeSetup, type Rig } from '../../assembly/index.ts'
import { GRAVITY, point } from '../../kernel/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { adapterStack } from './adapter-stack.ts'
import { braceGap } from './brace-gap.ts'
import { dovetailEntry } from './dovetail-entry.ts'
import { factsOf } from '../../facts/index.ts'
import { type Context } from '../../context/index.ts'
import { frictionHolder } from './friction-holder.ts'
import { needsPart } from './needs-part.ts'
import { noCommonPlate } from './no-common-plate.ts'
import { padOverload } from './pad-overload.ts'
import { railEntry } from './rail-entry.ts'
import { railTooShort } from './rail-too-short.ts'
import { rodSingle } from './rod-single.ts'
import { screwTooLong } from './screw-too-long.ts'
import { testCheck } from '../tester.ts'
import { twoScrewSpacing } from './two-screw-spacing.ts'
import { untetheredOverhead } from './untethered-overhead.ts'

const factsFor = (rig: Rig, context: Context) => {
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  return factsOf(placeSetup(rig, setup, context.catalogue), context)
}

const foot = plug('foot', 'thread-1/4')
const partner = tinyPart({ id: 'partner', mounts: [plug('foot', 'thread-1/4-pin')] })
const lonely = tinyPart({ id: 'lonely', mounts: [foot], needsOneOf: ['partner'] })

testCheck(needsPart, {
  speaks: [
    {
      name: 'its partner is at home',
      message: 'alone',
      level: 'stop',
      parts: ['lonely'],
      remedies: 2,
      ...tinyRig([lonely], [on('lonely', 'foot', 'camera', 'hole')], { extra: [partner] }),
    },
  ],
  silent: [
    {
      name: 'its partner is on the rig',
      message: 'paired',
      ...tinyRig(
        [lonely, partner],
        [on('lonely', 'foot', 'camera', 'hole'), on('partner', 'foot', 'camera', 'pinned')],
      ),
    },
  ],
})

const holes = tinyPart({
  id: 'holes',
  mounts: [foot, socket('pair', 'two-screw', [0, 20, 0], [0, 1, 0], { spacingMm: 30, slotMm: 2 })],
})
const screws = (spacingMm: number) =>
  tinyPart({ id: 'screws', role: 'top-handle', mounts: [plug('foot', 'two-screw', { spacingMm })] })
const spaced = (spacingMm: number) =>
  tinyRig([holes, screws(spacingMm)], [on('holes', 'foot', 'camera', 'hole'), on('screws', 'foot', 'holes', 'pair')])

testCheck(twoScrewSpacing, {
  speaks: [
    {
      name: 'one millimetre more than the slot gives',
      message: 'apart',
      level: 'stop',
      numbers: { offMm: 3, slotMm: 2 },
      ...spaced(33),
    },
  ],
  silent: [{ name: 'exactly at the end of the slot', message: 'meets', numbers: { offMm: 2 }, ...spaced(32) }],
})

const clamp = (lengthMm: number, more = {}) =>
  tinyPart({ id: 'clamp', mounts: [plug('foot', 'nato', { lengthMm, ...more })] })
const clamped = (lengthMm: number) => tinyRig([clamp(lengthMm)], [on('clamp', 'foot', 'camera', 'rail')])

testCheck(railTooShort, {
  speaks: [
    {
      name: '61 mm of clamp on 60 mm of rail',
      message: 'short',
      level: 'stop',
      numbers: { clampMm: 61, railMm: 60 },
      ...clamped(61),
    },
  ],
  silent: [{ name: 'exactly as long', message: 'holds', ...clamped(60) }],
})

/** A block 15 mm beyond an end of the camera's left rail; it stands on a hole of the camera's top. */
const cheek = (id: string, at: readonly [number, number, number]) =>
  tinyPart({
    id,
    centre: at,
    solids: [{ kind: 'box', centre: at, size: [20, 20, 20], matter: 'body' }],
    mounts: [foot],
  })
const cheeks = [cheek('front', [-56, -40, -45]), cheek('rear', [-81, -40, 45])]
const cheekJoints = [on('front', 'foot', 'camera', 'hole'), on('rear', 'foot', 'camera', 'pinned')]
const onClamp = on('clamp', 'foot', 'camera', 'rail')

testCheck(railEntry, {
  speaks: [
    {
      name: 'a block before each end',
      message: 'shut',
      level: 'risk',
      parts: ['clamp', 'front', 'rear'],
      numbers: { railMm: 60, clampMm: 20 },
      ...tinyRig([clamp(20, { slidesOn: true }), ...cheeks], [onClamp, ...cheekJoints]),
    },
  ],
  silent: [
    {
      name: 'one end is open',
      message: 'open',
      ...tinyRig([clamp(20, { slidesOn: true }), ...cheeks], [onClamp, ...cheekJoints.slice(0, 1)]),
    },
  ],
})

test('a clamp that opens needs no open end', () => {
  const { rig, context } = tinyRig([clamp(20), ...cheeks], [onClamp, ...cheekJoints])
  expect(factsFor(rig, context).entries).toEqual([])
})

const tail = tinyPart({
  id: 'tail',
  mounts: [
    foot,
    socket('dovetail', 'dovetail-38', [0, 20, 0], [0, 1, 0], {
      lengthMm: 60,
      travel: { along: [0, 0, -1], minMm: -10, maxMm: 10, stepMm: 1 },
    }),
  ],
})
const sled = tinyPart({ id: 'sled', mounts: [plug('jaw', 'dovetail-38', { slidesOn: true, lengthMm: 20 })] })
/** The dovetail's face is 60 mm over the camera's middle; its ends are 30 mm ahead and behind. */
const posts = [cheek('ahead', [0, 26, -45]), cheek('behind', [-25, 26, 45])]
const plated = (all: boolean) =>
  tinyRig(
    [tail, sled, ...posts],
    [
      on('tail', 'foot', 'camera', 'hole'),
      on('sled', 'jaw', 'tail', 'dovetail'),
      on('behind', 'foot', 'camera', 'pinned'),
      ...(all ? [on('ahead', 'foot', 'camera', 'hole')] : []),
    ],
  )

testCheck(dovetailEntry, {
  speaks: [{ name: 'posts before and behind', message: 'shut', parts: ['sled', 'behind', 'ahead'], ...plated(true) }],
  silent: [{ name: 'a post behind only', message: 'open', ...plated(false) }],
})

const rod = tinyPart({
  id: 'rod',
  role: 'rods',
  mounts: [
    plug('end', 'thread-1/4-pin'),
    plug('along', 'rod-15', {
      at: [0, 10, -10],
      out: [0, 0, -1],
      up: [0, 1, 0],
      carries: true,
      lengthMm: 100,
      travel: { along: [0, 1, 0], minMm: -40, maxMm: 40, stepMm: 1 },
    }),
  ],
})
/** 100 g whose centre lies `offMm` from the rod's mark, square to the rod. */
const swinger = (offMm: number) =>
  tinyPart({
    id: 'swinger',
    centre: [0, offMm, 0],
    mounts: [socket('hold', 'rod-15', [0, 0, 0], [0, -1, 0], { lengthMm: 20 })],
  })
const swinging = (offMm: number, braces: ReturnType<typeof on>[] = []) =>
  tinyRig([rod, swinger(offMm)], [on('rod', 'end', 'camera', 'pinned'), on('swinger', 'hold', 'rod', 'along')], {
    setup: { braces },
  })
const rodLimitMm = (0.15 / (0.1 * GRAVITY)) * 1000
const bracedSwinger = (() => {
  const steady = tinyPart({
    id: 'swinger',
    centre: [0, 200, 0],
    mounts: [
      socket('hold', 'rod-15', [0, 0, 0], [0, -1, 0], { lengthMm: 20 }),
      plug('stay', 'thread-1/4', { at: [25, -10, -30] }),
    ],
  })
  const tiny = tinyRig([rod, steady], [on('rod', 'end', 'camera', 'pinned'), on('swinger', 'hold', 'rod', 'along')])
  const [setup] = tiny.rig.setups
  if (!setup) throw new Error('a set-up')
  const host = { ...tinyPart({ id: 'stay', mounts: [socket('here', 'thread-1/4', stayAt(tiny), [0, 1, 0]), foot] }) }
  return tinyRig([rod, steady, host], [...setup.joints, on('stay', 'foot', 'camera', 'hole')], {
    setup: { braces: [on('swinger', 'stay', 'stay', 'here')] },
  })
})()

testCheck(rodSingle, {
  speaks: [
    {
      name: '100 g 200 mm off the rod',
      message: 'swings',
      level: 'risk',
      numbers: { twistNm: 0.1 * GRAVITY * 0.2, carriedG: 100 },
      parts: ['swinger'],
      ...swinging(200),
    },
  ],
  silent: [
    { name: 'exactly what the clamp holds', message: 'holds', numbers: { twistNm: 0.15 }, ...swinging(rodLimitMm) },
    { name: 'with a second hold', message: 'braced', ...bracedSwinger },
  ],
})

const step = (id: string) => tinyPart({ id, mounts: [foot, socket('top', 'thread-1/4', [0, 20, 0])] })
const mic = tinyPart({ id: 'mic', role: 'mic', mounts: [foot] })
const tower = (count: number) => {
  const steps = ['one', 'two', 'three'].slice(0, count).map(step)
  const hosts = ['camera', ...steps.map(({ id }) => id)]
  return tinyRig(
    [...steps, mic],
    hosts.map((host, i) => on(steps[i]?.id ?? 'mic', 'foot', host, i === 0 ? 'hole' : 'top')),
  )
}

testCheck(adapterStack, {
  speaks: [
    {
      name: 'three in a row',
      message: 'tower',
      level: 'risk',
      numbers: { inRow: 3, highMm: 60 },
      parts: ['mic', 'three', 'two', 'one'],
      remedies: 2,
      ...tower(3),
    },
  ],
  silent: [{ name: 'exactly two', message: 'firm', numbers: { inRow: 2 }, ...tower(2) }],
})

const context = tinyPart({ id: 'shelf', mounts: [foot, socket('pad', 'pad', [0, 20, 0])] })
const box = (massG: number) =>
  tinyPart({ id: 'box', massG, mounts: [plug('back', 'pad'), plug('stay', 'thread-1/4', { at: [25, -20, 0] })] })
const padded = (massG: number, braces: ReturnType<typeof on>[] = []) =>
  tinyRig([context, box(massG)], [on('shelf', 'foot', 'camera', 'hole'), on('box', 'back', 'shelf', 'pad')], {
    brief: { conditions: ['running'] },
    setup: { braces },
  })

testCheck(padOverload, {
  speaks: [
    {
      name: '251 g',
      message: 'peels',
      level: 'risk',
      numbers: { carriedG: 251, limitG: 250 },
      parts: ['box'],
      remedies: 1,
      ...padded(251),
    },
  ],
  silent: [{ name: 'exactly 250 g', message: 'holds', ...padded(250) }],
})

testCheck(frictionHolder, {
  speaks: [
    {
      name: '151 g on a pad, running',
      message: 'loose',
      level: 'hint',
      numbers: { carriedG: 151, safeG: 150 },
      ...padded(151),
    },
  ],
  silent: [
    { name: 'exactly 150 g', message: 'light', ...padded(150) },
    { name: '200 g with a second hold', message: 'braced', ...padded(200, [on('box', 'stay', 'camera', 'pinned')]) },
  ],
})

const blind = (screwMm: number | undefined, extra: ReturnType<typeof tinyPart>[] = []) =>
  tinyRig(
    [
      tinyPart({ id: 'hole', mounts: [foot, socket('deep', 'thread-1/4', [0, 20, 0], [0, 1, 0], { deepMm: 5.5 })] }),
      tinyPart({
        id: 'plate',
        role: 'plate',
        mounts: [plug('screw', 'thread-1/4', screwMm === undefined ? {} : { screwMm })],
      }),
    ],
    [on('hole', 'foot', 'camera', 'hole'), on('plate', 'screw', 'hole', 'deep')],
    { extra },
  )
const shorter = tinyPart({ id: 'shorter', role: 'plate', mounts: [plug('screw', 'thread-1/4', { screwMm: 5 })] })

testCheck(screwTooLong, {
  speaks: [
    {
      name: '6 mm into 5.5',
      message: 'long',
      level: 'stop',
      numbers: { screwMm: 6, deepMm: 5.5 },
      remedies: 2,
      ...blind(6, [shorter]),
    },
    {
      name: '4 mm of thread',
      message: 'short',
      level: 'risk',
      numbers: { screwMm: 4, engagedMm: 4.5 },
      remedies: 1,
      ...blind(4),
    },
  ],
  silent: [
    { name: 'exactly to the bottom', message: 'right', ...blind(5.5) },
    { name: 'exactly enough thread', message: 'right', ...blind(4.5) },
  ],
  cannotTell: [
    {
      name: 'a screw nobody measured',
      message: 'unmeasured',
      level: 'hint',
      numbers: { deepMm: 5.5 },
      ...blind(undefined),
    },
  ],
})

const stand = (id: string, standard: string) => tinyPart({ id, role: 'head', mounts: [plug('foot', standard)] })
const stands = (second: string) => {
  const tiny = tinyRig([stand('head', 'thread-1/4'), stand('gimbal', second)], [on('head', 'foot', 'camera', 'hole')], {
    setup: { support: 'tripod', name: 'slip' },
  })
  const [setup] = tiny.rig.setups
  if (!setup) throw new Error('a set-up')
  const other = {
    ...setup,
    id: 'walk',
    name: 'walk',
    joints: [on('gimbal', 'foot', 'camera', second === 'shoe-cold' ? 'shoe' : 'hole')],
  }
  return { ...tiny, rig: { ...tiny.rig, setups: [setup, other] } }
}

testCheck(noCommonPlate, {
  speaks: [
    { name: 'a screw here, a shoe there', message: 'differ', level: 'risk', parts: ['head'], ...stands('shoe-cold') },
  ],
  silent: [{ name: 'the same screw on both', message: 'shared', ...stands('thread-1/4') }],
})

const tether = tinyPart({ id: 'tether', role: 'tether', provides: ['tether'], mounts: [foot] })
const over = { brief: { conditions: ['overhead' as const] }, extra: [tether] }

testCheck(untetheredOverhead, {
  speaks: [
    {
      name: 'over the rail without a tether',
      message: 'untethered',
      level: 'risk',
      remedies: 1,
      ...tinyRig([], [], over),
    },
  ],
  silent: [
    { name: 'tethered', message: 'tethered', ...tinyRig([tether], [on('tether', 'foot', 'camera', 'hole')], over) },
  ],
})

const stayed = (gapMm: number, standard = 'thread-1/4') =>
  tinyRig(
    [tinyPart({ id: 'arm', mounts: [foot, plug('stay', standard, { at: [25, gapMm, 0] })] })],
    [on('arm', 'foot', 'camera', 'hole')],
    {
      setup: { braces: [on('arm', 'stay', 'camera', 'pinned')] },
    },
  )

testCheck(braceGap, {
  speaks: [
    {
      name: '5 mm over its hole',
      message: 'gap',
      level: 'stop',
      numbers: { gapMm: 5, meetsMm: 3 },
      parts: ['arm', 'camera'],
      remedies: 1,
      ...stayed(5),
    },
    { name: 'a shoe foot on a hole', message: 'unlike', remedies: 1, ...stayed(0, 'shoe-cold') },
  ],
  silent: [{ name: 'exactly a washer away', message: 'meets', numbers: { gapMm: 3 }, ...stayed(3) }],
})

function stayAt(tiny: ReturnType<typeof tinyRig>): readonly [number, number, number] {
  const piece = factsFor(tiny.rig, tiny.context).assembly.byInstance.get('swinger')
  const mount = piece?.part.mounts.find(({ id }) => id === 'stay')
  if (!piece || !mount) throw new Error('the swinger has a stay')
  const [x, y, z] = point(piece.frame, mount.at)
  return [x, y - 40, z]
}
