import type { Fit } from '@zucchini/core/drawing'

/**
 * How a sheet is looked at: how many times larger, and how far it is moved, in parts of its own breadth and height so
 * that it means the same on a sheet of any size.
 */
export interface Lens {
  readonly zoom: number
  readonly u: number
  readonly v: number
}

/** The whole sheet. */
export const wholeSheet: Lens = { zoom: 1, u: 0, v: 0 }
/** Larger than this a part of a millimetre fills the sheet. */
export const MOST_ZOOM = 8

/** A lens that never looks beside the sheet. */
const kept = ({ zoom, u, v }: Lens): Lens => {
  const most = Math.min(MOST_ZOOM, Math.max(1, zoom))
  const on = (part: number) => Math.min(0, Math.max(1 - most, part)) + 0
  return most === 1 ? wholeSheet : { zoom: most, u: on(u), v: on(v) }
}

/**
 * So many times larger about a place that stays where it is.
 * @param u @param v the place on the sheet as it is shown, in parts of its breadth and height
 * @example twice about the middle: the quarters of the old sheet are the edges of the new one
 */
export const zoomedAt = (lens: Lens, factor: number, u = 0.5, v = 0.5): Lens => {
  const zoom = Math.min(MOST_ZOOM, Math.max(1, lens.zoom * factor))
  const by = zoom / lens.zoom
  return kept({ zoom, u: u - (u - lens.u) * by, v: v - (v - lens.v) * by })
}

/** Moved by parts of the sheet's breadth and height. */
export const movedBy = (lens: Lens, u: number, v: number): Lens => kept({ ...lens, u: lens.u + u, v: lens.v + v })

/** A fit as it is seen through a lens: lines are drawn anew, so they keep their weight. */
export const throughLens = (fit: Fit, { zoom, u, v }: Lens, width: number, height: number): Fit => ({
  scale: fit.scale * zoom,
  x: fit.x * zoom + u * width,
  y: fit.y * zoom + v * height,
})
