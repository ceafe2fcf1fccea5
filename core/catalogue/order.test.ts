import { tinyPart } from '../testing/index.ts'
import { cheapestFirst } from './index.ts'

const part = (id: string, usual: number, massG = 100) =>
  tinyPart({ id, massG, price: { low: usual, usual, high: usual } })

test('by price, then grams, then id; what nobody has priced comes last and is never the cheapest', () => {
  const all = [part('unknown', 0), part('dear', 900), part('b', 500), part('a', 500), part('light', 500, 40)]
  expect(all.sort(cheapestFirst).map(({ id }) => id)).toEqual(['light', 'a', 'b', 'dear', 'unknown'])
})

test('two without a price go by grams and id, never by a figure that is none', () => {
  expect([part('b', 0), part('a', 0)].sort(cheapestFirst).map(({ id }) => id)).toEqual(['a', 'b'])
})
