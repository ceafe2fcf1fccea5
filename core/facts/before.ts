import { type Assembly, changeBetween, type PlacedPart } from '../assembly/index.ts'
import { settled } from '../engine/index.ts'

/** How a list is found among the placed pieces, and what of them it hangs on. */
interface Finder<F extends { readonly assembly: Pick<Assembly, 'placed'> }, T> {
  readonly find: (facts: F) => readonly T[]
  /** Could a piece that comes or goes say anything new of what was found? Rather once too often. */
  readonly touches: (piece: PlacedPart, facts: F) => boolean
  /** The pieces that something found is about: when one of them goes, all is looked for again. */
  readonly about: (found: T) => readonly (PlacedPart | undefined)[]
  /** What else it hangs on, in a word. */
  readonly key?: (facts: F) => string
}

/**
 * A list that begins with what it was: a piece that comes and touches nothing, or goes and was in nothing, changes
 * nothing of it, so nothing is looked for again.
 */
export const startingFrom = <F extends { readonly assembly: Pick<Assembly, 'placed'> }, T>({
  find,
  touches,
  about,
  key,
}: Finder<F, T>): ((facts: F, was?: readonly T[]) => readonly T[]) => {
  const among = new WeakMap<readonly T[], { readonly placed: readonly PlacedPart[]; readonly key: string }>()
  return (facts, was) => {
    const { placed } = facts.assembly
    const now = key?.(facts) ?? ''
    const before = was && among.get(was)
    const change = before?.key === now ? changeBetween(before.placed, placed) : undefined
    if (was && change) {
      const isAbout = (piece: PlacedPart): boolean => was.some((one) => about(one).includes(piece))
      const stands =
        !change.came.some((piece) => touches(piece, facts)) &&
        !change.went.some((piece) => isAbout(piece) || touches(piece, facts))
      if (stands) return was
    }
    const made = find(facts)
    const found = was ? (settled(was, made) as readonly T[]) : made
    // A try that comes to the same leaves what it is a try of as it was: the list goes on being that of its own pieces.
    const isNear = change !== undefined && change.came.length + change.went.length <= FEW
    if (found !== was || !isNear) among.set(found, { placed, key: now })
    return found
  }
}

/** A try puts on or takes off no more than some pieces; what differs by more has been edited since. */
const FEW = 8
