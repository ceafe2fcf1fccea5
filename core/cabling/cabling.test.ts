import fc from 'fast-check'
import { type PlacedPart, placeSetup } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import type { Bounds, Vec3 } from '../kernel/index.ts'
import { on, plug, type TinyRig, tinyPart } from '../testing/index.ts'
import { hdmiLead, lead, link, mic, micLead, screen, tank, wiredCamera, wiredRig } from '../testing/wired.ts'
import {
  connectOrder,
  distance,
  KnownRoutes,
  LOOP_MM,
  pathTo,
  picturesOf,
  type Run,
  routeOf,
  runsOf,
  soundsOf,
  touchesLeads,
} from './index.ts'

const runsFor = ({ rig, context }: TinyRig) => {
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  const assembly = placeSetup(rig, setup, context.catalogue)
  const cables = new Map(
    rig.kit.flatMap(({ id, partId }): [string, Part][] => {
      const part = context.catalogue.parts.get(partId)
      return part?.cable ? [[id, part]] : []
    }),
  )
  return { assembly, runs: runsOf(assembly, cables) }
}
const only = (runs: readonly Run[]): Run => {
  const [run] = runs
  if (!run || runs.length !== 1) throw new Error('one lead')
  return run
}
const box = (centre: Vec3, half: number): Bounds => ({
  min: [centre[0] - half, centre[1] - half, centre[2] - half],
  max: [centre[0] + half, centre[1] + half, centre[2] + half],
})

test('with nothing in the way a cable runs straight', () => {
  expect(
    routeOf(
      [
        [0, 0, 0],
        [30, 40, 0],
      ],
      [],
      4,
    ),
  ).toEqual({
    points: [
      [0, 0, 0],
      [30, 40, 0],
    ],
    lengthMm: 50,
    clear: true,
  })
})

test('round a wide wall a cable goes over its edges, as a string would be pulled tight', () => {
  // A plate from y = -100 to 10, 20 thick in x: with 4 mm of cable the string lies 3 mm off it, over the two upper
  // edges.
  const wall: Bounds = { min: [-10, -100, -500], max: [10, 10, 500] }
  const { points, lengthMm, clear } = routeOf(
    [
      [-53, 0, 0],
      [53, 0, 0],
    ],
    [wall],
    4,
  )
  expect(clear).toBe(true)
  expect(points).toHaveLength(4)
  // 26 mm across the top and two sloping parts of 40 by 13.
  expect(lengthMm).toBeCloseTo(26 + 2 * Math.hypot(40, 13), 6)
})

test('an end that lies in a box is let out of it; what is walled in is said not to be clear', () => {
  expect(
    routeOf(
      [
        [0, 0, 0],
        [50, 0, 0],
      ],
      [box([0, 0, 0], 5)],
      4,
    ),
  ).toMatchObject({ lengthMm: 50, clear: true })
  const cell = [
    { min: [20, -400, -400], max: [30, 400, 400] },
    { min: [20, -400, -400], max: [400, -390, 400] },
  ] as const satisfies readonly Bounds[]
  expect(
    routeOf(
      [
        [0, 0, 0],
        [60, 0, 0],
      ],
      cell,
      4,
    ).lengthMm,
  ).toBeGreaterThan(60)
})

const coordinate = fc.integer({ min: -100, max: 100 })
const anywhere = fc.tuple(coordinate, coordinate, coordinate)
const boxes = fc.array(fc.record({ at: anywhere, half: fc.integer({ min: 4, max: 30 }) }), { maxLength: 7 })

test('a way is never shorter than the straight line, and one more clamp never makes it shorter than straight through that', () => {
  fc.assert(
    fc.property(anywhere, anywhere, anywhere, boxes, (from, via, to, list) => {
      const walls = list.map(({ at, half }) => box(at, half))
      expect(routeOf([from, to], walls, 4).lengthMm).toBeGreaterThanOrEqual(distance(from, to) - 1e-6)
      expect(routeOf([from, via, to], walls, 4).lengthMm).toBeGreaterThanOrEqual(
        distance(from, via) + distance(via, to) - 1e-6,
      )
    }),
  )
})

test('a way that is remembered is the way that would be found anew, whatever came and went meanwhile', () => {
  fc.assert(
    fc.property(
      anywhere,
      anywhere,
      boxes,
      fc.array(fc.integer({ min: 0, max: 127 }), { maxLength: 6 }),
      (from, to, list, masks) => {
        const walls = list.map(({ at, half }) => box(at, half))
        // Pieces of two boxes each come and go.
        const pieces = walls.flatMap((wall, i) => (i % 2 ? [] : [[wall, ...walls.slice(i + 1, i + 2)]]))
        const known = new KnownRoutes()
        for (const mask of masks) {
          const there = pieces.filter((_, i) => (mask >> i) % 2 === 1)
          expect(known.routeOf([from, to], there, 4)).toEqual(routeOf([from, to], there.flat(), 4))
        }
      },
    ),
  )
})

test('a way that many tries push aside in turn is the same object as soon as it is free again', () => {
  const known = new KnownRoutes()
  const [from, to] = [[0, 0, 0] as const, [200, 0, 0] as const]
  const stops = [from, to]
  const aside = (i: number): readonly Bounds[] => [box([60 + 4 * i, 0, 0], 12)]
  const beside: readonly Bounds[] = [box([100, 80, 0], 12)]
  const free = known.routeOf(stops, [beside], 4)
  expect(free.points).toEqual([from, to])
  for (let i = 0; i < 20; i++) {
    expect(known.routeOf(stops, [beside, aside(i)], 4).lengthMm).toBeGreaterThan(free.lengthMm)
    // Between them it is asked for as it is, with something that is in nobody's way.
    expect(known.routeOf(stops, [beside, [box([100, -90 - i, 0], 12)]], 4)).toBe(free)
  }
})

test('whether a way stays when a piece comes or goes is told as it is found anew', () => {
  let [stayed, asked] = [0, 0]
  fc.assert(
    fc.property(
      anywhere,
      anywhere,
      boxes,
      fc.integer({ min: 0, max: 40 }),
      fc.boolean(),
      (from, to, list, off, comes) => {
        const without = list.map(({ at, half }) => [box(at, half)])
        // The piece stands halfway, or a little beside it.
        const one = [box([(from[0] + to[0]) / 2, (from[1] + to[1]) / 2 + off, (from[2] + to[2]) / 2], 8)]
        const both = [...without, one]
        const [was, now] = comes ? [without, both] : [both, without]
        const known = new KnownRoutes()
        const stops = [from, to]
        // Of walls among which it was never asked for nobody knows.
        expect(known.stays(stops, was, 4, one)).toBe(false)
        const before = known.routeOf(stops, was, 4)
        asked++
        if (!known.stays(stops, was, 4, one)) return
        stayed++
        expect(routeOf(stops, now.flat(), 4)).toEqual(before)
      },
    ),
  )
  // Both were met, often enough to tell.
  expect(stayed).toBeGreaterThan(10)
  expect(asked - stayed).toBeGreaterThan(10)
})

test('a piece that stands in the way of a lead, or is an end of it, lays it anew; one beside it does not', () => {
  const { assembly, runs } = runsFor(withScreen())
  const { links } = assembly.setup
  const [run] = runs
  const [camera, there] = assembly.placed
  if (!run || !camera || !there) throw new Error('a lead from the camera to the screen')
  // The same cube with its middle elsewhere: on the way from -94, -25, 20 to 0, 45, 54, and far from it.
  const at = (x: number, y: number, z: number): PlacedPart => {
    const shape = { kind: 'box' as const, centre: [x, y, z] as const, edges: cubeEdges }
    const bounds = box([x, y, z], 5)
    return { ...there, instance: { id: 'new', partId: 'new' }, solids: [{ solid: cubeSolid, shape, bounds }], bounds }
  }
  const touches = (piece: PlacedPart) => touchesLeads(piece, links, runs, assembly.placed)
  expect(touches(at(-47, 10, 37))).toBe(true)
  expect(touches(at(-47, 10, 90))).toBe(false)
  // The camera, and the screen that the lead ends in.
  expect([touches(camera), touches(there)]).toEqual([true, true])
  // Leads that were laid among other pieces tell nothing.
  expect(touchesLeads(at(-47, 10, 90), links, runs, [camera])).toBe(true)
})
const cubeEdges: readonly [Vec3, Vec3, Vec3] = [
  [5, 0, 0],
  [0, 5, 0],
  [0, 0, 5],
]
const cubeSolid = { kind: 'box', centre: [0, 0, 0], size: [10, 10, 10], matter: 'body' } as const

/** A screen on the camera's hole; its cube stands on y = 40, so its socket is at 0, 45, 10 looking back. */
const withScreen = (
  cable: Parameters<typeof hdmiLead>[1] = {},
  more: Partial<Part> = {},
  through: string[] = [],
  extra: readonly Part[] = [],
) =>
  wiredRig(
    [screen('screen', more), hdmiLead('hdmi', cable), ...extra],
    [on('screen', 'foot', 'camera', 'hole'), ...extra.map((part) => on(part.id, 'foot', 'camera', 'pinned'))],
    [link('hdmi', 'camera/hdmi', 'screen/in', ...through)],
  )

test('what a lead needs, worked out from the coordinates: plug, way, bend, plug', () => {
  const { from, to, pathMm, needMm, reachMm, spareMm, loopMm, clear } = only(runsFor(withScreen()).runs)
  // The socket at -50, -25, 20 looks left; 24 mm of plug and five times 4 mm: the cable is free at x = -94.
  expect(from).toMatchObject({ fits: true, at: [-50, -25, 20], exit: [-94, -25, 20], roomMm: 44 })
  expect(to).toMatchObject({ fits: true, at: [0, 45, 10], exit: [0, 45, 54] })
  // From there the straight line to 0, 45, 54 passes the camera's rear, z = 30, and its left side, x = -50, well clear:
  // it meets x = -53 at z = 34.8 and is behind the body all the way.
  expect(pathMm).toBeCloseTo(44 + Math.hypot(94, 70, 34) + 44, 6)
  expect([needMm, loopMm, reachMm, clear]).toEqual([pathMm, 0, 300, true])
  expect(spareMm).toBeCloseTo(300 - pathMm, 9)
})

test('angled plugs need 12 mm in front of a socket and send the cable their way', () => {
  const up = only(runsFor(withScreen({ a: { connector: 'hdmi-a', angle: 'up' } })).runs)
  expect(up.from.roomMm).toBe(12)
  // Half the 12 mm out, then 0.6 of the 24 mm body upwards.
  expect(up.from.exit[0]).toBeCloseTo(-56, 9)
  expect(up.from.exit[1]).toBeCloseTo(-25 + 14.4, 9)
  expect(only(runsFor(withScreen({ a: { connector: 'hdmi-a', angle: 'down' } })).runs).from.turnsDeg).toBeGreaterThan(
    120,
  )
  expect(only(runsFor(withScreen({ a: { connector: 'hdmi-a', angle: 'swivel' } })).runs).from.turnsDeg).toBe(0)
})

test('an arm between the two ends wants a loop, a spring lead stretches, a flipped lead is noticed', () => {
  const arm = tinyPart({
    id: 'arm',
    role: 'arm',
    mounts: [
      plug('foot', 'thread-1/4'),
      { ...plug('top', 'thread-1/4'), at: [0, 20, 0], side: 'holds', out: [0, 1, 0] },
    ],
  })
  const onArm = wiredRig(
    [arm, screen(), hdmiLead('hdmi', { coil: true, lengthMm: 100 })],
    [on('arm', 'foot', 'camera', 'hole'), on('screen', 'foot', 'arm', 'top')],
    [link('hdmi', 'camera/hdmi', 'screen/in')],
  )
  const run = only(runsFor(onArm).runs)
  expect(run.loopMm).toBe(LOOP_MM)
  expect(run.needMm).toBeCloseTo(run.pathMm + LOOP_MM, 9)
  expect(run.reachMm).toBe(300)
  const turned = wiredRig(
    [screen(), tank(), lead('turned', 'dc-5.5x2.1', 'd-tap', { carries: ['power'] })],
    [on('screen', 'foot', 'camera', 'hole'), on('tank', 'foot', 'camera', 'pinned')],
    [link('turned', 'tank/tap', 'screen/dc')],
  )
  expect(only(runsFor(turned).runs)).toMatchObject({ flipped: true, from: { fits: true }, to: { fits: true } })
})

test('a clamp on the way is gone through, and where it holds is measured from both ends', () => {
  const clamp = tinyPart({
    id: 'clip',
    role: 'cable-clamp',
    mounts: [plug('foot', 'thread-1/4')],
    holdsCable: { at: [0, 30, 0] },
  })
  const run = only(runsFor(withScreen({}, {}, ['clip'], [clamp])).runs)
  // The clip stands on the pinned hole at 25, 40, 0: it holds the lead at 25, 70, 0.
  expect(run.points).toContainEqual([25, 70, 0])
  expect(run.held).toHaveLength(1)
  expect((run.held[0]?.fromMm ?? 0) + (run.held[0]?.toMm ?? 0)).toBeCloseTo(run.pathMm, 9)
})

test('pictures are followed to the camera; what all on the way pass is what arrives, late by each piece', () => {
  const loop = screen('loop', {
    sockets: [
      ...(screen().sockets ?? []),
      {
        id: 'on',
        connector: 'hdmi-a',
        direction: 'out',
        at: [0, 15, 10],
        out: [0, 0, 1],
        carries: ['picture'],
        formats: ['hd60', 'uhd30'],
      },
    ],
  })
  const far = screen('far', { delayMs: 20 })
  const { assembly, runs } = runsFor(
    wiredRig(
      [loop, far, hdmiLead(), hdmiLead('next', { upTo: 'hd60' })],
      [on('loop', 'foot', 'camera', 'hole'), on('far', 'foot', 'camera', 'pinned')],
      [link('hdmi', 'camera/hdmi', 'loop/in'), link('next', 'loop/on', 'far/in')],
    ),
  )
  expect(
    picturesOf(assembly, runs).map(({ sink, format, given, delayMs }) => [sink.instance.id, format, given, delayMs]),
  ).toEqual([
    ['loop', 'uhd30', 'uhd30', 40],
    ['far', 'hd60', 'uhd30', 60],
  ])
  const sink = assembly.byInstance.get('far')
  expect(sink && pathTo(sink, runs, 'picture').source?.instance.id).toBe('camera')
})

test('sounds that leave by a jack are listed with their lead; the phones jack is none', () => {
  const { assembly, runs } = runsFor(
    wiredRig(
      [mic(), mic('second'), micLead()],
      [on('mic', 'foot', 'camera', 'shoe'), on('second', 'foot', 'camera', 'shoe')],
      [link('jack', 'mic/out', 'camera/mic')],
    ),
  )
  expect(soundsOf(assembly, runs).map(({ piece, run }) => [piece.instance.id, run?.link.cable])).toEqual([
    ['mic', 'jack'],
    ['second', undefined],
  ])
})

test('a mic whose foot and whose shoe pass sound is heard without a lead; by either of them alone it is not', () => {
  const passing = (part: Part): Part => ({
    ...part,
    mounts: part.mounts.map((mount) => (mount.standard === 'shoe-cold' ? { ...mount, sound: true } : mount)),
  })
  const left = (part: Part, camera: Part) => {
    const { assembly, runs } = runsFor(wiredRig([part], [on('mic', 'foot', 'camera', 'shoe')], [], { camera }))
    return soundsOf(assembly, runs).map(({ piece }) => piece.instance.id)
  }
  expect(left(passing(mic()), passing(wiredCamera))).toEqual([])
  expect(left(passing(mic()), wiredCamera)).toEqual(['mic'])
  expect(left(mic(), passing(wiredCamera))).toEqual(['mic'])
})

test('connecting: power, control, sound, camera on, screens on, and the picture last', () => {
  const { runs } = runsFor(
    wiredRig(
      [screen(), mic(), hdmiLead(), micLead(), lead('dc', 'dc-5.5x2.1', 'dc-5.5x2.1', { carries: ['power'] })],
      [on('screen', 'foot', 'camera', 'hole'), on('mic', 'foot', 'camera', 'shoe')],
      [
        link('hdmi', 'camera/hdmi', 'screen/in'),
        link('jack', 'mic/out', 'camera/mic'),
        link('dc', 'screen/dc', 'screen/dc'),
      ],
    ),
  )
  expect(
    connectOrder(runs, 'camera', ['screen']).map((step) => step.run?.link.cable ?? `${step.do} ${step.piece ?? ''}`),
  ).toEqual(['dc', 'jack', 'switch-on camera', 'switch-on screen', 'hdmi'])
})
