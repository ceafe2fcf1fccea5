import { type FactName, FactFailure, momentOf, pickedFrom } from '../facts/index.ts'
import type { Assessment } from './evaluate.ts'

/** What a figure hangs on, as it was noted when it was worked out. */
export interface AskedFact {
  readonly name: FactName
  /** The figures it was made from, in the order in which they were read. */
  readonly from: readonly FactName[]
  /** What it read of the set-up and of what surrounds it: `setup.links`, `brief.budgetMinor`, `context.prices`. */
  readonly read: readonly string[]
  /** Why it could not be worked out. */
  readonly failed: string | undefined
}

const FACT = 'fact '

/**
 * What a figure of a set-up hangs on. It is not written down anywhere: the engine noted it while the figure was made.
 * @example the tilt hangs on `hangs`, and that on `mass` and the pieces
 */
export const askedFact = ({ strict }: Assessment, name: FactName): AskedFact => {
  let failed: string | undefined
  try {
    void strict[name]
  } catch (error) {
    if (!(error instanceof FactFailure)) throw error
    failed = error.message
  }
  const { evaluator } = momentOf(strict)
  const { leaves, queries } = evaluator.readsOf(`fact ${name}`)
  const from = queries.map((query) => query.slice(FACT.length) as FactName)
  const read = [...new Set(leaves.map(pickedFrom))].sort((a, b) => (a < b ? -1 : 1))
  return { name, from, read, failed }
}
