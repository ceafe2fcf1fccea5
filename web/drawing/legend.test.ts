import fc from 'fast-check'
import { legendOf, SIGN_PX, type Spot } from './legend.ts'

const spot = (n: number, x: number, y: number): Spot => ({ n, level: 'risk', x, y })

test('a sign stands level with what it means as long as nothing is in its way', () => {
  const [one, two] = legendOf([spot(1, 100, 200), spot(2, 120, 300)], 400, 60, 500)
  expect([one?.at, two?.at]).toEqual([
    [400, 200],
    [400, 300],
  ])
})

test('numbers of one place stand in one row, in their order, and only the first has a line', () => {
  const signs = legendOf([spot(7, 103, 202), spot(2, 100, 200), spot(5, 101, 205)], 400, 60, 500)
  expect(signs.map(({ n, leads }) => [n, leads])).toEqual([
    [2, true],
    [5, false],
    [7, false],
  ])
  expect(signs.map(({ at }) => at[0])).toEqual([400, 400 + SIGN_PX, 400 + 2 * SIGN_PX])
})

test('a fourth of one place begins a row of its own', () => {
  const signs = legendOf(
    [1, 2, 3, 4].map((n) => spot(n, 100, 200)),
    400,
    60,
    500,
  )
  expect(signs.map(({ at: [, y] }) => y)).toEqual([200, 200, 200, 223])
})

test('however many there are, none lies on another, and all stand between top and floor', () => {
  const many = fc.array(fc.record({ x: fc.integer({ min: 0, max: 380 }), y: fc.integer({ min: -50, max: 700 }) }), {
    maxLength: 14,
  })
  fc.assert(
    fc.property(many, (places) => {
      const signs = legendOf(
        places.map(({ x, y }, i) => spot(i + 1, x, y)),
        400,
        60,
        500,
      )
      expect(signs.map(({ n }) => n).sort((a, b) => a - b)).toEqual(places.map((_, i) => i + 1))
      for (const [i, a] of signs.entries()) {
        expect(a.at[1]).toBeGreaterThanOrEqual(60 - 1e-6)
        expect(a.at[1]).toBeLessThanOrEqual(500 + 1e-6)
        expect(a.at[0]).toBeGreaterThanOrEqual(400)
        for (const b of signs.slice(i + 1))
          expect(Math.abs(a.at[0] - b.at[0]) >= SIGN_PX - 1 || Math.abs(a.at[1] - b.at[1]) >= SIGN_PX - 1).toBe(true)
      }
    }),
  )
})

test('lines do not cross without need: rows stand in the order of the places they mean', () => {
  const signs = legendOf([spot(1, 100, 300), spot(2, 100, 290), spot(3, 100, 100)], 400, 60, 500)
  const byHeight = [...signs].sort((a, b) => a.at[1] - b.at[1]).map(({ n }) => n)
  expect(byHeight[0]).toBe(3)
  expect(new Set(byHeight.slice(1))).toEqual(new Set([1, 2]))
})
