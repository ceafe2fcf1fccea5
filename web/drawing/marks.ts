import type { Assembly, Point } from '@zucchini/core/assembly'
import { perKey, type Placed, type Point2, reach } from '@zucchini/core/kernel'
import { type Fit, flat, nearness, onSheet, silhouette, type ViewId, views } from '@zucchini/core/drawing'

/** An open mounting point as a button on the sheet. */
export interface PointMark {
  readonly point: Point
  readonly x: number
  readonly y: number
  /** The point itself, when the mark had to step aside. */
  readonly from: Point2
  /** Degrees by which an upright glyph turns to lie along the surface. */
  readonly turn: number
  /** Something stands before it in this view. */
  readonly covered: boolean
}

const AWAY = -0.35
const CLEAR_PX = 17
/** A solid counts as standing before a point when it is nearer to the eye by more than this, mm. */
const BEFORE_MM = 1.5
const MOST_STEPS = 8

/** Keeps marks from covering each other: each steps outwards along its own direction until it stands free. */
export const spread = <T extends { readonly x: number; readonly y: number }>(
  marks: readonly T[],
  way: (mark: T) => Point2,
  clear = CLEAR_PX,
): T[] => {
  const done: T[] = []
  for (const mark of marks) {
    const [dx, dy] = way(mark)
    let now = mark
    for (let n = 1; n <= MOST_STEPS && done.some((other) => Math.hypot(other.x - now.x, other.y - now.y) < clear); n++)
      now = { ...mark, x: mark.x + dx * n * clear * 0.62, y: mark.y + dy * n * clear * 0.62 }
    done.push(now)
  }
  return done
}

const inside = (outline: readonly Point2[], p: Point2): boolean =>
  outline.length > 2 &&
  outline.every((a, i) => {
    const b = outline[(i + 1) % outline.length] ?? a
    return (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 1e-6
  })

/** A solid as a view sees it: how near its front is to the eye, its outline, and the box round that. */
interface Seen {
  readonly front: number
  readonly outline: readonly Point2[]
  readonly left: number
  readonly right: number
  readonly low: number
  readonly high: number
}
const seenSolids = perKey<Placed, Seen>('solids as they are seen')
const seenIn = (view: ViewId, shape: Placed): Seen =>
  seenSolids(shape, view, () => {
    const outline = silhouette(view, shape)
    const [across, up] = [outline.map(([x]) => x), outline.map(([, y]) => y)]
    return {
      front: nearness(view, shape.centre) + reach(shape, views[view].towards),
      outline,
      left: Math.min(...across),
      right: Math.max(...across),
      low: Math.min(...up),
      high: Math.max(...up),
    }
  })

/** Is a point of the rig hidden behind some solid in a view? */
export const isCovered = (view: ViewId, point: Point, assembly: Assembly): boolean => {
  const near = nearness(view, point.at)
  const spot = flat(view, point.at)
  const [x, y] = spot
  return assembly.placed.some((piece) =>
    piece.solids.some(({ shape }) => {
      const { front, outline, left, right, low, high } = seenIn(view, shape)
      if (front <= near + BEFORE_MM || x <= left || x >= right || y <= low || y >= high) return false
      return inside(outline, spot)
    }),
  )
}

/** The open points that face the eye or are seen edge-on in a view, and the picked one even when it faces away. */
export const pointMarks = (
  view: ViewId,
  points: readonly Point[],
  fit: Fit,
  assembly: Assembly,
  picked?: Point,
): readonly PointMark[] => {
  const marks = points
    .filter((point) => point.open && (nearness(view, point.out) > AWAY || point === picked))
    .map((point): PointMark & { readonly way: Point2 } => {
      const [x, y] = onSheet(fit, flat(view, point.at))
      const out = flat(view, point.out)
      const length = Math.hypot(...out)
      const way: Point2 = length < 0.3 ? [1, 0] : [out[0] / length, -out[1] / length]
      return {
        point,
        x,
        y,
        from: [x, y],
        turn: length < 0.3 ? 0 : (Math.atan2(way[0], -way[1]) * 180) / Math.PI,
        covered: isCovered(view, point, assembly),
        way,
      }
    })
    .sort((a, b) => Number(a.covered) - Number(b.covered))
  return spread(marks, (mark) => mark.way)
}
