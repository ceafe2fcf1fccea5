/** Do two values of plain data say the same, whatever the order of their keys? A key without a value is no key. */
export const equalJson = (a: unknown, b: unknown): boolean => {
  if (Object.is(a, b)) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a) || Array.isArray(b))
    return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((item, i) => equalJson(item, b[i]))
  const said = (object: object) => Object.entries(object).filter(([, value]) => value !== undefined)
  const [x, y] = [said(a), said(b)]
  return (
    x.length === y.length && x.every(([key, value]) => equalJson(value, (b as Readonly<Record<string, unknown>>)[key]))
  )
}

/** Plain data with the keys of every object in order; a key without a value is left out. Equal data gives equal text. */
export const sortedJson = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(sortedJson)
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, inner]) => inner !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, inner]) => [key, sortedJson(inner)]),
  )
}
