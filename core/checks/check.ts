import { z } from 'zod'
import type { Command, PlacedPart } from '../assembly/index.ts'
import type { Concern, Station } from '../catalogue/index.ts'
import { type Measure, measuresIn, type Unit, type Vec3, flatMap } from '../kernel/index.ts'
import type { FactName, Facts, Reads, Sees, Watched } from '../facts/index.ts'
import { FactFailure } from '../facts/index.ts'
import type { Aim, Aims } from './aim.ts'
import { optionsFor } from './limits.ts'
import type { OfEachPiece } from './subjects.ts'

export { ofEachPiece, partsThat, piecesThat } from './subjects.ts'

/** stop: can't be built, or would harm gear or person. risk: works until it doesn't. hint: better, cheaper, lighter. */
export type Level = 'stop' | 'risk' | 'hint'
export const levels: readonly Level[] = ['stop', 'risk', 'hint']

/** How many findings there are of each level. */
export const countLevels = (findings: readonly { readonly level: Level }[]): Record<Level, number> => {
  const counts = { stop: 0, risk: 0, hint: 0 }
  for (const { level } of findings) counts[level]++
  return counts
}

export type Numbers = Readonly<Record<string, number>>
export type Names = Readonly<Record<string, string>>

/** An edit that cures a finding, with the words for its button. */
export interface Remedy {
  readonly text: string
  readonly numbers: Numbers
  readonly names: Names
  readonly commands: readonly Command[]
  /** What it does, where its edits alone don't tell: a tether that is put on holds something. */
  readonly kind?: WayKind
}

/**
 * What a way out does, in kinds: which of them are gentle and which cost something is decided by these, never by its
 * words.
 */
export const wayKinds = [
  'slide',
  'turn',
  'pose',
  'move',
  'insert',
  'support',
  'swap',
  'lead',
  'add',
  'brief',
  'take-off',
  'leave-out',
  'other',
] as const
export type WayKind = (typeof wayKinds)[number]

/** Is something new put on, and what was there put on it? */
const putsBetween = (commands: readonly Command[]): boolean => {
  const added = new Set(flatMap(commands, (command) => (command.do === 'add' ? [command.instance.id] : [])))
  return commands.some(
    (command) => command.do === 'place' && added.has(command.joint.host) && !added.has(command.joint.guest),
  )
}

/** The kind of a way out. */
export const kindOf = ({ kind, commands }: Pick<Remedy, 'kind' | 'commands'>): WayKind => kind ?? wayKindOf(commands)

/** The kind of a way out, by the edits it is made of. */
export const wayKindOf = (commands: readonly Command[]): WayKind => {
  const does = new Set(commands.map((command) => command.do))
  if (does.has('swap')) return 'swap'
  if (does.has('brace')) return 'support'
  if (putsBetween(commands)) return 'insert'
  if (does.has('place') && does.has('add')) return 'add'
  if (does.has('link') || does.has('unlink')) return 'lead'
  if (does.has('add')) return 'add'
  if (does.has('place') || does.has('stow')) return 'move'
  if (does.has('pose')) return 'pose'
  if (does.has('set'))
    return commands.some(
      (command) => command.do === 'set' && command.turnDeg !== undefined && command.slideMm === undefined,
    )
      ? 'turn'
      : 'slide'
  if (does.has('take-off')) return 'take-off'
  if (does.has('discard') || does.has('status')) return 'leave-out'
  return does.has('brief') ? 'brief' : 'other'
}

/** Words with names of their own, so that two can stand in one sentence. */
const renamed = ({ text, numbers, names }: Remedy, n: number) => {
  const of = (record: Readonly<Record<string, never>> | Remedy['numbers'] | Remedy['names']) =>
    Object.fromEntries(Object.entries(record).map(([key, value]) => [`${key}${n}`, value]))
  return {
    text: text.replace(/\{(\w+)/g, (_, key: string) => `{${key}${n}`),
    numbers: of(numbers) as Remedy['numbers'],
    names: of(names) as Remedy['names'],
  }
}

/** Two ways out as one: what the second does, it does after the first. */
export const bothOf = (one: Remedy, other: Remedy): Remedy => {
  const n = (one.text.match(/, and /g)?.length ?? 0) + 2
  const more = renamed(other, n)
  return {
    text: `${one.text}, and ${more.text}`,
    numbers: { ...one.numbers, ...more.numbers },
    names: { ...one.names, ...more.names },
    commands: [...one.commands, ...other.commands],
    kind: kindOf(one),
  }
}

/**
 * Something a check has to say about a set-up. `text` is a template over `numbers` (whose units it states) and `names`.
 */
export interface Finding {
  readonly check: string
  readonly family: Family
  readonly key: string
  readonly station?: Station | undefined
  readonly message: string
  readonly group: 'speaks' | 'cannotTell'
  readonly level: Level
  readonly parts: readonly string[]
  readonly at?: Vec3 | undefined
  readonly text: string
  readonly why: string
  readonly numbers: Numbers
  readonly names: Names
  /** What the words tell: each measured value and limit with the unit that the message states. */
  readonly measures: readonly Measure[]
  /** What the rule would aim at, where the figures are in which it stands; a finding that was sent has none. */
  readonly aims?: Aims
}

/** What a rule makes of one subject. */
export interface Judgement {
  /** What tells it from others of the same rule on the same pieces: a socket, a lead, a lens, a need. */
  readonly key?: string
  /** The station it belongs to, where its pieces do not say. */
  readonly station?: Station
  readonly group: 'speaks' | 'silent' | 'cannotTell'
  readonly message: string
  readonly level?: Level
  readonly parts?: readonly string[]
  readonly at?: Vec3
  readonly numbers?: Numbers
  readonly names?: Names
}

export type Messages = Readonly<Record<Judgement['group'], Readonly<Record<string, string>>>>

/** The groups in which people see findings, in the order in which they matter at the bench. */
export const families = ['fit', 'clearance', 'power', 'picture', 'sound', 'glass', 'balance', 'money', 'need'] as const
export type Family = (typeof families)[number]

/** A rule as its file states it. */
export interface CheckDefinition<S, O, N extends FactName = never> {
  readonly id: string
  readonly family: Family
  readonly title: string
  /** What happens on the shoot when it is ignored. */
  readonly why: string
  readonly level: Level
  /** Where the limit comes from. */
  readonly source: string
  /** While it stands nothing can be recorded: whatever else its cure brings weighs less. */
  readonly whole?: boolean
  readonly options: z.ZodType<O>
  readonly defaults: O
  /** In what its options are measured; those left out are plain counts. */
  readonly units?: Readonly<Partial<Record<keyof O & string, Unit>>>
  /** Options it had once: limits that are kept somewhere may still name them, and they count for nothing. */
  readonly retired?: readonly string[]
  /** The figures it reads; the type of its facts has no others. */
  readonly needs: readonly N[]
  /** The pieces it looks at have to do with this; left out: it looks at all. */
  readonly about?: Concern
  readonly messages: Messages
  /** The numbers that meet at the limit, for rules that have one. */
  readonly limit?: {
    readonly measured: string
    readonly allowed: string
    /** The number that says how far it is over, where the two do not always tell. */
    readonly over?: string
    /** It is a sum over the whole rig: whatever is put on for something else adds to it, and is no harm of its own. */
    readonly sum?: boolean
  }
  /** The number that has to go to nothing, of a rule of which less is no cure: a slide is led by it. */
  readonly depth?: string
  readonly subjects: (facts: Sees<N>) => readonly S[]
  readonly judge: (subject: S, facts: Sees<N>, options: O) => Judgement
  /** Which kinds of move make sense, and what they should reach; never the edits. */
  readonly aims?: (subject: S, facts: Facts, judgement: Judgement, options: O) => readonly Aim[]
}

const LONGEST_REASON = 160
const reasonOf = (error: unknown): string =>
  (error instanceof Error ? error.message : String(error)).slice(0, LONGEST_REASON)

/**
 * What is said when a rule, or a figure it reads, meets a state it can not judge: the rule is named, and everything
 * else goes on.
 */
const cannotJudge = (
  { id, title, family }: { readonly id: string; readonly title: string; readonly family: Family },
  error: unknown,
): Omit<Finding, 'aims'> => ({
  check: error instanceof FactFailure ? 'cannot-tell' : id,
  family,
  key: '',
  message: error instanceof FactFailure ? 'fact-failed' : 'rule-failed',
  group: 'cannotTell',
  level: 'hint',
  parts: [],
  text:
    error instanceof FactFailure
      ? "Can't tell everything: “{fact}” could not be worked out for this set-up. The rules that read it are silent ({reason})."
      : "Can't tell: the rule “{rule}” met something it can't judge. All other rules hold ({reason}).",
  why: 'A rule that can not judge says so instead of keeping silent; nothing of the rig is lost by it.',
  numbers: {},
  measures: [],
  names: { rule: title, reason: reasonOf(error), ...(error instanceof FactFailure ? { fact: error.fact } : {}) },
})

/** A finding as a rule leaves it; its aims are asked for later, about the rig as it is then. */
export interface Found {
  readonly finding: Omit<Finding, 'aims'>
  /** What the rule aims at, for figures in which the finding stands. */
  readonly aims: (facts: Facts) => readonly Aim[]
}

/** A rule as the registry runs it; the kind of its subjects stays inside. */
export interface Check extends Omit<
  CheckDefinition<never, never, FactName>,
  'subjects' | 'judge' | 'aims' | 'options' | 'defaults' | 'units'
> {
  readonly units?: Readonly<Record<string, Unit | undefined>>
  readonly options: z.ZodType
  readonly defaults: unknown
  readonly judgements: (facts: Facts) => readonly Judgement[]
  readonly judgeAll: (facts: Facts, watched?: () => Watched) => readonly Found[]
  readonly run: (facts: Facts) => readonly Finding[]
}

/**
 * A finding with what its rule aims at, worked out when somebody looks. Aims hold pieces and questions, so they are no part
 * of what is sent or written down.
 */
class Said implements Finding {
  readonly check: string
  readonly family: Family
  readonly key: string
  readonly station: Station | undefined
  readonly message: string
  readonly group: Finding['group']
  readonly level: Level
  readonly parts: readonly string[]
  readonly at: Vec3 | undefined
  readonly text: string
  readonly why: string
  readonly numbers: Numbers
  readonly names: Names
  readonly measures: readonly Measure[]
  readonly #aims: Found['aims']
  readonly #facts: Facts
  #made: Aims | undefined

  // Field by field: this is made anew for every rig that is tried.
  constructor({ finding, aims }: Found, facts: Facts) {
    this.check = finding.check
    this.family = finding.family
    this.key = finding.key
    this.station = finding.station
    this.message = finding.message
    this.group = finding.group
    this.level = finding.level
    this.parts = finding.parts
    this.at = finding.at
    this.text = finding.text
    this.why = finding.why
    this.numbers = finding.numbers
    this.names = finding.names
    this.measures = finding.measures
    this.#aims = aims
    this.#facts = facts
  }

  get aims(): Aims {
    return (this.#made ??= { facts: this.#facts, list: this.#aims(this.#facts) })
  }
}

/** Findings as their rules left them, with what the rules aim at in these figures. */
export const withAims = (found: readonly Found[], facts: Facts): readonly Finding[] =>
  found.map((one) => new Said(one, facts))

/** For rules without a number of their own. */
export const noOptions = { options: z.object({}), defaults: {} }

/** At which place among its rule's subjects something was found. */
const indexOf = new WeakMap<readonly Found[], number>()

const silence: readonly Found[] = []

const guarded = <T>(judge: () => readonly T[], failed: (error: unknown) => readonly T[]): readonly T[] => {
  try {
    return judge()
  } catch (error) {
    return failed(error)
  }
}

/**
 * Turns a rule's definition into one that can be run. Running it never throws: what can't be judged becomes a finding
 * that says so.
 */
export const defineCheck = <S, O, N extends FactName = never>(definition: CheckDefinition<S, O, N>): Check => {
  // Taken out once: rules are of many shapes, and these are read for each subject of every rig that is tried.
  const { id, family, why, level, messages, defaults, judge } = definition
  const takes = judge.length
  const optionsIn = ({ context }: Facts): O => optionsFor(id, definition.options, defaults, context.limits)
  // A rule that judges without options does not hang on the operator's.
  const judgedBy = (facts: Facts): O => (takes < 3 ? defaults : optionsIn(facts))
  const judged = (facts: Facts) => {
    const options = judgedBy(facts)
    return definition
      .subjects(facts)
      .map((subject) => ({ subject, judgement: definition.judge(subject, facts, options) }))
  }
  const failed = (error: unknown): readonly Found[] => {
    return [{ finding: cannotJudge(definition, error), aims: () => [] }]
  }
  // The subject is looked up anew: it may be the figures themselves, and those of another moment would cure another
  // rig.
  type Find = (facts: Facts) => S | undefined
  const aimsOf = (find: Find, facts: Facts): readonly Aim[] =>
    guarded(
      () => {
        const subject = find(facts)
        if (subject === undefined) return []
        const options = optionsIn(facts)
        return definition.aims?.(subject, facts, definition.judge(subject, facts, options), options) ?? []
      },
      () => [],
    )
  // What a rule makes of its subject alone is the same as long as it is the same subject.
  const alone = takes < 2 ? new WeakMap<object, readonly Found[]>() : undefined
  const found = (subject: S, index: number, facts: Facts, options: O): readonly Found[] => {
    const before = alone && typeof subject === 'object' && subject !== null ? alone.get(subject) : undefined
    if (before && (before.length === 0 || indexOf.get(before) === index)) return before
    const find: Find = (now) => definition.subjects(now)[index]
    if (!alone || typeof subject !== 'object' || subject === null) return judgedOf(subject, find, facts, options)
    const made = judgedOf(subject, find, facts, options)
    alone.set(subject, made)
    indexOf.set(made, index)
    return made
  }
  const judgedOf = (subject: S, find: Find, facts: Facts, options: O): readonly Found[] => {
    const judgement = judge(subject, facts, options)
    const text = messages[judgement.group][judgement.message]
    if (text === undefined) throw new RangeError(`Check ${id} has no ${judgement.group} message "${judgement.message}"`)
    if (judgement.group === 'silent') return silence
    const finding = {
      check: id,
      family,
      key: judgement.key ?? '',
      station: judgement.station,
      message: judgement.message,
      group: judgement.group,
      level: judgement.level ?? (judgement.group === 'cannotTell' ? ('hint' as const) : level),
      parts: judgement.parts ?? [],
      at: judgement.at,
      text,
      why,
      numbers: judgement.numbers ?? {},
      names: judgement.names ?? {},
      measures: measuresIn(text, judgement.numbers ?? {}),
    }
    return [{ finding, aims: (now) => aimsOf(find, now) }]
  }
  const eachOf = definition.subjects as Partial<OfEachPiece<S & object, N>>
  /** The same subject in other figures. */
  const sameOf = (piece: PlacedPart, k: number, { assembly }: Facts): S | undefined => {
    const same = assembly.byInstance.get(piece.instance.id)
    return same && eachOf.of?.(same)[k]
  }
  const rows = new WeakMap<object, { readonly options: O; readonly reads: Reads; readonly made: readonly Found[] }>()
  /** What is made of one of the subjects of a piece. */
  const kept = (piece: PlacedPart, k: number, subject: S & object, watched: Watched, options: O): readonly Found[] => {
    const { facts, noting } = watched
    const row = rows.get(subject)
    if (row && row.options === options && noting.stands(row.reads)) return row.made
    noting.begin()
    const made = judgedOf(subject, (now) => sameOf(piece, k, now), facts, options)
    rows.set(subject, { options, reads: noting.reads, made })
    return made
  }
  const byPiece = (facts: Facts, each: OfEachPiece<S & object>, watched: Watched): readonly Found[] => {
    const all: Found[] = []
    if (!each.when(facts)) return all
    const options = judgedBy(facts)
    const here = each.here(facts)
    const isItself = each.isItself()
    for (const piece of here) {
      const subjects = isItself ? undefined : each.of(piece)
      for (let k = 0; k < (subjects ? subjects.length : 1); k++) {
        const subject = subjects ? (subjects[k] as S & object) : (piece as PlacedPart & S)
        try {
          for (const one of kept(piece, k, subject, watched, options)) all.push(one)
        } catch (error) {
          all.push(...failed(error))
        }
      }
    }
    return all
  }
  const eachJudged = (facts: Facts, watched?: () => Watched): readonly Found[] => {
    if (eachOf.here && watched) return byPiece(facts, eachOf as OfEachPiece<S & object>, watched())
    const all: Found[] = []
    const options = judgedBy(facts)
    let index = 0
    for (const subject of definition.subjects(facts)) {
      try {
        for (const one of found(subject, index, facts, options)) all.push(one)
      } catch (error) {
        all.push(...failed(error))
      }
      index++
    }
    return all
  }
  const judgeAll = (facts: Facts, watched?: () => Watched): readonly Found[] =>
    guarded(() => eachJudged(facts, watched), failed)
  return {
    ...definition,
    judgements: (facts) => judged(facts).map(({ judgement }) => judgement),
    judgeAll,
    run: (facts) => withAims(judgeAll(facts), facts),
  }
}
