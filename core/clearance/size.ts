import type { PlacedPart } from '../assembly/index.ts'
import { type Bounds, emptyBounds, isEmpty, unite } from '../kernel/index.ts'

export interface Size {
  readonly bounds: Bounds
  readonly wideMm: number
  readonly tallMm: number
  readonly longMm: number
}

/** The upright box around some pieces; no pieces give zero lengths. */
export const sizeOf = (pieces: readonly PlacedPart[]): Size => {
  const bounds = pieces.reduce((all, piece) => unite(all, piece.bounds), emptyBounds)
  const span = (i: 0 | 1 | 2): number => (isEmpty(bounds) ? 0 : bounds.max[i] - bounds.min[i])
  return { bounds, wideMm: span(0), tallMm: span(1), longMm: span(2) }
}
