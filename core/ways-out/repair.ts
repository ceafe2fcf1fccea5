import type { Finding } from '../checks/index.ts'
import { bothOf, kindOf, type Remedy, troubleOf } from '../checks/index.ts'
import { accept, type Judged, type Known } from './accept.ts'
import { takesAway } from './search.ts'

/** What can be put right at one go. */
export interface Repair {
  readonly remedy: Remedy
  readonly cured: readonly Finding[]
  /** Its moves one by one, in the order in which they are done. */
  readonly steps: readonly Remedy[]
  /** The set-up as it would be. */
  readonly after: Judged
}

/**
 * Ways out judged together: one after the other is added as long as everything cured before stays cured, and no stop and
 * no risk is new in any set-up. What takes something off is never among them.
 * @param ways of each finding the ways out that hold by themselves, the best first
 * @param affords does the set-up as it would be cost no more than there is?
 * @returns undefined where fewer than two go together: then their own buttons do
 */
export const repairAll = (
  known: Known,
  setup: string,
  ways: readonly (readonly [Finding, readonly Remedy[]])[],
  affords: (after: Judged) => boolean = () => true,
): Repair | undefined => {
  let done: Repair | undefined
  for (const [finding, remedies] of ways) {
    if (finding.level === 'hint') continue
    if (done && !done.after.findings.some((one) => troubleOf(one) === troubleOf(finding))) {
      // What was done for another has cured it as well.
      done = { ...done, cured: [...done.cured, finding] }
      continue
    }
    for (const remedy of remedies) {
      if (takesAway(kindOf(remedy))) continue
      const both: Remedy = done ? bothOf(done.remedy, remedy) : remedy
      const { as, after } = accept(known, setup, finding, both)
      const stays = (one: Finding) => !after?.findings.some((left) => troubleOf(left) === troubleOf(one))
      if (as !== 'plain' || !after || !affords(after) || !(done?.cured ?? []).every(stays)) continue
      done = { remedy: both, cured: [...(done?.cured ?? []), finding], steps: [...(done?.steps ?? []), remedy], after }
      break
    }
  }
  return done && done.steps.length > 1 ? done : undefined
}
