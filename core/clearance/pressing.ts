import type { PlacedPart } from '../assembly/index.ts'
import { type Bounds, CLASH_MM, overlap, penetration, type Placed } from '../kernel/index.ts'

/**
 * How deep a shape reaches into the hard solids of a piece, mm; 0 when it stays clear. Soft solids give way.
 * @param known a depth found elsewhere: what is not deeper need not be measured out, and the greater of both comes back
 */
export const depthIn = (shape: Placed, bounds: Bounds, piece: PlacedPart, known = 0): number => {
  let deepest = known
  if (!overlap(bounds, piece.bounds, CLASH_MM)) return deepest
  for (const { solid, shape: other, bounds: own } of piece.solids) {
    if (solid.matter === 'soft' || !overlap(bounds, own, CLASH_MM)) continue
    const depth = penetration(shape, other, Math.max(CLASH_MM, deepest))
    if (depth > CLASH_MM && depth > deepest) deepest = depth
  }
  return deepest
}

/** Does a shape press into the hard solids of a piece at all? How deep is not measured out. */
export const pressesInto = (shape: Placed, bounds: Bounds, piece: PlacedPart): boolean => {
  if (!overlap(bounds, piece.bounds, CLASH_MM)) return false
  for (const { solid, shape: other, bounds: own } of piece.solids)
    if (
      solid.matter !== 'soft' &&
      overlap(bounds, own, CLASH_MM) &&
      penetration(shape, other, CLASH_MM, CLASH_MM) > CLASH_MM
    )
      return true
  return false
}
