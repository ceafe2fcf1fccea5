import { type Assembly, placeSetup } from '../../assembly/index.ts'
import type { Part, Room } from '../../catalogue/index.ts'
import type { Vec3 } from '../../kernel/index.ts'
import { on, plug, tinyCamera, tinyPart, tinyRig, type TinyRig } from '../../testing/index.ts'
import { bagSize } from './bag-size.ts'
import { doorBlocked } from './door-blocked.ts'
import { eyeBlocked } from './eye-blocked.ts'
import { factsOf } from '../../facts/index.ts'
import { gloveRoom } from './glove-room.ts'
import { inShot } from '../glass/in-shot.ts'
import { leverRoom } from './lever-room.ts'
import { monitorTooFar } from './monitor-too-far.ts'
import { monitorTooHigh } from './monitor-too-high.ts'
import { plugRoom } from './plug-room.ts'
import { portraitMonitor } from './portrait-monitor.ts'
import { ringRoom } from './ring-room.ts'
import { socketBlocked } from './socket-blocked.ts'
import { socketCrowding } from './socket-crowding.ts'
import { testCheck } from '../tester.ts'
import { tooWide } from './too-wide.ts'
import { viewBlocked } from './view-blocked.ts'

const placed = ({ rig, context }: TinyRig): Assembly => {
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  return placeSetup(rig, setup, context.catalogue)
}

const foot = plug('foot', 'thread-1/4')
const block = (id: string, centre: Vec3, size: Vec3 = [20, 20, 20], matter: 'body' | 'soft' = 'body'): Part =>
  tinyPart({ id, centre, solids: [{ kind: 'box', centre, size, matter }], mounts: [foot] })

/**
 * A cube on the middle hole with a 20 mm room over it, and a block beside whose near side stands `gapMm` from that
 * room.
 */
const beside = (kind: Room['kind'], gapMm: number, cold: boolean, matter: 'body' | 'soft' = 'body') => {
  const room: Room = { kind, shape: { kind: 'box', centre: [0, 30, 0], size: [20, 20, 20] }, lost: 'it stays shut' }
  const deck = tinyPart({ id: 'deck', rooms: [room], mounts: [foot] })
  return tinyRig(
    [deck, block('brick', [gapMm - 5, 30, 0], [20, 20, 20], matter)],
    [on('deck', 'foot', 'camera', 'hole'), on('brick', 'foot', 'camera', 'pinned')],
    { brief: { conditions: cold ? ['cold'] : [] } },
  )
}

for (const [kind, check] of [
  ['door', doorBlocked],
  ['lever', leverRoom],
  ['turn', ringRoom],
  ['view', eyeBlocked],
] as const)
  testCheck(check, {
    speaks: [
      {
        name: '3 mm inside',
        message: 'blocked',
        numbers: { intoMm: 3 },
        parts: ['brick', 'deck'],
        ...beside(kind, -3, false),
      },
    ],
    silent: [
      { name: 'touching', message: 'free', numbers: { intoMm: 0 }, ...beside(kind, 0, false) },
      { name: 'something soft inside', message: 'free', ...beside(kind, -3, false, 'soft') },
    ],
  })

testCheck(gloveRoom, {
  speaks: [
    {
      name: '5 mm clear, 8 wanted',
      message: 'blocked',
      level: 'hint',
      numbers: { intoMm: 3 },
      remedies: 1,
      ...beside('lever', 5, true),
    },
  ],
  silent: [
    { name: 'exactly 8 mm', message: 'free', ...beside('lever', 8, true) },
    { name: 'bare fingers can not reach it either', message: 'free', ...beside('lever', -3, true) },
  ],
})

test('nobody wears gloves in the warm', () => {
  expect(gloveRoom.judgements(factsOf(placed(beside('lever', 5, false)), beside('lever', 5, false).context))).toEqual(
    [],
  )
})

/** A 20 mm cube with a picture on its back, facing `out`. */
const screen = (wideMm: number, tallMm: number, out: Vec3 = [0, 0, 1], at: Vec3 = [0, 30, 10], up: Vec3 = [0, 1, 0]) =>
  tinyPart({
    id: 'screen',
    role: 'monitor',
    mounts: [foot],
    optics: { kind: 'screen', at, out, up, wideMm, tallMm, nits: 1000 },
  })
const watching = (part: Part, more: Part[] = [], setup: object = { support: 'two-hand' }) =>
  tinyRig(
    [part, ...more],
    [on('screen', 'foot', 'camera', 'hole'), ...more.map(({ id }) => on(id, 'foot', 'camera', 'pinned'))],
    { setup },
  )
// In two hands the eye is 90 mm up and 420 mm back; the picture's middle 70 up and 10 back: 20 over 410.
const eyeDeg = (Math.atan2(20, 410) * 180) / Math.PI
const turned = (byDeg: number): Vec3 => {
  const angle = Math.atan2(20, 410) - (byDeg * Math.PI) / 180
  return [0, Math.sin(angle), Math.cos(angle)]
}
const upOf = (out: Vec3): Vec3 => [0, out[2], -out[1]]

testCheck(viewBlocked, {
  speaks: [
    {
      name: 'a wall before it',
      message: 'hidden',
      level: 'risk',
      numbers: { hiddenCount: 5, offDeg: eyeDeg },
      parts: ['wall', 'screen'],
      ...watching(screen(80, 45), [block('wall', [-25, 20, 60], [200, 160, 4])]),
    },
    {
      name: 'turned to the lens',
      message: 'away',
      numbers: { offDeg: 180 - eyeDeg },
      parts: ['screen'],
      ...watching(screen(80, 45, [0, 0, -1])),
    },
  ],
  silent: [
    { name: 'open before the eye', message: 'seen', ...watching(screen(80, 45)) },
    {
      name: 'exactly 60 degrees off',
      message: 'seen',
      numbers: { offDeg: 60 },
      ...watching(screen(80, 45, turned(60), [0, 30, 10], upOf(turned(60)))),
    },
  ],
})

testCheck(monitorTooHigh, {
  speaks: [
    {
      name: '160 mm over the axis',
      message: 'high',
      level: 'hint',
      numbers: { aboveMm: 210 },
      ...watching(screen(80, 45, [0, 0, 1], [0, 170, 10])),
    },
    { name: '270 mm', message: 'high', level: 'risk', ...watching(screen(80, 45, [0, 0, 1], [0, 230, 10])) },
  ],
  silent: [{ name: 'exactly 200 mm', message: 'low', ...watching(screen(80, 45, [0, 0, 1], [0, 160, 10])) }],
})

const awayMm = Math.hypot(20, 410)
testCheck(monitorTooFar, {
  speaks: [
    {
      name: 'a 40 mm picture',
      message: 'far',
      level: 'hint',
      numbers: { distanceMm: awayMm, mostMm: 320 },
      ...watching(screen(40, 24)),
    },
  ],
  silent: [{ name: 'exactly an eighth of the distance', message: 'near', ...watching(screen(awayMm / 8, 24)) }],
})

testCheck(portraitMonitor, {
  speaks: [
    {
      name: 'a tall screen turned with the camera lies across',
      message: 'across',
      level: 'hint',
      parts: ['screen'],
      remedies: 0,
      ...watching(screen(45, 80), [], { orientation: 'upright' }),
    },
  ],
  silent: [
    {
      name: 'a wide screen turned with it stands',
      message: 'along',
      ...watching(screen(80, 45), [], { orientation: 'upright' }),
    },
  ],
})

const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'nato', { lengthMm: 20 })] })
const wide = (wideMm: number) => tinyRig([cube], [on('cube', 'foot', 'camera', 'rail')], { brief: { wideMm } })

// The camera is 100 mm wide, the cube on its side 20 more.
testCheck(tooWide, {
  speaks: [
    {
      name: '120 of 110 mm',
      message: 'over',
      level: 'risk',
      numbers: { wideMm: 120, overMm: 10 },
      parts: ['cube'],
      remedies: 1,
      ...wide(110),
    },
  ],
  silent: [{ name: 'exactly 120 mm', message: 'within', ...wide(120) }],
})

// An 18 mm lens on 36 x 24 mm sees 45 degrees to each side and 33.7 up; its pupil is 30 mm ahead of the sensor.
const sighted = { ...tinyCamera, optics: { kind: 'sensor' as const, wideMm: 36, tallMm: 24 } }
const glass = tinyPart({
  id: 'glass',
  role: 'lens',
  solids: [{ kind: 'box', centre: [0, 0, -5], size: [20, 20, 10], matter: 'body' }],
  mounts: [plug('bayonet', 'lens-mount', { out: [0, 0, 1], up: [0, 1, 0], family: 'stem' })],
  optics: { kind: 'lens', focalMinMm: 18, focalMaxMm: 18, stop: 2, pupilMm: 0, imageCircleMm: 43 },
})
/** A 20 mm cube 70 mm ahead of the pupil, its middle `upMm` over the axis. */
const boom = (upMm: number) =>
  tinyRig(
    [glass, block('boom', [0, upMm - 40, -100])],
    [on('glass', 'bayonet', 'camera', 'lens'), on('boom', 'foot', 'camera', 'hole')],
    {
      extra: [sighted],
    },
  )
// The upper side of the view leans by 24 : 36; the cube reaches 10 down and 10 ahead.
const intoMm = (upMm: number) => (-upMm + (70 * 2) / 3 + 10 + (10 * 2) / 3) / Math.sqrt(1 + 4 / 9)

testCheck(inShot, {
  speaks: [
    {
      name: 'a cube 50 mm over the axis',
      message: 'seen',
      level: 'risk',
      numbers: { focalMm: 18, intoMm: intoMm(50) },
      parts: ['boom'],
      ...boom(50),
    },
  ],
  silent: [
    {
      name: 'the same a little more than the view higher',
      message: 'clear',
      numbers: { intoMm: 0 },
      ...boom(50 + intoMm(50) * Math.sqrt(1 + 4 / 9)),
    },
  ],
})

test('without optical data nothing is said about the picture', () => {
  const bare = tinyRig([block('boom', [0, 10, -100])], [on('boom', 'foot', 'camera', 'hole')])
  expect(inShot.judgements(factsOf(placed(bare), bare.context))).toEqual([])
})

// The camera is 100 x 80 x 60 mm; a bag loses 24 mm to its lining.
const bag = (longMm: number) =>
  tinyRig(
    [
      tinyPart({
        id: 'bag',
        role: 'case',
        solids: [{ kind: 'box', centre: [0, 50, 0], size: [longMm, 150, 110], matter: 'soft' }],
      }),
    ],
    [],
  )

testCheck(bagSize, {
  speaks: [
    {
      name: 'a bag a centimetre short',
      message: 'over',
      level: 'hint',
      numbers: { overMm: 10, longMm: 60, wideMm: 100, tallMm: 80 },
      ...short(),
    },
  ],
  silent: [
    { name: 'exactly the camera and the lining', message: 'goes', numbers: { overMm: 0 }, ...short(124) },
    { name: 'plenty', message: 'goes', ...bag(300) },
  ],
})

function short(longMm = 114) {
  return tinyRig(
    [
      tinyPart({
        id: 'bag',
        role: 'case',
        solids: [{ kind: 'box', centre: [0, 50, 0], size: [longMm, 110, 100], matter: 'soft' }],
      }),
    ],
    [],
  )
}

/** A camera with an HDMI socket low on its back, and a block `gapMm` behind it. */
const ported = {
  ...tinyCamera,
  sockets: [
    {
      id: 'hdmi',
      connector: 'hdmi-a' as const,
      direction: 'out' as const,
      at: [0, -20, 30] as const,
      out: [0, 0, 1] as const,
    },
  ],
}
const behind = (gapMm: number) =>
  tinyRig([block('brick', [0, -60, 40 + gapMm])], [on('brick', 'foot', 'camera', 'hole')], { extra: [ported] })

testCheck(socketBlocked, {
  speaks: [
    {
      name: '8 mm behind the socket',
      message: 'covered',
      level: 'risk',
      numbers: { freeMm: 8, leastMm: 12, missingMm: 4 },
      parts: ['brick', 'camera'],
      ...behind(8),
    },
  ],
  silent: [{ name: 'exactly the flattest plug', message: 'free', numbers: { missingMm: 0 }, ...behind(12) }],
})

testCheck(plugRoom, {
  speaks: [
    {
      name: '20 mm of the 44 a straight plug wants',
      message: 'angled',
      level: 'hint',
      numbers: { freeMm: 20, wantedMm: 44, missingMm: 24 },
      parts: ['brick', 'camera'],
      ...behind(20),
    },
  ],
  silent: [{ name: 'exactly 44 mm', message: 'straight', numbers: { missingMm: 0 }, ...behind(44) }],
})

/** Two HDMI sockets one above the other on the camera's back; their plugs are 11 mm tall. */
const twoPorts = (apartMm: number) => {
  const socketAt = (id: string, y: number) => ({
    id,
    connector: 'hdmi-a' as const,
    direction: 'out' as const,
    at: [0, y, 30] as const,
    out: [0, 0, 1] as const,
  })
  return tinyRig([], [], { extra: [{ ...tinyCamera, sockets: [socketAt('one', 0), socketAt('two', apartMm)] }] })
}
/**
 * A box on the camera's left rail. There its height points left, its front up and its right back: its socket stands 14
 * mm behind the camera's middle and 4 mm up, the camera's own 20 mm behind and level, so their 11 mm tall plugs share 7
 * mm of height.
 */
const besidePort = (slideMm: number) => {
  const port = {
    id: 'out',
    connector: 'hdmi-a' as const,
    direction: 'out' as const,
    at: [-50, 0, 20] as const,
    out: [-1, 0, 0] as const,
  }
  const box = tinyPart({
    id: 'box',
    mounts: [plug('foot', 'nato', { lengthMm: 12 })],
    sockets: [{ id: 'in', connector: 'hdmi-a', direction: 'in', at: [14, 8, -4], out: [0, 1, 0] }],
  })
  return tinyRig([box], [on('box', 'foot', 'camera', 'rail', { slideMm })], {
    extra: [{ ...tinyCamera, sockets: [port] }],
  })
}

testCheck(socketCrowding, {
  speaks: [
    {
      name: '8 mm apart',
      message: 'crowded',
      level: 'hint',
      numbers: { overlapMm: 3 },
      parts: ['camera'],
      remedies: 0,
      ...twoPorts(8),
    },
    {
      name: 'on two pieces, one of which slides out of the way',
      message: 'crowded',
      numbers: { overlapMm: 7 },
      parts: ['camera', 'box'],
      remedies: 3,
      ...besidePort(0),
    },
  ],
  silent: [{ name: 'exactly a plug apart', message: 'apart', numbers: { overlapMm: 0 }, ...twoPorts(11) }],
})
