import { type Effect, effectOf, evaluate, type Fit, fitsHere, type FitsHere, swapsFor } from '@zucchini/core/assess'
import type { Command, Rig } from '@zucchini/core/assembly'
import { catalogueOf, type Part } from '@zucchini/core/catalogue'
import type { Shelf } from '@zucchini/core/checks'
import { expose } from 'comlink'

let shelf: Shelf = { catalogue: catalogueOf([]), owned: new Map() }

/** The heavier questions of the bench, answered beside the page so that it never stutters. */
const bench = {
  setShelf(parts: readonly Part[] | undefined, owned: readonly (readonly [string, number])[]): void {
    shelf = { catalogue: parts ? catalogueOf(parts) : shelf.catalogue, owned: new Map(owned) }
  },
  fits(rig: Rig, setup: string, instance: string, mount: string): FitsHere {
    const assessment = evaluate(rig, setup, shelf, false)
    const point = assessment.points.find((candidate) => candidate.piece.instance.id === instance && candidate.mount.id === mount)
    return point ? fitsHere(rig, setup, point, shelf, assessment) : { fits: [], misfits: [] }
  },
  swaps(rig: Rig, setup: string, instance: string): readonly Fit[] {
    return swapsFor(rig, setup, instance, shelf)
  },
  effects(rig: Rig, setup: string, edits: readonly (readonly Command[])[]): readonly (Effect | undefined)[] {
    const before = evaluate(rig, setup, shelf, false)
    return edits.map((commands) => {
      const effect = effectOf(rig, setup, commands, shelf, before)
      return 'issues' in effect ? undefined : effect
    })
  },
}

export type BenchWorker = typeof bench
expose(bench)
