import type { Assembly, PlacedPart } from '../assembly/index.ts'
import { type Concern, concerns } from '../catalogue/index.ts'
import type { Ask } from '../engine/index.ts'
import { perThing } from '../kernel/index.ts'

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

/** The lots that a piece is in, of so many that were stated by then: most pieces are in few. */
interface In {
  stated: number
  lots: readonly number[]
}
const kept = perThing('lots of a piece', (_: PlacedPart): In => ({ stated: 0, lots: [] }))
const lotsOf = (piece: PlacedPart): readonly number[] => {
  const known = kept(piece)
  if (known.stated === lots.length) return known.lots
  known.stated = lots.length
  const all: number[] = []
  for (let lot = 0; lot < lots.length; lot++) if (isIn(lots[lot] as Wanted, piece)) all.push(lot)
  return (known.lots = all)
}

type ByLot = readonly (readonly PlacedPart[] | undefined)[]
const sortedOf = (placed: readonly PlacedPart[]): ByLot => {
  const all: (PlacedPart[] | undefined)[] = lots.map(() => undefined)
  for (const piece of placed)
    for (const lot of lotsOf(piece)) {
      const list = all[lot]
      if (list) list.push(piece)
      else all[lot] = [piece]
    }
  return all
}

/** All pieces sorted once for who asks in a moment. It goes with the moment: most lists of pieces are of a try. */
const sortedFor = ({ kept: here }: Ask, placed: readonly PlacedPart[]): ByLot => {
  const known = here.get(placed) as ByLot | undefined
  if (known) return known
  const sorted = sortedOf(placed)
  here.set(placed, sorted)
  return sorted
}

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
export const inLot = (facts: Placed, lot: number): readonly PlacedPart[] => {
  const { placed } = facts.assembly
  const { ask } = facts as Placed & Asking
  const wanted = lots[lot]
  return (ask ? sortedFor(ask, placed)[lot] : placed.filter((piece) => wanted && isIn(wanted, piece))) ?? nobody
}

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
