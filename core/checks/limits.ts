import { flatMap } from '../kernel/index.ts'
import type { Context, Limits } from '../context/index.ts'
import { z } from 'zod'
import { balanceOn, LEAD_KIND as LEAD, LEAD_SECONDS, type Pace } from '../build-order/index.ts'
import type { Unit } from '../kernel/index.ts'
import { standards } from '../catalogue/index.ts'
import type { Check } from './check.ts'
import { knownMargin, marginIds, MARGINS } from '../context/index.ts'

/** One limit as it is listed: what it is of, what it is usually, and what the operator made of it. */
export interface Limit {
  readonly check: string
  readonly title: string
  readonly option: string
  /** In what it is measured; undefined for a plain count. */
  readonly unit: Unit | undefined
  readonly usual: number
  /** Undefined: the usual one counts. */
  readonly own: number | undefined
  /** Where the usual one comes from. */
  readonly source: string
  /** Is the usual one a guess of the workshop's, without a derivation or a publication? */
  readonly guess: boolean
}

const numbersOf = (defaults: unknown): readonly (readonly [string, number])[] =>
  defaults !== null && typeof defaults === 'object'
    ? Object.entries(defaults).filter((entry): entry is [string, number] => typeof entry[1] === 'number')
    : []

const GUESS = /^Workshop practice/

/** Under this name the seconds of joints are kept, by mounting standard, and those of a lead. */
export const SECONDS = 'seconds'
/** More than a quarter of an hour is no joint any more. s */
const MOST_SECONDS = 900
const usualSeconds: ReadonlyMap<string, number> = new Map([
  ...standards.map(({ id, seconds }) => [id, seconds] as const),
  [LEAD, LEAD_SECONDS],
  ...flatMap(['tripod', 'gimbal'] as const, (support) => {
    const on = balanceOn(support)
    return on ? [[on.kind, on.seconds] as const] : []
  }),
])

/**
 * How long the operator takes for joints and leads: the own seconds where some were set, else those the watch has shown,
 * else the usual ones.
 */
export const paceOf = ({ limits: own, learnt }: Pick<Context, 'limits' | 'learnt'>): Pace => {
  const known = (id: string): number | undefined => own?.[SECONDS]?.[id] ?? learnt?.seconds.get(id)?.value
  return {
    joint: ({ id, seconds }) => known(id) ?? seconds,
    lead: known(LEAD) ?? LEAD_SECONDS,
    balance: (support) => {
      const on = balanceOn(support)
      return on ? (known(on.kind) ?? on.seconds) : 0
    },
  }
}

const titles: Readonly<Record<string, string>> = {
  [LEAD]: 'a lead, both ends',
  'balance-head': 'balancing on a head',
  'balance-gimbal': 'balancing on a gimbal',
}

/** The seconds that can be set, one kind of joint a line. */
export const secondsOfWork = (own: Limits = {}): readonly Limit[] =>
  [...usualSeconds].map(([option, usual]) => ({
    check: SECONDS,
    title: titles[option] ?? standards.find(({ id }) => id === option)?.title ?? option,
    option,
    unit: 's' as const,
    usual,
    own: own[SECONDS]?.[option],
    source: 'A usual time without hurry; your own is better.',
    guess: true,
  }))

/** What figures are reckoned with where nobody states it. */
export const marginLines = (own: Limits = {}): readonly Limit[] =>
  flatMap(marginIds, (option) => {
    const margin = knownMargin(option)
    return margin ? [{ ...margin, check: MARGINS, option, own: own[MARGINS]?.[option] }] : []
  })

/** Every limit that can be set, in the order of the checks. */
export const limitsOf = (
  checks: readonly Pick<Check, 'id' | 'title' | 'source' | 'defaults' | 'units'>[],
  own: Limits = {},
): readonly Limit[] =>
  flatMap(checks, ({ id, title, source, defaults, units = {} }) =>
    numbersOf(defaults).map(([option, usual]) => ({
      check: id,
      title,
      option,
      unit: units[option],
      usual,
      own: own[id]?.[option],
      source,
      guess: GUESS.test(source),
    })),
  )

/** The options a check runs with: the operator's where there are some that it takes, else its own. */
export const optionsFor = <O>(id: string, options: z.ZodType<O>, defaults: O, own: Limits | undefined): O => {
  const mine = own?.[id]
  if (!mine) return defaults
  const merged = options.safeParse({ ...defaults, ...mine })
  return merged.success ? merged.data : defaults
}

/**
 * The operator's limits as they are kept and as they travel in a rig file. An unknown check, an unknown option or a
 * value that the check does not take is refused with its place.
 */
export const limitsSchemaFor = (
  checks: readonly Pick<Check, 'id' | 'options' | 'defaults' | 'retired'>[],
): z.ZodType<Limits> => {
  const byId = new Map(checks.map((check) => [check.id, check]))
  return z.record(z.string().max(60), z.record(z.string().max(40), z.number())).superRefine((limits, context) => {
    for (const [option, value] of Object.entries(limits[SECONDS] ?? {}))
      if (!usualSeconds.has(option) || !(value > 0 && value <= MOST_SECONDS))
        context.addIssue({
          code: 'custom',
          path: [SECONDS, option],
          message: 'a known kind of joint takes more than 0 and at most 900 s',
        })
    for (const [option, value] of Object.entries(limits[MARGINS] ?? {})) {
      const margin = knownMargin(option)
      if (!margin || value < margin.least || value > margin.most)
        context.addIssue({
          code: 'custom',
          path: [MARGINS, option],
          message: margin ? `from ${margin.least} to ${margin.most}` : 'there is no margin of this name',
        })
    }
    for (const [id, own] of Object.entries(limits).filter(([name]) => name !== SECONDS && name !== MARGINS)) {
      const check = byId.get(id)
      const known = new Map(numbersOf(check?.defaults))
      for (const option of Object.keys(own))
        if (!known.has(option) && !check?.retired?.includes(option))
          context.addIssue({ code: 'custom', path: [id, option], message: 'no check has a limit of this name' })
      const merged = check?.options.safeParse({ ...Object.fromEntries(known), ...own })
      for (const issue of merged?.success === false ? merged.error.issues : [])
        context.addIssue({ code: 'custom', path: [id, ...issue.path], message: issue.message })
    }
  })
}
