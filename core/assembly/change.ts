import { perPair } from '../kernel/index.ts'
import type { PlacedPart } from './place.ts'

/** What came and what went between two lists of placed pieces. */
export interface Change {
  readonly came: readonly PlacedPart[]
  readonly went: readonly PlacedPart[]
}

/**
 * What differs between two lists of placed pieces; undefined where what they share is in another order. Mostly one piece
 * came or went, so the lists are looked along from both ends.
 */
export const changeBetween = perPair(
  'what came and went',
  (was: readonly PlacedPart[], now: readonly PlacedPart[]): Change | undefined => {
    const shorter = Math.min(was.length, now.length)
    let first = 0
    while (first < shorter && was[first] === now[first]) first++
    let last = 0
    while (last < shorter - first && was[was.length - 1 - last] === now[now.length - 1 - last]) last++
    const before = was.slice(first, was.length - last)
    const after = now.slice(first, now.length - last)
    if (before.length === 0 || after.length === 0) return { came: after, went: before }
    const [old, fresh] = [new Set(before), new Set(after)]
    const [stayed, stays] = [before.filter((piece) => fresh.has(piece)), after.filter((piece) => old.has(piece))]
    if (stayed.some((piece, i) => piece !== stays[i])) return undefined
    return { came: after.filter((piece) => !old.has(piece)), went: before.filter((piece) => !fresh.has(piece)) }
  },
)
