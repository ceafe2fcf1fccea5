import { type Assembly, near, type PlacedPart } from '../assembly/index.ts'
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

/** Does a piece press into any other? */
export const clashesAny = (piece: PlacedPart, { placed }: Pick<Assembly, 'placed'>): boolean =>
  near(placed, piece.bounds, CLASH_MM).some(
    (other) => other !== piece && (measured(piece, other).depthMm > 0 || measured(other, piece).depthMm > 0),
  )

/** Every pair of pieces that press into each other by more than the tolerance, deepest first. */
export const clashesOf = (assembly: Assembly): readonly Clash[] => {
  const { placed } = assembly
  const found: Clash[] = []
  placed.forEach((piece, i) => {
    for (const other of near(placed, piece.bounds, CLASH_MM, i + 1)) {
      const clash = measured(piece, other)
      if (clash.depthMm > 0) found.push(clash)
    }
  })
  // Of two that are as deep, the one found first stays first.
  return found.sort((p, q) => q.depthMm - p.depthMm)
}
