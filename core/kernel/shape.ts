import { flatMap } from './keyed.ts'
import { perThing } from './memo.ts'
import { direction, type Frame, point } from './frame.ts'
import { add, cross, dot, lengthOf, scale, subtract, unit, type Vec3, zero } from './vector.ts'

/**
 * A box: centre and full edge lengths in mm; square to its frame unless `axes` give the directions of its width and
 * height.
 */
export interface Box {
  readonly kind: 'box'
  readonly centre: Vec3
  readonly size: Vec3
  readonly axes?: readonly [Vec3, Vec3] | undefined
}

/** A round bar about the unit `axis`: centre, radius and full length in mm. With a bore, a ring: its free radius, mm. */
export interface Cylinder {
  readonly kind: 'cylinder'
  readonly centre: Vec3
  readonly axis: Vec3
  readonly radius: number
  readonly length: number
  readonly bore?: number | undefined
}

export type Shape = Box | Cylinder

/** A shape carried to another frame. A box keeps its half edges as three vectors, a cylinder its half axis. */
export type Placed =
  | { readonly kind: 'box'; readonly centre: Vec3; readonly edges: readonly [Vec3, Vec3, Vec3] }
  | {
      readonly kind: 'cylinder'
      readonly centre: Vec3
      readonly half: Vec3
      readonly radius: number
      readonly bore?: number | undefined
    }

export const volumeOf = (shape: Shape): number =>
  shape.kind === 'box'
    ? shape.size[0] * shape.size[1] * shape.size[2]
    : Math.PI * (shape.radius ** 2 - (shape.bore ?? 0) ** 2) * shape.length

/** The unit directions of a box's width, height and depth in its frame. */
const boxAxes = ({ axes }: Box): readonly [Vec3, Vec3, Vec3] =>
  axes
    ? [axes[0], axes[1], cross(axes[0], axes[1])]
    : [
        [1, 0, 0],
        [0, 1, 0],
        [0, 0, 1],
      ]

/**
 * The middle of some shapes by volume, mm; the origin when they have none. @example a cube at 0 and an equal one at 10:
 * 5
 */
export const middleOf = (shapes: readonly Shape[]): Vec3 => {
  const total = shapes.reduce((sum, shape) => sum + volumeOf(shape), 0)
  if (!(total > 0)) return zero
  return shapes.reduce<Vec3>((sum, shape) => add(sum, scale(shape.centre, volumeOf(shape) / total)), zero)
}

export const placeShape = (shape: Shape, f: Frame): Placed => {
  if (shape.kind === 'cylinder')
    return {
      kind: 'cylinder',
      centre: point(f, shape.centre),
      half: scale(direction(f, shape.axis), shape.length / 2),
      radius: shape.radius,
      ...(shape.bore === undefined ? {} : { bore: shape.bore }),
    }
  const [x, y, z] = shape.axes ? boxAxes(shape).map((axis) => direction(f, axis)) : [f.x, f.y, f.z]
  return {
    kind: 'box',
    centre: point(f, shape.centre),
    edges: [scale(x ?? f.x, shape.size[0] / 2), scale(y ?? f.y, shape.size[1] / 2), scale(z ?? f.z, shape.size[2] / 2)],
  }
}

/** The same shape carried by a rigid move of its own frame. A box that was square to the frame gets axes of its own. */
export const moveShape = <S extends Shape>(shape: S, f: Frame): S => {
  const centre = point(f, shape.centre)
  if (shape.kind === 'cylinder') return { ...shape, centre, axis: direction(f, shape.axis) }
  const [x, y] = boxAxes(shape)
  return { ...shape, centre, axes: [direction(f, x), direction(f, y)] }
}

/** How far a placed shape reaches from its centre along the unit direction `d`, in mm. */
export const reach = (shape: Placed, d: Vec3): number => {
  if (shape.kind === 'box')
    return Math.abs(dot(shape.edges[0], d)) + Math.abs(dot(shape.edges[1], d)) + Math.abs(dot(shape.edges[2], d))
  const half = lengthOf(shape.half)
  const along = half === 0 ? 0 : dot(shape.half, d) / half
  return Math.abs(dot(shape.half, d)) + shape.radius * Math.sqrt(Math.max(0, 1 - along * along))
}

/**
 * Distance in mm from a point to the skin of a shape in the shape's own frame; 0 on the skin, positive inside or
 * outside.
 */
export const distanceToSkin = (shape: Shape, p: Vec3): number => {
  const q = subtract(p, shape.centre)
  if (shape.kind === 'box') {
    const gaps = boxAxes(shape).map((axis, i) => Math.abs(dot(q, axis)) - (shape.size[i] ?? 0) / 2)
    const outside = Math.hypot(...gaps.map((gap) => Math.max(0, gap)))
    return outside > 0 ? outside : -Math.max(...gaps)
  }
  const along = dot(q, shape.axis)
  const out = lengthOf(subtract(q, scale(shape.axis, along)))
  // In a ring the wall of the bore is skin as well.
  const radial = Math.max(out - shape.radius, shape.bore === undefined ? -Infinity : shape.bore - out)
  const axial = Math.abs(along) - shape.length / 2
  const outside = Math.hypot(Math.max(0, radial), Math.max(0, axial))
  return outside > 0 ? outside : -Math.max(radial, axial)
}

/**
 * The same for a place where something is set on: over the mouth of a ring's hole as well as on the ring, since what
 * screws in or slips through has its middle there. mm
 */
export const distanceToSeat = (shape: Shape, p: Vec3): number =>
  shape.kind === 'cylinder' && shape.bore !== undefined
    ? Math.min(distanceToSkin(shape, p), distanceToSkin({ ...shape, bore: undefined }, p))
    : distanceToSkin(shape, p)

/** The corners of a placed shape; of a round bar those of a prism with so many sides in it. */
export const cornersAround = (shape: Placed, sides: number): readonly Vec3[] => {
  if (shape.kind === 'box') {
    const [a, b, c] = shape.edges
    return flatMap([-1, 1], (i) =>
      flatMap([-1, 1], (j) => [-1, 1].map((k) => add(shape.centre, add(scale(a, i), add(scale(b, j), scale(c, k)))))),
    )
  }
  const along = unit(shape.half)
  const side = unit(cross(along, Math.abs(along[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0]))
  const other = cross(along, side)
  return flatMap([-1, 1], (end) =>
    Array.from({ length: sides }, (_, i) => {
      const turn = (2 * Math.PI * i) / sides
      const rim = add(scale(side, Math.cos(turn) * shape.radius), scale(other, Math.sin(turn) * shape.radius))
      return add(shape.centre, add(scale(shape.half, end), rim))
    }),
  )
}

/** A way along a shape from its middle, and how far it goes, mm. */
export interface Axis {
  readonly axis: Vec3
  readonly half: number
}
/** The ways along a box's edges, or along a bar's axis. */
export const axesOf = perThing('axes of a shape', (shape: Placed): readonly Axis[] =>
  (shape.kind === 'box' ? shape.edges : [shape.half]).map((edge) => ({ axis: unit(edge), half: lengthOf(edge) })),
)
