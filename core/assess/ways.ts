import { type Finding, type Remedy, type WayKind, wayKindOf } from '../checks/index.ts'
import { perThing } from '../kernel/index.ts'
import { accept, type Known, type Verdict } from '../ways-out/index.ts'
import { changeOf, type Effect } from './effect.ts'
import type { Assessment } from './evaluate.ts'

/** A way out that was carried out on a copy of the rig and held, and what it would change. */
export interface Way {
  readonly remedy: Remedy
  readonly effect: Effect
  readonly as: Exclude<Verdict['as'], 'refused'>
  /** Risks that are new, by set-up; none for a plain way out. */
  readonly gained: Verdict['gained']
}

/** So many are offered; a good colleague names a few. */
export const MOST_WAYS = 4

const ranks: Readonly<Record<Way['as'], number>> = { plain: 0, part: 1, price: 2 }
/** What takes something away comes last: it is no cure, it does without. */
const away: ReadonlySet<WayKind> = new Set(['take-off', 'leave-out'])

const inOrder = (a: Way, b: Way): number => {
  const last = ({ remedy }: Way) => Number(away.has(wayKindOf(remedy.commands)))
  const costs = ({ effect }: Way) => Math.max(0, effect.toBuyMinor)
  return last(a) - last(b) || ranks[a.as] - ranks[b.as] || a.gained.length - b.gained.length || costs(a) - costs(b)
}

/**
 * The ways out of a finding that hold when they are tried, in every set-up they reach: those that leave the least harm
 * first, then those that cost nothing; what takes something off comes last.
 * @param known the rig with its other set-ups; `before` is one of them
 */
export const waysOut = (known: Known, before: Assessment, finding: Finding): readonly Way[] =>
  finding.remedies
    .flatMap((remedy): Way[] => {
      const { as, gained, after } = accept(known, before.setupId, finding, remedy.commands)
      return as === 'refused' || !after ? [] : [{ remedy, effect: changeOf(before, after), as, gained }]
    })
    .sort(inOrder)
    .slice(0, MOST_WAYS)

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
