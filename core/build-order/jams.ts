import { type Change, near, type PlacedPart } from '../assembly/index.ts'
import { perThing } from '../kernel/index.ts'
import { goingOn, type Knot, Standing, takenApart } from './order.ts'
import { hasPath, type Path, SCRAPE_MM, stands } from './paths.ts'
import { type Against, comesAlong, wantsOff } from './stated.ts'

/** Pieces that lock each other, and stated orders that are broken whatever is done. */
export interface Jams {
  /** All came off one by one, with nothing stated broken. */
  readonly free: boolean
  readonly knots: readonly Knot[]
  readonly against: readonly Against[]
}

/** What is left where of some pieces all goes off that can; a piece goes once it carries nothing and has a way. */
class Loosening {
  readonly left: Set<PlacedPart>
  readonly #placed: readonly PlacedPart[]
  readonly #root: PlacedPart | undefined
  readonly #carries = new Map<PlacedPart, number>()
  /** What was found in a way is in it as long as it stands. */
  readonly #inWay = new Map<Path, PlacedPart>()

  constructor(placed: readonly PlacedPart[]) {
    this.left = new Set(goingOn(placed))
    this.#placed = placed
    this.#root = placed[0]
    for (const { host } of this.left) if (host) this.#carries.set(host, (this.#carries.get(host) ?? 0) + 1)
  }

  /** Takes off what can go of these, until none can any more. */
  clear(pieces: Iterable<PlacedPart>): void {
    for (let goes = true; goes;) {
      goes = false
      for (const piece of pieces) {
        if (!this.left.has(piece) || !this.#isFree(piece)) continue
        this.left.delete(piece)
        if (piece.host) this.#carries.set(piece.host, (this.#carries.get(piece.host) ?? 0) - 1)
        goes = true
      }
    }
  }

  #isFree(piece: PlacedPart): boolean {
    return (this.#carries.get(piece) ?? 0) === 0 && !comesAlong(piece) && !this.#waits(piece) && this.#isOpen(piece)
  }

  #waits(piece: PlacedPart): boolean {
    if (piece.part.order === undefined) return false
    for (const other of this.left) if (other !== piece && wantsOff(piece, other)) return true
    return false
  }

  #isOpen(piece: PlacedPart): boolean {
    return hasPath(piece, (path) => {
      const known = this.#inWay.get(path)
      if (known && (known === this.#root || this.left.has(known))) return false
      const by = this.#standingIn(piece, path)
      if (by) this.#inWay.set(path, by)
      return by === undefined
    })
  }

  #standingIn(piece: PlacedPart, path: Path): PlacedPart | undefined {
    for (const box of path.swept)
      for (const other of near(this.#placed, box, SCRAPE_MM)) {
        if (other === piece || !(other === this.#root || this.left.has(other))) continue
        if (stands(piece, other, path)) return other
      }
    return undefined
  }
}

const none: readonly never[] = []

/**
 * Pieces that lock each other: whatever is taken off first, these stay. Holds are loosed before anything, so they are no
 * part of it; nor are tools. Most rigs have none, and it is told soon.
 */
export const jamsIn = perThing('jams', (placed: readonly PlacedPart[]): Jams => {
  const loosening = new Loosening(placed)
  loosening.clear(loosening.left)
  const { left } = loosening
  if (left.size === 0) return { free: true, knots: none, against: none }
  const end = takenApart(new Standing(left, new Set(), [], [], placed[0]), (standing) => standing.clearedAnyhow())
  return { free: false, knots: end.isDone ? none : end.knots, against: end.against }
})

/**
 * Are they still the same when some pieces came and went? What can go of a rig goes in any order, so where all that is new
 * goes first, what is left is as it was; and of a rig that all came apart, any part does. False where that does not tell.
 * @param placed the pieces as they are now
 */
export const jamsStand = (was: Jams, { came, went }: Change, placed: readonly PlacedPart[]): boolean => {
  const [root] = placed
  if ((root && came.includes(root)) || (went.length > 0 && !was.free)) return false
  const loosening = new Loosening(placed)
  loosening.clear(came)
  return !came.some((piece) => loosening.left.has(piece))
}
