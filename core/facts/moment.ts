import {
  type Assembly,
  changeBetween,
  everywhere,
  type Instance,
  type OffPart,
  pickedAfter,
  rigSchema,
  setupSchema,
  WHOLE,
} from '../assembly/index.ts'
import { briefSchema } from '../brief/index.ts'
import { type Concern, concerns, concernsPart, type Part } from '../catalogue/index.ts'
import { type Ask, equalValues, Evaluator, type Leaves, oneName, type Queries, type Query } from '../engine/index.ts'
import type { Context } from '../context/index.ts'
import { keyed, perThing } from '../kernel/index.ts'
import type { Facts } from './figures.ts'
import { lotNamed, Lots } from './lots.ts'
import { ofSetups } from './setups.ts'

/**
 * Objects whose fields are leaves of their own: a rule that reads the money of the brief does not hang on its hours.
 */
const fielded = ['rig', 'setup', 'brief', 'context'] as const
type Fielded = (typeof fielded)[number]

const nothing: ReadonlyMap<string, unknown> = new Map()

/** What somebody wrote beside a piece is no figure. */
const withoutNotes = perThing('an instance without its notes', ({ notes: _, ...rest }: Instance): Instance => rest)

/** Things that are made anew each time are taken for the old ones when they say the same. */
const again = <T, K>(
  was: unknown,
  now: readonly T[],
  keyOf: (one: T) => K,
  same: (a: T, b: T) => boolean,
): readonly T[] => {
  const old = (was ?? []) as readonly T[]
  let byKey: ReadonlyMap<K, T> | undefined
  // Mostly the next is the one that came next before, or one came or went; what is in another order is found by its key.
  let next = 0
  let missed = 0
  const before = (key: K): T | undefined => {
    const guess = old[next]
    if (guess !== undefined && keyOf(guess) === key) {
      next++
      return guess
    }
    if (++missed > MOST_SEARCHED) return (byKey ??= keyed(old, keyOf)).get(key)
    const at = old.findIndex((one) => keyOf(one) === key)
    if (at >= next) next = at + 1
    return old[at]
  }
  return now.map((one) => {
    const known = before(keyOf(one))
    return known !== undefined && same(known, one) ? known : one
  })
}

/** So many are looked for one by one before it is worth it to sort all of them by key. */
const MOST_SEARCHED = 3

const paths = new Map<string, readonly [Fielded, string]>()
/** A leaf's name taken apart; there are few names, so once each. */
const pathOf = (name: string): readonly [Fielded, string] => {
  const known = paths.get(name)
  if (known) return known
  const dot = name.indexOf('.')
  const path = [name.slice(0, dot) as Fielded, name.slice(dot + 1)] as const
  paths.set(name, path)
  return path
}

/** Of the pieces of a kit as they were given those that stand for them here: both lists are in the same order. */
const plainOf = (given: readonly Instance[], kit: readonly Instance[]): ((instance: Instance) => Instance) => {
  let next = 0
  return (instance) => {
    if (given[next] !== instance) next = given.indexOf(instance)
    return kit[next++] ?? instance
  }
}

const setupLists = (['joints', 'braces', 'poses', 'links', 'off'] as const).map(
  (name) => [name, oneName(`setup.${name}`)] as const,
)
const setupsLists = Object.entries(ofSetups)
const concernLeaves = concerns.map((concern) => ({
  concern,
  leaf: {
    placed: oneName(`${concern}.placed`),
    byInstance: oneName(`${concern}.byInstance`),
    off: oneName(`${concern}.off`),
    loose: oneName(`${concern}.loose`),
    kit: oneName(`${concern}.kit`),
  },
}))

/**
 * What surrounds and makes up one placed set-up at one moment, as leaves. Lists of the very same things are the same
 * list as before.
 */
export class MomentLeaves {
  readonly #objects: Readonly<Record<Fielded, object>>
  readonly #lists = new Map<string, unknown>()
  /** The pieces lot by lot, of one concern each, as soon as they are asked for. */
  readonly #lots = new Map<Concern | undefined, Lots>()

  constructor(assembly: Assembly, context: Context, before?: MomentLeaves) {
    const { rig, setup, placed, byInstance, braces, loose } = assembly
    this.#objects = { rig, setup, brief: rig?.brief ?? {}, context }
    const earlier = before ? before.#lists : nothing
    const keep = (name: string, now: unknown): void => {
      const was = earlier.get(name)
      this.#lists.set(name, was !== undefined && equalValues(was, now) ? was : now)
    }
    /** The map says nothing that the two lists do not. */
    const keepMap = (names: { readonly [K in 'placed' | 'off' | 'byInstance']: string }, now: () => unknown): void => {
      const stands = [names.placed, names.off].every((name) => this.#lists.get(name) === earlier.get(name))
      this.#lists.set(names.byInstance, stands ? earlier.get(names.byInstance) : now())
    }
    const sameOff = (was: unknown, list: readonly OffPart[]) =>
      again(
        was,
        list,
        ({ piece }) => piece.instance.id,
        (a, b) => a.piece === b.piece && a.at === b.at,
      )
    keep('assembly.placed', placed)
    keep('assembly.off', sameOff(earlier.get('assembly.off'), assembly.off ?? []))
    keepMap({ placed: 'assembly.placed', off: 'assembly.off', byInstance: 'assembly.byInstance' }, () => byInstance)
    keep(
      'assembly.braces',
      again(earlier.get('assembly.braces'), braces ?? [], ({ joint }) => joint, equalValues),
    )
    const kit = again(
      earlier.get('rig.kit'),
      (rig?.kit ?? []).map(withoutNotes),
      ({ id }) => id,
      (a, b) => a.partId === b.partId && a.status === b.status && a.health === b.health && a.tier === b.tier,
    )
    keep('rig.kit', kit)
    const plain = plainOf(rig?.kit ?? [], kit)
    keep(
      'assembly.loose',
      again(
        earlier.get('assembly.loose'),
        (loose ?? []).map(({ instance, part }) => ({ instance: plain(instance), part })),
        ({ instance }) => instance.id,
        (a, b) => a.instance === b.instance && a.part === b.part,
      ),
    )
    for (const [leaf, listed] of setupsLists) keep(leaf, rig?.setups ? listed({ rig }) : [])
    for (const [name, leaf] of setupLists) keep(leaf, setup?.[name])
    const lists = (of: string, names: readonly string[]) =>
      Object.fromEntries(names.map((name) => [name, this.#lists.get(`${of}.${name}`)]))
    keep('rig.whole', { ...rig, ...lists('rig', ['kit']) })
    keep('setup.whole', { ...setup, ...lists('setup', ['joints', 'braces', 'poses', 'links', 'off']) })
    const partOf = (id: string) => context.catalogue?.parts.get(id)
    /** What is wanted of a list of a moment's, made of what was wanted of it before. */
    const picker = <T extends object>(of: string, list: readonly T[], stands: boolean) => {
      const all = earlier.get(of) as readonly T[] | undefined
      const change = all && stands ? changeBetween(all, list) : undefined
      return (leaf: string, wanted: (one: T) => boolean): readonly T[] => {
        const was = earlier.get(leaf) as readonly T[] | undefined
        return was && change ? pickedAfter(was, change, list, wanted) : list.filter(wanted)
      }
    }
    const piecesFor = picker('assembly.placed', placed ?? [], true)
    const kitFor = picker('rig.kit', kit, before?.get('context.catalogue') === context.catalogue)
    for (const { concern, leaf } of concernLeaves) {
      const seen = (list: unknown) =>
        ((list ?? []) as readonly { readonly part: Part }[]).filter(({ part }) => concernsPart(part, concern))
      const pieces = piecesFor(leaf.placed, ({ part }) => concernsPart(part, concern))
      keep(leaf.placed, pieces)
      const offHere = (this.#lists.get('assembly.off') as Assembly['off']).filter(({ piece }) =>
        concernsPart(piece.part, concern),
      )
      keep(leaf.off, offHere)
      keepMap(leaf, () => keyed(everywhere({ placed: pieces, off: offHere }), ({ instance }) => instance.id))
      keep(leaf.loose, seen(this.#lists.get('assembly.loose')))
      keep(
        leaf.kit,
        kitFor(leaf.kit, ({ partId }) => {
          const part = partOf(partId)
          return !part || concernsPart(part, concern)
        }),
      )
    }
    if (before) for (const [about, lots] of before.#lots) this.#lots.set(about, lots.after(this.#placedOf(about)))
  }

  #fieldOf(name: string): unknown {
    const [of, field] = pathOf(name)
    return (this.#objects[of] as Readonly<Record<string, unknown>> | undefined)?.[field]
  }

  #placedOf(about: Concern | undefined): Assembly['placed'] {
    return this.#lists.get(about ? `${about}.placed` : 'assembly.placed') as Assembly['placed']
  }

  #lotsOf(about: Concern | undefined): Lots {
    const known = this.#lots.get(about)
    if (known) return known
    const lots = Lots.of(this.#placedOf(about))
    this.#lots.set(about, lots)
    return lots
  }

  readonly get: Leaves = (name) => {
    const known = this.#lists.get(name)
    if (known !== undefined || this.#lists.has(name)) return known
    const lot = lotNamed(name)
    const value = lot ? this.#lotsOf(lot.about).get(lot.lot) : this.#fieldOf(name)
    this.#lists.set(name, value)
    return value
  }
}

interface Asking {
  readonly ask: Ask
}

/**
 * A prototype of fields that ask for a leaf each time they are read. Queries read fields one by one; none may copy the
 * object.
 */
const fieldsOf = (of: string, names: readonly string[], elsewhere: Readonly<Record<string, string>> = {}): object =>
  Object.defineProperties(
    {},
    Object.fromEntries(
      names.map((name) => {
        const leaf = elsewhere[name] ?? oneName(`${of}.${name}`)
        return [
          name,
          {
            enumerable: true,
            configurable: true,
            get(this: Asking) {
              return this.ask.leaf(leaf)
            },
          },
        ]
      }),
    ),
  )
const contextFields = {
  catalogue: true,
  owned: true,
  prices: true,
  rules: true,
  home: true,
  rates: true,
  pricedIn: true,
  weighed: true,
  typed: true,
  limits: true,
  operator: true,
  learnt: true,
} as const satisfies Record<keyof Context, true>
/** The thing itself, noted as read as a whole. */
const whole = (leaf: string): PropertyDescriptorMap => ({
  [WHOLE]: {
    value(this: Asking) {
      return this.ask.leaf(leaf)
    },
  },
})
const rigFields = Object.keys(rigSchema.shape).filter((name) => name !== 'brief')
const fields = {
  assembly: fieldsOf('assembly', ['placed', 'off', 'byInstance', 'braces', 'loose']),
  rig: Object.defineProperties(fieldsOf('rig', rigFields), whole('rig.whole')),
  setup: Object.defineProperties(fieldsOf('setup', Object.keys(setupSchema.shape)), whole('setup.whole')),
  brief: fieldsOf('brief', Object.keys(briefSchema.shape)),
  context: fieldsOf('context', Object.keys(contextFields)),
}
/** The same with the pieces of one concern only. */
const within = Object.fromEntries(
  concernLeaves.map(({ concern, leaf }) => [
    concern,
    {
      assembly: fieldsOf('assembly', ['placed', 'off', 'byInstance', 'braces', 'loose'], {
        placed: leaf.placed,
        off: leaf.off,
        byInstance: leaf.byInstance,
        loose: leaf.loose,
      }),
      rig: Object.defineProperties(fieldsOf('rig', rigFields, { kit: leaf.kit }), whole('rig.whole')),
    },
  ]),
) as unknown as Readonly<Record<Concern, Pick<typeof fields, 'assembly' | 'rig'>>>

const asking = (ask: Ask, prototype: object, more: object = {}): object =>
  Object.assign(Object.create(prototype) as object, { ask }, more)

/** The figures as a query sees them: whatever it reads is noted. */
const seenBy = (ask: Ask, prototype: object, concern: Concern | undefined): Facts => {
  const lists = concern ? within[concern] : fields
  const rig = asking(ask, lists.rig, { brief: asking(ask, fields.brief) })
  const assembly = asking(ask, lists.assembly, { rig, setup: asking(ask, fields.setup) })
  return Object.assign(Object.create(prototype) as object, {
    assembly,
    context: asking(ask, fields.context),
    ask,
    about: concern,
  }) as unknown as Facts
}

/** One thing that was read: a leaf, a query or what was taken out of them, and what it was; all of one shape. */
interface Read {
  readonly leaf: string | undefined
  readonly query: string | undefined
  readonly taken: Take | undefined
  readonly about: unknown
  readonly value: unknown
}
type Take = (facts: Facts, about: unknown) => unknown

/**
 * Notes what is read while a question deals with one of its subjects, so that what it made of that subject can be
 * taken up again when all of it is the same.
 */
class Noting implements Ask {
  readonly #ask: Ask
  readonly #plain: Facts
  #reads: Read[] = []

  constructor(ask: Ask, plain: Facts) {
    this.#ask = ask
    this.#plain = plain
  }

  /** Notes what is taken out of the figures, rather than all of those figures. */
  taken(take: Take, about: unknown): unknown {
    const value = take(this.#plain, about)
    this.#reads.push({ leaf: undefined, query: undefined, taken: take, about, value })
    return value
  }

  leaf(name: string): unknown {
    const value = this.#ask.leaf(name)
    this.#reads.push({ leaf: name, query: undefined, taken: undefined, about: undefined, value })
    return value
  }

  query(name: string): unknown {
    const value = this.#ask.query(name)
    this.#reads.push({ leaf: undefined, query: name, taken: undefined, about: undefined, value })
    return value
  }

  get kept(): Ask['kept'] {
    return this.#ask.kept
  }

  begin(): void {
    this.#reads = []
  }

  get reads(): readonly Read[] {
    return this.#reads
  }

  /** Reads it all again, so that the question hangs on it as before. */
  stands(reads: readonly Read[]): boolean {
    for (const read of reads) if (!Object.is(this.#now(read), read.value)) return false
    return true
  }

  #now({ leaf, query, taken, about }: Read): unknown {
    if (query !== undefined) return this.#ask.query(query)
    return leaf !== undefined ? this.#ask.leaf(leaf) : taken?.(this.#plain, about)
  }
}

/**
 * One value out of the figures, for a rule that looks at its subjects one by one: what it made of a subject stands while
 * that value is the very same, whatever else the figures it was taken from have become.
 * @param about what is looked for: the subject, a part, a name
 * @param take stands outside the rule: it is kept as long as the subject lives, and figures that it held would live as
 *   long. It hangs on what it is given, and gives a value that stays the same object
 * @example the load of one joint out of all loads: a piece put on elsewhere leaves it alone
 */
export const takenFrom = <F extends object, A, T>(facts: F, about: A, take: (facts: F, about: A) => T): T => {
  const { ask } = facts as { readonly ask?: unknown }
  return ask instanceof Noting ? (ask.taken(take as unknown as Take, about) as T) : take(facts, about)
}

/** The figures as one subject of a question sees them, and what was read of them. */
export interface Watched {
  readonly facts: Facts
  readonly noting: Noting
}
export type Reads = Noting['reads']

/** A question about a moment, and the pieces it looks at; all of them when it names no concern. */
export interface Question {
  readonly about: Concern | undefined
  /** @param was what it was before an edit reached it, as a hint to start from */
  readonly answer: (facts: Facts, watched: () => Watched, was?: unknown) => unknown
}

/** A view for each evaluator and concern, made when it is first wanted. */
const viewsBy = <T>(make: (ask: Ask, concern: Concern | undefined) => T) => {
  return (ask: Ask, concern: Concern | undefined): T => {
    let all = ask.kept.get(make) as Map<Concern | undefined, T> | undefined
    if (!all) ask.kept.set(make, (all = new Map<Concern | undefined, T>()))
    const known = all.get(concern)
    if (known !== undefined) return known
    const view = make(ask, concern)
    all.set(concern, view)
    return view
  }
}

/** Makes the queries of figures and rules from their makers: `fact mass`, `check over-mass`. */
export const queriesFor = (
  facts: Readonly<Record<string, Question>>,
  rules: (id: string) => Question | undefined,
): Queries => {
  const prototype = {}
  for (const name of Object.keys(facts)) {
    const query = oneName(`fact ${name}`)
    Object.defineProperty(prototype, name, {
      enumerable: true,
      get(this: Asking) {
        return this.ask.query(query)
      },
    })
  }
  const viewOf = viewsBy((ask, concern) => seenBy(ask, prototype, concern))
  const watchedOf = viewsBy((ask, concern): Watched => {
    const noting = new Noting(ask, viewOf(ask, concern))
    return { facts: seenBy(noting, prototype, concern), noting }
  })
  const made = new Map<string, Query>()
  return (name) => {
    const known = made.get(name)
    if (known) return known
    const id = name.slice(name.indexOf(' ') + 1)
    const question: Question | undefined = name.startsWith('fact ') ? facts[id] : rules(id)
    if (!question) return undefined
    const query: Query = (ask, was) =>
      question.answer(viewOf(ask, question.about), () => watchedOf(ask, question.about), was)
    made.set(name, query)
    return query
  }
}

/** One placed set-up and what surrounds it, with the answers to all that was asked about it. */
export interface Moment {
  readonly leaves: MomentLeaves
  readonly evaluator: Evaluator
}

/** A moment without a past. */
export const firstMoment = (queries: Queries, assembly: Assembly, context: Context): Moment => {
  const leaves = new MomentLeaves(assembly, context)
  return { leaves, evaluator: Evaluator.from(queries, leaves.get) }
}

/** The moment after an edit, or one that is only tried. */
export const nextMoment = (
  { leaves: was, evaluator }: Moment,
  assembly: Assembly,
  context: Context,
  tried: boolean,
): Moment => {
  const leaves = new MomentLeaves(assembly, context, was)
  return { leaves, evaluator: tried ? evaluator.fork(leaves.get) : evaluator.advance(leaves.get) }
}
