import type { Part } from './part.ts'

const compared = ({ price }: Part): number => (price.usual > 0 ? price.usual : Infinity)

/** By price, then grams, then id; a part nobody has priced comes after all that have a price. */
export const cheapestFirst = (a: Part, b: Part): number => {
  const [x, y] = [compared(a), compared(b)]
  return (x === y ? 0 : x - y) || a.massG - b.massG || (a.id < b.id ? -1 : 1)
}
