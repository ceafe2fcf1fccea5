import type { Assembly, PlacedPart } from '../assembly/index.ts'
import {
  add,
  boundsOf,
  cross,
  perThing,
  type Placed,
  type Point2,
  convexHull,
  scale,
  unit,
  type Vec3,
  flatMap,
} from '../kernel/index.ts'
import { inHand, type Mass } from './mass.ts'

/** How the rig stands when it is put down on a table. */
export interface Stand {
  /** Shortest way from under the centre of mass to the edge of what it stands on, mm; below zero it falls over. */
  readonly marginMm: number
  readonly on: readonly PlacedPart[]
}

/** Solids within this of the lowest point touch the table: rubber gives. mm */
const TOUCH_MM = 0.5

const footprint = perThing('footprint', (shape: Placed): readonly Point2[] => {
  if (shape.kind === 'box')
    return flatMap([-1, 1], (a) =>
      flatMap([-1, 1], (b) =>
        [-1, 1].map((c) =>
          add(add(add(shape.centre, scale(shape.edges[0], a)), scale(shape.edges[1], b)), scale(shape.edges[2], c)),
        ),
      ),
    )
      .filter((p) => p[1] <= boundsOf(shape).min[1] + TOUCH_MM)
      .map((p): Point2 => [p[0], p[2]])
  const axis = unit(shape.half)
  if (Math.abs(axis[1]) > 0.99) {
    const side: Vec3 = [1, 0, 0]
    const other = cross(axis, side)
    return Array.from({ length: 16 }, (_, i) => {
      const angle = (i / 16) * 2 * Math.PI
      const p = add(
        shape.centre,
        add(scale(side, shape.radius * Math.cos(angle)), scale(other, shape.radius * Math.sin(angle))),
      )
      return [p[0], p[2]] as const
    })
  }
  return [-1, 1].map((end) => add(shape.centre, scale(shape.half, end))).map((p): Point2 => [p[0], p[2]])
})

/** The lowest point of the hard solids of a piece, mm. */
const lowestOf = perThing('lowest point of a piece', ({ solids }: PlacedPart): number =>
  Math.min(...solids.filter(({ solid }) => solid.matter === 'body').map(({ bounds }) => bounds.min[1])),
)

const marginIn = (outline: readonly Point2[], p: Point2): number => {
  if (outline.length < 3) return -Math.min(...outline.map((corner) => Math.hypot(corner[0] - p[0], corner[1] - p[1])))
  return Math.min(
    ...outline.map((a, i) => {
      const b = outline[(i + 1) % outline.length] ?? a
      return ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) / Math.hypot(b[0] - a[0], b[1] - a[1])
    }),
  )
}

/** Stands the rig on its lowest solids. A rig on a line or a point has no margin. */
export const standOf = (assembly: Assembly, mass: Mass): Stand => {
  const held = assembly.placed.filter(inHand)
  const floor = Math.min(...held.map(lowestOf))
  const near = held.filter((piece) => lowestOf(piece) <= floor + TOUCH_MM)
  const touching = flatMap(near, (piece) =>
    piece.solids
      .filter(({ solid, bounds }) => solid.matter === 'body' && bounds.min[1] <= floor + TOUCH_MM)
      .map(({ shape }) => ({ piece, shape })),
  )
  const outline = convexHull(flatMap(touching, ({ shape }) => footprint(shape)))
  return {
    marginMm: marginIn(outline, [mass.centre[0], mass.centre[2]]),
    on: [...new Set(touching.map(({ piece }) => piece))],
  }
}
