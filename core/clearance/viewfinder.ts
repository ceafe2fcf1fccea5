import { type Assembly, type PlacedPart, ridesOn } from '../assembly/index.ts'
import { cornersAround, add, convexHull, dot, point, scale, subtract, type Vec3, flatMap } from '../kernel/index.ts'
import { inTheWayOfLight, type Picture } from './in-shot.ts'

/** A point in the picture: -1 to 1 from its left to its right edge, and from its lower to its upper. */
export type InPicture = readonly [x: number, y: number]

/**
 * What a solid of the rig covers of the picture, seen from the entrance pupil: a convex outline that may run out of it.
 */
export interface Silhouette {
  readonly piece: PlacedPart
  readonly outline: readonly InPicture[]
}

/** An opening in front of the lens, as the picture sees it: its edge is soft, since the pupil is wide. */
export interface Edge {
  readonly piece: PlacedPart
  readonly round: boolean
  readonly middle: InPicture
  /** Half its width and height where the whole pupil sees past it, and where none of it does. */
  readonly clear: InPicture
  readonly dark: InPicture
}

export interface Viewfinder {
  readonly silhouettes: readonly Silhouette[]
  readonly edges: readonly Edge[]
}

/** Nearer to the pupil than this nothing is drawn. mm */
const NEAR_MM = 1
/** A round bar is drawn by this many corners of each end. */
const ROUND = 16

/** Does a convex outline touch the picture? By the axes of the picture and the sides of the outline. */
const touches = (outline: readonly InPicture[]): boolean => {
  if (outline.length < 3) return false
  const spans = (axis: InPicture) => {
    const along = outline.map((p) => p[0] * axis[0] + p[1] * axis[1])
    const reach = Math.abs(axis[0]) + Math.abs(axis[1])
    return Math.min(...along) < reach && Math.max(...along) > -reach
  }
  return (
    spans([1, 0]) &&
    spans([0, 1]) &&
    outline.every((p, i) => {
      const q = outline[(i + 1) % outline.length] ?? p
      return spans([q[1] - p[1], p[0] - q[0]])
    })
  )
}

/**
 * The corners of a solid before a plane just ahead of the pupil; those behind are brought onto it along the solid's own
 * edges.
 */
const ahead = (corners: readonly Vec3[]): readonly Vec3[] => {
  const before = corners.filter((p) => p[2] > NEAR_MM)
  if (before.length === corners.length || before.length === 0) return before
  const behind = corners.filter((p) => p[2] <= NEAR_MM)
  return [
    ...before,
    ...flatMap(before, (p) => behind.map((q) => add(q, scale(subtract(p, q), (NEAR_MM - q[2]) / (p[2] - q[2]))))),
  ]
}

/**
 * What the lens sees of the rig: pinhole projection from the entrance pupil, without distortion.
 * @param picture the part of the sensor that is used, mm
 * @returns undefined without a lens of known optics
 */
export const viewfinderOf = (assembly: Assembly, focalMm: number, picture: Picture): Viewfinder | undefined => {
  const lens = assembly.placed.find(({ part }) => part.optics?.kind === 'lens')
  const glass = lens?.part.optics
  if (!lens || glass?.kind !== 'lens') return undefined
  const pupil = point(lens.frame, [0, 0, -glass.pupilMm])
  const { x, y, z } = lens.frame
  const [wide, tall] = [picture.wideMm / (2 * focalMm), picture.tallMm / (2 * focalMm)]
  const seen = (p: Vec3): Vec3 => {
    const way = subtract(p, pupil)
    return [dot(way, x), dot(way, y), -dot(way, z)]
  }
  const project = ([a, b, depth]: Vec3): InPicture => [a / depth / wide, b / depth / tall]
  const silhouettes = flatMap(
    assembly.placed.filter(
      (piece) => !inTheWayOfLight(piece, lens) || (piece.part.role === 'hood' && !piece.part.opening),
    ),
    (piece) =>
      flatMap(piece.solids, ({ shape }): Silhouette[] => {
        const corners = ahead(cornersAround(shape, ROUND).map(seen))
        if (corners.length < 3) return []
        const outline = convexHull(corners.map(project))
        return touches(outline) ? [{ piece, outline }] : []
      }),
  )
  const radius = focalMm / (2 * glass.stop)
  const edges = flatMap(assembly.placed, (piece): Edge[] => {
    const { opening } = piece.part
    if (!opening || !(ridesOn(piece, lens) || inTheWayOfLight(piece, lens))) return []
    const [beside, above, depth] = seen(point(piece.frame, opening.at))
    if (depth <= NEAR_MM) return []
    const round = opening.clearMm !== undefined
    const [w, h] = round
      ? [(opening.clearMm ?? 0) / 2, (opening.clearMm ?? 0) / 2]
      : [(opening.wideMm ?? 0) / 2, (opening.tallMm ?? 0) / 2]
    const at = (by: number): InPicture => [Math.max(0, (w + by) / depth / wide), Math.max(0, (h + by) / depth / tall)]
    return [{ piece, round, middle: project([beside, above, depth]), clear: at(-radius), dark: at(radius) }]
  })
  return { silhouettes, edges }
}
