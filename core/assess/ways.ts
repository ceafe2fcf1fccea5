import { changeoverOf } from '../build-order/index.ts'
import type { Part } from '../catalogue/index.ts'
import { countLevels, type Finding, type Level, levels, paceOf, type Remedy, type WayKind } from '../checks/index.ts'
import { perThing, flatMap } from '../kernel/index.ts'
import { placeMade, putOn } from '../remedies/index.ts'
import { bundleOf, type Judged, type Known, repairAll, search, takesAway, type Verdict } from '../ways-out/index.ts'
import { changeOf, type Effect } from './effect.ts'
import type { Assessment } from './evaluate.ts'

/** A way out that was carried out on a copy of the rig and held, and what it would change. */
export interface Way {
  readonly remedy: Remedy
  readonly kind: WayKind
  readonly effect: Effect
  /** How long it takes at the bench, and with which tools; none where fingers do. */
  readonly seconds: number
  readonly tools: readonly string[]
  readonly as: Exclude<Verdict['as'], 'refused'>
  /** Risks that are new, by set-up; none for a plain way out. */
  readonly gained: Verdict['gained']
  /** Hints that are new, by set-up: no harm that forbids it, but worth a word. */
  readonly hints: Verdict['hints']
}

/** So many are offered; a good colleague names a few. */
export const MOST_WAYS = 4
/** And so many with what stands under “more”. */
const MOST_SHOWN = 8
/** Of those at a price so many, where there is no other. */
const MOST_PAID = 1

/** The work at the bench from one state of a set-up to another. */
const workOf = ({ assembly, facts }: Assessment, after: Judged): Pick<Way, 'seconds' | 'tools'> => {
  const { seconds, tools } = changeoverOf(assembly, after.facts.assembly, paceOf(facts.context))
  return { seconds, tools }
}

/** How many rules have something new to say; the same in four parts of the day is one trouble. */
const kindsNew = (found: Verdict['gained']): number =>
  new Set(found.map(({ setup, finding }) => `${setup} ${finding.check}`)).size

/** What is left of it: nothing, the finding itself where it is only less, or the gravest thing that is new. */
const leftOf = (finding: Finding, { as, gained }: Way): number => {
  const graveness = (level: Level) => levels.length - levels.indexOf(level)
  const all = [...(as === 'part' ? [finding.level] : []), ...gained.map(({ finding: { level } }) => level)]
  return Math.max(0, ...all.map(graveness))
}
const ranks: Readonly<Record<Way['as'], number>> = { plain: 0, part: 1, price: 2 }

const inOrder =
  (finding: Finding) =>
  (a: Way, b: Way): number => {
    const costs = ({ effect }: Way) => Math.max(0, effect.toBuyMinor)
    return (
      Number(takesAway(a.kind)) - Number(takesAway(b.kind)) ||
      leftOf(finding, a) - leftOf(finding, b) ||
      ranks[a.as] - ranks[b.as] ||
      kindsNew(a.gained) - kindsNew(b.gained) ||
      costs(a) - costs(b) ||
      kindsNew(a.hints) - kindsNew(b.hints) ||
      Number(a.tools.length > 0) - Number(b.tools.length > 0) ||
      a.effect.massG - b.effect.massG ||
      a.seconds - b.seconds
    )
  }

/** The first of each kind, then what is left over, each in the order it came in. */
const ofDifferentKinds = (ways: readonly Way[]): readonly Way[] => {
  const kinds = new Set<WayKind>()
  const first = ways.filter(({ kind }) => kinds.size < kinds.add(kind).size)
  const few = first.slice(0, MOST_WAYS)
  return [...few, ...ways.filter((way) => !few.includes(way))]
}

/**
 * The ways out of a finding that hold when they are tried, in every set-up they reach: those that leave the least harm
 * first, then those that cost nothing; what takes something off comes last.
 * @param known the rig with its other set-ups; `before` is one of them
 * @param most so many are carried out at most: for a first list, which a longer search replaces
 */
export const waysOut = (known: Known, before: Assessment, finding: Finding, most?: number): readonly Way[] => {
  const ways = flatMap(
    search(known, before.setupId, finding, most),
    ({ remedy, kind, verdict: { as, gained, hints, after } }): Way[] =>
      after ? [{ remedy, kind, effect: changeOf(before, after), ...workOf(before, after), as, gained, hints }] : [],
  )
  // Nobody pays who need not.
  const free = ways.filter(({ as }) => as !== 'price')
  const isFree = free.some(({ kind }) => !takesAway(kind))
  // Doing without what the brief asks for is no cure of a risk.
  // What the rule itself names was found first, and goes before what only happens to be cheap.
  const paid = ways
    .filter(({ as, kind }) => as === 'price' && (finding.level === 'stop' || !takesAway(kind)))
    .toSorted(
      (a, b) =>
        Number(takesAway(a.kind)) - Number(takesAway(b.kind)) ||
        leftOf(finding, a) - leftOf(finding, b) ||
        kindsNew(a.gained) - kindsNew(b.gained),
    )
  return ofDifferentKinds((isFree ? free : [...free, ...paid.slice(0, MOST_PAID)]).toSorted(inOrder(finding))).slice(
    0,
    MOST_SHOWN,
  )
}

/** A rig whose set-ups are assessed when they are first asked for. */
export const knownBy = (before: Assessment, assess: (setup: string) => Assessment): Known => {
  const each = perThing('set-ups that a way out reaches', ({ id }: { readonly id: string }) => assess(id).strict)
  const ids = new Map(before.rig.setups.map((setup) => [setup.id, setup]))
  return {
    rig: before.rig,
    factsOf: (id) => {
      const setup = ids.get(id)
      if (id === before.setupId || !setup) return before.strict
      return each(setup)
    },
  }
}

/** All that can be put right at one go, and what would change by it. */
export interface RepairOffer {
  readonly remedy: Remedy
  readonly cured: readonly Finding[]
  /** Its moves one by one. */
  readonly steps: readonly Remedy[]
  readonly effect: Effect
  readonly seconds: number
  readonly tools: readonly string[]
  /** Stops, risks and hints that are left. */
  readonly left: Readonly<Record<Level, number>>
}

/** Those ways out that hold together, in the order of the findings; undefined where fewer than two do. */
export const repairOf = (
  known: Known,
  before: Assessment,
  ways: readonly (readonly [Finding, readonly Way[]])[],
): RepairOffer | undefined => {
  const made = repairAll(
    known,
    before.setupId,
    ways.map(([finding, all]) => [finding, all.filter(({ as }) => as === 'plain').map(({ remedy }) => remedy)]),
    // Money is never spent beyond what the brief has; what is beyond it already gets no more.
    ({ facts: { cost } }) => cost.usual <= Math.max(before.cost.usual, before.rig.brief.budgetMinor || Infinity),
  )
  return (
    made && {
      remedy: made.remedy,
      cured: made.cured,
      steps: made.steps,
      effect: changeOf(before, made.after),
      ...workOf(before, made.after),
      left: countLevels(made.after.findings),
    }
  )
}

/** A part put on with what it needs, and what would change by it all. */
export interface Bundle {
  readonly remedy: Remedy
  /** So many things came along. */
  readonly added: number
  readonly effect: Effect
  /** Stops and risks that are new all the same. */
  readonly gained: Verdict['gained']
}

/** A part that goes on by some edits, with its leads, its power and its hold. */
export const bundleFor = (known: Known, before: Assessment, remedy: Remedy): Bundle | undefined => {
  const { remedy: whole, verdict, added } = bundleOf(known, before.setupId, remedy)
  return verdict.after && { remedy: whole, added, effect: changeOf(before, verdict.after), gained: verdict.gained }
}

/** A part of the catalogue put where it works, or on what makes its place, with what it needs; undefined where nothing does. */
export const placedWithNeeds = (known: Known, before: Assessment, part: Part): Bundle | undefined => {
  const put = putOn(before.strict, part) ?? placeMade(before.strict, part)
  return put && bundleFor(known, before, put)
}
