import {
  type Assessment,
  type Effect,
  effectOf,
  evaluate,
  type Fit,
  type FitsHere,
  fitsInSteps,
  type Misfit,
  misfitsHere,
  plugsFor,
  type LeadLine,
  type Proposal,
  schoolLines,
  type SchoolLine,
  swapsFor,
  wiringFor,
} from '@zucchini/core/assess'
import type { Rig } from '@zucchini/core/assembly'
import { catalogueOf, type Part, withPlaceholders } from '@zucchini/core/catalogue'
import type { Remedy, Shelf } from '@zucchini/core/checks'
import type { PriceView } from '@zucchini/core/money'
import { expose } from 'comlink'

/** Who holds the rig, and how its money is reckoned. */
export type Terms = Pick<Shelf, 'operator' | 'rules' | 'home' | 'rates' | 'limits'>

let shelf: Shelf = { catalogue: catalogueOf([]), owned: new Map() }

let asked = 0
let curing = 0
/** A way out of a finding, and what it would change. */
export interface Cure {
  readonly remedy: Remedy
  readonly effect: Effect | undefined
}

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
    shelf = {
      catalogue: parts ? withPlaceholders(catalogueOf(parts, gone), placeholders) : shelf.catalogue,
      owned: new Map(owned),
      prices: new Map(prices),
      ...terms,
    }
  },
  /** Tells what fits as soon as the likeliest are tried, then more and more; a newer question ends an older one. */
  async fits(rig: Rig, setup: string, instance: string, mount: string, tell: (found: FitsHere) => void): Promise<void> {
    const turn = ++asked
    const assessment = evaluate(rig, setup, shelf)
    const point = pointIn(assessment, instance, mount)
    if (!point) return tell({ fits: [], pending: 0, outOf: 0 })
    for (const found of fitsInSteps(rig, setup, point, shelf, assessment)) {
      tell(found)
      await breath()
      if (turn !== asked) return
    }
  },
  misfits(rig: Rig, setup: string, instance: string, mount: string): readonly Misfit[] {
    const point = pointIn(evaluate(rig, setup, shelf), instance, mount)
    return point ? misfitsHere(rig, setup, point, shelf) : []
  },
  swaps(rig: Rig, setup: string, instance: string): readonly Fit[] {
    return swapsFor(rig, setup, instance, shelf)
  },
  wiring(rig: Rig, setup: string, anew: boolean): Proposal {
    return wiringFor(rig, setup, shelf, anew)
  },
  schools(rig: Rig, setup: string): readonly SchoolLine[] {
    return schoolLines(rig, setup, shelf)
  },
  plugs(rig: Rig, setup: string, instance: string, socket: string): readonly LeadLine[] {
    return plugsFor(rig, setup, instance, socket, shelf)
  },
  /** The cures of every finding, in the order of the findings, each with what it would change; a newer question ends an older one. */
  async cures(rig: Rig, setup: string): Promise<readonly (readonly Cure[])[] | undefined> {
    const turn = ++curing
    const before = evaluate(rig, setup, shelf)
    const all: Cure[][] = []
    for (const finding of before.findings) {
      all.push(
        finding.remedies.map((remedy) => {
          const effect = effectOf(rig, remedy.commands, before)
          return { remedy, effect: 'issues' in effect ? undefined : effect }
        }),
      )
      await breath()
      if (turn !== curing) return undefined
    }
    return all
  },
}

export type BenchWorker = typeof bench
expose(bench)
