import { z } from 'zod'
import type { Command } from '../assembly/index.ts'
import type { Vec3 } from '../kernel/index.ts'
import type { FactName, Facts } from './facts.ts'

/** stop: can't be built, or would harm gear or person. risk: works until it doesn't. hint: better, cheaper, lighter. */
export type Level = 'stop' | 'risk' | 'hint'
export const levels: readonly Level[] = ['stop', 'risk', 'hint']

export type Numbers = Readonly<Record<string, number>>
export type Names = Readonly<Record<string, string>>

/** An edit that cures a finding, with the words for its button. */
export interface Remedy {
  readonly text: string
  readonly numbers: Numbers
  readonly names: Names
  readonly commands: readonly Command[]
}

/** Something a check has to say about a set-up. `text` is a template over `numbers` (units by name ending) and `names`. */
export interface Finding {
  readonly check: string
  readonly message: string
  readonly group: 'speaks' | 'cannotTell'
  readonly level: Level
  readonly parts: readonly string[]
  readonly at?: Vec3
  readonly text: string
  readonly why: string
  readonly numbers: Numbers
  readonly names: Names
  readonly remedies: readonly Remedy[]
}

/** What a rule makes of one subject. */
export interface Judgement {
  readonly group: 'speaks' | 'silent' | 'cannotTell'
  readonly message: string
  readonly level?: Level
  readonly parts?: readonly string[]
  readonly at?: Vec3
  readonly numbers?: Numbers
  readonly names?: Names
}

export type Messages = Readonly<Record<Judgement['group'], Readonly<Record<string, string>>>>

/** A rule as its file states it. */
export interface CheckDefinition<S, O> {
  readonly id: string
  readonly title: string
  /** What happens on the shoot when it is ignored. */
  readonly why: string
  readonly level: Level
  /** Where the limit comes from. */
  readonly source: string
  readonly options: z.ZodType<O>
  readonly defaults: O
  readonly needs: readonly FactName[]
  readonly messages: Messages
  /** The numbers that meet at the limit, for rules that have one. */
  readonly limit?: { readonly measured: string; readonly allowed: string }
  readonly subjects: (facts: Facts) => readonly S[]
  readonly judge: (subject: S, facts: Facts, options: O) => Judgement
  readonly remedies?: (subject: S, facts: Facts, judgement: Judgement, options: O) => readonly Remedy[]
}

/** A rule as the registry runs it; the kind of its subjects stays inside. */
export interface Check extends Omit<CheckDefinition<never, never>, 'subjects' | 'judge' | 'remedies' | 'options' | 'defaults'> {
  readonly options: z.ZodType
  readonly defaults: unknown
  readonly judgements: (facts: Facts) => readonly Judgement[]
  readonly run: (facts: Facts, withRemedies?: boolean) => readonly Finding[]
}

/** For rules without a number of their own. */
export const noOptions = { options: z.object({}), defaults: {} }

const messageOf = (check: { id: string; messages: Messages }, judgement: Judgement): string => {
  const text = check.messages[judgement.group][judgement.message]
  if (text === undefined) throw new RangeError(`Check ${check.id} has no ${judgement.group} message "${judgement.message}"`)
  return text
}

const once = <T>(make: () => T): (() => T) => {
  let made: { readonly value: T } | undefined
  return () => (made ??= { value: make() }).value
}

/** Turns a rule's definition into one that can be run. */
export const defineCheck = <S, O>(definition: CheckDefinition<S, O>): Check => {
  const judged = (facts: Facts) =>
    definition.subjects(facts).map((subject) => ({ subject, judgement: definition.judge(subject, facts, definition.defaults) }))
  return {
    ...definition,
    judgements: (facts) => judged(facts).map(({ judgement }) => judgement),
    run: (facts, withRemedies = true) =>
      judged(facts).flatMap(({ subject, judgement }): Finding[] => {
        const text = messageOf(definition, judgement)
        if (judgement.group === 'silent') return []
        const cures = once(() => (withRemedies ? (definition.remedies?.(subject, facts, judgement, definition.defaults) ?? []) : []))
        return [
          {
            check: definition.id,
            message: judgement.message,
            group: judgement.group,
            level: judgement.level ?? (judgement.group === 'cannotTell' ? 'hint' : definition.level),
            parts: judgement.parts ?? [],
            at: judgement.at,
            text,
            why: definition.why,
            numbers: judgement.numbers ?? {},
            names: judgement.names ?? {},
            // Worked out when somebody looks: trying out edits is dear, and most findings are only counted.
            get remedies() {
              return cures()
            },
          },
        ]
      }),
  }
}
