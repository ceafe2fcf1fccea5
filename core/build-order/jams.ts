import { changeBetween, near, type PlacedPart } from '../assembly/index.ts'
import { perThing } from '../kernel/index.ts'
import { goingOn, type Knot, Standing, takenApart } from './order.ts'
import { hasPath, type Path, SCRAPE_MM, stands } from './paths.ts'
import { type Against, comesAlong, wantsOff } from './stated.ts'

/** Pieces that lock each other, and stated orders that are broken whatever is done. */
export interface Jams {
  /** The pieces among which they were looked for. */
  readonly placed: readonly PlacedPart[]
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

/**
 * The same by what was found among other pieces. What can go of a rig goes in any order, so where all that is new goes
 * first, what is left is as it was; and of a rig that all came apart, any part does.
 */
const jamsAfter = (was: Jams, placed: readonly PlacedPart[]): Jams | undefined => {
  const change = changeBetween(was.placed, placed)
  if (!change || placed[0] !== was.placed[0]) return undefined
  if (change.went.length > 0 && !was.free) return undefined
  const loosening = new Loosening(placed)
  loosening.clear(change.came)
  return change.came.some((piece) => loosening.left.has(piece)) ? undefined : { ...was, placed }
}

/**
 * Pieces that lock each other: whatever is taken off first, these stay. Holds are loosed before anything, so they are no
 * part of it; nor are tools. Most rigs have none, and it is told soon.
 * @param was the same of a rig that shares pieces with this one: it makes it shorter, and changes nothing
 */
export const jamsIn = (placed: readonly PlacedPart[], was?: Jams): Jams =>
  (was && jamsAfter(was, placed)) ?? jamsFound(placed)

const jamsFound = perThing('jams', (placed: readonly PlacedPart[]): Jams => {
  const loosening = new Loosening(placed)
  loosening.clear(loosening.left)
  const { left } = loosening
  if (left.size === 0) return { placed, free: true, knots: [], against: [] }
  const end = takenApart(new Standing(left, new Set(), [], [], placed[0]), (standing) => standing.clearedAnyhow())
  return { placed, free: false, knots: end.isDone ? [] : end.knots, against: end.against }
})
