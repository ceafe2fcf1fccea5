import type { Capability, Hinge, Part, Room, Socket, Solid } from '@zucchini/core/catalogue'
import { ahead, back, bar, block, down, holds, left, part, type Price, up } from './solids.ts'

/** The outline of a body as cages, plates and drawings need it. Origin: optical axis at the sensor. */
export interface BodyShape {
  readonly family: string
  readonly wideMm: number
  /** From the optical axis down to the base, and up to the top of the body and of the finder hump. */
  readonly downMm: number
  readonly upMm: number
  readonly humpMm: number
  readonly frontMm: number
  readonly backMm: number
}

export interface CameraFacts extends BodyShape {
  readonly id: string
  readonly name: string
  readonly maker: string
  readonly massG: number
  readonly lensFamily: string
  readonly flangeMm: number
  readonly grip: boolean
  readonly screen: 'flip' | 'tilt' | 'fixed'
  /** Width and height of the sensor, mm. */
  readonly sensor: readonly [number, number]
  /** The sockets on its left side, from the top down. */
  readonly ports: readonly Socket['connector'][]
  /** The family of its own packs. */
  readonly packFamily?: string
  readonly provides: readonly Capability[]
  readonly price: Price
  readonly facts: Readonly<Record<string, string | number | boolean>>
}

const bodySolids = (c: CameraFacts): Solid[] => {
  const half = c.wideMm / 2
  const solids = [block([-half, -c.downMm, -c.frontMm], [half, c.upMm, c.backMm], 'plain', 7)]
  solids.push(bar([0, 0, -c.frontMm], ahead, c.flangeMm - c.frontMm, 30, 'metal'))
  if (c.grip)
    solids.push(block([half - 26, -c.downMm + 2, -c.frontMm - 22], [half + 2, c.upMm - 3, -c.frontMm], 'grip', 9))
  if (c.humpMm > c.upMm) {
    solids.push(block([-24, c.upMm, -c.frontMm + 2], [24, c.humpMm, c.backMm - 4], 'plain', 5))
    solids.push(block([-17, c.upMm + 1, c.backMm - 4], [17, c.humpMm - 4, c.backMm + 9], 'grip', 4))
  }
  if (c.grip) {
    solids.push(bar([half - 12, c.upMm - 3, -c.frontMm - 14], up, 5, 6, 'knob'))
    solids.push(bar([half - 16, c.upMm, 8], up, 5, 10, 'knob'))
  }
  // The screen is the last solid: its hinge moves it.
  solids.push(block([-40, -c.downMm + 8, c.backMm], [36, c.upMm - 10, c.backMm + 5], 'screen', 2))
  return solids
}

/**
 * The way of the screen, sampled from just off the body to fully open. It must clear everything but the camera itself.
 */
const screenRoom = (c: CameraFacts): Room[] => {
  if (c.screen === 'fixed') return []
  const [low, high] = [8 - c.downMm, c.upMm - 10]
  const shape = { kind: 'box', centre: [-2, (low + high) / 2, c.backMm + 2.5], size: [76, high - low, 5] } as const
  return c.screen === 'flip'
    ? [
        {
          kind: 'swing',
          shape,
          hinge: { at: [-40, 0, c.backMm + 2.5], axis: [0, -1, 0], fromDeg: 12, toDeg: 180, stepDeg: 12 },
          lost: 'the screen can not swing out',
        },
      ]
    : [
        {
          kind: 'swing',
          shape,
          hinge: { at: [0, low, c.backMm + 2.5], axis: [1, 0, 0], fromDeg: 12, toDeg: 84, stepDeg: 12 },
          lost: 'the screen can not tilt',
        },
      ]
}

/** The screen on its hinge: folded against the body, or out where it can be seen. */
const screenHinge = (c: CameraFacts, solid: number): Hinge[] => {
  if (c.screen === 'fixed') return []
  const low = 8 - c.downMm
  const flip = c.screen === 'flip'
  return [
    {
      id: 'screen',
      label: 'screen',
      at: flip ? [-40, 0, c.backMm + 2.5] : [0, low, c.backMm + 2.5],
      axis: flip ? [0, -1, 0] : [1, 0, 0],
      solids: [solid],
      mounts: [],
      positions: [
        { id: 'folded', label: 'folded', deg: 0 },
        flip ? { id: 'out', label: 'out to the side', deg: 180 } : { id: 'up', label: 'tilted up', deg: 84 },
      ],
    },
  ]
}

/** Doors in the grip and the right side, and the eye's room behind the finder. */
const serviceRooms = (c: CameraFacts): Room[] => {
  const half = c.wideMm / 2
  const rooms: Room[] = []
  if (c.grip) {
    rooms.push({
      kind: 'door',
      shape: { kind: 'box', centre: [half - 12, -c.downMm - 9, -c.frontMm - 12], size: [24, 18, 18] },
      lost: 'the pack can not be changed',
    })
    rooms.push({
      kind: 'door',
      shape: { kind: 'box', centre: [half + 11, 0, 0], size: [16, 28, 14] },
      lost: 'the card can not be changed',
    })
  }
  if (c.humpMm > c.upMm)
    rooms.push({
      kind: 'view',
      shape: { kind: 'box', centre: [0, c.humpMm - 9, c.backMm + 26], size: [34, 24, 30] },
      lost: 'the eye does not come to the finder',
    })
  return rooms
}

/** The first socket sits high; the rest below the place where a side grip's clamp goes. */
const portHeight = (c: CameraFacts, i: number): number =>
  i === 0 ? c.upMm - 5 : 4 - (i - 1) * (c.ports.length > 4 ? 11 : 14)

const portSockets = (c: CameraFacts): Socket[] =>
  c.ports.map((connector, i) => ({
    id: `${connector.replace('.', '')}-${i + 1}`,
    connector,
    direction: connector.startsWith('hdmi') || connector === 'sdi' ? 'out' : connector === 'usb-c' ? 'both' : 'in',
    at: c.grip ? [-c.wideMm / 2, portHeight(c, i), c.backMm - 4] : [28 - i * 21, c.downMm * -0.5, c.backMm],
    out: c.grip ? left : back,
    label: `${connector} on the ${c.grip ? 'left side' : 'back'}`,
  }))

/** A camera body with its seat, tripod hole, shoe and lens mount. */
export const camera = (c: CameraFacts): Part => {
  const solids = bodySolids(c)
  return part({
    id: c.id,
    role: 'camera',
    name: c.name,
    maker: c.maker,
    massG: c.massG,
    solids,
    centre: [3, (c.upMm - c.downMm) / 2, (c.backMm - c.frontMm) / 2 - 2],
    rooms: [...screenRoom(c), ...serviceRooms(c)],
    hinges: screenHinge(c, solids.length - 1),
    ...(c.provides.includes('screen')
      ? {
          screen: {
            at: [-2, (c.upMm - c.downMm - 2) / 2, c.backMm + 5],
            out: back,
            up,
            wideMm: 66,
            tallMm: 44,
            nits: c.screen === 'tilt' ? 500 : 400,
            solid: solids.length - 1,
            swivels: true,
          },
        }
      : {}),
    sockets: portSockets(c),
    optics: { kind: 'sensor', wideMm: c.sensor[0], tallMm: c.sensor[1] },
    mounts: [
      holds('lens', 'lens-mount', [0, 0, -c.flangeMm], ahead, {
        family: c.lensFamily,
        flangeMm: c.flangeMm,
        label: 'lens mount',
      }),
      holds('seat', 'body', [0, -c.downMm, 2], down, {
        family: c.family,
        label: 'camera base, cage seat',
        shares: ['tripod'],
        deepMm: 6,
      }),
      holds('tripod', 'thread-1/4', [0, -c.downMm, 2], down, {
        label: 'camera base, 1/4"',
        shares: ['seat'],
        deepMm: 6,
      }),
      ...(c.packFamily
        ? [
            holds(
              'bay',
              'pack',
              c.grip ? [c.wideMm / 2 - 12, 2 - c.downMm, -c.frontMm - 12] : [0, 0, c.backMm],
              c.grip ? down : back,
              {
                family: c.packFamily,
                label: 'pack bay',
              },
            ),
          ]
        : []),
      holds('shoe', 'shoe-hot', [0, Math.max(c.upMm, c.humpMm), 2], up, { label: 'camera hot shoe' }),
    ],
    provides: c.provides,
    price: c.price,
    facts: c.facts,
  })
}
