import {
  type Assessment,
  type Blame,
  blameOf,
  type BuildPlan,
  buildPlanOf,
  type Bundle,
  bundleFor,
  cardsIn,
  evaluate,
  type Fit,
  type FitsHere,
  fitsInSteps,
  knownBy,
  type LogPlan,
  logPlanOf,
  type MarkLine,
  markLinesOf,
  type Misfit,
  misfitsHere,
  type PackList,
  packListOf,
  placedWithNeeds,
  plugsFor,
  type LeadLine,
  type Proposal,
  type RepairOffer,
  repairOf,
  schoolLines,
  type SchoolLine,
  swapsFor,
  type TargetAnswer,
  type TargetId,
  targetOf,
  type Way,
  waysOut,
  wiringFor,
} from '@zucchini/core/assess'
import type { Finding } from '@zucchini/core/checks'
import { type Command, type Rig, sharedWith } from '@zucchini/core/assembly'
import { catalogueOf, type Part, withPlaceholders } from '@zucchini/core/catalogue'
import type { Context } from '@zucchini/core/context'
import type { Learnt } from '@zucchini/core/log'
import type { FactName } from '@zucchini/core/facts'
import type { PriceView } from '@zucchini/core/money'
import { expose } from 'comlink'

/** Who holds the rig, how its money is reckoned, and how well its masses are known. */
export type Terms = Pick<Context, 'operator' | 'rules' | 'home' | 'rates' | 'limits' | 'weighed' | 'typed' | 'learnt'>

let context: Context = { catalogue: catalogueOf([]), owned: new Map() }

/** The last assessment of each set-up: the next question about it grows from there. */
const grown = new Map<string, Assessment>()
const MOST_GROWN = 12
const assessed = (rig: Rig, setup: string): Assessment => {
  const key = `${rig.id} ${setup}`
  const before = grown.get(key)
  // A message brings the whole rig anew; what it says as before is taken for what it was.
  const assessment = evaluate(sharedWith(before?.rig, rig), setup, context, before)
  if (grown.size >= MOST_GROWN) grown.clear()
  grown.set(key, assessment)
  return assessment
}

/** What is known so far of the ways out. */
export interface ToldWays {
  /** In the order of the findings; undefined where nothing was looked for yet. */
  readonly ways: readonly (readonly Way[] | undefined)[]
  readonly repair?: RepairOffer
  readonly isDone: boolean
}

/** So many ways are tried for the first list, and so often it is told what was found since. */
const FIRST_TRIES = 7
const TELL_MS = 250

let asked = 0
let curing = 0
/** Lets a newer question in. */
const breath = (): Promise<void> => new Promise((done) => setTimeout(done))
const pointIn = (assessment: Assessment, instance: string, mount: string) =>
  assessment.points.find((candidate) => candidate.piece.instance.id === instance && candidate.mount.id === mount)

/** The heavier questions of the bench, answered beside the page so that it never stutters. */
const bench = {
  setShelf(
    parts: readonly Part[] | undefined,
    owned: readonly (readonly [string, number])[],
    prices: readonly (readonly [string, PriceView])[],
    terms: Terms,
    gone: readonly Part[] = [],
    placeholders: readonly Part[] = [],
  ): void {
    context = {
      catalogue: parts ? withPlaceholders(catalogueOf(parts, gone), placeholders) : context.catalogue,
      owned: new Map(owned),
      prices: new Map(prices),
      ...terms,
    }
  },
  /** Tells what fits as soon as the likeliest are tried, then more and more; a newer question ends an older one. */
  async fits(rig: Rig, setup: string, instance: string, mount: string, tell: (found: FitsHere) => void): Promise<void> {
    const turn = ++asked
    const assessment = assessed(rig, setup)
    const point = pointIn(assessment, instance, mount)
    if (!point) return tell({ fits: [], pending: 0, outOf: 0 })
    for (const found of fitsInSteps(assessment.rig, setup, point, context, assessment)) {
      tell(found)
      await breath()
      if (turn !== asked) return
    }
  },
  misfits(rig: Rig, setup: string, instance: string, mount: string): readonly Misfit[] {
    const point = pointIn(assessed(rig, setup), instance, mount)
    return point ? misfitsHere(rig, setup, point, context) : []
  },
  swaps(rig: Rig, setup: string, instance: string): readonly Fit[] {
    return swapsFor(rig, setup, instance, context)
  },
  wiring(rig: Rig, setup: string, anew: boolean): Proposal {
    return wiringFor(rig, setup, context, anew)
  },
  schools(rig: Rig, setup: string): readonly SchoolLine[] {
    return schoolLines(rig, setup, context)
  },
  plugs(rig: Rig, setup: string, instance: string, socket: string): readonly LeadLine[] {
    return plugsFor(rig, setup, instance, socket, context)
  },
  /** How far a figure may be off, and what is most to blame: every part is tried, so the page's thread is spared. */
  blame(rig: Rig, setup: string, fact: FactName): Blame | undefined {
    return blameOf(assessed(rig, setup), fact)
  },
  /** A part that would be put on by some edits, with what it needs. */
  bundle(rig: Rig, setup: string, commands: readonly Command[], text: string): Bundle | undefined {
    const before = assessed(rig, setup)
    const remedy = { text: '{part}', numbers: {}, names: { part: text }, commands }
    return bundleFor(
      knownBy(before, (id) => assessed(rig, id)),
      before,
      remedy,
    )
  },
  /** How a set-up is built from its bare camera, step by step. */
  build(rig: Rig, setup: string): BuildPlan {
    return buildPlanOf(assessed(rig, setup))
  },
  /** What to pack for a day with these set-ups, in the order in which they are used. */
  pack(rig: Rig, setups: readonly string[]): PackList {
    return packListOf(setups.map((id) => assessed(rig, id)))
  },
  /** What the log of a day with these set-ups can be about, and what was planned of it. */
  logPlan(rig: Rig, setups: readonly string[]): LogPlan {
    return logPlanOf(setups.map((id) => assessed(rig, id)))
  },
  /** What the field, with the day that is being written down, would change of the next mark. */
  markLines(rig: Rig, learnt: Learnt): readonly MarkLine[] {
    return markLinesOf(rig, context, learnt)
  },
  /** What brings a figure down by so much. */
  target(rig: Rig, setup: string, id: TargetId, by: number): TargetAnswer {
    const before = assessed(rig, setup)
    return targetOf(
      knownBy(before, (other) => assessed(rig, other)),
      before,
      id,
      by,
    )
  },
  /** A part of the catalogue that no open point takes, put on what makes its place. */
  placing(rig: Rig, setup: string, partId: string): Bundle | undefined {
    const part = context.catalogue.parts.get(partId)
    const before = assessed(rig, setup)
    return (
      part &&
      placedWithNeeds(
        knownBy(before, (id) => assessed(rig, id)),
        before,
        part,
      )
    )
  },
  /**
   * The ways out of the findings that hold when they are tried, told again and again as more is known: first a few of
   * what stands on top of each card, then all, at last what of it goes together. A newer question ends an older one.
   */
  async cures(rig: Rig, setup: string, tell: (told: ToldWays) => void): Promise<void> {
    const turn = ++curing
    const before = assessed(rig, setup)
    const known = knownBy(before, (id) => assessed(rig, id))
    const cards = cardsIn(before)
    const heads = cards.flatMap(({ root }) => root.all)
    const rest = cards.flatMap(({ follows }) => follows.flatMap(({ all }) => all))
    const found = new Map<Finding, readonly Way[]>()
    const told = (isDone: boolean, repair?: RepairOffer) =>
      tell({
        ways: before.findings.map((finding) => found.get(finding)),
        isDone,
        ...(repair ? { repair } : {}),
      })
    let since = performance.now()
    for (const [findings, most] of [
      [heads, FIRST_TRIES],
      [[...heads, ...rest], undefined],
    ] as const)
      for (const finding of findings) {
        found.set(finding, waysOut(known, before, finding, most))
        if (performance.now() - since > TELL_MS || found.size === 1) {
          told(false)
          since = performance.now()
        }
        await breath()
        if (turn !== curing) return
      }
    told(false)
    const repair = repairOf(
      known,
      before,
      [...heads, ...rest].map((finding) => [finding, found.get(finding) ?? []]),
    )
    if (turn === curing) told(true, repair)
  },
}

export type BenchWorker = typeof bench
expose(bench)
