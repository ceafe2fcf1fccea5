import { type Assembly, type PlacedPart } from '../assembly/index.ts'
import { CLASH_MM, overlap, perPair } from '../kernel/index.ts'
import { depthIn } from './pressing.ts'

/** Two pieces that want the same space. */
export interface Clash {
  readonly a: PlacedPart
  readonly b: PlacedPart
  readonly depthMm: number
}

const measured = perPair('clash', (a: PlacedPart, b: PlacedPart): Clash => ({
  a,
  b,
  depthMm: a.solids.reduce(
    (deepest, { solid, shape, bounds }) => (solid.matter === 'soft' ? deepest : depthIn(shape, bounds, b, deepest)),
    0,
  ),
}))

/**
 * How deep two placed pieces press into each other, mm; 0 when they are clear of each other or only soft parts touch.
 */
export const clashDepth = (a: PlacedPart, b: PlacedPart): number =>
  overlap(a.bounds, b.bounds, CLASH_MM) ? measured(a, b).depthMm : 0

/** Does a piece run into any of the others? The sum of its depths, mm. */
export const clashWith = (piece: PlacedPart, others: readonly PlacedPart[]): number =>
  others.reduce((sum, other) => sum + (other === piece ? 0 : clashDepth(other, piece)), 0)

/** Every pair of pieces that press into each other by more than the tolerance, deepest first. */
export const clashesOf = (assembly: Assembly): readonly Clash[] => {
  const found: { readonly clash: Clash; readonly order: number }[] = []
  const { placed } = assembly
  // From left to right, so that a piece is held only against those that begin before it ends.
  const inRow = placed.map((piece, at) => ({ piece, at })).sort((p, q) => p.piece.bounds.min[0] - q.piece.bounds.min[0])
  for (const [i, one] of inRow.entries())
    for (let j = i + 1; j < inRow.length; j++) {
      const other = inRow[j]
      if (!other || other.piece.bounds.min[0] >= one.piece.bounds.max[0]) break
      if (!overlap(one.piece.bounds, other.piece.bounds, CLASH_MM)) continue
      const [a, b] = one.at < other.at ? [one, other] : [other, one]
      const clash = measured(a.piece, b.piece)
      if (clash.depthMm > 0) found.push({ clash, order: a.at * placed.length + b.at })
    }
  return found.sort((p, q) => q.clash.depthMm - p.clash.depthMm || p.order - q.order).map(({ clash }) => clash)
}
