import type { Assembly } from '../assembly/index.ts'
import type { Context } from '../context/index.ts'
import { oneName } from '../engine/index.ts'
import { balanceFacts } from './balance.ts'
import { clearanceFacts } from './clearance.ts'
import type { FactTable } from './define.ts'
import { FactFailure } from './failure.ts'
import type { FactName, Facts } from './figures.ts'
import { glassFacts } from './glass.ts'
import { firstMoment, type Moment, nextMoment, queriesFor, type Question } from './moment.ts'
import { planFacts } from './plan.ts'
import { powerFacts } from './power.ts'
import { wiringFacts } from './wiring.ts'

/** Every figure there is: what it reads and how it is worked out. */
export const factTable: FactTable<FactName> = {
  ...clearanceFacts,
  ...wiringFacts,
  ...balanceFacts,
  ...powerFacts,
  ...glassFacts,
  ...planFacts,
}
export const factNames = Object.keys(factTable) as readonly FactName[]

type Made = (facts: Facts, was?: unknown) => unknown

/** What a figure is made of may have failed: then that is what is told. */
const told =
  (name: FactName, make: Made): Made =>
  (facts, was) => {
    try {
      return make(facts, was)
    } catch (error) {
      throw error instanceof FactFailure ? error : new FactFailure(name, error)
    }
  }
const rules = new Map<string, Question>()
/** Makes a rule one of the questions that can be asked about a moment. @returns the name of its query */
export const askable = (id: string, question: Question): string => {
  rules.set(id, question)
  return oneName(`check ${id}`)
}

const queries = queriesFor(
  Object.fromEntries(
    factNames.map((name) => {
      const { about, make } = factTable[name]
      const made = told(name, make as Made)
      return [name, { about, answer: (facts, _, was) => made(facts, was) } satisfies Question]
    }),
  ),
  (id) => rules.get(id),
)

/** Figures of a moment. The moment goes when they go: nothing else knows of it, nor does a copy of them. */
export class Figured {
  readonly assembly: Assembly
  readonly context: Context
  readonly #moment: Moment

  constructor(assembly: Assembly, context: Context, moment: Moment) {
    this.assembly = assembly
    this.context = context
    this.#moment = moment
  }

  static momentOf(facts: object): Moment | undefined {
    return #moment in facts ? facts.#moment : undefined
  }
}

/** The moment whose figures these are. @throws {RangeError} for figures put together by hand */
export const momentOf = (facts: Facts): Moment => {
  const moment = Figured.momentOf(facts)
  if (!moment) throw new RangeError('These figures belong to no moment; they come from factsOf.')
  return moment
}

/** Gives a class of figures every figure, each read in its own way. */
export const readingFigures = <T extends Figured>(
  { prototype }: { readonly prototype: T },
  read: (facts: T & Facts, name: FactName, query: string) => unknown,
): void =>
  void Object.defineProperties(
    prototype,
    Object.fromEntries(
      factNames.map((name) => {
        const query = oneName(`fact ${name}`)
        return [
          name,
          {
            enumerable: true,
            get(this: T & Facts) {
              return read(this, name, query)
            },
          },
        ]
      }),
    ),
  )
class Strict extends Figured {}
readingFigures(Strict, (facts, _, query) => momentOf(facts).evaluator.get(query))

const factsAt = (moment: Moment, assembly: Assembly, context: Context): Facts =>
  new Strict(assembly, context, moment) as Strict & Facts

/**
 * The same figures in the plainest way: each from all the pieces, with nothing taken over from anywhere. What tests
 * hold the questions of a moment to.
 */
export const plainFactsOf = (assembly: Assembly, context: Context): Facts => {
  const facts = { assembly, context } as Facts
  for (const name of factNames) {
    let made: { readonly value: unknown } | undefined
    const make = told(name, factTable[name].make as Made)
    Object.defineProperty(facts, name, {
      enumerable: true,
      get: () => (made ??= { value: make(facts) }).value,
    })
  }
  return facts
}

/**
 * The figures of one placed set-up. Reading one that can't be worked out throws a `FactFailure`, again at each reading.
 */
export const factsOf = (assembly: Assembly, context: Context): Facts =>
  factsAt(firstMoment(queries, assembly, context), assembly, context)

/**
 * The figures after an edit: what it does not reach stands as it was worked out before.
 * @param tried the edit is only tried: the figures before it take nothing over from it
 */
export const factsAfter = (before: Facts, assembly: Assembly, context: Context, tried: boolean): Facts =>
  factsAt(nextMoment(momentOf(before), assembly, context, tried), assembly, context)
