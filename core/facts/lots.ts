import type { Assembly, PlacedPart } from '../assembly/index.ts'
import { type Concern, concerns } from '../catalogue/index.ts'
import type { Ask } from '../engine/index.ts'
import { perKey } from '../kernel/index.ts'

/**
 * Lots of pieces. Whoever looks at a few of the placed pieces only asks for those, and hangs on nothing else: a piece
 * that is put on elsewhere leaves the lot the same list, and the question is not asked again.
 */
type Wanted = (piece: PlacedPart) => boolean | undefined

/** What tells the pieces of each lot, in the order in which lots were stated. */
const lots: Wanted[] = []

const nobody: readonly PlacedPart[] = []

/** A piece of which a lot can't tell is in it: then the rule that asks for the lot meets it, and all others go on. */
const isIn = (wanted: Wanted, piece: PlacedPart): boolean => {
  try {
    return wanted(piece) === true
  } catch {
    return true
  }
}

/** The lots that a piece is in: most pieces are in few. */
const lotsKept = perKey<PlacedPart, readonly number[]>('lots of a piece')
const lotsOf = (piece: PlacedPart): readonly number[] =>
  lotsKept(piece, String(lots.length), () => lots.flatMap((wanted, lot) => (isIn(wanted, piece) ? [lot] : [])))

const sorted = perKey<readonly PlacedPart[], ReadonlyMap<number, readonly PlacedPart[]>>('pieces by lot')
const byLot = (placed: readonly PlacedPart[]): ReadonlyMap<number, readonly PlacedPart[]> =>
  sorted(placed, String(lots.length), () => {
    const all = new Map<number, PlacedPart[]>()
    for (const piece of placed)
      for (const lot of lotsOf(piece)) {
        const list = all.get(lot)
        if (list) list.push(piece)
        else all.set(lot, [piece])
      }
    return all
  })

/** What a query sees of the figures: what it asks with, and the pieces it looks at. */
interface Asking {
  readonly ask?: Ask
  readonly about?: Concern | undefined
}
type Placed = { readonly assembly: Pick<Assembly, 'placed'> }

const names = new Map<string, { readonly lot: number; readonly about: Concern | undefined }>()
/** Which lot a query names; undefined for a query that names none. */
export const lotNamed = (query: string) => names.get(query)

/** The pieces of one lot, in the order of all. */
export const inLot = ({ assembly }: Placed, lot: number): readonly PlacedPart[] =>
  byLot(assembly.placed).get(lot) ?? nobody

/**
 * States a lot: the placed pieces that are so, each told by itself alone.
 * @param wanted must hang on the piece and on nothing else
 * @returns the pieces of the lot in some figures, a question of its own where the figures note what is read of them
 * @example `const withGrips = lotOf(({ part }) => part.grips.length > 0)`, then `withGrips(facts)`
 */
export const lotOf = (wanted: Wanted): ((facts: Placed) => readonly PlacedPart[]) => {
  const lot = lots.push(wanted) - 1
  const all = `lot ${lot}`
  names.set(all, { lot, about: undefined })
  for (const about of concerns) names.set(`${all} ${about}`, { lot, about })
  return (facts) => {
    const { ask, about } = facts as Placed & Asking
    if (!ask) return inLot(facts, lot)
    return ask.query(about ? `${all} ${about}` : all) as readonly PlacedPart[]
  }
}
