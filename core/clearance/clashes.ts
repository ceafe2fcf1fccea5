import { type Assembly, type Change, near, type PlacedPart } from '../assembly/index.ts'
import { CLASH_MM, flatMap, overlap, perPair } from '../kernel/index.ts'
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

/** What a piece presses into and what presses into it; each pair is measured from the one that comes first. */
const clashesAt = (piece: PlacedPart, placed: Assembly['placed']): readonly Clash[] => {
  const at = placed.indexOf(piece)
  return flatMap(near(placed, piece.bounds, CLASH_MM), (other): Clash[] => {
    if (other === piece) return []
    const clash = placed.indexOf(other) < at ? measured(other, piece) : measured(piece, other)
    return clash.depthMm > 0 ? [clash] : []
  })
}

/** Does a piece press into any other, or they into it? A piece that is not there does not. */
export const clashesAny = (piece: PlacedPart, { placed }: Pick<Assembly, 'placed'>): boolean =>
  placed.includes(piece) && clashesAt(piece, placed).length > 0

/** The deepest first; of those that are as deep, in the order of their pieces. */
const deepestFirst =
  (placed: Assembly['placed']) =>
  (p: Clash, q: Clash): number =>
    q.depthMm - p.depthMm || placed.indexOf(p.a) - placed.indexOf(q.a) || placed.indexOf(p.b) - placed.indexOf(q.b)

/** Every pair of pieces that press into each other by more than the tolerance, deepest first. */
export const clashesOf = ({ placed }: Pick<Assembly, 'placed'>): readonly Clash[] => {
  const found: Clash[] = []
  placed.forEach((piece, i) => {
    for (const other of near(placed, piece.bounds, CLASH_MM, i + 1)) {
      const clash = measured(piece, other)
      if (clash.depthMm > 0) found.push(clash)
    }
  })
  return found.sort(deepestFirst(placed))
}

/** The same, made of what it was before some pieces came and went. */
export const clashesAfter = (
  was: readonly Clash[],
  { came, went }: Change,
  { placed }: Pick<Assembly, 'placed'>,
): readonly Clash[] => {
  const found = was.filter(({ a, b }) => !went.includes(a) && !went.includes(b))
  // Of two that both came, the second finds the first.
  for (const piece of came)
    for (const clash of clashesAt(piece, placed)) if (clash.b === piece || !came.includes(clash.b)) found.push(clash)
  return found.sort(deepestFirst(placed))
}
