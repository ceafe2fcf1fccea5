import { flatMap } from './keyed.ts'
/**
 * The one memo. What is worked out for things that never change, and from nothing else, is kept as long as the things
 * live: an edit leaves most pieces the same objects, so most questions about one piece or about two are never asked
 * twice. These are the finest grain of the queries: what they read is what they are given, so there is nothing to
 * verify.
 */

/** How often each memo has worked something out since the program began: what an edit costs is told in these. */
const worked = new Map<string, Tally>()
interface Tally {
  times: number
}

/** What the memos have worked out so far, by name. */
export const memoCounts = (): ReadonlyMap<string, number> =>
  new Map(flatMap([...worked], ([name, { times }]) => (times > 0 ? [[name, times] as const] : [])))

/** Memos of one name are counted together. */
const tallyOf = (name: string): Tally => {
  const known = worked.get(name) ?? { times: 0 }
  worked.set(name, known)
  return known
}

/**
 * An answer about one thing.
 * @param name what is answered, for the counts
 * @param make throws as often as it is asked for a thing it can't answer for; only answers are kept
 * @example `const reachOf = perThing('reach', (piece) => ...)`, then `reachOf(piece)`
 */
export const perThing = <K extends object, T>(name: string, make: (thing: K) => T): ((thing: K) => T) => {
  const tally = tallyOf(name)
  const kept = new WeakMap<K, T | typeof NONE>()
  return (thing) => {
    const known = kept.get(thing)
    if (known !== undefined) return (known === NONE ? undefined : known) as T
    tally.times++
    const value = make(thing)
    kept.set(thing, value === undefined ? NONE : value)
    return value
  }
}

/** What is kept of an answer that is none: else nobody could tell that there is one. */
const NONE = Symbol('no answer')

let things = 0
/**
 * A running number for a thing, the same as long as it lives: for keys of answers that hang on several things. It says
 * nothing else.
 */
export const numberOf = perThing('numbers', (_: object): number => ++things)

/** Answers about one thing, several of them told apart by a key. */
export const perKey = <K extends object, T>(name: string): ((thing: K, key: string, make: () => T) => T) => {
  const tally = tallyOf(name)
  const kept = new WeakMap<K, Map<string, { readonly value: T }>>()
  return (thing, key, make) => {
    let row = kept.get(thing)
    if (!row) kept.set(thing, (row = new Map<string, { readonly value: T }>()))
    const known = row.get(key)
    if (known) return known.value
    tally.times++
    const value = make()
    row.set(key, { value })
    return value
  }
}

/** An answer about two things, in this order. */
export const perPair = <A extends object, B extends object, T>(
  name: string,
  make: (a: A, b: B) => T,
): ((a: A, b: B) => T) => {
  const tally = tallyOf(name)
  const kept = new WeakMap<A, WeakMap<B, T | typeof NONE>>()
  return (a, b) => {
    let row = kept.get(a)
    if (!row) kept.set(a, (row = new WeakMap<B, T | typeof NONE>()))
    const known = row.get(b)
    if (known !== undefined) return (known === NONE ? undefined : known) as T
    tally.times++
    const value = make(a, b)
    row.set(b, value === undefined ? NONE : value)
    return value
  }
}

/** Answers about two things, several of them told apart by a key. */
export const perPairKey = <A extends object, B extends object, T>(
  name: string,
): ((a: A, b: B, key: string, make: () => T) => T) => {
  const tally = tallyOf(name)
  const rows = perPair<A, B, Map<string, { readonly value: T }>>(`${name}, pairs`, () => new Map())
  return (a, b, key, make) => {
    const row = rows(a, b)
    const known = row.get(key)
    if (known) return known.value
    tally.times++
    const value = make()
    row.set(key, { value })
    return value
  }
}
