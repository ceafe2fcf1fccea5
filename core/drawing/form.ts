import { flatMap } from '../kernel/index.ts'
import type { Point2 } from '../kernel/index.ts'

/**
 * How one solid of a part is drawn: its outline as it is seen along each of its own axes, and what lies on its faces.
 * The solid stays what it is for everything that is computed; a form is for the eye. Places on a face are mm from the
 * middle of the solid: along x they are (z, y), along y (x, z), along z (x, y). A round bar's y runs along its axis.
 */
export interface Form {
  readonly x?: Face
  readonly y?: Face
  readonly z?: Face
  /** A round bar that looks alike from all sides: what is given for z is seen from wherever one looks. */
  readonly turned?: boolean
  /** Of what it is made, where the eye should see something else than the solid says. */
  readonly look?: string
  /** Fur: a ragged outline and hairs that lean back along y. */
  readonly fur?: boolean
}

/** What is seen along one axis. */
export interface Face {
  /** Left out: the solid's own outline. */
  readonly outline?: readonly Point2[]
  readonly roundMm?: number
  /** Windows: what lies behind shows through. */
  readonly holes?: readonly Hole[]
  /** On both sides, on the side the axis points to, on the other. */
  readonly on?: readonly Ink[]
  readonly plus?: readonly Ink[]
  readonly minus?: readonly Ink[]
}

export interface Hole {
  readonly outline: readonly Point2[]
  readonly roundMm?: number
}

/** Something drawn on a face: a closed shape, fine lines, or both. */
export interface Ink {
  readonly look: string
  readonly outline?: readonly Point2[]
  readonly roundMm?: number
  readonly lines?: readonly (readonly Point2[])[]
  /** Figures engraved in the face, upright, with their middle here. */
  readonly said?: readonly { readonly at: Point2; readonly text: string; readonly highMm: number }[]
}

/** A rectangle about a middle. */
export const rect = (wide: number, high: number, [x, y]: Point2 = [0, 0]): readonly Point2[] => [
  [x - wide / 2, y - high / 2],
  [x + wide / 2, y - high / 2],
  [x + wide / 2, y + high / 2],
  [x - wide / 2, y + high / 2],
]

/** So many corners make a circle of this radius, mm, look round. */
const cornersOf = (radius: number): number => Math.max(16, Math.min(80, Math.round(radius * 2.2)))

/** A circle in so many corners; `deep` makes every other corner a notch. */
export const disc = (
  radius: number,
  [x, y]: Point2 = [0, 0],
  corners = cornersOf(radius),
  deep = 0,
): readonly Point2[] =>
  Array.from({ length: corners }, (_, i): Point2 => {
    const angle = ((i + 0.5) / corners) * 2 * Math.PI
    const r = i % 2 ? radius - deep : radius
    return [x + r * Math.cos(angle), y + r * Math.sin(angle)]
  })

const BETWEEN = 4
/** A smooth closed line through points (Catmull and Rom 1974). */
export const smooth = (points: readonly Point2[]): readonly Point2[] =>
  flatMap(points, (p1, i) => {
    const at = (k: number) => points[(i + k + points.length) % points.length] ?? p1
    const [p0, p2, p3] = [at(-1), at(1), at(2)]
    return Array.from({ length: BETWEEN }, (_, step): Point2 => {
      const t = step / BETWEEN
      const mixed = (axis: 0 | 1) =>
        0.5 *
        (2 * p1[axis] +
          (p2[axis] - p0[axis]) * t +
          (2 * p0[axis] - 5 * p1[axis] + 4 * p2[axis] - p3[axis]) * t ** 2 +
          (3 * p1[axis] - p0[axis] - 3 * p2[axis] + p3[axis]) * t ** 3)
      return [mixed(0), mixed(1)]
    })
  })

/** Points kept within a rectangle about the middle: a smooth line swings out a little. */
export const within = (points: readonly Point2[], wide: number, high: number): readonly Point2[] =>
  points.map(([x, y]): Point2 => [
    Math.max(-wide / 2, Math.min(wide / 2, x)),
    Math.max(-high / 2, Math.min(high / 2, y)),
  ])

const ROUND_STEPS = 5
/** The points of a closed line whose corners are rounded by up to so much. */
export const rounded = (points: readonly Point2[], round: number): readonly Point2[] =>
  round <= 0
    ? points
    : flatMap(points, (p, i) => {
        const before = points[(i + points.length - 1) % points.length] ?? p
        const after = points[(i + 1) % points.length] ?? p
        const cut = (q: Point2): Point2 => {
          const length = Math.hypot(q[0] - p[0], q[1] - p[1])
          const k = length === 0 ? 0 : Math.min(round, length / 2) / length
          return [p[0] + (q[0] - p[0]) * k, p[1] + (q[1] - p[1]) * k]
        }
        const [a, b] = [cut(before), cut(after)]
        return Array.from({ length: ROUND_STEPS }, (_, step): Point2 => {
          const t = step / (ROUND_STEPS - 1)
          const mixed = (axis: 0 | 1) => (1 - t) ** 2 * a[axis] + 2 * t * (1 - t) * p[axis] + t ** 2 * b[axis]
          return [mixed(0), mixed(1)]
        })
      })

/** A line from one point to another. */
export const stroke = (...points: readonly Point2[]): readonly Point2[] => points

/** So many lines along u between two values of v, evenly. */
export const rows = (count: number, [left, right]: Point2, [from, to]: Point2): readonly (readonly Point2[])[] =>
  Array.from({ length: count }, (_, i) => {
    const v = count === 1 ? (from + to) / 2 : from + ((to - from) * i) / (count - 1)
    return [
      [left, v],
      [right, v],
    ] as const
  })

/** The same across. */
export const columns = (count: number, [low, high]: Point2, [from, to]: Point2): readonly (readonly Point2[])[] =>
  rows(count, [low, high], [from, to]).map((line) => line.map(([v, u]): Point2 => [u, v]))

/** Light on glass that is flat: two strokes at 45 degrees in the upper left. */
export const sheen = (wide: number, high: number, [x, y]: Point2 = [0, 0]): Ink => {
  const long = Math.min(wide, high) * 0.34
  const [left, top] = [x - wide * 0.36, y + high * 0.36]
  return {
    look: 'sheen',
    lines: [
      stroke([left, top - long], [left + long, top]),
      stroke([left + long * 0.45, top - long * 1.05], [left + long * 1.45, top - long * 0.05]),
    ],
  }
}

/** The least and the most a window in a bar may be long, and what stays of the bar beside it. mm */
const WINDOW = { least: 11, most: 46, beside: 0.24, leastBeside: 2.6, apart: 7 }
/** No window comes nearer to a mount than this. mm */
const KEEP_OFF_MM = 8

/**
 * Windows along a bar: as long as they can be between its ends and the mounts on it, and none where a mount is.
 * @param mounts where mounts lie on the face
 * @returns no windows in a bar that is too narrow for them
 */
export const windowsIn = (wide: number, high: number, mounts: readonly Point2[]): readonly Hole[] => {
  const level = wide >= high
  const [long, across] = level ? [wide, high] : [high, wide]
  const beside = Math.max(WINDOW.leastBeside, across * WINDOW.beside)
  const open = across - 2 * beside
  if (open < 4) return []
  const taken = mounts
    .map(([u, v]) => (level ? [u, v] : [v, u]) as Point2)
    .filter(([, off]) => Math.abs(off) < across / 2 + 1)
    .map(([along]) => along)
    .sort((a, b) => a - b)
  const ends = [-long / 2 + beside - KEEP_OFF_MM, ...taken, long / 2 - beside + KEEP_OFF_MM]
  return flatMap(ends.slice(1), (to, i) => {
    const from = (ends[i] ?? 0) + KEEP_OFF_MM
    const room = to - KEEP_OFF_MM - from
    if (room < WINDOW.least) return []
    const count = Math.ceil(room / (WINDOW.most + WINDOW.apart))
    const each = (room - (count - 1) * WINDOW.apart) / count
    return Array.from({ length: count }, (_, k): Hole => {
      const middle = from + each / 2 + k * (each + WINDOW.apart)
      const at: Point2 = level ? [middle, 0] : [0, middle]
      return { outline: level ? rect(each, open, at) : rect(open, each, at), roundMm: Math.min(open, each) * 0.32 }
    })
  })
}
