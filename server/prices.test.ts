import type { Price } from '@zucchini/core/money'
import { type Kit, startKit } from './testing/kit.ts'

const today = '2026-11-25'
let kit: Kit
beforeAll(async () => {
  kit = await startKit({ now: () => new Date(`${today}T10:00:00Z`) })
})
afterAll(() => kit.close())

const price = (more: Partial<Price> = {}) => ({
  partId: 'calabash-85',
  seenOn: '2026-11-20',
  shop: 'The corner shop',
  amountMinor: 52_000,
  shippingMinor: 0,
  currency: 'EUR',
  used: false,
  available: true,
  ...more,
})
const add = (more: Partial<Price> = {}) => kit.ask('POST', '/api/prices', price(more))
interface Overview {
  views: { partId: string; usual: number; newestMinor: number; points: number }[]
  notices: { partId: string; nowMinor: number }[]
}
const overview = async () => (await kit.ask('GET', '/api/prices')).body as Overview
const viewOf = async (part: string) => (await overview()).views.find(({ partId }) => partId === part)
const reckoning = (more: object = {}) => ({
  home: 'EUR',
  rules: { taxPercent: 20, taxIncluded: true, shippingMinor: 690, freeFromMinor: 10_000 },
  feed: { on: false, seed: 11 },
  ...more,
})

test('prices seen make a range, each shop once a day', async () => {
  expect((await overview()).views).toEqual([])
  expect((await add()).status).toBe(201)
  expect((await add({ shop: 'Another shop', amountMinor: 56_000 })).status).toBe(201)
  expect(await add({ amountMinor: 1 })).toMatchObject({ status: 409, body: { error: { code: 'price-exists' } } })
  expect(await viewOf('calabash-85')).toMatchObject({ usual: 54_000, points: 2 })
})

test.each([
  ['a price under nothing', { amountMinor: -1 }, 400, /less than nothing/],
  ['a day to come', { seenOn: '2026-11-26' }, 422, /future/],
  ['a currency without a rate', { currency: 'USD', seenOn: '2026-11-19' }, 422, /no rate is known from USD/],
  ['a part nobody knows', { partId: 'unheard-of' }, 404, /no such part/],
])('refused, nothing stored: %s', async (_, more, status, words) => {
  const answer = await add(more)
  expect(answer.status).toBe(status)
  expect(JSON.stringify(answer.body)).toMatch(words)
  expect((await viewOf('calabash-85'))?.points).toBe(2)
})

test('a rate makes another currency count; a rate of nothing or of tomorrow is refused', async () => {
  expect(await kit.ask('POST', '/api/prices/rates', { currency: 'USD', seenOn: today, rate: 0 })).toMatchObject({
    status: 400,
  })
  expect(await kit.ask('POST', '/api/prices/rates', { currency: 'USD', seenOn: '2026-12-01', rate: 1 })).toMatchObject({
    status: 422,
  })
  expect(
    (await kit.ask('POST', '/api/prices/rates', { currency: 'USD', seenOn: '2026-11-01', rate: 0.9 })).status,
  ).toBe(200)
  expect((await add({ currency: 'USD', seenOn: '2026-11-19', shop: 'Overseas', amountMinor: 60_000 })).status).toBe(201)
  expect(await viewOf('calabash-85')).toMatchObject({ points: 3, usual: 54_000 })
})

test('a watched price tells when it comes under its mark', async () => {
  await kit.ask('PUT', '/api/prices/watches/calabash-85', { belowMinor: 50_000 })
  expect((await overview()).notices).toEqual([])
  await add({ seenOn: today, amountMinor: 49_900 })
  expect((await overview()).notices).toEqual([{ partId: 'calabash-85', belowMinor: 50_000, nowMinor: 49_900 }])
  await kit.ask('PUT', '/api/prices/watches/calabash-85', { belowMinor: null })
  expect((await overview()).notices).toEqual([])
})

test('the ledger of a part, and a price taken out of it', async () => {
  const { prices } = (await kit.ask('GET', '/api/prices/of/calabash-85')).body as {
    prices: { id: string; seenOn: string }[]
  }
  expect(prices.map(({ seenOn }) => seenOn)).toEqual(['2026-11-25', '2026-11-20', '2026-11-20', '2026-11-19'])
  expect((await kit.ask('DELETE', `/api/prices/${prices[0]?.id ?? ''}`)).status).toBe(200)
  expect(await kit.ask('DELETE', `/api/prices/${prices[0]?.id ?? ''}`)).toMatchObject({ status: 404 })
  expect((await viewOf('calabash-85'))?.points).toBe(3)
})

test('the simulated shops can be asked and sent away; the same seed says the same', async () => {
  const on = (seed: number) => kit.ask('PUT', '/api/prices/reckoning', reckoning({ feed: { on: true, seed } }))
  const [first, again, other] = [await on(11), await on(11), await on(12)]
  const usual = ({ body }: { body: never }) =>
    (body as Overview).views.map(({ partId, usual: amount }) => [partId, amount])
  expect(usual(first).length).toBeGreaterThan(300)
  expect(usual(again)).toEqual(usual(first))
  expect(usual(other)).not.toEqual(usual(first))
  await kit.ask('PUT', '/api/prices/reckoning', reckoning())
  expect((await overview()).views.map(({ partId }) => partId)).toEqual(['calabash-85'])
})

test('the questions the ledger is asked are answered from indexes', async () => {
  // What is known of small tables is little; the indexes are judged on one as full as a year makes it.
  await kit.ask('PUT', '/api/prices/reckoning', reckoning({ feed: { on: true, seed: 1 } }))
  for (const table of ['price_point', 'locker_piece']) await kit.db.query(`ANALYZE TABLE ${table}`)
  const keyOf = async (sql: string, values: unknown[]) =>
    (await kit.db.query<{ key: string | null }[]>(`EXPLAIN ${sql}`, values))[0]?.key
  expect(
    await keyOf('SELECT * FROM price_point WHERE partId = ? ORDER BY seenOn DESC LIMIT 1000', ['calabash-35']),
  ).toBe('price_once')
  expect(await keyOf('SELECT * FROM locker_piece WHERE partId = ?', ['calabash-h1'])).toBe('piece_by_part')
  expect(await keyOf('SELECT id FROM price_point WHERE source = ?', ['hand'])).toBe('price_by_source')
  await kit.ask('PUT', '/api/prices/reckoning', reckoning())
})
