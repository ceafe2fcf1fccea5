import { flatMap } from '../kernel/index.ts'
import { balanceChecks } from './balance/index.ts'
import { clearanceChecks } from './clearance/index.ts'
import { fitChecks } from './fit/index.ts'
import { glassChecks } from './glass/index.ts'
import { moneyChecks } from './money/index.ts'
import { needChecks } from './need/index.ts'
import { pictureChecks } from './picture/index.ts'
import { powerChecks } from './power/index.ts'
import { soundChecks } from './sound/index.ts'
import { type Limit, limitsOf, limitsSchemaFor } from './limits.ts'
import type { Limits } from '../context/index.ts'
import { type Check, families, type Family, type Finding, type Found, type Level, levels, withAims } from './check.ts'
import { askable, type Facts, momentOf } from '../facts/index.ts'

export * from './check.ts'
export { type Limit, marginLines, paceOf, SECONDS, secondsOfWork } from './limits.ts'
export type { Aim, PartsWanted } from './aim.ts'
export { afterSwap, byReadiness, dispensable, eachOf, jointKeyOf, pointName, rivals, spareOwned } from './places.ts'
export { goesOn } from './nowhere.ts'
export { lossesOf, useOf } from './equal.ts'
export { type Forgotten, forgottenOf } from './money/forgotten-cost.ts'
export { formatWords } from './words.ts'
export { purposeOf, stockOf } from './wires.ts'

const lists: Readonly<Record<Family, readonly Check[]>> = {
  fit: fitChecks,
  clearance: clearanceChecks,
  power: powerChecks,
  picture: pictureChecks,
  sound: soundChecks,
  glass: glassChecks,
  balance: balanceChecks,
  money: moneyChecks,
  need: needChecks,
}

/**
 * Every check, in the order of their ids, whatever their family. A test holds this list to the directories and the
 * docs.
 */
export const checks: readonly Check[] = flatMap(families, (family) => lists[family]).sort((a, b) =>
  a.id < b.id ? -1 : 1,
)

const queryOf = new Map(checks.map(({ id, judgeAll, about }) => [id, askable(id, { about, answer: judgeAll })]))
const queries = [...queryOf.values()]

/**
 * Judges a set-up rule by rule, so that whoever has other things to do may pause in between; all that was judged stands,
 * and `findingsOf` then only gathers it.
 */
export function* judging(facts: Facts): Generator<undefined, undefined> {
  const { evaluator } = momentOf(facts)
  for (const query of queries) {
    evaluator.get(query)
    yield
  }
}

/** All that the checks have to say, worst first; within a level in the order of the registry. */
export const findingsOf = (facts: Facts): readonly Finding[] => {
  const seen = new Set<string>()
  const { evaluator } = momentOf(facts)
  const found: Record<Level, Found[]> = { stop: [], risk: [], hint: [] }
  for (const query of queries)
    for (const one of evaluator.get(query) as readonly Found[]) {
      const { finding } = one
      // What one failed figure keeps from many rules is said once; so is a rule that fails at each of its subjects.
      if (finding.message === 'fact-failed' || finding.message === 'rule-failed') {
        const key = `${finding.check} ${finding.names['fact'] ?? ''}`
        if (seen.has(key)) continue
        seen.add(key)
      }
      found[finding.level].push(one)
    }
  return withAims(
    flatMap(levels, (level) => found[level]),
    facts,
  )
}

/** What one check has to say about a set-up; the others are not asked. */
export const findingsOfCheck = (facts: Facts, id: string): readonly Finding[] =>
  withAims(momentOf(facts).evaluator.get(queryOf.get(id) ?? id) as readonly Found[], facts)

const byId = new Map(checks.map((check) => [check.id, check]))
/** A rule by its id. */
export const checkOf = (id: string): Check | undefined => byId.get(id)

/** The numbers of a finding that meet at its limit; undefined for one without. */
const atLimit = ({ check, numbers }: Pick<Finding, 'check' | 'numbers'>) => {
  const limit = byId.get(check)?.limit
  const [measured, allowed] = limit ? [numbers[limit.measured], numbers[limit.allowed]] : []
  return measured === undefined || allowed === undefined ? undefined : { measured, allowed }
}

/** By how much a finding is over its limit; undefined for one without. */
export const overOf = (finding: Pick<Finding, 'check' | 'numbers'>): number | undefined => {
  const told = byId.get(finding.check)?.limit?.over
  if (told !== undefined) return finding.numbers[told]
  const both = atLimit(finding)
  return both && Math.abs(both.measured - both.allowed)
}

/** How far a finding is from its limit, and from nothing, where its figure should rather be nothing. */
export const farOf = (
  finding: Pick<Finding, 'check' | 'numbers'>,
): { readonly over: number; readonly toNothing: number | undefined } | undefined => {
  const depth = byId.get(finding.check)?.depth
  const pressed = depth === undefined ? undefined : finding.numbers[depth]
  if (pressed !== undefined) return { over: pressed, toNothing: pressed }
  const [over, both] = [overOf(finding), atLimit(finding)]
  return over === undefined || !both
    ? undefined
    : { over, toNothing: both.measured > both.allowed ? both.measured : undefined }
}

/** What makes two findings of different assessments the same trouble. */
export const findingKey = (finding: Finding): string => `${finding.level} ${troubleOf(finding)}`

/** The same trouble, at whatever level it is said. */
export const troubleOf = ({ check, key, parts }: Pick<Finding, 'check' | 'key' | 'parts'>): string =>
  [check, key, ...[...parts].sort()].join(' ')

/** The operator's own limits, checked against what the checks take. */
export const limitsSchema = limitsSchemaFor(checks)

/** Every limit of every check, with the operator's own beside the usual one. */
export const allLimits = (own?: Limits): readonly Limit[] => limitsOf(checks, own)
