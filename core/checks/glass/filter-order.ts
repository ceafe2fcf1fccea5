import type { PlacedPart } from '../../assembly/index.ts'
import type { FilterOptics } from '../../catalogue/index.ts'
import { filterOf, lensOf } from '../../optics/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

const polarised: ReadonlySet<FilterOptics['effect']> = new Set(['variable-nd', 'polariser'])
const effectOf = ({ part }: PlacedPart) => filterOf(part)?.effect
const isPolarised = (piece: PlacedPart): boolean => polarised.has(effectOf(piece) ?? 'clear')

/** The filters before the lens, from the lens outward. */
const filtersOut = ({ front }: Sees<'front'>): readonly PlacedPart[] =>
  (front?.openings ?? []).map(({ piece }) => piece).filter((piece) => filterOf(piece.part))

/** Does it go into its tray only by quarter turns? A ring turns by itself. */
const isStuck = ({ part, mate }: PlacedPart): boolean =>
  part.opening?.clearMm === undefined && mate?.ok === true && mate.value.turnStepDeg >= 90

interface Place {
  readonly piece: PlacedPart
  /** What stands before it, the nearest first. */
  readonly before: readonly PlacedPart[]
}

/** Filters in an order, or in a tray, in which they don't do what they are for. */
export const filterOrder = defineCheck<Place, object, 'front'>({
  id: 'filter-order',
  family: 'glass',
  title: 'In the wrong place of the stack',
  why: 'A guard behind glass guards nothing; two polarisers darken each other as they are turned, and colours shift.',
  level: 'hint',
  source: 'The order of the filters from the lens outward, what each does, and how far its tray lets it turn.',
  ...noOptions,
  about: 'glass',
  needs: ['front'],
  messages: {
    speaks: {
      buried: '{filter} guards nothing. {other} stands before it; the clear one goes outermost.',
      crossed: '{filter} and {other} both polarise. Turned against each other they darken the picture; leave one out.',
      stuck: '{filter} can’t be set. It goes into its tray by quarter turns only; a tray that turns, or a round one.',
    },
    silent: { good: '{filter} is where it works.' },
    cannotTell: {},
  },
  subjects: (facts) => {
    const all = lensOf(facts.assembly) ? filtersOut(facts) : []
    return all.map((piece, i) => ({ piece, before: all.slice(i + 1) }))
  },
  judge: ({ piece, before }) => {
    const key = piece.instance.id
    const said = (message: 'buried' | 'crossed' | 'stuck', other?: PlacedPart) =>
      ({
        group: 'speaks',
        message,
        key,
        names: { filter: piece.part.name, other: other?.part.name ?? '' },
        parts: [piece.instance.id, ...(other ? [other.instance.id] : [])],
        at: piece.centre,
      }) as const
    const [next] = before
    if (effectOf(piece) === 'clear' && next) return said('buried', next)
    // Two variable ones are told of where neutral density is.
    const both = (other: PlacedPart) =>
      isPolarised(other) && [piece, other].some((one) => effectOf(one) === 'polariser')
    const second = isPolarised(piece) ? before.find(both) : undefined
    if (second) return said('crossed', second)
    if (isPolarised(piece) && isStuck(piece)) return said('stuck')
    return { group: 'silent', message: 'good', key, names: { filter: piece.part.name } }
  },
})
