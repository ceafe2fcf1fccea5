import { isStandard, type MountStandard, type Part, type Solid, standardOf } from '../../catalogue/index.ts'
import { dot, type Point2, subtract, type Vec3 } from '../../kernel/index.ts'
import type { Form } from '../form.ts'

/** The forms of a part's solids, in their order; a solid without one is drawn as it is. */
export type Figure = readonly (Form | undefined)[]

/** How a role is drawn: a form for each solid, told by its place among the others and its look. */
export type Maker = (part: Part) => Figure

export type BoxSolid = Solid & { readonly kind: 'box' }
export type BarSolid = Solid & { readonly kind: 'cylinder' }
export const isBox = (solid: Solid): solid is BoxSolid => solid.kind === 'box'
export const isBar = (solid: Solid): solid is BarSolid => solid.kind === 'cylinder'

/** Near enough to a face to lie on it. mm */
const ON_FACE_MM = 1.5

/** The axes of places on a face that is looked at along x, y or z. */
const axes = { x: [2, 1], y: [0, 2], z: [0, 1] } as const
const index = { x: 0, y: 1, z: 2 } as const

/** Where the mounts of a part lie on one face of a box of it, from the middle of the face. */
export const mountsOn = (part: Part, box: BoxSolid, axis: 'x' | 'y' | 'z'): readonly Point2[] => {
  const [u, v] = axes[axis]
  const k = index[axis]
  return part.mounts
    .filter(
      ({ at, out }) =>
        Math.abs(out[k]) > 0.9 && Math.abs(Math.abs(at[k] - box.centre[k]) - box.size[k] / 2) < ON_FACE_MM,
    )
    .map(({ at }) => subtract(at, box.centre))
    .map((off): Point2 => [off[u], off[v]])
    .filter(([a, b]) => Math.abs(a) <= box.size[u] / 2 && Math.abs(b) <= box.size[v] / 2)
}

/** The standard of a mount; undefined for one that is still being typed and names none. */
export const glyphed = (standard: string): MountStandard | undefined =>
  isStandard(standard) ? standardOf(standard) : undefined

/** Does something point more or less this way? */
export const points = (way: Vec3, to: Vec3): boolean => dot(way, to) > 0.9
