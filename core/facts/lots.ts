import { type Assembly, type Change, changeBetween, pickedAfter, type PlacedPart } from '../assembly/index.ts'
import { type Concern, concerns, type Part } from '../catalogue/index.ts'
import { type Ask, equalValues, oneName } from '../engine/index.ts'
import { perThing } from '../kernel/index.ts'

/**
 * Lots of pieces. Whoever looks at a few of the placed pieces only asks for those, and hangs on nothing else: a piece
 * that is put on elsewhere leaves the lot the same list, and the question is not asked again.
 */
type Wanted = (piece: PlacedPart) => boolean | undefined
type PartWanted = (part: Part) => boolean | undefined

/** What tells the pieces of each lot, in the order in which lots were stated. */
const lots: Wanted[] = []
/** The lots that hang on the part alone, wherever it sits, and those that do not. */
const ofParts: { readonly lot: number; readonly wanted: PartWanted }[] = []
const ofPieces: { readonly lot: number; readonly wanted: Wanted }[] = []

const nobody: readonly PlacedPart[] = []

/** A piece of which a lot can't tell is in it: then the rule that asks for the lot meets it, and all others go on. */
const isIn = <T>(wanted: (thing: T) => boolean | undefined, thing: T): boolean => {
  try {
    return wanted(thing) === true
  } catch {
    return true
  }
}

/** The lots that a thing is in, of so many that were stated by then: most are in few. */
interface In {
  stated: number
  lots: readonly number[]
}
const unsaid = (): In => ({ stated: 0, lots: [] })
const partIn = perThing('lots of a part', (_: Part) => unsaid())
const pieceIn = perThing('lots of a piece', (_: PlacedPart) => unsaid())

const lotsOfPart = (part: Part): readonly number[] => {
  const known = partIn(part)
  if (known.stated === ofParts.length) return known.lots
  known.stated = ofParts.length
  return (known.lots = ofParts.filter(({ wanted }) => isIn(wanted, part)).map(({ lot }) => lot))
}
const lotsOf = (piece: PlacedPart): readonly number[] => {
  const known = pieceIn(piece)
  if (known.stated === lots.length) return known.lots
  known.stated = lots.length
  const all = [...lotsOfPart(piece.part)]
  for (const { lot, wanted } of ofPieces) if (isIn(wanted, piece)) all.push(lot)
  return (known.lots = all)
}

type ByLot = (readonly PlacedPart[] | undefined)[]
const unknown = (): ByLot => lots.map(() => undefined)
const sortedOf = (placed: readonly PlacedPart[]): ByLot => {
  const all: (PlacedPart[] | undefined)[] = lots.map(() => undefined)
  for (const piece of placed)
    for (const lot of lotsOf(piece)) {
      const list = all[lot]
      if (list) list.push(piece)
      else all[lot] = [piece]
    }
  return all.map((list) => list ?? nobody)
}

/** What a lot was, and what came and went since; no change where that was longer ago, or can't be told. */
interface Was {
  readonly list: readonly PlacedPart[]
  readonly since: Change | undefined
}

/**
 * A list of pieces, lot by lot. After an edit only the lots of what came or went are looked through again; all others
 * are the very lists they were.
 */
export class Lots {
  readonly placed: readonly PlacedPart[]
  /** The lots that were asked for, as they are. */
  readonly #lists: ByLot
  /** All lots, where they were sorted out at once. */
  readonly #sorted: ByLot | undefined
  /** What the lots that are not known yet were, to be the same lists again where they say the same. */
  readonly #were: ReadonlyMap<number, Was>

  private constructor(
    placed: readonly PlacedPart[],
    lists: ByLot,
    were: ReadonlyMap<number, Was>,
    sorted: ByLot | undefined,
  ) {
    this.placed = placed
    this.#lists = lists
    this.#were = were
    this.#sorted = sorted
  }

  /** All pieces, sorted once. */
  static of(placed: readonly PlacedPart[]): Lots {
    return new Lots(placed, unknown(), new Map(), sortedOf(placed))
  }

  /** The same of the pieces as they are after an edit. */
  after(placed: readonly PlacedPart[]): Lots {
    if (placed === this.placed) return this
    const change = changeBetween(this.placed, placed)
    const lists = change ? this.#lists.slice() : unknown()
    const were = new Map<number, Was>()
    for (const [lot, { list }] of this.#were) if (!this.#lists[lot]) were.set(lot, { list, since: undefined })
    const letGo = (lot: number): void => {
      const list = this.#lists[lot]
      if (list) were.set(lot, { list, since: change })
      lists[lot] = undefined
    }
    if (change) for (const piece of [...change.came, ...change.went]) lotsOf(piece).forEach(letGo)
    else for (const lot of this.#lists.keys()) letGo(lot)
    return new Lots(placed, lists, were, undefined)
  }

  /** The pieces of one lot, in the order of all. */
  get(lot: number): readonly PlacedPart[] {
    const known = this.#lists[lot] ?? this.#sorted?.[lot]
    if (known) return (this.#lists[lot] = known)
    const was = this.#were.get(lot)
    const belongs = (piece: PlacedPart): boolean => lotsOf(piece).includes(lot)
    if (was?.since) return (this.#lists[lot] = pickedAfter(was.list, was.since, this.placed, belongs))
    const found = this.placed.filter(belongs)
    return (this.#lists[lot] = was && equalValues(was.list, found) ? was.list : found)
  }
}

/** What a query sees of the figures: what it asks with, and the pieces it looks at. */
interface Asking {
  readonly ask?: Ask
  readonly about?: Concern | undefined
}
type Placed = { readonly assembly: Pick<Assembly, 'placed'> }

const names = new Map<string, { readonly lot: number; readonly about: Concern | undefined }>()
/** Which lot a leaf names; undefined for one that names none. */
export const lotNamed = (leaf: string) => names.get(leaf)

/** The leaf that a lot is picked from; any other leaf is what it is. */
export const pickedFrom = (leaf: string): string => {
  const lot = names.get(leaf)
  return lot ? `${lot.about ?? 'assembly'}.placed` : leaf
}

/** A leaf of its own where the figures note what is read of them. */
const asked = (lot: number): ((facts: Placed) => readonly PlacedPart[]) => {
  const all = oneName(`lot ${lot}`)
  names.set(all, { lot, about: undefined })
  const within = Object.fromEntries(concerns.map((about) => [about, oneName(`${all} ${about}`)]))
  for (const about of concerns) names.set(within[about] ?? all, { lot, about })
  return (facts) => {
    const { ask, about } = facts as Placed & Asking
    if (ask) return ask.leaf(about ? (within[about] ?? all) : all) as readonly PlacedPart[]
    const wanted = lots[lot]
    return facts.assembly.placed.filter((piece) => wanted && isIn(wanted, piece))
  }
}

/**
 * States a lot: the placed pieces that are so, each told by itself alone.
 * @param wanted must hang on the piece and on nothing else
 * @returns the pieces of the lot in some figures, a leaf of its own where the figures note what is read of them
 * @example `const held = lotOf(({ mate }) => mate?.ok)`, then `held(facts)`
 */
export const lotOf = (wanted: Wanted): ((facts: Placed) => readonly PlacedPart[]) => {
  const lot = lots.push(wanted) - 1
  ofPieces.push({ lot, wanted })
  return asked(lot)
}

/**
 * The same where the part alone tells it, wherever it sits: that is found out once for the catalogue.
 * @param wanted must hang on the part and on nothing else
 * @example `const withGrips = lotOfParts(({ grips }) => grips.length > 0)`, then `withGrips(facts)`
 */
export const lotOfParts = (wanted: PartWanted): ((facts: Placed) => readonly PlacedPart[]) => {
  const lot = lots.push(({ part }) => wanted(part)) - 1
  ofParts.push({ lot, wanted })
  return asked(lot)
}
