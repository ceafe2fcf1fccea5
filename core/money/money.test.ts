import fc from 'fast-check'
import { addDays, addMonths, daysBetween, isDate } from '../kernel/index.ts'
import {
  billOf,
  buyPlan,
  chanceWithin,
  COMMON_PART,
  exchanged,
  feedPrices,
  feedShops,
  hardship,
  inHome,
  monthFor,
  normalBelow,
  plainRules,
  type PlanPiece,
  type PlanSetup,
  type Price,
  priceIn,
  priceSchema,
  type PriceSpread,
  priceView,
  quantile,
  rateSchema,
  rulesIn,
  termsOf,
} from './index.ts'

const today = '2026-11-25'
const price = (amountMinor: number, daysAgo: number, more: Partial<Price> = {}): Price => ({
  partId: 'cage',
  seenOn: addDays(today, -daysAgo),
  shop: 'A',
  amountMinor,
  shippingMinor: 500,
  currency: 'EUR',
  used: false,
  available: true,
  source: 'hand',
  ...more,
})
const view = (...prices: Price[]) => priceView(prices, today, 'EUR', [])

test('dates: days between, days on, months on', () => {
  expect(daysBetween('2026-11-01', today)).toBe(24)
  expect(daysBetween('2026-02-28', '2026-03-01')).toBe(1)
  expect(addDays('2026-11-25', 7)).toBe('2026-12-02')
  expect(['2024-02-29', '2026-02-29', '2026-12-31', '2026-13-01', '2026-1-1'].map(isDate)).toEqual([
    true,
    false,
    true,
    false,
    false,
  ])
  expect([addMonths(today, 0), addMonths(today, 2), addMonths('2026-01', 23)]).toEqual([
    '2026-11',
    '2027-01',
    '2027-12',
  ])
})

test('a date some days on and back again is the same, as the calendar of the machine says too', () => {
  fc.assert(
    fc.property(fc.integer({ min: -30_000, max: 60_000 }), fc.integer({ min: -40_000, max: 40_000 }), (start, days) => {
      const date = new Date(start * 86_400_000).toISOString().slice(0, 10)
      const there = addDays(date, days)
      expect(there).toBe(new Date((start + days) * 86_400_000).toISOString().slice(0, 10))
      expect(daysBetween(date, there)).toBe(days)
      expect(isDate(there)).toBe(true)
    }),
  )
})

test('the range of a ledger by hand: its tenth, middle and ninetieth', () => {
  // 100, 110, 120, 130, 140: the tenth lies 0.4 of the way from 100 to 110.
  const found = view(...[100, 110, 120, 130, 140].map((euro, i) => price(euro * 100, 10 + i)))
  expect(found).toMatchObject({ low: 10_400, usual: 12_000, high: 13_600, points: 5 })
  expect(quantile([1, 2, 3, 4], 0.5)).toBe(2.5)
  expect(view()).toBeUndefined()
  expect(view(price(100, 400))).toBeUndefined()
  expect(view(price(100, -3))).toBeUndefined()
})

test('while prices rise, what is asked now is planned with; while they fall, the middle of the year', () => {
  // 100.00 to 112.00 in ninety days: the middle is 106.00, and nobody sells at that any more.
  const rising = [90, 60, 30, 0].map((daysAgo, i) => price(10_000 + i * 400, daysAgo))
  expect(view(...rising)).toMatchObject({ usual: 11_200, driftMinor: 400 })
  const falling = [90, 60, 30, 0].map((daysAgo, i) => price(11_200 - i * 400, daysAgo))
  expect(view(...falling)).toMatchObject({ usual: 10_600, newestMinor: 10_000 })
  const { low, usual, high } = view(...rising) ?? { low: 0, usual: 0, high: 0 }
  expect(low <= usual && usual <= high).toBe(true)
})

test('age, drift, sale, second hand, and what nobody has', () => {
  // 100.00 ninety days ago, 4.00 less every thirty.
  const falling = [90, 60, 30, 0].map((daysAgo, i) => price(10_000 - i * 400, daysAgo))
  expect(view(...falling)).toMatchObject({ driftMinor: -400, ageDays: 0, sale: false })
  // One odd price does not turn the drift.
  expect(view(...falling, price(90_000, 45))?.driftMinor).toBeLessThan(0)
  expect(view(price(10_000, 60), price(10_000, 30), price(8500, 1))).toMatchObject({ sale: true, newestMinor: 8500 })
  expect(view(price(10_000, 60), price(10_000, 30), price(8501, 1))).toMatchObject({ sale: false })
  // Of several shops on one day the cheapest that has it counts.
  expect(
    view(price(10_000, 0), price(7000, 0, { shop: 'B' }), price(5000, 0, { shop: 'C', available: false })),
  ).toMatchObject({
    newestMinor: 7000,
    sale: false,
  })
  expect(view(price(10_000, 5), price(6000, 3, { used: true }))).toMatchObject({ usual: 10_000, usedMinor: 6000 })
  expect(view(price(10_000, 200))).toMatchObject({ ageDays: 200, unavailable: false })
  expect(view(price(10_000, 20), price(10_000, 2, { available: false }))).toMatchObject({ unavailable: true })
  expect(view(price(10_000, 2, { available: false }), price(10_000, 2, { shop: 'B' }))).toMatchObject({
    unavailable: false,
  })
})

test('other currencies by the rate of their day; without a rate they are left out', () => {
  const rates = [
    { currency: 'GBP', seenOn: '2026-01-01', rate: 1.2 },
    { currency: 'GBP', seenOn: '2026-11-01', rate: 1.15 },
  ]
  expect(inHome(10_000, 'GBP', '2026-10-31', 'EUR', rates)).toEqual({ ok: true, value: 12_000 })
  expect(inHome(10_000, 'GBP', today, 'EUR', rates)).toEqual({ ok: true, value: 11_500 })
  expect(inHome(10_000, 'GBP', '2025-01-01', 'EUR', rates)).toEqual({ ok: true, value: 12_000 })
  expect(inHome(10_000, 'EUR', today, 'EUR', [])).toEqual({ ok: true, value: 10_000 })
  expect(inHome(10_000, 'USD', today, 'EUR', rates)).toMatchObject({
    ok: false,
    issues: [{ code: 'currency-unknown' }],
  })
  expect(priceView([price(10_000, 1, { currency: 'USD' })], today, 'EUR', rates)).toBeUndefined()
})

test.each([
  ['a negative price', priceSchema.safeParse(price(-1, 1))],
  ['a currency of two letters', priceSchema.safeParse(price(1, 1, { currency: 'EU' }))],
  ['a shop without a name', priceSchema.safeParse(price(1, 1, { shop: ' ' }))],
  ['a day that is none', priceSchema.safeParse({ ...price(1, 1), seenOn: '2026-02-30' })],
  ['a rate of nothing', rateSchema.safeParse({ currency: 'GBP', seenOn: today, rate: 0 })],
])('refused: %s', (_, parsed) => expect(parsed.success).toBe(false))

test('a bill by hand: sending, its end, and tax that is not in the prices', () => {
  const rules = { taxPercent: 20, taxIncluded: true, shippingMinor: 690, freeFromMinor: 10_000 }
  expect(billOf(8000, rules)).toEqual({ goodsMinor: 8000, shippingMinor: 690, taxMinor: 0, totalMinor: 8690 })
  expect(billOf(10_000, rules).shippingMinor).toBe(0)
  expect(billOf(9999, rules).shippingMinor).toBe(690)
  expect(billOf(0, rules).totalMinor).toBe(0)
  // 80.00 and 6.90 net: 86.90 x 0.2 = 17.38.
  // 80.00 net are 96.00 with tax; sending 6.90 net 8.28.
  expect(billOf(9600, { ...rules, taxIncluded: false })).toMatchObject({
    shippingMinor: 828,
    taxMinor: 1738,
    totalMinor: 10_428,
  })
  expect(billOf(50_000, { ...rules, freeFromMinor: 0 }).shippingMinor).toBe(690)
})

test('the normal distribution by its table; one price exactly, by its triangle or by its tenths', () => {
  expect(normalBelow(0)).toBeCloseTo(0.5, 6)
  expect(normalBelow(1)).toBeCloseTo(0.841345, 6)
  expect(normalBelow(-1.959964)).toBeCloseTo(0.025, 6)
  const range = { low: 8, usual: 10, high: 14, kind: 'range' } as const
  // The triangle from 8 over 10 to 14: (10 - 8) / (14 - 8) of its area lies under 10; under 12 all but (14 - 12)^2 / (6
  // x 4).
  expect(chanceWithin([range], 10)).toBeCloseTo(1 / 3, 12)
  expect(chanceWithin([range], 12)).toBeCloseTo(1 - 4 / 24, 12)
  expect([chanceWithin([range], 8), chanceWithin([range], 14)]).toEqual([0, 1])
  // Of prices that were seen a tenth lies under the low one, half under the usual, nine tenths under the high.
  const seen = { ...range, kind: 'seen' } as const
  expect([8, 10, 14].map((cap) => chanceWithin([seen], cap))).toEqual([
    expect.closeTo(0.1, 5),
    expect.closeTo(0.5, 5),
    expect.closeTo(0.9, 5),
  ])
  const certain = { low: 5, usual: 5, high: 5, kind: 'range' } as const
  // Three ranges of 8 to 14: 42 is the most they can be, and 24 the least.
  const three = [range, range, range]
  expect([42, 24].map((cap) => chanceWithin(three, cap))).toEqual([1, 0])
  expect(chanceWithin(three, 41)).toBeLessThan(1)
  expect([chanceWithin([certain], 5), chanceWithin([certain], 4), chanceWithin([certain, certain], 10)]).toEqual([
    1, 0, 1,
  ])
})

/** A triangular price drawn by turning an even chance round (inverse of its distribution). */
const fromTriangle = ({ low, usual, high }: PriceSpread, u: number): number => {
  const peak = (usual - low) / (high - low)
  return u < peak
    ? low + Math.sqrt(u * (high - low) * (usual - low))
    : high - Math.sqrt((1 - u) * (high - low) * (high - usual))
}
const fromTenths = ({ low, usual, high }: PriceSpread, z: number): number =>
  usual + (z / 1.2815515655446004) * (z < 0 ? usual - low : high - usual)

test('the chance agrees within 3 points with forty thousand drawn bills whose prices move together', () => {
  const spread = (low: number, usual: number, high: number, kind: PriceSpread['kind'] = 'seen'): PriceSpread => ({
    low,
    usual,
    high,
    kind,
  })
  const bills: readonly (readonly PriceSpread[])[] = [
    [
      spread(4000, 4900, 6500, 'range'),
      spread(10_000, 11_900, 15_000),
      spread(2000, 2100, 4000),
      spread(24_000, 29_900, 31_000),
      spread(900, 1500, 1800),
    ],
    // Two prices, both with a long tail upward: where a plain normal is worst.
    [spread(9000, 10_000, 16_000), spread(4500, 5000, 9000)],
    Array.from({ length: 14 }, (_, i) =>
      spread(1000 + 90 * i, 1400 + 100 * i, 2400 + 120 * i, i % 2 ? 'seen' : 'range'),
    ),
  ]
  // A small mixing generator, and normal figures from it (Box and Muller): the same draws every time.
  let state = 12_345
  const even = () => {
    state = (state + 0x6d2b79f5) | 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return (((mixed ^ (mixed >>> 14)) >>> 0) + 0.5) / 4_294_967_296
  }
  const normal = () => Math.sqrt(-2 * Math.log(even())) * Math.cos(2 * Math.PI * even())
  for (const prices of bills) {
    const drawn = Array.from({ length: 40_000 }, () => {
      const common = normal() * Math.sqrt(COMMON_PART)
      return prices.reduce((sum, price) => {
        const z = common + normal() * Math.sqrt(1 - COMMON_PART)
        return sum + (price.kind === 'seen' ? fromTenths(price, z) : fromTriangle(price, normalBelow(z)))
      }, 0)
    }).sort((a, b) => a - b)
    for (const share of [0.05, 0.1, 0.25, 0.5, 0.75, 0.9, 0.95]) {
      const cap = drawn[Math.floor(share * drawn.length)] ?? 0
      expect([share, Math.abs(chanceWithin(prices, cap) - share) < 0.03, chanceWithin(prices, cap)]).toEqual([
        share,
        true,
        expect.any(Number),
      ])
    }
  }
})

test('prices kept without tax and in another currency: converted and taxed in every figure, or told to be unknown', () => {
  const rates = [
    { currency: 'GBP', seenOn: '2026-09-01', rate: 1.1 },
    { currency: 'GBP', seenOn: '2026-11-01', rate: 1.25 },
  ]
  const rules = { ...plainRules, taxIncluded: false, taxPercent: 20 }
  // 100 EUR net are 80 GBP net, 96 with tax.
  const terms = termsOf('GBP', { home: 'EUR', rates, rules })
  expect(terms.factor).toBeCloseTo(0.96, 12)
  expect(priceIn({ price: { low: 9000, usual: 10_000, high: 12_000 } }, terms)).toEqual({
    low: 8640,
    usual: 9600,
    high: 11_520,
  })
  expect(termsOf('USD', { home: 'EUR', rates, rules }).factor).toBeUndefined()
  expect(termsOf('USD', { rules: plainRules }).factor).toBe(1)
  expect([
    exchanged(9000, 'EUR', 'GBP', { home: 'EUR', rates }),
    exchanged(7200, 'GBP', 'EUR', { home: 'EUR', rates }),
  ]).toEqual([7200, 9000])
  expect(exchanged(9000, 'EUR', 'USD', { home: 'EUR', rates })).toBeUndefined()
  // Sending 6.90 EUR is 5.52 GBP, taxed 6.62.
  expect(billOf(9600, rulesIn('GBP', { home: 'EUR', rates, rules: { ...rules, freeFromMinor: 0 } }))).toEqual({
    goodsMinor: 9600,
    shippingMinor: 662,
    taxMinor: 1710,
    totalMinor: 10_262,
  })
})

test('the simulated shops give the same prices for the same seed, of three shops, none later than today', () => {
  const part = { id: 'cage', price: { low: 9000, usual: 10_000, high: 12_000 } }
  const prices = feedPrices(7, part, today, 13, 'EUR')
  expect(prices).toEqual(feedPrices(7, part, today, 13, 'EUR'))
  expect(prices).not.toEqual(feedPrices(8, part, today, 13, 'EUR'))
  expect(new Set(prices.map(({ shop }) => shop))).toEqual(new Set(feedShops))
  expect(prices).toHaveLength(39)
  for (const one of prices) {
    expect(priceSchema.safeParse(one).success).toBe(true)
    expect(one.seenOn <= today && one.source === 'feed').toBe(true)
    expect(Math.abs(one.amountMinor / 10_000 - 1)).toBeLessThan(0.4)
  }
})

const piece = (id: string, costMinor: number, ...setups: string[]): PlanPiece => ({ id, costMinor, setups })
const setup = (id: string, weight: number, neededBy?: string): PlanSetup => ({ id, weight, neededBy })

test('a plan by hand: 100 now and 50 a month; the set-up that is needed first works first', () => {
  const pieces = [piece('cage', 80, 'walk', 'talk'), piece('mic', 60, 'talk'), piece('light', 40, 'walk')]
  const plan = buyPlan(pieces, [setup('walk', 1), setup('talk', 1, '2026-12')], 100, 50, '2026-11')
  // Talk needs 140: one month of saving. Walk needs 40 more: 180, two months.
  expect(plan.order).toEqual([
    { setup: 'talk', month: '2026-12', late: false },
    { setup: 'walk', month: '2027-01', late: false },
  ])
  expect(plan.months).toEqual([
    { month: '2026-11', buys: ['mic'], spentMinor: 60, leftMinor: 40, works: [] },
    { month: '2026-12', buys: ['cage'], spentMinor: 140, leftMinor: 10, works: ['talk'] },
    { month: '2027-01', buys: ['light'], spentMinor: 180, leftMinor: 20, works: ['walk', 'talk'] },
  ])
  expect(plan.unbought).toEqual([])
})

test('without need by a date what is used most works first, and what there is no money for is said', () => {
  const pieces = [piece('a', 100, 'seldom'), piece('b', 100, 'often'), piece('c', 9999, 'never'), piece('d', 5)]
  const plan = buyPlan(pieces, [setup('seldom', 10), setup('often', 90), setup('never', 1)], 0, 100, '2026-11')
  expect(plan.order.map(({ setup: id, month }) => [id, month])).toEqual([
    ['often', '2026-12'],
    ['seldom', '2027-01'],
    ['never', undefined],
  ])
  expect(plan.unbought).toEqual(['c', 'd'])
  expect(buyPlan(pieces, [setup('often', 1)], 0, 0, '2026-11').order[0]).toEqual({
    setup: 'often',
    month: undefined,
    late: false,
  })
  expect([monthFor(100, 100, 0), monthFor(101, 100, 0), monthFor(101, 100, 50), monthFor(150, 100, 50)]).toEqual([
    0,
    Infinity,
    1,
    1,
  ])
})

const orders = <T>(list: readonly T[]): T[][] =>
  list.length <= 1
    ? [[...list]]
    : list.flatMap((one, i) => orders([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [one, ...rest]))

test('the plan is as good as the best of all orders in which the pieces can be bought', () => {
  const names = ['w', 'x', 'y']
  const pieces = fc
    .array(fc.record({ costMinor: fc.integer({ min: 1, max: 90 }), setups: fc.subarray(names) }), {
      minLength: 1,
      maxLength: 5,
    })
    .map((list) => list.map(({ costMinor, setups }, i) => piece(`p${i}`, costMinor, ...setups)))
  const setups = fc
    .tuple(
      ...names.map((id) =>
        fc.record({
          id: fc.constant(id),
          weight: fc.integer({ min: 1, max: 9 }),
          neededBy: fc.constantFrom(undefined, '2026-11', '2026-12', '2027-02'),
        }),
      ),
    )
    .map((list) => list as PlanSetup[])
  fc.assert(
    fc.property(
      pieces,
      setups,
      fc.integer({ min: 0, max: 120 }),
      fc.integer({ min: 5, max: 60 }),
      (list, wanted, start, monthly) => {
        const from = '2026-11'
        const hardshipOf = (monthOf: (id: string) => number) =>
          wanted.reduce((sum, one) => sum + hardship(one, monthOf(one.id), from), 0)
        const best = Math.min(
          ...orders(list).map((order) => {
            let spent = 0
            const months = new Map(order.map((one) => [one.id, monthFor((spent += one.costMinor), start, monthly)]))
            return hardshipOf((id) =>
              Math.max(0, ...list.filter((one) => one.setups.includes(id)).map((one) => months.get(one.id) ?? 0)),
            )
          }),
        )
        const plan = buyPlan(list, wanted, start, monthly, from)
        const monthOf = (id: string) => {
          const month = plan.order.find((one) => one.setup === id)?.month
          return month === undefined
            ? Infinity
            : Array.from({ length: 61 }, (_, i) => addMonths(from, i)).indexOf(month)
        }
        expect(hardshipOf(monthOf)).toBeCloseTo(best, 6)
        // No month spends what is not there.
        for (const month of plan.months) expect(month.leftMinor).toBeGreaterThanOrEqual(0)
      },
    ),
    { numRuns: 200 },
  )
})
