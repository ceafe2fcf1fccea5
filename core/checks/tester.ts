import { flatMap } from '../kernel/index.ts'
import { edit, placeSetup } from '../assembly/index.ts'
import type { TinyRig } from '../testing/index.ts'
import { namedWays } from '../remedies/index.ts'
import type { Check, Finding, Judgement, Level, Remedy } from './check.ts'
import { type FactName, factNames, type Facts, factsOf } from '../facts/index.ts'
import { contextFor } from '../context/index.ts'

/** One rig and what a check must make of it. */
export interface Case extends TinyRig {
  readonly name: string
  readonly message: string
  readonly level?: Level
  readonly numbers?: Readonly<Record<string, number>>
  readonly parts?: readonly string[]
  /** How many remedies are wanted, when it matters. */
  readonly remedies?: number
}

export interface Cases {
  readonly speaks: readonly Case[]
  readonly silent: readonly Case[]
  readonly cannotTell?: readonly Case[]
}

const CLOSE = 1e-6

const factsFor = ({ rig, context: given }: TinyRig): Facts => {
  const context = contextFor(rig, given)
  const [setup] = rig.setups
  if (!setup) throw new RangeError('a case needs a set-up')
  return factsOf(placeSetup(rig, setup, context.catalogue), context)
}

const freeze = <T>(value: T): T => {
  if (value !== null && typeof value === 'object' && !Object.isFrozen(value)) {
    Object.freeze(value)
    Object.values(value).forEach(freeze)
  }
  return value
}

const numbersDiffer = (judgement: Judgement, wanted: Readonly<Record<string, number>>): string[] =>
  flatMap(Object.entries(wanted), ([key, value]) => {
    const got = judgement.numbers?.[key]
    return got !== undefined && Math.abs(got - value) <= CLOSE * Math.max(1, Math.abs(value))
      ? []
      : [`${key} is ${String(got)}, expected ${value}`]
  })

/** A remedy must clear its finding; where a limit was measured, it may also just bring the figure down. */
const remedyTrouble = (check: Check, before: TinyRig, finding: Finding, remedy: Remedy): string | undefined => {
  const edited = edit(before.rig, remedy.commands, before.context.catalogue)
  if (!edited.ok) return `its remedy "${remedy.text}" can't be done: ${edited.issues[0]?.code}`
  const left = check.run(factsFor({ rig: edited.value, context: before.context }))
  const same = left.find((other) => other.message === finding.message && other.parts.join() === finding.parts.join())
  if (!same) return undefined
  const { measured } = check.limit ?? {}
  return measured !== undefined && (same.numbers[measured] ?? 0) < (finding.numbers[measured] ?? 0)
    ? undefined
    : `its remedy "${remedy.text}" does not clear it`
}

const caseTroubles = (check: Check, group: Judgement['group'], given: Case): string[] => {
  const before = JSON.stringify(given.rig)
  freeze(given.rig)
  const facts = factsFor(given)
  const judgement = check
    .judgements(facts)
    .find((candidate) => candidate.group === group && candidate.message === given.message)
  if (!judgement)
    return [
      `judged ${
        check
          .judgements(facts)
          .map(({ group, message }) => `${group}/${message}`)
          .join(', ') || 'nothing'
      }, expected ${group}/${given.message}`,
    ]
  const troubles = numbersDiffer(judgement, given.numbers ?? {})
  if (given.parts && given.parts.join() !== judgement.parts?.join())
    troubles.push(`points at ${judgement.parts?.join()}, expected ${given.parts.join()}`)
  const finding = check.run(facts).find(({ message }) => message === given.message)
  if (group === 'silent' ? finding !== undefined : finding === undefined)
    troubles.push(group === 'silent' ? 'a silent judgement became a finding' : 'no finding came of it')
  if (finding && given.level && finding.level !== given.level)
    troubles.push(`is a ${finding.level}, expected a ${given.level}`)
  const remedies = finding ? [...namedWays(finding)] : []
  if (finding && given.remedies !== undefined && remedies.length !== given.remedies)
    troubles.push(`offers ${remedies.length} remedies, expected ${given.remedies}`)
  for (const remedy of remedies) {
    const trouble = remedyTrouble(check, given, finding as Finding, remedy)
    if (trouble) troubles.push(trouble)
  }
  for (const place of (finding?.text ?? '').matchAll(/\{(\w+)(?::[^{}]+)?\}/g))
    if (finding && finding.numbers[place[1] ?? ''] === undefined && finding.names[place[1] ?? ''] === undefined)
      troubles.push(`leaves {${place[1]}} empty`)
  if (JSON.stringify(given.rig) !== before) troubles.push('changed the rig')
  return troubles
}

/**
 * Everything wrong with a check or its cases: a wrong judgement, numbers, level or remedy; a changed rig; cases that
 * repeat each other; messages no case reaches; a limit that no case meets exactly. Empty when all is well.
 */
export const complaints = (check: Check, cases: Cases): readonly string[] => {
  const groups = [
    ['speaks', cases.speaks],
    ['silent', cases.silent],
    ['cannotTell', cases.cannotTell ?? []],
  ] as const
  const all = flatMap(groups, ([, list]) => list)
  const wrong = flatMap(groups, ([group, list]) =>
    flatMap(list, (given) => caseTroubles(check, group, given).map((trouble) => `${given.name}: ${trouble}`)),
  )
  const seen = new Set<string>()
  for (const given of all) {
    const key = JSON.stringify([
      given.rig,
      [...given.context.owned],
      [...given.context.catalogue.parts.values()],
      given.message,
    ])
    if (seen.has(key)) wrong.push(`${given.name}: the same case stands here twice`)
    seen.add(key)
  }
  for (const [group, list] of groups)
    for (const message of Object.keys(check.messages[group]))
      if (!list.some((given) => given.message === message)) wrong.push(`no case reaches ${group}/${message}`)
  const { limit } = check
  const meets = (given: Case) =>
    check
      .judgements(factsFor(given))
      .some(
        ({ numbers }) =>
          limit && numbers && Math.abs((numbers[limit.measured] ?? NaN) - (numbers[limit.allowed] ?? NaN)) <= CLOSE,
      )
  if (limit && !all.some(meets)) wrong.push(`no case lies exactly at the limit (${limit.measured} = ${limit.allowed})`)
  const read = new Set<FactName>()
  for (const given of all) check.judgeAll(recorded(factsFor(given), read))
  for (const fact of read) if (!check.needs.includes(fact)) wrong.push(`reads ${fact} without saying so`)
  for (const fact of check.needs) if (!read.has(fact)) wrong.push(`says it needs ${fact} and never reads it`)
  return wrong
}

/** The same figures, with a note of which of them are read. */
const recorded = (facts: Facts, read: Set<FactName>): Facts => {
  const seen = { assembly: facts.assembly, context: facts.context } as Facts
  for (const name of factNames)
    Object.defineProperty(seen, name, {
      enumerable: true,
      get: () => {
        read.add(name)
        return facts[name]
      },
    })
  return seen
}

/** Registers the test of a check with the strict tester. */
export const testCheck = (check: Check, cases: Cases): void => {
  test(`${check.id} holds its cases`, () => {
    expect(complaints(check, cases)).toEqual([])
  })
}
