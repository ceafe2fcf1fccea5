import type { Run } from '@zucchini/core/cabling'
import type { Point2, Vec3 } from '@zucchini/core/kernel'
import { type Fit, flat, nearness, onSheet, type ViewId } from '@zucchini/core/drawing'

/** A lead as it lies on an elevation. */
export interface LeadLine {
  readonly cable: string
  readonly name: string
  readonly d: string
  /** Its thickness on the sheet, px. */
  readonly width: number
  readonly power: boolean
  /** It lies behind the rig, seen from here. */
  readonly behind: boolean
  /** It does not reach, or does not go in. */
  readonly amiss: boolean
}

const ROUND_PX = 9
const LEAST_PX = 2.2
const round = (value: number): string => String(Math.round(value * 10) / 10)

/** An open path through sheet points with its corners rounded, as a cable bends. */
export const bentPath = (points: readonly Point2[], by = ROUND_PX): string =>
  points
    .map((p, i) => {
      const [before, after] = [points[i - 1], points[i + 1]]
      if (!before || !after) return `${i === 0 ? 'M' : 'L'}${round(p[0])} ${round(p[1])}`
      const cut = (q: Point2): string => {
        const length = Math.hypot(q[0] - p[0], q[1] - p[1])
        const k = length === 0 ? 0 : Math.min(by, length / 2) / length
        return `${round(p[0] + (q[0] - p[0]) * k)} ${round(p[1] + (q[1] - p[1]) * k)}`
      }
      return `L${cut(before)}Q${round(p[0])} ${round(p[1])} ${cut(after)}`
    })
    .join('')

/**
 * The leads of a set-up on an elevation, to scale. @param middle the middle of the rig: what lies beyond it is behind
 */
export const leadLines = (view: ViewId, runs: readonly Run[], fit: Fit, middle: Vec3): readonly LeadLine[] =>
  runs.map(({ link, part, cable, points, spareMm, from, to }) => ({
    cable: link.cable,
    name: part.name,
    d: bentPath(points.map((p) => onSheet(fit, flat(view, p)))),
    width: Math.max(LEAST_PX, cable.thickMm * fit.scale),
    behind: points.reduce((sum, p) => sum + nearness(view, p), 0) / points.length < nearness(view, middle),
    power: cable.carries.includes('power'),
    amiss: spareMm < 0 || !from.fits || !to.fits,
  }))
