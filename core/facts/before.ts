import { type Assembly, type Change, changeBetween, type PlacedPart } from '../assembly/index.ts'
import { settled } from '../engine/index.ts'

type Placing = { readonly assembly: Pick<Assembly, 'placed'> }

/** How a list is found among the placed pieces, and what of them it hangs on. */
interface Finder<F extends Placing, T> {
  readonly find: (facts: F) => readonly T[]
  /**
   * Could a piece that comes or goes say anything new of what was found? Rather once too often.
   * @param was what was found, and among which pieces
   */
  readonly touches: (piece: PlacedPart, facts: F, was: readonly T[], among: readonly PlacedPart[]) => boolean
  /** The pieces that something found is about: when one of them goes, all is looked for again. */
  readonly about: (found: T) => readonly (PlacedPart | undefined)[]
  /** What else it hangs on, in a word. */
  readonly key?: (facts: F) => string
  /** The same as is found, made sooner of what it was and what came and went. */
  readonly after?: (was: readonly T[], change: Change, facts: F) => readonly T[]
}

/** What a list was found among, and what else is known of how it was. */
interface Among<More> {
  readonly placed: readonly PlacedPart[]
  readonly key: string
  readonly more: More
}

/** A try puts on or takes off no more than some pieces; what differs by more has been edited since. */
const FEW = 8

/** What was found, each with what it was found among. */
class Kept<V extends object, More> {
  readonly #among = new WeakMap<V, Among<More>>()

  /** What it was found among, and what came and went since. */
  since(
    was: V | undefined,
    placed: readonly PlacedPart[],
    key: string,
  ): { readonly among: Among<More>; readonly change: Change } | undefined {
    const among = was && this.#among.get(was)
    if (among?.key !== key) return undefined
    const change = changeBetween(among.placed, placed)
    return change && { among, change }
  }

  /**
   * Keeps what was found, the old where it says the same. A try that comes to the same leaves what it is a try of as it
   * was: that goes on being what was found among its own pieces.
   */
  found(was: V | undefined, made: V, among: Among<More>, change: Change | undefined): V {
    const found = was ? (settled(was, made) as V) : made
    const isNear = change !== undefined && change.came.length + change.went.length <= FEW
    if (found !== was || !isNear) this.#among.set(found, among)
    return found
  }
}

/**
 * Something found among the placed pieces as a whole, which begins with what it was.
 * @param stands is it still the same when some came and went? False where that can't be told sooner than by finding it anew
 * @param key what else it hangs on, in a word
 */
export const wholeStartingFrom = <F extends Placing, V extends object | undefined>(
  find: (facts: F) => V,
  stands: (was: NonNullable<V>, change: Change, facts: F) => boolean,
  key?: (facts: F) => string,
): ((facts: F, was?: V) => V) => {
  const kept = new Kept<NonNullable<V>, undefined>()
  return (facts, was) => {
    const { placed } = facts.assembly
    const now = key?.(facts) ?? ''
    const since = kept.since(was ?? undefined, placed, now)
    if (was && since && stands(was, since.change, facts)) return was
    const made = find(facts)
    return made ? kept.found(was ?? undefined, made, { placed, key: now, more: undefined }, since?.change) : made
  }
}

/**
 * A list that begins with what it was: a piece that comes and touches nothing, or goes and was in nothing, changes
 * nothing of it, so nothing is looked for again.
 */
export const startingFrom = <F extends Placing, T>({
  find,
  touches,
  about,
  key,
  after,
}: Finder<F, T>): ((facts: F, was?: readonly T[]) => readonly T[]) => {
  const kept = new Kept<readonly T[], undefined>()
  return (facts, was) => {
    const { placed } = facts.assembly
    const now = key?.(facts) ?? ''
    const since = kept.since(was, placed, now)
    if (was && since) {
      const { came, went } = since.change
      const touched = (piece: PlacedPart): boolean => touches(piece, facts, was, since.among.placed)
      const isAbout = (piece: PlacedPart): boolean => was.some((one) => about(one).includes(piece))
      if (!came.some(touched) && !went.some((piece) => isAbout(piece) || touched(piece))) return was
    }
    const made = was && since && after ? after(was, since.change, facts) : find(facts)
    return kept.found(was, made, { placed, key: now, more: undefined }, since?.change)
  }
}

/** How what is found at each of some pieces is found, and what else it hangs on. */
interface EachFinder<F extends Placing, T> {
  /** The pieces at which anything can be found, in the order of all. */
  readonly at: (facts: F) => readonly PlacedPart[]
  readonly find: (piece: PlacedPart, facts: F) => readonly T[]
  /** Could a piece that comes or goes say anything new of what was found at another? Rather once too often. */
  readonly touches: (piece: PlacedPart, at: PlacedPart, facts: F) => boolean
  /** What else it hangs on, in a word. */
  readonly key?: (facts: F) => string
}

type Rows<T> = ReadonlyMap<PlacedPart, readonly T[]>

/** The same for a list that is found piece by piece: only at those that are touched it is looked for again. */
export const startingFromEach = <F extends Placing, T>({
  at,
  find,
  touches,
  key,
}: EachFinder<F, T>): ((facts: F, was?: readonly T[]) => readonly T[]) => {
  const kept = new Kept<readonly T[], Rows<T>>()
  return (facts, was) => {
    const { placed } = facts.assembly
    const now = key?.(facts) ?? ''
    const since = kept.since(was, placed, now)
    const before = since?.among.more
    const [came, went] = since ? [since.change.came, since.change.went] : [nobody, nobody]
    const stands = (piece: PlacedPart): boolean =>
      !came.some((one) => touches(one, piece, facts)) && !went.some((one) => touches(one, piece, facts))
    const pieces = at(facts)
    const rowOf = (piece: PlacedPart): readonly T[] | undefined => {
      const row = before?.get(piece)
      return row && stands(piece) ? row : undefined
    }
    const rows = pieces.map(rowOf)
    if (was && before?.size === pieces.length && rows.every(isThere)) return was
    const more = new Map<PlacedPart, readonly T[]>()
    const made: T[] = []
    for (const [i, piece] of pieces.entries()) {
      const row = rows[i] ?? find(piece, facts)
      more.set(piece, row)
      made.push(...row)
    }
    return kept.found(was, made, { placed, key: now, more }, since?.change)
  }
}
const nobody: readonly PlacedPart[] = []
const isThere = (row: unknown): boolean => row !== undefined
