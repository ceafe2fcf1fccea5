import { averageOperator, type Operator } from '../balance/index.ts'
import { catalogueOf, type Part } from '../catalogue/index.ts'
import type { Limits, Context } from '../context/index.ts'
import { isOwned, type LockerPiece, measuredMasses } from '../locker/index.ts'
import { type FieldEntry, type Learnt, learntOf, lessonsOf } from '../log/index.ts'
import { asKnown, type BillRules, type PriceView, type Rate } from '../money/index.ts'

/** Where what surrounds a rig comes from: parts as their makers state them, pieces of the locker, prices seen. */
export interface ContextSources {
  readonly parts: readonly Part[]
  /** Parts that were taken out and stay known to the rigs that use them. */
  readonly gone: readonly Part[]
  readonly pieces: readonly LockerPiece[]
  readonly prices: readonly PriceView[]
  readonly rules?: BillRules
  readonly home?: string
  readonly rates?: readonly Rate[]
  readonly operator?: Operator
  /** Is the operator's strength a known one, and no average? */
  readonly calibrated?: boolean
  readonly limits?: Limits
  /** What was told from the field; what it teaches is reckoned with. */
  readonly field?: readonly FieldEntry[]
}

/** The arm that is reckoned with: one that was set, else the one the field has shown, else an average adult's. */
export const armOf = (operator: Operator | undefined, calibrated: boolean, learnt: Learnt): Operator | undefined =>
  calibrated || !learnt.strengthNm
    ? operator
    : { ...(operator ?? averageOperator), strengthNm: learnt.strengthNm.value }

/** What the field taught of the parts' draws, W. */
export const drawsIn = ({ draws }: Learnt): ReadonlyMap<string, number> =>
  new Map([...draws].map(([id, { value }]) => [id, value]))

/** How many pieces of each part are owned: kept, or lent and coming back. */
export const ownedOf = (pieces: readonly LockerPiece[]): ReadonlyMap<string, number> => {
  const counts = new Map<string, number>()
  for (const piece of pieces) if (isOwned(piece)) counts.set(piece.partId, (counts.get(piece.partId) ?? 0) + 1)
  return counts
}

/** On which day each part was weighed last. */
export const weighedOn = (pieces: readonly LockerPiece[]): ReadonlyMap<string, string> => {
  const days = new Map<string, string>()
  for (const { partId, measuredG, measuredOn } of pieces)
    if (measuredG !== null && measuredOn !== null && measuredOn > (days.get(partId) ?? '')) days.set(partId, measuredOn)
  return days
}

/** What surrounds every rig, with what was weighed and what was seen in shops in place of what the makers state. */
export const contextOf = ({
  parts,
  gone,
  pieces,
  prices,
  rules,
  home,
  rates,
  operator,
  calibrated = false,
  limits,
  field = [],
}: ContextSources): Context => {
  const seen = new Map(prices.map((view) => [view.partId, view]))
  const measured = measuredMasses(pieces)
  const learnt = learntOf(lessonsOf(field))
  const draws = drawsIn(learnt)
  const arm = armOf(operator, calibrated, learnt)
  return {
    catalogue: catalogueOf(asKnown(parts, seen, measured, draws), asKnown(gone, seen, measured, draws)),
    owned: ownedOf(pieces),
    prices: seen,
    weighed: weighedOn(pieces),
    ...(rules ? { rules } : {}),
    ...(home ? { home } : {}),
    ...(rates ? { rates } : {}),
    ...(arm ? { operator: arm } : {}),
    ...(limits ? { limits } : {}),
    ...(field.length > 0 ? { learnt } : {}),
  }
}
