import { perPair } from '../kernel/index.ts'
import type { PlacedPart } from './place.ts'

/** What came and what went between two lists of the same things. */
export interface Change<T = PlacedPart> {
  readonly came: readonly T[]
  readonly went: readonly T[]
}

/**
 * What differs between two lists of things; undefined where what they share is in another order. Mostly one piece came
 * or went, so the lists are looked along from both ends.
 */
export const changeBetween = perPair(
  'what came and went',
  (was: readonly object[], now: readonly object[]): Change<object> | undefined => {
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
) as <T extends object>(was: readonly T[], now: readonly T[]) => Change<T> | undefined

/**
 * What is wanted of a list, made of what was wanted of it before some came and went: only what came is asked after, and
 * where that changes nothing it is the very list.
 * @param was what was wanted, in the order of all
 * @param now all, as they are after the change
 */
export const pickedAfter = <T extends object>(
  was: readonly T[],
  { came, went }: Change<T>,
  now: readonly T[],
  wanted: (one: T) => boolean,
): readonly T[] => {
  const fresh = came.filter(wanted)
  if (fresh.length === 0 && !went.some((one) => was.includes(one))) return was
  const picked: T[] = []
  const stayed = went.length === 0 ? was : was.filter((one) => !went.includes(one))
  let next = 0
  for (const one of now)
    if (one === stayed[next]) {
      picked.push(one)
      next++
    } else if (fresh.includes(one)) picked.push(one)
  return picked
}
