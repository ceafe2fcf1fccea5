import type { Part } from '../../catalogue/index.ts'
import { type Form, rows, windowsIn } from '../form.ts'
import { type BoxSolid, type Figure, isBox, mountsOn } from './read.ts'

/** A rail stands out of its plate by no more than this. mm */
const RAIL_MM = 5
const THICK_MM = 12

/** A bar of a cage: windows in its broad faces between the mounts, none where it is thin. */
const frame = (part: Part, box: BoxSolid): Form => {
  const [wide, high, deep] = box.size
  const windows = (u: number, v: number, thick: number, axis: 'x' | 'y' | 'z') =>
    thick <= THICK_MM ? windowsIn(u, v, mountsOn(part, box, axis)) : []
  return {
    x: { holes: windows(deep, high, wide, 'x'), roundMm: 3 },
    y: { holes: windows(wide, deep, high, 'y'), roundMm: 4 },
    z: { holes: windows(wide, high, deep, 'z'), roundMm: 3 },
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
