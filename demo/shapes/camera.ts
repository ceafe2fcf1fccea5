import type { Capability, Part, Room, Solid } from '@zucchini/core/catalogue'
import { ahead, bar, block, down, holds, part, type Price, up } from './solids.ts'

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
  readonly provides: readonly Capability[]
  readonly price: Price
  readonly facts: Readonly<Record<string, string | number | boolean>>
}

const bodySolids = (c: CameraFacts): Solid[] => {
  const half = c.wideMm / 2
  const solids = [block([-half, -c.downMm, -c.frontMm], [half, c.upMm, c.backMm], 'plain', 7)]
  solids.push(bar([0, 0, -c.frontMm], ahead, c.flangeMm - c.frontMm, 30, 'metal'))
  if (c.grip) solids.push(block([half - 26, -c.downMm + 2, -c.frontMm - 22], [half + 2, c.upMm - 3, -c.frontMm], 'grip', 9))
  if (c.humpMm > c.upMm) {
    solids.push(block([-24, c.upMm, -c.frontMm + 2], [24, c.humpMm, c.backMm - 4], 'plain', 5))
    solids.push(block([-17, c.upMm + 1, c.backMm - 4], [17, c.humpMm - 4, c.backMm + 9], 'grip', 4))
  }
  solids.push(block([-40, -c.downMm + 8, c.backMm], [36, c.upMm - 10, c.backMm + 5], 'screen', 2))
  if (c.grip) {
    solids.push(bar([half - 12, c.upMm - 3, -c.frontMm - 14], up, 5, 6, 'knob'))
    solids.push(bar([half - 16, c.upMm, 8], up, 5, 10, 'knob'))
  }
  return solids
}

/** The way of the screen, sampled from just off the body to fully open. It must clear everything but the camera itself. */
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

/** A camera body with its seat, tripod hole, shoe and lens mount. */
export const camera = (c: CameraFacts): Part =>
  part({
    id: c.id,
    role: 'camera',
    name: c.name,
    maker: c.maker,
    massG: c.massG,
    solids: bodySolids(c),
    centre: [3, (c.upMm - c.downMm) / 2, (c.backMm - c.frontMm) / 2 - 2],
    rooms: screenRoom(c),
    mounts: [
      holds('lens', 'lens-mount', [0, 0, -c.flangeMm], ahead, { family: c.lensFamily, label: 'lens mount' }),
      holds('seat', 'body', [0, -c.downMm, 2], down, { family: c.family, label: 'camera base, cage seat', shares: ['tripod'] }),
      holds('tripod', 'thread-1/4', [0, -c.downMm, 2], down, { label: 'camera base, 1/4"', shares: ['seat'] }),
      holds('shoe', 'shoe-hot', [0, Math.max(c.upMm, c.humpMm), 2], up, { label: 'camera hot shoe' }),
    ],
    provides: c.provides,
    price: c.price,
    facts: c.facts,
  })
