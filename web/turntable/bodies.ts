import type { PlacedPart, PlacedSolid } from '@zucchini/core/assembly'
import { type Face, figureOf, type Form, type Own, ownOf, rounded } from '@zucchini/core/drawing'
import type { Point2 } from '@zucchini/core/kernel'
import {
  BoxGeometry,
  type BufferGeometry,
  CylinderGeometry,
  ExtrudeGeometry,
  LatheGeometry,
  Matrix4,
  Path,
  Shape,
  Vector2,
  Vector3,
} from 'three'

const ROUND = 40
const CURVE = 6
/** Corners of a body that says nothing of them are this round; less than this is sharp. mm */
const LEAST_ROUND_MM = 0.6

export type AxisName = 'x' | 'y' | 'z'
/** Places on a face along x are (z, y), along y (x, z), along z (x, y); and the third axis is the one looked along. */
export const spans = { x: [2, 1, 0], y: [0, 2, 1], z: [0, 1, 2] } as const

const pathThrough = <P extends Path>(path: P, points: readonly Point2[]): P =>
  path.setFromPoints(points.map(([u, v]) => new Vector2(u, v))) as P

const rect = (u: number, v: number): readonly Point2[] => [
  [-u, -v],
  [u, -v],
  [u, v],
  [-u, v],
]

/** Carries what was made along a face's u, v and third axis to where the solid is. */
const carried = (geometry: BufferGeometry, { centre, axes }: Own, name: AxisName): BufferGeometry => {
  const [u, v, w] = spans[name]
  const at = (k: 0 | 1 | 2) => new Vector3(...axes[k])
  const third = at(w)
  const basis = new Matrix4().makeBasis(at(u), at(v), third)
  // Two of the three faces are seen in a mirror: the third axis is turned, or the body would be inside out.
  if (basis.determinant() < 0) basis.makeBasis(at(u), at(v), third.negate())
  return geometry.applyMatrix4(basis.setPosition(new Vector3(...centre)))
}

/** A body of one outline, with true windows, as thick as its solid. */
const extruded = (own: Own, name: AxisName, face: Face | undefined, usualMm: number): BufferGeometry => {
  const [u, v, w] = spans[name]
  const outline = rounded(face?.outline ?? rect(own.half[u], own.half[v]), face?.roundMm ?? usualMm)
  const shape = pathThrough(new Shape(), outline)
  for (const hole of face?.holes ?? [])
    shape.holes.push(pathThrough(new Path(), rounded(hole.outline, hole.roundMm ?? 0)))
  const deep = 2 * own.half[w]
  const geometry = new ExtrudeGeometry(shape, { depth: deep, bevelEnabled: false, curveSegments: CURVE })
  return carried(geometry.translate(0, 0, -deep / 2), own, name)
}

/** A body turned about its axis: its outline's right half goes round; a ring is open in its middle. */
const turned = (own: Own, { y, z }: Form): BufferGeometry => {
  const [r, half] = own.half
  const bore = y?.holes?.[0]?.outline.reduce((most, [a, b]) => Math.max(most, Math.hypot(a, b)), 0) ?? 0
  const side = z?.outline
    ? [...z.outline].filter(([u]) => u >= 0).sort((a, b) => a[1] - b[1])
    : ([
        [r, -half],
        [r, half],
      ] as const)
  const profile = [
    [bore, -half] as const,
    ...side,
    [bore, half] as const,
    ...(bore > 0 ? [[bore, -half] as const] : []),
  ]
  const lathe = new LatheGeometry(
    profile.map(([u, v]) => new Vector2(u, v)),
    ROUND,
  )
  const [x, yAxis, zAxis] = own.axes.map((axis) => new Vector3(...axis)) as [Vector3, Vector3, Vector3]
  return lathe.applyMatrix4(new Matrix4().makeBasis(x, yAxis, zAxis).setPosition(new Vector3(...own.centre)))
}

/** The face whose outline makes the body: one with windows, else one with an outline of its own, else the broadest. */
const mainFace = (own: Own, form: Form): AxisName => {
  const names = ['x', 'z', 'y'] as const
  const area = (name: AxisName) => own.half[spans[name][0]] * own.half[spans[name][1]]
  const broadest = names.reduce((best, name) => (area(name) > area(best) ? name : best), 'x' as AxisName)
  return names.find((name) => form[name]?.holes?.length) ?? names.find((name) => form[name]?.outline) ?? broadest
}

/**
 * One solid of a piece as a body in space, mm, from the same form as the elevations: frames with their windows, turned
 * barrels, hollow rings. What has no form is its solid.
 */
export const bodyOf = (piece: PlacedPart, { solid, shape }: PlacedSolid, index: number): BufferGeometry => {
  const form = figureOf(piece.part)[index] ?? {}
  const own = ownOf(piece, shape)
  if (shape.kind === 'cylinder') {
    if (form.fur) return turned(own, { z: { outline: capsule(own.half[0], own.half[1]) } })
    if (form.z?.outline || form.y?.holes?.length) return turned(own, form)
    const bar = new CylinderGeometry(own.half[0], own.half[0], 2 * own.half[1], ROUND)
    const [x, y, z] = own.axes.map((axis) => new Vector3(...axis)) as [Vector3, Vector3, Vector3]
    return bar.applyMatrix4(new Matrix4().makeBasis(x, y, z).setPosition(new Vector3(...own.centre)))
  }
  const usual = solid.roundMm ?? 1
  const name = mainFace(own, form)
  const least = Math.min(...own.half)
  if (!form[name] && Math.min(usual, least) < LEAST_ROUND_MM)
    return carried(new BoxGeometry(...boxOf(own, 'z')), own, 'z')
  return extruded(own, name, form[name], usual)
}

const boxOf = ({ half }: Own, name: AxisName): [number, number, number] => {
  const [u, v, w] = spans[name]
  return [2 * half[u], 2 * half[v], 2 * half[w]]
}

const CAP_STEPS = 8
/** The right half of a capsule's outline, from one end to the other. */
const capsule = (radius: number, half: number): readonly Point2[] => {
  const straight = Math.max(0, half - radius)
  const cap = Array.from({ length: CAP_STEPS + 1 }, (_, i) => (i / CAP_STEPS) * (Math.PI / 2))
  return [
    ...cap.map((a): Point2 => [radius * Math.sin(a), -straight - radius * Math.cos(a)]),
    ...cap.map((a): Point2 => [radius * Math.cos(a), straight + radius * Math.sin(a)]),
  ]
}
