import { rohmertMinutes } from '../../balance/index.ts'
import { GRAVITY, type Vec3 } from '../../kernel/index.ts'
import { on, plug, socket, tinyCamera, tinyPart, tinyRig } from '../../testing/index.ts'
import { adapterLoad } from '../glass/adapter-load.ts'
import { gripSpread } from './grip-spread.ts'
import { headMoment } from './head-moment.ts'
import { holdTime } from './hold-time.ts'
import { plateOffset } from './plate-offset.ts'
import { shoulderFrontHeavy } from './shoulder-front-heavy.ts'
import { slipsOutward } from './slips-outward.ts'
import { testCheck } from '../tester.ts'
import { tipOver } from './tip-over.ts'
import { underPayload } from './under-payload.ts'

/** The tiny camera, 1 kg about the origin, with a tripod hole in its base `backMm` behind the sensor. */
const onBase = (backMm: number) => ({
  ...tinyCamera,
  mounts: [...tinyCamera.mounts, socket('tripod', 'thread-1/4', [0, -40, backMm], [0, -1, 0])],
})
const upward = { out: [0, 1, 0] as const }
const travel = { along: [0, 0, -1] as const, minMm: -30, maxMm: 30, stepMm: 1 }
const head = (more = {}, id = 'head') =>
  tinyPart({
    id,
    role: 'head',
    centre: [0, -10, 0],
    solids: [{ kind: 'box', centre: [0, -10, 0], size: [20, 20, 20], matter: 'body' }],
    mounts: [plug('clamp', 'thread-1/4', { ...upward, ...more })],
  })
const standing = (part: ReturnType<typeof tinyPart>, backMm: number, extra: ReturnType<typeof tinyPart>[] = []) =>
  tinyRig([part], [on(part.id, 'clamp', 'camera', 'tripod')], {
    setup: { support: 'tripod' },
    extra: [onBase(backMm), ...extra],
  })
const gimbal = (reachMm: number) => {
  const part = head({ travel }, 'gimbal')
  return {
    ...part,
    role: 'gimbal' as const,
    under: { kind: 'gimbal' as const, at: [0, 40, 0] as const, reachMm: [10, 10, reachMm] as const },
  }
}

testCheck(plateOffset, {
  speaks: [
    {
      name: 'centre 20 mm ahead, the plate slides',
      message: 'off',
      level: 'hint',
      numbers: { offMm: 20, alongMm: 20, besideMm: 0 },
      parts: ['head'],
      remedies: 1,
      ...standing(head({ travel }), 20),
    },
    { name: '46 mm, and nothing slides', message: 'off', level: 'risk', remedies: 0, ...standing(head(), 46) },
    {
      name: 'the gimbal’s arm ends 10 mm before the centre',
      message: 'beyond',
      level: 'stop',
      numbers: { beyondMm: 10 },
      remedies: 1,
      ...standing(gimbal(10), 20),
    },
  ],
  silent: [
    { name: 'exactly 15 mm', message: 'over', numbers: { offMm: 15 }, ...standing(head(), 15) },
    { name: 'the arm just reaches', message: 'reached', numbers: { beyondMm: 0 }, ...standing(gimbal(20), 20) },
  ],
})

// 1 kg 40 mm over the plate: 0.392 N m.
const tiltedNm = 1 * GRAVITY * 0.04

testCheck(headMoment, {
  speaks: [
    {
      name: 'rated for less',
      message: 'over',
      level: 'risk',
      numbers: { momentNm: tiltedNm, ratedNm: 0.3, aboveMm: 40, inHandG: 1000 },
      remedies: 2,
      ...standing(head({ momentNm: 0.3 }), 0, [head({ momentNm: 1 }, 'strong')]),
    },
  ],
  silent: [
    { name: 'rated for exactly that', message: 'holds', ...standing(head({ momentNm: tiltedNm }), 0) },
    {
      // 40 mm up and 30 mm ahead of the clamp: on a line of 50 mm when it is tilted by 37 degrees.
      name: 'the way it stands ahead counts as well',
      message: 'holds',
      numbers: { momentNm: 1 * GRAVITY * 0.05, besideMm: 30 },
      ...standing(head({ momentNm: 1 }), 30),
    },
  ],
})

testCheck(underPayload, {
  speaks: [
    {
      name: '1,000 g on a head from 1,200 g',
      message: 'under',
      level: 'hint',
      numbers: { payloadG: 1000, fromG: 1200, lacksG: 200 },
      ...standing(head({ fromG: 1200 }), 0),
    },
  ],
  silent: [{ name: 'exactly 1,000 g', message: 'within', ...standing(head({ fromG: 1000 }), 0) }],
})

const pad = (behindMm: number) =>
  tinyPart({
    id: 'pad',
    role: 'shoulder-pad',
    massG: 1e-9,
    grips: [{ kind: 'shoulder', at: [0, 0, behindMm] }],
    mounts: [plug('foot', 'thread-1/4')],
  })
const shouldered = (behindMm: number) =>
  tinyRig([pad(behindMm)], [on('pad', 'foot', 'camera', 'hole')], { setup: { support: 'shoulder' } })

testCheck(shoulderFrontHeavy, {
  speaks: [
    {
      name: '1 kg 150 mm ahead of the pad',
      message: 'front',
      level: 'hint',
      numbers: { momentNm: GRAVITY * 0.15, aheadMm: 150, behindMm: 150, counterweightG: 1000 },
      parts: ['pad'],
      ...shouldered(150),
    },
    { name: '400 mm ahead', message: 'front', level: 'risk', ...shouldered(400) },
  ],
  silent: [{ name: 'exactly 1 N m', message: 'level', numbers: { momentNm: 1 }, ...shouldered(1000 / GRAVITY) }],
  cannotTell: [
    {
      name: 'no pad; one is known',
      message: 'padless',
      level: 'hint',
      remedies: 1,
      ...tinyRig([], [], { setup: { support: 'shoulder' }, extra: [pad(0)] }),
    },
  ],
})

const ring = tinyPart({
  id: 'ring',
  role: 'lens-adapter',
  centre: [0, 0, -10],
  solids: [{ kind: 'box', centre: [0, 0, -10], size: [40, 40, 20], matter: 'body' }],
  mounts: [
    plug('rear', 'lens-mount', { out: [0, 0, 1], up: [0, 1, 0], family: 'stem' }),
    socket('front', 'lens-mount', [0, 0, -20], [0, 0, -1], { family: 'bud' }),
  ],
})
const lens = (aheadMm: number) =>
  tinyPart({
    id: 'lens',
    role: 'lens',
    massG: 1000,
    centre: [0, 0, -aheadMm],
    mounts: [
      plug('rear', 'lens-mount', { out: [0, 0, 1], up: [0, 1, 0], family: 'bud' }),
      plug('stay', 'thread-1/4', { at: [25, 40, 50] }),
    ],
  })
const adapted = (aheadMm: number, braced = false) =>
  tinyRig([ring, lens(aheadMm)], [on('ring', 'rear', 'camera', 'lens'), on('lens', 'rear', 'ring', 'front')], {
    setup: { braces: braced ? [on('lens', 'stay', 'camera', 'pinned')] : [] },
  })

testCheck(adapterLoad, {
  speaks: [
    {
      name: '1 kg 100 mm ahead: 0.98 N m',
      message: 'over',
      level: 'risk',
      numbers: { momentNm: GRAVITY * 0.1, ratedNm: 0.8 },
      parts: ['lens'],
      remedies: 1,
      ...adapted(100),
    },
  ],
  silent: [
    { name: 'exactly 0.8 N m', message: 'within', ...adapted(800 / GRAVITY) },
    { name: 'the lens rests on a second hold', message: 'supported', ...adapted(100, true) },
  ],
})

const bar = (halfMm: number) =>
  tinyPart({
    id: 'bar',
    role: 'top-handle',
    grips: [-halfMm, halfMm].map((x) => ({ kind: 'side' as const, at: [x, 0, 0] as const })),
    mounts: [plug('foot', 'thread-1/4')],
  })
const spread = (halfMm: number) =>
  tinyRig([bar(halfMm)], [on('bar', 'foot', 'camera', 'hole')], { setup: { support: 'two-hand' } })
const sideGrip = tinyPart({ ...bar(90), id: 'side', role: 'side-handle' })

testCheck(gripSpread, {
  speaks: [
    {
      name: '120 mm apart',
      message: 'close',
      level: 'hint',
      numbers: { spreadMm: 120, lacksMm: 20 },
      parts: ['bar', 'bar'],
      ...spread(60),
    },
    {
      name: 'nothing to hold; a grip is known',
      message: 'one',
      remedies: 1,
      ...tinyRig([], [], { setup: { support: 'two-hand' }, extra: [sideGrip] }),
    },
  ],
  silent: [{ name: 'exactly 140 mm', message: 'wide', ...spread(70) }],
})

const rad = (deg: number) => (deg * Math.PI) / 180
/** A grip 60 mm to the left whose top leans in by so many degrees, so that its lower end points out. */
const leaning = (deg: number) =>
  tinyRig(
    [
      tinyPart({
        id: 'grip',
        role: 'side-handle',
        grips: [{ kind: 'side', at: [-60, 0, 0], axis: [Math.sin(rad(deg)), Math.cos(rad(deg)), 0] }],
        mounts: [plug('foot', 'thread-1/4')],
      }),
    ],
    [on('grip', 'foot', 'camera', 'hole')],
  )

const barAlong = (axis: Vec3) =>
  tinyRig(
    [
      tinyPart({
        id: 'grip',
        role: 'side-handle',
        grips: [{ kind: 'side', at: [60, 0, 0], axis }],
        mounts: [plug('foot', 'thread-1/4')],
      }),
    ],
    [on('grip', 'foot', 'camera', 'hole')],
  )

testCheck(slipsOutward, {
  speaks: [
    {
      name: '40 degrees out',
      message: 'slips',
      level: 'hint',
      numbers: { outDeg: 40, mostDeg: 30 },
      parts: ['grip'],
      remedies: 1,
      ...leaning(40),
    },
  ],
  silent: [
    { name: 'exactly 30 degrees', message: 'holds', numbers: { outDeg: 30 }, ...leaning(30) },
    { name: 'the lower end points in', message: 'holds', numbers: { outDeg: -40 }, ...leaning(-40) },
    {
      name: 'level along the lens: no end is the lower',
      message: 'holds',
      numbers: { outDeg: 0 },
      ...barAlong([0, 0, 1]),
    },
    { name: 'the same with a zero below zero', message: 'holds', numbers: { outDeg: 0 }, ...barAlong([0, -0, -1]) },
  ],
})

/** Legs 1,000 mm long under the camera: the centre stands 1,040 mm up. */
const legs = (feetMm: number, backMm = 0) => {
  const part = { ...head({}, 'legs'), role: 'tripod' as const, massG: 1e-9, under: { kind: 'legs' as const, feetMm } }
  return standing(
    { ...part, solids: [{ kind: 'box', centre: [0, -500, 0], size: [20, 1000, 20], matter: 'body' }] },
    backMm,
  )
}

testCheck(tipOver, {
  speaks: [
    {
      name: 'feet 200 mm out',
      message: 'near',
      level: 'risk',
      numbers: { marginMm: 100, heightMm: 1040, tipDeg: (Math.atan2(100, 1040) * 180) / Math.PI },
      parts: ['legs'],
      ...legs(200),
    },
    {
      name: 'centre 150 mm off between feet 200 mm out',
      message: 'falls',
      level: 'stop',
      numbers: { outMm: 50 },
      ...legs(200, 150),
    },
  ],
  silent: [
    { name: 'exactly six degrees', message: 'stands', numbers: { tipDeg: 6 }, ...legs(2 * 1040 * Math.tan(rad(6))) },
  ],
})

// In two hands 320 mm out: half the rig at the hand and 3.5 kg of arm half way, against 60 N m.
const held = (massG: number) =>
  tinyRig(
    [tinyPart({ id: 'weight', massG: massG - 1000, mounts: [plug('foot', 'thread-1/4')] })],
    [on('weight', 'foot', 'camera', 'hole')],
    { setup: { support: 'two-hand' } },
  )
const shareOf = (massG: number) => ((massG / 2000) * GRAVITY * 0.32 + 3.5 * GRAVITY * 0.16) / 60
const massFor = (wantedMinutes: number) => {
  let [low, high] = [2000, 40_000]
  for (let i = 0; i < 100; i++) {
    const middle = (low + high) / 2
    if (rohmertMinutes(shareOf(middle)) > wantedMinutes) low = middle
    else high = middle
  }
  return low
}

testCheck(holdTime, {
  speaks: [
    {
      name: '8 kg',
      message: 'tires',
      level: 'hint',
      numbers: { heldMinutes: -1.5 + 2.1 / shareOf(8000) - 0.6 / shareOf(8000) ** 2 + 0.1 / shareOf(8000) ** 3 },
      ...held(8000),
    },
    { name: '25 kg', message: 'tires', level: 'risk', ...held(25_000) },
  ],
  silent: [
    { name: 'exactly a take', message: 'holds', ...held(massFor(3)) },
    { name: 'the bare camera and a little', message: 'holds', ...held(1500) },
  ],
})
