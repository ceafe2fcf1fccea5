import type { Assessment } from '@zucchini/core/assess'
import { type Fit, flat, onSheet, type Extent, type ViewId } from '@zucchini/core/drawing'

/** A dimension line on the sheet: its two ends, which way it runs, and the length it shows. */
export interface Dimension {
  readonly from: readonly [number, number]
  readonly to: readonly [number, number]
  readonly lengthMm: number
  readonly upright: boolean
}

/** The line of a dimension with a tick at each end, as an SVG path. */
export const dimensionPath = ({ from: [x1, y1], to: [x2, y2], upright }: Dimension): string =>
  upright
    ? `M${x1 - 5} ${y1}h10M${x2 - 5} ${y2}h10M${x1} ${y1}V${y2}`
    : `M${x1} ${y1 - 5}v10M${x2} ${y2 - 5}v10M${x1} ${y1}H${x2}`

type Spot = readonly [x: number, y: number]
/** Half of what a figure takes up, with a hand's breadth round it, px. */
const LABEL = { wide: 34, high: 12 } as const

const lies = ([x, y]: Spot, [px, py]: Spot): boolean => Math.abs(px - x) < LABEL.wide && Math.abs(py - y) < LABEL.high

/** The first of some places for a figure on which no mark lies; the first of all when each has one. */
export const freeSpot = (spots: readonly Spot[], marks: readonly Spot[]): Spot =>
  spots.find((spot) => !marks.some((mark) => lies(spot, mark))) ?? spots[0] ?? [0, 0]

const STEPS = 8
/** Where the figure of a dimension stands: in the middle of its line, or beside that where a mark lies. */
export const figureSpot = ({ from, to }: Dimension, marks: readonly Spot[]): Spot => {
  const at = (share: number): Spot => [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share]
  // From the middle outwards, never into the outer tenths.
  const shares = Array.from({ length: STEPS + 1 }, (_, i) => (i % 2 ? 1 : -1) * Math.ceil(i / 2) * (0.8 / STEPS))
  return freeSpot(
    shares.map((share) => at(0.5 + share)),
    marks,
  )
}

const OFF_PX = 26

/** Overall height to the left of the rig and overall length or width below it. */
export const overall = (extent: Extent, fit: Fit): readonly Dimension[] => {
  const [left, bottom] = onSheet(fit, [extent.left, extent.bottom])
  const [right, top] = onSheet(fit, [extent.right, extent.top])
  return [
    { from: [left - OFF_PX, bottom], to: [left - OFF_PX, top], lengthMm: extent.top - extent.bottom, upright: true },
    {
      from: [left, bottom + OFF_PX],
      to: [right, bottom + OFF_PX],
      lengthMm: extent.right - extent.left,
      upright: false,
    },
  ]
}

/** The plumb line from the palm, the centre of mass, and how far they stand apart in this view. */
export interface Plumb {
  readonly grip: readonly [number, number]
  readonly foot: readonly [number, number]
  readonly centre: readonly [number, number]
  readonly offMm: number
}

export const plumbOf = (view: ViewId, assessment: Assessment, extent: Extent, fit: Fit): Plumb | undefined => {
  const { hang, mass } = assessment
  if (!hang || view === 'top') return undefined
  const grip = onSheet(fit, flat(view, hang.grip))
  const centre = onSheet(fit, flat(view, mass.centre))
  const [, bottom] = onSheet(fit, [0, extent.bottom])
  return {
    grip,
    centre,
    foot: [grip[0], Math.max(bottom + 12, centre[1] + 12)],
    offMm: flat(view, mass.centre)[0] - flat(view, hang.grip)[0],
  }
}
