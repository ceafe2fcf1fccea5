import type { Part } from '../../catalogue/index.ts'
import type { Point2 } from '../../kernel/index.ts'
import { disc, type Form, type Hole, type Ink, rows, windowsIn } from '../form.ts'
import { type BoxSolid, type Figure, isBox, mountsOn } from './read.ts'

/** A rail stands out of its plate by no more than this. mm */
const RAIL_MM = 5
const THICK_MM = 12

/** Small holes run along a bar: how far apart, how wide, and what stays of the bar beside them. mm */
const ROW = { pitch: 13, radius: 1.4, beside: 1.5 } as const
/** So near to a mount there is none. mm */
const OFF_MOUNT_MM = 8

/** A row of small holes along a bar that has no window, as far as no mount is there. */
const holeRow = (wide: number, high: number, mounts: readonly Point2[], windows: readonly Hole[]): readonly Ink[] => {
  const level = wide >= high
  const [long, across] = level ? [wide, high] : [high, wide]
  if (windows.length > 0 || across < 2 * (ROW.radius + ROW.beside) || long < 3 * ROW.pitch) return []
  const count = Math.floor((long - ROW.pitch) / ROW.pitch)
  return Array.from({ length: count + 1 }, (_, i): Point2 => {
    const along = (i - count / 2) * ROW.pitch
    return level ? [along, 0] : [0, along]
  })
    .filter(([u, v]) => mounts.every((at) => Math.hypot(at[0] - u, at[1] - v) > OFF_MOUNT_MM))
    .map((at): Ink => ({ look: 'line', outline: disc(ROW.radius, at, 14) }))
}

/** A bar of a cage: windows in its broad faces between the mounts, small holes where it is thin. */
const frame = (part: Part, box: BoxSolid): Form => {
  const [wide, high, deep] = box.size
  const face = (u: number, v: number, thick: number, axis: 'x' | 'y' | 'z') => {
    const mounts = mountsOn(part, box, axis)
    const holes = thick <= THICK_MM ? windowsIn(u, v, mounts) : []
    return { holes, on: part.role === 'cage' ? holeRow(u, v, mounts, holes) : [] }
  }
  return {
    x: { ...face(deep, high, wide, 'x'), roundMm: 3 },
    y: { ...face(wide, deep, high, 'y'), roundMm: 4 },
    z: { ...face(wide, high, deep, 'z'), roundMm: 3 },
  }
}

const rail = ({ size: [wide, high, deep] }: BoxSolid): Form => ({
  x: {
    on: [
      {
        look: 'line',
        lines: wide < RAIL_MM ? rows(2, [-deep / 2 + 1, deep / 2 - 1], [-high / 2 + 2, high / 2 - 2]) : [],
      },
    ],
  },
  y: { on: [{ look: 'line', lines: rows(1, [-wide / 2, wide / 2], [0, 0]) }] },
})

/** A cage, a cage part, a top plate: bars with true windows. */
export const cageFigure = (part: Part): Figure =>
  part.solids.map((solid) =>
    isBox(solid) ? (Math.min(...solid.size) < RAIL_MM ? rail(solid) : frame(part, solid)) : undefined,
  )
