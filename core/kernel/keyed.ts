/** The things of a list by a key of theirs; of several with one key the last. @example pieces by the id of each */
export const keyed = <T, K>(list: readonly T[], keyOf: (one: T) => K): ReadonlyMap<K, T> => {
  const map = new Map<K, T>()
  for (const one of list) map.set(keyOf(one), one)
  return map
}

/** At which place of a list each of its things stands, by a key of theirs. */
export const placesBy = <T, K>(list: readonly T[], keyOf: (one: T) => K): ReadonlyMap<K, number> => {
  const map = new Map<K, number>()
  for (let i = 0; i < list.length; i++) map.set(keyOf(list[i] as T), i)
  return map
}
