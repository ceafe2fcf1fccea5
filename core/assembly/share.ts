import { equalJson } from '../kernel/index.ts'

const keyOf = (item: unknown): string | undefined => {
  if (typeof item !== 'object' || item === null) return undefined
  const { id, guest, cable, instance } = item as Readonly<Record<string, unknown>>
  const key = id ?? guest ?? cable ?? instance
  return typeof key === 'string' ? key : undefined
}

/**
 * The same data as `now`, made of the objects of `before` wherever they say the same: what came from a file, another
 * window or a worker's message is then recognised as what it was, and nothing that hangs on it is worked out anew.
 * Items of lists are found by what names them.
 */
export const sharedWith = <T>(before: unknown, now: T): T => {
  if (
    Object.is(before, now) ||
    typeof now !== 'object' ||
    now === null ||
    typeof before !== 'object' ||
    before === null
  )
    return now
  if (equalJson(before, now)) return before as T
  if (Array.isArray(now)) {
    const old = new Map(
      (Array.isArray(before) ? before : []).map((item: unknown, i) => [keyOf(item) ?? i, item] as const),
    )
    return now.map((item: unknown, i) => sharedWith(old.get(keyOf(item) ?? i), item)) as T
  }
  return Object.fromEntries(
    Object.entries(now).map(([key, value]) => [
      key,
      sharedWith((before as Readonly<Record<string, unknown>>)[key], value),
    ]),
  ) as T
}
