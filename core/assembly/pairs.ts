import type { PlacedPart } from './place.ts'

/**
 * Remembers what was worked out for two placed pieces as long as both live: an edit leaves most pieces the same objects,
 * so most pairs are never asked twice.
 */
export const forPairs = <T>(): ((a: PlacedPart, b: PlacedPart, key: string, make: () => T) => T) => {
  const known = new WeakMap<PlacedPart, WeakMap<PlacedPart, Map<string, { readonly value: T }>>>()
  return (a, b, key, make) => {
    let row = known.get(a)
    if (!row) known.set(a, (row = new WeakMap<PlacedPart, Map<string, { readonly value: T }>>()))
    let pair = row.get(b)
    if (!pair) row.set(b, (pair = new Map<string, { readonly value: T }>()))
    const before = pair.get(key)
    if (before) return before.value
    const value = make()
    pair.set(key, { value })
    return value
  }
}
