import { type Assembly, type PlacedPart, ridesOn } from '../assembly/index.ts'
import { type Path, pathsOf, standsBefore } from './paths.ts'
import { comesAlong, wantsOff } from './stated.ts'

/** Pieces in the order in which they come off, and which of them only make room and go back on. */
export interface Clearing {
  readonly order: readonly PlacedPart[]
  readonly aside: readonly PlacedPart[]
}

/** The least that stands in the way of a piece on any of its ways. */
const fewest = (ways: readonly (readonly PlacedPart[])[]): readonly PlacedPart[] =>
  ways.reduce<readonly PlacedPart[] | undefined>(
    (least, one) => (least === undefined || one.length < least.length ? one : least),
    undefined,
  ) ?? []

/** What is still there of a set-up from which some pieces are to come off. */
class Clearance {
  readonly #root: PlacedPart | undefined
  readonly #standing: Set<PlacedPart>
  readonly #left: Set<PlacedPart>
  readonly #order: PlacedPart[] = []
  readonly #aside: PlacedPart[]

  constructor({ placed }: Assembly, goes: readonly PlacedPart[], aside: readonly PlacedPart[]) {
    this.#root = placed[0]
    this.#standing = new Set(placed.slice(1))
    // The outermost first, as far as nothing stands in the way.
    this.#left = new Set(placed.filter((piece) => goes.includes(piece) || aside.includes(piece)).reverse())
    this.#aside = [...aside]
  }

  #crossed(piece: PlacedPart, riders: readonly PlacedPart[], path: Path): readonly PlacedPart[] {
    const rest = [...(this.#root ? [this.#root] : []), ...this.#standing]
    return rest.filter(
      (other) => other !== piece && !riders.includes(other) && standsBefore(piece, other, path, riders),
    )
  }

  /** What has to be gone before a piece can go, with all that rides on it. */
  #before(piece: PlacedPart): readonly PlacedPart[] {
    // In the hand with what it sat on, nothing is in its way.
    if (!this.#standing.has(piece)) return []
    const riders = [...this.#standing].filter((other) => other !== piece && ridesOn(other, piece))
    const own = riders.filter((rider) => this.#left.has(rider) && !comesAlong(rider))
    if (own.length > 0) return own
    const { host } = piece
    const carrier = host && this.#standing.has(host) && comesAlong(piece) ? [host] : []
    const stated = [...carrier, ...[...this.#standing].filter((other) => wantsOff(piece, other))]
    if (stated.length > 0) return stated
    const ways: (readonly PlacedPart[])[] = []
    for (const path of pathsOf(piece)) {
      const crossed = this.#crossed(piece, riders, path)
      if (crossed.length === 0) return []
      ways.push(crossed)
    }
    return fewest(ways)
  }

  #take(piece: PlacedPart): void {
    for (const other of this.#standing) if (ridesOn(other, piece)) this.#standing.delete(other)
    this.#left.delete(piece)
    this.#order.push(piece)
  }

  /** What could be lifted aside for a piece: nothing of it is the body, or carries it without coming along. */
  #liftedFor(piece: PlacedPart): readonly PlacedPart[] {
    const more = this.#before(piece).filter((other) => !this.#left.has(other))
    const fixed = (other: PlacedPart) => other === this.#root || (ridesOn(piece, other) && !comesAlong(piece))
    return more.some(fixed) ? [] : more
  }

  run(): Clearing {
    while (this.#left.size > 0) {
      const free = [...this.#left].find((piece) => this.#before(piece).length === 0)
      if (free) {
        this.#take(free)
        continue
      }
      const lifted = fewest([...this.#left].map((piece) => this.#liftedFor(piece)).filter(({ length }) => length > 0))
      for (const piece of lifted) this.#left.add(piece)
      this.#aside.push(...lifted)
      // What has no way at all is told as such elsewhere; it goes where its turn is.
      const [first] = this.#left
      if (lifted.length === 0 && first) this.#take(first)
    }
    return { order: this.#order, aside: this.#aside }
  }
}

/**
 * In which order pieces come off a set-up, each with all that rides on it, along ways on which nothing stands; what is
 * in the way of all of them is lifted aside too.
 * @param goes what comes off; a piece that stays on another of them is not named
 * @param aside what is lifted aside in any case
 */
export const clearingOf = (assembly: Assembly, goes: readonly PlacedPart[], aside: readonly PlacedPart[]): Clearing =>
  new Clearance(assembly, goes, aside).run()
