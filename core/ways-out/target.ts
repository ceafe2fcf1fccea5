import { flatMap } from '../kernel/index.ts'
import type { PlacedPart } from '../assembly/index.ts'
import { bothOf, dispensable, kindOf, type Remedy } from '../checks/index.ts'
import { inHand } from '../balance/index.ts'
import { rivalsOf, swappedFor, takenOff } from '../remedies/index.ts'
import type { Facts } from '../facts/index.ts'
import { accept, type Judged, type Known } from './accept.ts'
import { takesAway } from './search.ts'

/** One step towards a target, with what all steps up to it have brought. */
export interface TargetStep {
  readonly remedy: Remedy
  /** What this step takes off the figure, and what all so far do; in the figure's own unit. */
  readonly gains: number
  readonly sum: number
}

export interface TargetFound {
  readonly steps: readonly TargetStep[]
  /** All of them as one edit; undefined where nothing helps. */
  readonly remedy: Remedy | undefined
  readonly isReached: boolean
  readonly after: Judged | undefined
}

/** So many rivals of a piece, and so many steps, are looked at. */
const MOST = { rivals: 3, pieces: 16, steps: 8 } as const

/** What might help: every seated piece for one of its role that does the same, and what nothing would be missed of. */
const proposals = function* (facts: Facts, lighter: (piece: PlacedPart) => number): Generator<Remedy> {
  const seated = facts.assembly.placed
    .filter((piece) => piece.joint)
    .toSorted((a, b) => lighter(b) - lighter(a))
    .slice(0, MOST.pieces)
  for (const piece of seated) {
    const rivals = rivalsOf(facts, piece)
      .filter((part) => lighter({ ...piece, part }) < lighter(piece))
      .toSorted((a, b) => lighter({ ...piece, part: a }) - lighter({ ...piece, part: b }))
    for (const part of rivals.slice(0, MOST.rivals)) {
      const remedy = swappedFor(facts, piece, part)
      if (remedy) yield remedy
    }
  }
  for (const piece of dispensable(facts)) if (inHand(piece)) yield takenOff(facts, piece)
}

/**
 * Swaps and removals that bring a figure down by so much, with the running sum: those that bring most by the fewest
 * moves first, swaps before removals where they bring as much. Each step is judged together with all before it: no stop
 * and no risk is new in any set-up, and nothing that the brief asks for is lost.
 * @param figure what is brought down, of a set-up as it would be
 * @param estimate what a piece has of it by itself: where to look first
 * @param by how much less is wanted, in the figure's unit
 */
export const reachTarget = (
  known: Known,
  setup: string,
  figure: (facts: Facts) => number,
  estimate: (piece: PlacedPart) => number,
  by: number,
): TargetFound => {
  const before = known.factsOf(setup)
  const start = figure(before)
  const tried = flatMap([...proposals(before, estimate)], (remedy) => {
    const { as, after, gained } = accept(known, setup, undefined, remedy)
    const gains = after ? start - figure(after.facts) : 0
    return as === 'plain' && after && gained.length === 0 && gains > 0 ? [{ remedy, gains }] : []
  })
  const ordered = tried.toSorted(
    (a, b) => b.gains - a.gains || Number(takesAway(kindOf(a.remedy))) - Number(takesAway(kindOf(b.remedy))),
  )
  const steps: TargetStep[] = []
  let whole: Remedy | undefined
  let after: Judged | undefined
  let sum = 0
  for (const { remedy } of ordered) {
    if (sum >= by || steps.length >= MOST.steps) break
    const both = whole ? bothOf(whole, remedy) : remedy
    const verdict = accept(known, setup, undefined, both)
    const now = verdict.after ? start - figure(verdict.after.facts) : 0
    if (verdict.as !== 'plain' || !verdict.after || now <= sum) continue
    steps.push({ remedy, gains: now - sum, sum: now })
    ;[whole, after, sum] = [both, verdict.after, now]
  }
  return { steps, remedy: whole, isReached: sum >= by, after }
}
