import { evaluate, massOrigin } from '../assess/index.ts'
import {
  groundOf,
  hangCure,
  inertiaOf,
  massOf,
  onPlateOf,
  rohmertMinutes,
  secondShare,
  shoulderOf,
  standOf,
  steadinessOf,
  tipOf,
  twoHandsOf,
  wristNm,
  FINGERS_HOLD_NM,
  TORQUE_NM,
} from '../balance/index.ts'
import { clashDepth } from '../clearance/index.ts'
import { CLASH_MM, GRAVITY } from '../kernel/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from './index.ts'
import { place, factsIn, put, cube, head, hung, inTwoHands, digits, type Example, limit, sourceOf } from './worked.ts'

/** Mass, hang, hands, loads, shoulder, stand: words of the documentation and what the code comes to. */
export const balanceExamples: Readonly<Record<string, () => readonly Example[]>> = {
  Mass: () => {
    const { inHandG, totalG } = massOf(
      place(
        tinyRig([cube('one'), head], [on('one', 'foot', 'camera', 'hole'), on('head', 'foot', 'camera', 'pinned')]),
      ),
    )
    return [['1,100 g in the hand, 2,000 in all', `${digits(inHandG)} g in the hand, ${digits(totalG)} in all`]]
  },
  'Centre of mass': () => [['4.5 mm up', `${digits(massOf(put(cube('one'))).centre[1], 1)} mm up`]],
  'Source and error': () => {
    const { rig, context } = tinyRig([cube('a', { massG: 400 })], [on('a', 'foot', 'camera', 'hole')])
    const origin = massOrigin(evaluate(rig, 'main', { ...context, weighed: new Map([['a', '2026-01-01']]) }))
    return [['1,400 ± 30 g', `${digits(origin.value)} ± ${digits(origin.high - origin.value)} g`]]
  },
  Hang: () => [['5.71°', `${digits(hung().hang?.tiltDeg, 2)}°`]],
  'Slide cure': () => {
    const { assembly, mass, hang } = hung()
    return [['a slide of -10 mm', `a slide of ${digits(hang && hangCure(assembly, mass, hang)?.slideMm)} mm`]]
  },
  'What bears the rig': () => {
    const share = secondShare([0, 0, 0], [100, 50, 0], [90, 400, 0])
    return [['10 % and 90 %', `${digits(100 * (1 - share))} % and ${digits(100 * share)} %`]]
  },
  Wrist: () => {
    const ground = groundOf(inTwoHands(), massOf(inTwoHands()), [])
    return [
      [
        '0.39 N m',
        `${digits(
          ground.bearings.reduce((sum, bearing) => sum + wristNm(ground, bearing), 0),
          2,
        )} N m`,
      ],
    ]
  },
  'Load of a joint': () => {
    const plate = tinyPart({
      id: 'plate',
      fits: ['tiny'],
      massG: 44,
      mounts: [plug('seat', 'body', { out: [0, 1, 0] }), socket('under', 'thread-1/4', [0, -5, 0], [0, -1, 0])],
    })
    const stand = tinyPart({
      id: 'stand',
      role: 'tripod',
      massG: 900,
      mounts: [plug('screw', 'thread-1/4', { out: [0, 1, 0] })],
    })
    const { loads } = factsIn(
      tinyRig(
        [cube('load', { massG: 3000 }), plate, stand],
        [
          on('load', 'foot', 'camera', 'hole'),
          on('plate', 'seat', 'camera', 'seat'),
          on('stand', 'screw', 'plate', 'under'),
        ],
        { setup: { support: 'tripod' } },
      ),
    )
    return [
      [
        '4,000 g, not with the plate’s 44',
        `${digits(loads.get('plate')?.massG)} g, not with the plate’s ${plate.massG}`,
      ],
    ]
  },
  'Twist of a single screw': () => [
    ['9.80665', String(GRAVITY)],
    [
      '0.05 N m is safe, at 0.25 N m',
      `${limit('single-screw', 'riskNm')} N m is safe, at ${limit('single-screw', 'stopNm')} N m`,
    ],
    ['0.31 N m', `${(Math.floor(FINGERS_HOLD_NM * 100) / 100).toFixed(2)} N m`],
    ...(['riskNm', 'stopNm'] as const).map((option): [string, string] => {
      const byCoin = (Number(limit('single-screw', option)) * TORQUE_NM.coin) / TORQUE_NM.fingers
      return [
        option === 'riskNm' ? 'coin 0.13 and' : 'and 0.67',
        `${option === 'riskNm' ? 'coin ' : 'and '}${digits(byCoin, 2)}${option === 'riskNm' ? ' and' : ''}`,
      ]
    }),
  ],
  Clash: () => {
    const wide = cube('wide', { solids: [{ kind: 'box', centre: [0, 10, 0], size: [40, 20, 20], matter: 'body' }] })
    const assembly = place(
      tinyRig([cube('a'), wide], [on('a', 'foot', 'camera', 'hole'), on('wide', 'foot', 'camera', 'pinned')]),
    )
    const [a, b] = ['a', 'wide'].map((id) => assembly.byInstance.get(id))
    return [
      ['0.5 mm is allowed', `${CLASH_MM} mm is allowed`],
      ['5 mm into each other', `${digits(a && b && clashDepth(a, b))} mm into each other`],
    ]
  },
  Rooms: () => [
    ['28 mm under a grip, 8 mm more', /\d+ mm under a grip, \d+ mm more/.exec(sourceOf('hand-room'))?.[0] ?? ''],
  ],
  Inertia: () => {
    const piece = put(cube('one')).byInstance.get('one')
    return [['6,667 g mm²', `${digits(inertiaOf(piece ? [piece] : [], [0, 50, 0]).yaw)} g mm²`]]
  },
  Steadiness: () => {
    const { placed } = put(cube('one'))
    const [camera] = placed
    return [['0.91', digits(camera && steadinessOf(placed, [0, 0, 0], camera).shift, 2)]]
  },
  'Hold time': () => [['1.1 minutes', `${digits(rohmertMinutes(0.5), 1)} minutes`]],
  Standing: () => [
    ['keeps 30 mm', `keeps ${digits(standOf(place(tinyRig([], [])), massOf(place(tinyRig([], [])))).marginMm)} mm`],
  ],
  'Lens mount': () => [
    [
      'from 1.0 N m, and 2.0 N m',
      `from ${digits(limit('mount-moment', 'supportNm'), 1)} N m, and ${digits(limit('mount-moment', 'graveNm'), 1)} N m`,
    ],
  ],
  'Two hands': () => [['120 mm apart', `${digits(twoHandsOf(inTwoHands())?.spreadMm)} mm apart`]],
  Shoulder: () => {
    const pad = cube('pad', { massG: 1e-9, grips: [{ kind: 'shoulder', at: [0, 0, 80] }] })
    const found = shoulderOf(put(pad), { ...massOf(put(pad)), inHandG: 3000 })
    return [['2.35 N m, or 1,600 g', `${digits(found?.momentNm, 2)} N m, or ${digits(found?.counterweightG)} g`]]
  },
  Plate: () => {
    const under = tinyPart({
      id: 'under',
      role: 'head',
      fits: ['tiny'],
      mounts: [plug('clamp', 'body', { out: [0, 1, 0] })],
    })
    const assembly = put(under, on('under', 'clamp', 'camera', 'seat'))
    return [
      ['0.49 N m', `${digits(onPlateOf(assembly, { ...massOf(assembly), centre: [0, 0, -30] })?.momentNm, 2)} N m`],
    ]
  },
  Tipping: () => {
    const legs = tinyPart({
      id: 'legs',
      fits: ['tiny'],
      role: 'tripod',
      massG: 1e-9,
      under: { kind: 'legs', feetMm: 500 },
      solids: [{ kind: 'box', centre: [0, -480, 0], size: [20, 960, 20], matter: 'body' }],
      mounts: [plug('top', 'body', { at: [20, 0, 0], out: [0, 1, 0] })],
    })
    return [
      ['goes over at 13°', `goes over at ${digits(tipOf(put(legs, on('legs', 'top', 'camera', 'seat')))?.tipDeg)}°`],
    ]
  },
}
