import { add, lengthOf, scale, subtract, type Vec3, flatMap } from '../kernel/index.ts'

/** A lead by the corners of its way, and how much longer it is than that. */
export interface Hanging {
  readonly points: readonly Vec3[]
  readonly spareMm: number
}

/** A shorter piece of a lead hangs straight. mm */
const LEAST_MM = 30
/** A lead is tied up rather than let hang deeper than this part of its way. */
const DEEPEST = 0.3
const STEPS = 8

/**
 * How deep a thread hangs that is longer than the way between its ends, mm: a parabola of height s over a way L is
 * longer by `8 s^2 / 3 L` (first term of its series; good to 2 % up to a third of L).
 * @example 100 mm of way and 6 mm too much: 15 mm
 */
export const sagOf = (wayMm: number, extraMm: number): number =>
  Math.min(DEEPEST * wayMm, Math.sqrt((3 * wayMm * Math.max(0, extraMm)) / 8))

/**
 * The corners of a lead as it hangs: what it is longer than its way lets its long pieces sag, each by its share; what
 * is left over after that is tied up. Where it is clamped and where it is plugged in it stays.
 */
export const hungPoints = ({ points, spareMm }: Hanging): readonly Vec3[] => {
  const lengths = points.slice(1).map((to, i) => lengthOf(subtract(to, points[i] ?? to)))
  const hanging = lengths.filter((mm) => mm >= LEAST_MM).reduce((sum, mm) => sum + mm, 0)
  if (spareMm <= 0 || hanging === 0) return points
  return flatMap(points, (from, i): readonly Vec3[] => {
    const to = points[i + 1]
    const way = lengths[i] ?? 0
    if (!to || way < LEAST_MM) return [from]
    const sag = sagOf(way, (spareMm * way) / hanging)
    return Array.from({ length: STEPS }, (_, k): Vec3 => {
      const t = k / STEPS
      const [x, y, z] = add(from, scale(subtract(to, from), t))
      return [x, y - 4 * sag * t * (1 - t), z]
    })
  })
}
