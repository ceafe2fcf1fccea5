import type { Assembly, PlacedPart } from '@zucchini/core/assembly'
import { add, type Point2, point, scale, type Vec3 } from '@zucchini/core/kernel'
import { type Clean, diagonalMm, type Front, type Sensor } from '@zucchini/core/optics'
import { type Extent, type Fit, fitTo, flat, onSheet, type Stroke, strokesOf } from '@zucchini/core/drawing'

/** A rim of an opening on the sheet: from the edge of its clear width outwards. */
export interface Rim {
  readonly id: string
  readonly name: string
  readonly clips: boolean
  /** Upper and lower edge of what is clear. */
  readonly upper: Point2
  readonly lower: Point2
  readonly depthMm: number
}

export interface FrontDrawing {
  readonly strokes: readonly Stroke[]
  readonly fit: Fit
  readonly axis: readonly [Point2, Point2]
  /** The entrance pupil, from its lower to its upper rim. */
  readonly pupil: readonly [Point2, Point2]
  /** The outermost rays to two opposite corners: from the rims of the pupil forwards. */
  readonly rays: readonly (readonly [Point2, Point2])[]
  readonly rims: readonly Rim[]
  readonly clean: boolean
}

const frontRoles: ReadonlySet<string> = new Set([
  'lens',
  'lens-adapter',
  'lens-support',
  'matte-box',
  'filter',
  'step-ring',
  'hood',
  'follow-focus',
  'gear-ring',
])
/** The rays are drawn on this far beyond the last opening. mm */
const BEYOND_MM = 26

const extentOf = (pieces: readonly PlacedPart[], more: readonly Point2[]): Extent => {
  const points = [...pieces.flatMap(({ bounds: { min, max } }) => [flat('side', min), flat('side', max)]), ...more]
  return {
    left: Math.min(...points.map((p) => p[0])),
    right: Math.max(...points.map((p) => p[0])),
    bottom: Math.min(...points.map((p) => p[1])),
    top: Math.max(...points.map((p) => p[1])),
  }
}

/** The front of the rig from the side, to scale, with the widest light that has to pass it at the lens's short end. */
export const frontDrawing = (
  assembly: Assembly,
  front: Front,
  picture: Sensor,
  clean: Clean,
  size: { readonly width: number; readonly height: number },
): FrontDrawing => {
  const { lens, glass, openings } = front
  const pieces = assembly.placed.filter((piece) => frontRoles.has(piece.part.role))
  const forward = scale(lens.frame.z, -1)
  const pupilAt = point(lens.frame, [0, 0, -glass.pupilMm])
  const up: Vec3 = [0, 1, 0]
  const radius = glass.focalMinMm / (2 * glass.stop)
  const slope = diagonalMm(picture) / 2 / glass.focalMinMm
  const lastMm = Math.max(0, ...openings.map(({ depthMm }) => depthMm)) + BEYOND_MM
  const at = (depthMm: number, high: number): Point2 =>
    flat('side', add(add(pupilAt, scale(forward, depthMm)), scale(up, high)))
  const ends = [1, -1].map((side) => at(lastMm, side * (radius + lastMm * slope)))
  const fit = fitTo(extentOf(pieces, ends), size.width, size.height, {
    left: 20,
    right: 26,
    top: 26 + 14 * openings.length,
    bottom: 26,
  })
  const sheet = (p: Point2): Point2 => onSheet(fit, p)
  const clips = new Set(clean.by.map(({ piece }) => piece.instance.id))
  return {
    // The rays are what is read here: figures engraved in the barrel would lie under them.
    strokes: strokesOf('side', { ...assembly, placed: pieces }, fit).map(({ said: _, ...stroke }) => stroke),
    fit,
    axis: [sheet(at(-glass.pupilMm - 12, 0)), sheet(at(lastMm, 0))],
    pupil: [sheet(at(0, -radius)), sheet(at(0, radius))],
    rays: [1, -1].map(
      (side) => [sheet(at(0, side * radius)), sheet(at(lastMm, side * (radius + lastMm * slope)))] as const,
    ),
    rims: openings.map(({ piece, opening, depthMm, aboveMm }) => {
      const half =
        opening.clearMm !== undefined ? opening.clearMm / 2 : Math.hypot(opening.wideMm ?? 0, opening.tallMm ?? 0) / 2
      return {
        id: piece.instance.id,
        name: piece.part.name,
        clips: clips.has(piece.instance.id),
        upper: sheet(at(depthMm, aboveMm + half)),
        lower: sheet(at(depthMm, aboveMm - half)),
        depthMm,
      }
    }),
    clean: clean.by.length === 0,
  }
}
