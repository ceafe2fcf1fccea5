import type { Part } from '../../catalogue/index.ts'
import { GRAVITY } from '../../kernel/index.ts'
import { on, plug, socket, tinyCamera, tinyPart, tinyRig } from '../../testing/index.ts'
import { hangRoll } from './hang-roll.ts'
import { jointOverload } from '../fit/joint-overload.ts'
import { mountMoment } from '../glass/mount-moment.ts'
import { overPayload } from './over-payload.ts'
import { standsCrooked } from './stands-crooked.ts'
import { testCheck } from '../tester.ts'

const handle = (besideMm: number) =>
  tinyPart({
    id: 'handle',
    role: 'top-handle',
    massG: 1e-9,
    grips: [{ kind: 'top', at: [besideMm, 60, 0] }],
    mounts: [plug('foot', 'thread-1/4')],
  })
const held = (besideMm: number) => tinyRig([handle(besideMm)], [on('handle', 'foot', 'camera', 'hole')])
const deg = (offMm: number) => (Math.atan2(offMm, 100) * 180) / Math.PI

testCheck(hangRoll, {
  speaks: [
    {
      name: 'palm 10 mm right of the centre',
      message: 'leans',
      level: 'hint',
      numbers: { rollDeg: deg(10), offMm: 10 },
      ...held(10),
    },
    { name: 'palm 20 mm left of it', message: 'leans', level: 'risk', numbers: { rollDeg: deg(20) }, ...held(-20) },
  ],
  silent: [
    {
      name: 'exactly three degrees',
      message: 'upright',
      numbers: { rollDeg: 3 },
      ...held(100 * Math.tan((3 * Math.PI) / 180)),
    },
  ],
})

/** A plate under the camera, `longMm` from front to back, with a block of 1 kg `aheadMm` in front. */
const plate = (longMm: number) =>
  tinyPart({
    id: 'plate',
    massG: 1e-9,
    solids: [{ kind: 'box', centre: [0, -5, 0], size: [60, 10, longMm], matter: 'body' }],
    centre: [0, -5, 0],
    mounts: [plug('seat', 'body', { out: [0, 1, 0] })],
    fits: ['tiny'],
  })
const lens = (massG: number, aheadMm: number, more = {}) =>
  tinyPart({
    id: 'lens',
    role: 'lens',
    massG,
    centre: [0, 0, -aheadMm],
    solids: [{ kind: 'box', centre: [0, 0, -20], size: [20, 20, 40], matter: 'body' }],
    mounts: [plug('bayonet', 'lens-mount', { out: [0, 0, 1], up: [0, 1, 0], family: 'stem' })],
    ...more,
  })
const standing = (longMm: number, aheadMm: number) =>
  tinyRig(
    [plate(longMm), lens(1000, aheadMm)],
    [on('plate', 'seat', 'camera', 'seat'), on('lens', 'bayonet', 'camera', 'lens')],
  )

// Camera 1 kg at z 0, lens 1 kg at z -30 - ahead: the centre lies (30 + ahead) / 2 ahead of the plate's middle.
testCheck(standsCrooked, {
  speaks: [
    {
      name: 'centre 20 mm ahead on a plate that ends at 15',
      message: 'falls',
      level: 'hint',
      numbers: { outMm: 5 },
      parts: ['plate'],
      ...standing(30, 10),
    },
    {
      name: 'centre 20 mm ahead on a plate that ends at 25',
      message: 'barely',
      numbers: { marginMm: 5, wantedMm: 10 },
      ...standing(50, 10),
    },
  ],
  silent: [{ name: 'exactly 10 mm inside', message: 'stands', numbers: { marginMm: 10 }, ...standing(60, 10) }],
})

const onMount = (massG: number, aheadMm: number, more = {}) =>
  tinyRig([lens(massG, aheadMm)], [on('lens', 'bayonet', 'camera', 'lens')], more)
const ratedCamera = (momentNm: number) => ({
  ...tinyCamera,
  mounts: tinyCamera.mounts.map((mount) => (mount.id === 'lens' ? { ...mount, momentNm } : mount)),
})
const brick = tinyPart({
  id: 'brick',
  massG: 3000,
  centre: [0, 0, 100],
  mounts: [plug('screw', 'thread-1/4', { at: [0, 40, 0] })],
})
const legs = tinyPart({
  id: 'legs',
  role: 'tripod',
  under: { kind: 'legs', feetMm: 400 },
  mounts: [plug('screw', 'thread-1/4', { out: [0, 1, 0] })],
})
const footed = lens(4000, 60, {
  mounts: [...lens(1, 0).mounts, socket('foot', 'thread-1/4', [0, -30, -60], [0, -1, 0])],
})
const onLensFoot = tinyRig(
  [footed, brick, legs],
  [
    on('lens', 'bayonet', 'camera', 'lens'),
    on('brick', 'screw', 'camera', 'hole'),
    on('legs', 'screw', 'lens', 'foot'),
  ],
  { setup: { support: 'tripod' } },
)
const atLimitMm = (1 / (1 * GRAVITY)) * 1000

/** The heavy lens, its foot screwed to the pinned hole of the camera as well. */
const supported = tinyRig(
  [lens(2500, 100, { mounts: [...lens(1, 0).mounts, plug('foot', 'thread-1/4', { at: [25, 40, 30] })] })],
  [on('lens', 'bayonet', 'camera', 'lens')],
  { setup: { braces: [on('lens', 'foot', 'camera', 'pinned')] } },
)

testCheck(mountMoment, {
  speaks: [
    {
      name: '1.2 kg 100 mm ahead: 1.18 N m',
      message: 'support',
      level: 'risk',
      numbers: { momentNm: 1.176798 },
      parts: ['lens'],
      ...onMount(1200, 100),
    },
    {
      name: '2.5 kg 100 mm ahead: 2.45 N m',
      message: 'grave',
      level: 'risk',
      numbers: { momentNm: 2.4516625 },
      ...onMount(2500, 100),
    },
    {
      name: 'the same where the camera’s maker allows 2.4 N m',
      message: 'harm',
      level: 'stop',
      numbers: { momentNm: 2.4516625, ratedNm: 2.4 },
      ...onMount(2500, 100, { extra: [ratedCamera(2.4)] }),
    },
    {
      // The camera, 1 kg 30 mm behind its mount, and 3 kg of brick 130 mm behind it: 0.03 + 0.39 kg m.
      name: 'a lens on its own foot on the tripod bears the camera and what hangs on it',
      message: 'camera',
      level: 'risk',
      numbers: { momentNm: GRAVITY * 0.42 },
      ...onLensFoot,
    },
  ],
  silent: [
    { name: 'exactly 1 N m', message: 'fine', numbers: { momentNm: 1 }, ...onMount(1000, atLimitMm) },
    { name: '2.5 kg on a second hold', message: 'supported', ...supported },
  ],
})

const head = (id: string, limitG: number) =>
  tinyPart({
    id,
    role: 'head',
    massG: 900,
    solids: [{ kind: 'box', centre: [0, -10, 0], size: [20, 20, 20], matter: 'body' }],
    centre: [0, -10, 0],
    mounts: [plug('clamp', 'dovetail-38', { out: [0, 1, 0], limitG })],
  })
const foot = tinyPart({
  id: 'foot',
  massG: 100,
  solids: [{ kind: 'box', centre: [0, -5, 0], size: [40, 10, 40], matter: 'body' }],
  centre: [0, -5, 0],
  fits: ['tiny'],
  mounts: [
    plug('seat', 'body', { out: [0, 1, 0] }),
    socket('dovetail', 'dovetail-38', [0, -10, 0], [0, -1, 0], { lengthMm: 40 }),
  ],
})
const onHead = (limitG: number, extra: ReturnType<typeof head>[] = [], more: Partial<Part> = {}) =>
  tinyRig(
    [{ ...foot, ...more }, head('head', limitG)],
    [on('foot', 'seat', 'camera', 'seat'), on('head', 'clamp', 'foot', 'dovetail')],
    {
      extra,
    },
  )

testCheck(overPayload, {
  speaks: [
    {
      name: 'a gram too much; a stronger head is known',
      message: 'over',
      level: 'stop',
      numbers: { payloadG: 1100, limitG: 1099 },
      parts: ['head'],
      remedies: 2,
      ...onHead(1099, [head('strong', 4000)]),
    },
    { name: 'no stronger one', message: 'over', remedies: 1, ...onHead(1000) },
  ],
  cannotTell: [
    {
      name: 'within its rating, but a piece was never weighed',
      message: 'unweighed',
      numbers: { payloadG: 1000, limitG: 1100 },
      parts: ['foot'],
      ...onHead(1100, [], { massG: 0, unknown: ['massG'] }),
    },
  ],
  silent: [
    { name: 'exactly its rating', message: 'within', numbers: { payloadG: 1100, limitG: 1100 }, ...onHead(1100) },
  ],
})

const load = (massG: number) =>
  tinyRig(
    [tinyPart({ id: 'load', massG, mounts: [plug('foot', 'thread-1/4', { limitG: 400 })] })],
    [on('load', 'foot', 'camera', 'hole')],
  )

/** 100 g whose centre lies so far beside a joint that holds 0.05 N m. */
const reaching = (outMm: number) =>
  tinyRig(
    [
      tinyPart({
        id: 'reach',
        centre: [outMm, 10, 0],
        mounts: [plug('foot', 'thread-1/4', { momentNm: 0.05, limitG: 500 })],
      }),
    ],
    [on('reach', 'foot', 'camera', 'hole')],
  )

const cubeOf = (massG: number, screws = 1) =>
  tinyPart({ id: 'cube', massG, mounts: [plug('foot', 'thread-1/4', { screws })] })

/** The camera with something heavy on top, on a 44 g plate by one screw, on a head. */
const standingOnPlate = (onTopG: number) =>
  tinyRig(
    [
      tinyPart({
        id: 'plate',
        massG: 44,
        centre: [0, -5, 0],
        mounts: [
          plug('screw', 'thread-1/4', { out: [0, 1, 0] }),
          socket('dovetail', 'dovetail-38', [0, -10, 0], [0, -1, 0], { lengthMm: 50 }),
        ],
      }),
      head('head', 8000),
      tinyPart({ id: 'load', massG: onTopG, mounts: [plug('foot', 'shoe-cold', { limitG: 9000 })] }),
    ],
    [
      on('plate', 'screw', 'camera', 'tripod'),
      on('head', 'clamp', 'plate', 'dovetail'),
      on('load', 'foot', 'camera', 'shoe'),
    ],
    {
      setup: { support: 'tripod' },
      extra: [
        { ...tinyCamera, mounts: [...tinyCamera.mounts, socket('tripod', 'thread-1/4', [0, -40, 0], [0, -1, 0])] },
      ],
    },
  )

testCheck(jointOverload, {
  speaks: [
    {
      name: 'a gram over the screw’s rating',
      message: 'over',
      level: 'stop',
      numbers: { carriedG: 401, limitG: 400 },
      parts: ['load'],
      remedies: 1,
      ...load(401),
    },
    {
      name: 'a gram over what is usual for one 1/4" screw',
      message: 'usual',
      level: 'risk',
      numbers: { carriedG: 3001, limitG: 3000 },
      ...tinyRig([cubeOf(3001)], [on('cube', 'foot', 'camera', 'hole')]),
    },
    {
      name: 'a plate screw on a tripod: the camera stands on it, 44 g of plate hang nowhere',
      message: 'usual',
      level: 'risk',
      numbers: { carriedG: 4000, limitG: 3000 },
      parts: ['plate'],
      ...standingOnPlate(3000),
    },
    {
      name: '100 g 100 mm out on a joint for 0.05 N m',
      message: 'droops',
      level: 'stop',
      numbers: { momentNm: GRAVITY * 0.01, ratedNm: 0.05 },
      remedies: 1,
      ...reaching(100),
    },
  ],
  silent: [
    {
      name: 'exactly what is usual, and twice that on two screws',
      message: 'within',
      numbers: { carriedG: 6000, limitG: 6000 },
      ...tinyRig([cubeOf(6000, 2)], [on('cube', 'foot', 'camera', 'hole')]),
    },
    {
      name: 'a plate under 3,000 g on a tripod',
      message: 'within',
      numbers: { carriedG: 3000, limitG: 3000 },
      ...standingOnPlate(2000),
    },
    { name: 'exactly its rating', message: 'within', numbers: { carriedG: 400, limitG: 400 }, ...load(400) },
    {
      name: 'exactly the moment it holds',
      message: 'steady',
      numbers: { momentNm: 0.05 },
      ...reaching(50 / (0.1 * GRAVITY)),
    },
  ],
})
