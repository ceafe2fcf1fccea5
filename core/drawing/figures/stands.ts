import type { Part } from '../../catalogue/index.ts'
import type { Point2 } from '../../kernel/index.ts'
import { disc, type Form, type Ink, rect, stroke } from '../form.ts'
import { slidePlate } from './base.ts'
import { type BarSolid, type Figure, isBox } from './read.ts'

/** The bar one leads a head by: soft in the hand. */
const panBar = ({ radius, length }: BarSolid): Form => ({
  turned: true,
  z: {
    roundMm: radius * 0.8,
    on: [{ look: 'line', lines: [stroke([-radius, length / 2 - 14], [radius, length / 2 - 14])] }],
  },
})

/** A leg, with collars where it is drawn out. */
const leg = ({ radius, length }: BarSolid): Form => ({
  turned: true,
  z: {
    roundMm: 3,
    on: [-length * 0.16, length * 0.18].map((v): Ink => ({
      look: 'knob',
      outline: rect(2 * radius, 26, [0, v]),
      roundMm: 4,
    })),
  },
})

/** A motor: the seams of its case, its lid with the axle seen from its end. */
const motor = ({ radius: r, length }: BarSolid): Form => ({
  turned: true,
  z: {
    roundMm: 4,
    on: [
      {
        look: 'line',
        lines: [stroke([-r, length * 0.28], [r, length * 0.28]), stroke([-r, -length * 0.3], [r, -length * 0.3])],
      },
    ],
  },
  y: {
    on: [
      { look: 'line', outline: disc(r * 0.8) },
      { look: 'metal', outline: disc(r * 0.3) },
    ],
  },
})

/** An outline given on one side only, from the foot up: how far out, at which height. */
const bothSides = (half: readonly Point2[]): readonly Point2[] => [
  ...half,
  ...half.toReversed().map(([u, v]): Point2 => [-u, v]),
]

/**
 * The body of a fluid head: the drum it pans on, a waist, and the block that tilts, with the wheel of its drag. Shares of
 * its radius and of its height, which runs along its axis; `up` is 1 where the axis points up.
 */
const fluidBody = ({ radius: r, length: high }: BarSolid, up: 1 | -1): Form => {
  const at = (out: number, share: number): Point2 => [out * r, up * (share - 0.5) * high]
  const wheel = Math.min(r * 0.46, high * 0.24)
  const middle: Point2 = [0, up * 0.16 * high]
  return {
    turned: true,
    z: {
      outline: bothSides([
        at(0.72, 0),
        at(0.92, 0.05),
        at(0.92, 0.24),
        at(0.62, 0.3),
        at(0.62, 0.36),
        at(1, 0.44),
        at(1, 0.9),
        at(0.86, 1),
      ]),
      roundMm: 3,
      on: [
        { look: 'line', lines: [stroke(at(-0.92, 0.14), at(0.92, 0.14))] },
        { look: 'knob', outline: disc(wheel, middle) },
        { look: 'metal', outline: disc(wheel * 0.62, middle), lines: [stroke(middle, [wheel * 0.5, middle[1]])] },
      ],
    },
  }
}

/** A ball head: its cup with the knob that holds the ball, the ball in it, and the neck to its platform. */
const ballBody = ({ radius: r, length: high }: BarSolid, up: 1 | -1): Form => {
  const at = (out: number, share: number): Point2 => [out * r, up * (share - 0.5) * high]
  const round = [0.3, 0.55, 0.8, 1.05, 1.25].map((angle) => at(0.84 * Math.cos(angle), 0.5 + 0.44 * Math.sin(angle)))
  return {
    turned: true,
    z: {
      outline: bothSides([at(0.94, 0), at(1, 0.06), at(1, 0.58), at(0.86, 0.62), ...round, at(0.3, 0.94), at(0.36, 1)]),
      roundMm: 1.5,
      on: [
        { look: 'line', lines: [stroke(at(-0.86, 0.62), at(0.86, 0.62)), stroke(at(-1, 0.12), at(1, 0.12))] },
        { look: 'knob', outline: disc(r * 0.3, [0, up * -0.14 * high]) },
      ],
    },
  }
}

/** A head, legs, a gimbal, a slider. */
export const standFigure = (part: Part): Figure => {
  const plate = part.solids.some(isBox)
  return part.solids.map((solid): Form | undefined => {
    if (isBox(solid)) return solid.look === 'metal' ? slidePlate(part, solid) : undefined
    if (solid.look === 'grip') return panBar(solid)
    if (solid.length > 400) return leg(solid)
    const upright = Math.abs(solid.axis[1]) > 0.9
    if (part.role !== 'head' || solid.look !== 'plain' || !upright) return motor(solid)
    return (plate ? fluidBody : ballBody)(solid, solid.axis[1] > 0 ? 1 : -1)
  })
}
