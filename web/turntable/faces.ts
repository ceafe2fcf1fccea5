import type { PlacedPart, PlacedSolid } from '@zucchini/core/assembly'
import { type Face, figureOf, type Ink, type Own, ownOf, rounded } from '@zucchini/core/drawing'
import type { Point2 } from '@zucchini/core/kernel'
import { BufferGeometry, Shape, ShapeGeometry, Vector2, Vector3 } from 'three'
import { type AxisName, spans } from './bodies.ts'

/** So far off its face a thing lies, and each next one over it, that neither flickers in the other. mm */
const OFF_MM = 0.18
const OVER_MM = 0.06

/** What lies on the faces of a solid: filled shapes, each of one look, and lines as pairs of points. */
export interface OnFaces {
  readonly shapes: readonly { readonly geometry: BufferGeometry; readonly look: string }[]
  readonly lines: readonly Vector3[]
}

/** Looks that have no fill, and those that only say how light falls. */
const unfilled: ReadonlySet<string> = new Set(['line', 'texture', ''])

type Place = (at: Point2) => Vector3

/** Places on one face of a solid, a little off it. */
const placeOn =
  ({ centre, axes, half }: Own, name: AxisName, side: 1 | -1, layer: number): Place =>
  ([a, b]) => {
    const [u, v, w] = spans[name]
    const off = side * (half[w] + OFF_MM + layer * OVER_MM)
    return new Vector3(...centre)
      .addScaledVector(new Vector3(...axes[u]), a)
      .addScaledVector(new Vector3(...axes[v]), b)
      .addScaledVector(new Vector3(...axes[w]), off)
  }

/** A closed shape on a face, its front to the outside. */
const filled = (outline: readonly Point2[], place: Place, out: Vector3): BufferGeometry => {
  const flat = new ShapeGeometry(new Shape().setFromPoints(outline.map(([a, b]) => new Vector2(a, b))) as Shape)
  const plain = flat.index ? flat.toNonIndexed() : flat
  const at = plain.getAttribute('position')
  const points = Array.from({ length: at.count }, (_, i) => place([at.getX(i), at.getY(i)]))
  const [a, b, c] = points
  if (!a || !b || !c) return new BufferGeometry()
  const faces = b.clone().sub(a).cross(c.clone().sub(a)).dot(out) > 0
  const turned = faces ? points : points.map((_, i) => points[i - (i % 3) + 2 - (i % 3)] ?? a)
  const geometry = new BufferGeometry().setFromPoints(turned)
  geometry.computeVertexNormals()
  return geometry
}

const closedLine = (points: readonly Vector3[]): readonly Vector3[] =>
  points.flatMap((one, i) => [one, points[(i + 1) % points.length] ?? one])
const openLine = (points: readonly Vector3[]): readonly Vector3[] =>
  points.slice(1).flatMap((one, i) => [points[i] ?? one, one])

const inksOn = (face: Face, side: 1 | -1): readonly Ink[] => [
  ...(face.on ?? []),
  ...((side > 0 ? face.plus : face.minus) ?? []),
]

/**
 * What the form of a solid draws on its faces, for the eye in space: on all six faces of a box, on both ends of a round
 * bar. Glints and engraved figures stay with the elevations.
 */
export const onFacesOf = (piece: PlacedPart, { shape }: PlacedSolid, index: number): OnFaces => {
  const form = figureOf(piece.part)[index]
  if (!form) return { shapes: [], lines: [] }
  const own = ownOf(piece, shape)
  const names: readonly AxisName[] = shape.kind === 'cylinder' ? ['y'] : ['x', 'y', 'z']
  const shapes: { geometry: BufferGeometry; look: string }[] = []
  const lines: Vector3[] = []
  for (const name of names)
    for (const side of [1, -1] as const) {
      const face = form[name]
      if (!face) continue
      const out = new Vector3(...own.axes[spans[name][2]]).multiplyScalar(side)
      inksOn(face, side).forEach(({ look, outline, roundMm = 0, lines: strokes = [] }, layer) => {
        if (look === 'sheen' || look === 'texture') return
        const place = placeOn(own, name, side, layer)
        if (outline && outline.length > 2) {
          const edge = rounded(outline, roundMm)
          if (!unfilled.has(look)) shapes.push({ geometry: filled(edge, place, out), look })
          lines.push(...closedLine(edge.map(place)))
        }
        for (const stroke of strokes) lines.push(...openLine(stroke.map(place)))
      })
    }
  return { shapes, lines }
}
