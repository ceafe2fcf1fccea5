import { drawnLead, type Run } from '@zucchini/core/cabling'
import { connectors } from '@zucchini/core/catalogue'
import { add, direction, type Point2, scale, type Vec3 } from '@zucchini/core/kernel'
import {
  type Extent,
  type Fit,
  flat,
  hungPoints,
  nearness,
  onSheet,
  roundedPath,
  type ViewId,
} from '@zucchini/core/drawing'

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
  /** Where its drawn tail ends, and the piece off the rig that it goes to. */
  readonly away?: { readonly at: Point2; readonly to: string }
  /** The bodies of its plugs, and the ribs on them. */
  readonly plugs: readonly { readonly body: string; readonly ribs: string }[]
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

/** How far leads hang out on an elevation, mm; undefined where there are none. */
export const extentOfLeads = (view: ViewId, runs: readonly Run[]): Extent | undefined => {
  const places = runs.flatMap((run) => hungPoints(drawnLead(run)).map((at) => flat(view, at)))
  if (places.length === 0) return undefined
  const [across, up] = [places.map(([x]) => x), places.map(([, y]) => y)]
  return { left: Math.min(...across), right: Math.max(...across), bottom: Math.min(...up), top: Math.max(...up) }
}

/** How far an angled plug stands out of its socket; a usual figure. mm */
const ANGLED_MM = 12
/** Ribs on a plug's body, as parts of its length from the socket. */
const RIBS = [0.42, 0.56, 0.7]

/** A plug as it sits in its socket: its body along the way out, its ribs across; seen from its end a block. */
const plugOn = (view: ViewId, { plug, at, piece, socket }: Run['from'], fit: Fit): { body: string; ribs: string } => {
  const out = direction(piece.frame, socket.out)
  const { bodyMm, wideMm, tallMm } = connectors[plug.connector]
  const long = plug.angle === 'straight' ? bodyMm : ANGLED_MM
  const here = onSheet(fit, flat(view, at))
  const tip = onSheet(fit, flat(view, add(at, scale(out, long))))
  const [dx, dy] = [tip[0] - here[0], tip[1] - here[1]]
  const px = Math.hypot(dx, dy)
  const half = ((wideMm + tallMm) / 4) * fit.scale
  if (px < half * 0.5) {
    const [w, h] = [(wideMm / 2) * fit.scale, (tallMm / 2) * fit.scale]
    const [x, y] = here
    return {
      body: roundedPath(
        [
          [x - w, y - h],
          [x + w, y - h],
          [x + w, y + h],
          [x - w, y + h],
        ],
        2,
      ),
      ribs: '',
    }
  }
  const [nx, ny] = [(-dy / px) * half, (dx / px) * half]
  const across = (t: number, k: number): Point2 => [here[0] + dx * t + nx * k, here[1] + dy * t + ny * k]
  return {
    body: roundedPath(
      [across(0, -1), across(0.72, -1), across(1, -0.6), across(1, 0.6), across(0.72, 1), across(0, 1)],
      2,
    ),
    ribs: RIBS.map((t) => `M${across(t, -0.7).map(round).join(' ')}L${across(t, 0.7).map(round).join(' ')}`).join(''),
  }
}

/**
 * The leads of a set-up on an elevation, to scale. @param middle the middle of the rig: what lies beyond it is behind
 */
export const leadLines = (view: ViewId, runs: readonly Run[], fit: Fit, middle: Vec3): readonly LeadLine[] =>
  runs.flatMap((run): LeadLine[] => {
    const { link, part, cable, spareMm, from, to } = run
    const { points, ends, offTo, ...hang } = drawnLead(run)
    const last = points.at(-1)
    if (!last) return []
    const line = {
      cable: link.cable,
      name: part.name,
      d: bentPath(hungPoints({ points, spareMm: hang.spareMm }).map((p) => onSheet(fit, flat(view, p)))),
      width: Math.max(LEAST_PX, cable.thickMm * fit.scale),
      behind: points.reduce((sum, p) => sum + nearness(view, p), 0) / points.length < nearness(view, middle),
      power: cable.carries.includes('power'),
      amiss: spareMm < 0 || !from.fits || !to.fits,
      plugs: ends.map((end) => plugOn(view, end, fit)),
    }
    return [offTo === undefined ? line : { ...line, away: { at: onSheet(fit, flat(view, last)), to: offTo } }]
  })
