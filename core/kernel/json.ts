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
