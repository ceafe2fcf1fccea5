import type { Point2 } from '../kernel/index.ts'
import { num } from './views.ts'

const at = (p: Point2): string => `${num(p[0])} ${num(p[1])}`

/** A path through sheet points with sharp corners. */
export const polygonPath = (points: readonly Point2[], closed = true): string =>
  points.length < 2 ? '' : points.map((p, i) => `${i === 0 ? 'M' : 'L'}${at(p)}`).join('') + (closed ? 'Z' : '')

/** Under this a corner is not rounded any more, px. */
const LEAST_ROUND_PX = 0.3

/** A closed path through sheet points with its corners rounded by up to `round` px. */
export const roundedPath = (points: readonly Point2[], round: number): string => {
  const count = points.length
  if (count < 3) return ''
  if (round < LEAST_ROUND_PX) return polygonPath(points)
  const pieces = points.map((p, i) => {
    const before = points[(i + count - 1) % count] as Point2
    const after = points[(i + 1) % count] as Point2
    const cut = (q: Point2): Point2 => {
      const length = Math.hypot(q[0] - p[0], q[1] - p[1])
      const k = length === 0 ? 0 : Math.min(round, length / 2) / length
      return [p[0] + (q[0] - p[0]) * k, p[1] + (q[1] - p[1]) * k]
    }
    return `${i === 0 ? 'M' : 'L'}${at(cut(before))}Q${at(p)} ${at(cut(after))}`
  })
  return `${pieces.join('')}Z`
}
