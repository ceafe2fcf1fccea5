import { idSchema } from '@zucchini/core/catalogue'
import { billRulesSchema, currencySchema, priceSchema, rateSchema } from '@zucchini/core/money'
import { z } from 'zod'
import { endpoint } from './endpoint.ts'

/** How the operator reckons: the currency of everything, tax and sending, and whether the simulated shops are asked. */
export const reckoningSchema = z.strictObject({
  home: currencySchema,
  rules: billRulesSchema,
  feed: z.strictObject({ on: z.boolean(), seed: z.int().min(0).max(1_000_000) }),
})
export type Reckoning = z.infer<typeof reckoningSchema>

const view = z.object({
  partId: z.string(),
  low: z.int(),
  usual: z.int(),
  high: z.int(),
  usedMinor: z.int().optional(),
  shippingMinor: z.int(),
  newestMinor: z.int(),
  newestOn: z.string(),
  ageDays: z.int(),
  driftMinor: z.number(),
  sale: z.boolean(),
  unavailable: z.boolean(),
  points: z.int(),
})
const notice = z.object({ partId: z.string(), belowMinor: z.int(), nowMinor: z.int() })
const watch = z.object({ partId: z.string(), belowMinor: z.int(), since: z.string() })

/** What every part costs today, and how it is reckoned. */
export const priceOverviewSchema = z.object({
  ...reckoningSchema.shape,
  today: z.string(),
  rates: z.array(rateSchema),
  views: z.array(view),
  watches: z.array(watch),
  notices: z.array(notice),
})
export type PriceOverview = z.infer<typeof priceOverviewSchema>

const params = z.object({ part: idSchema })
const overview = { 200: priceOverviewSchema } as const

export const prices = endpoint({
  method: 'GET',
  path: '/api/prices',
  schema: { summary: 'What every part costs today, and how it is reckoned', response: overview },
})
export const setReckoning = endpoint({
  method: 'PUT',
  path: '/api/prices/reckoning',
  schema: {
    summary: 'Set currency, tax and sending; switch the simulated shops on or off',
    body: reckoningSchema,
    response: overview,
  },
})
export const addRate = endpoint({
  method: 'POST',
  path: '/api/prices/rates',
  schema: { summary: 'Enter what a currency is worth from a day on', body: rateSchema, response: overview },
})
export const pricesOf = endpoint({
  method: 'GET',
  path: '/api/prices/of/:part',
  schema: {
    summary: 'The ledger of a part, newest first',
    params,
    response: { 200: z.object({ prices: z.array(priceSchema.extend({ id: z.string() })) }) },
  },
})
export const addPrice = endpoint({
  method: 'POST',
  path: '/api/prices',
  schema: {
    summary: 'Enter a price that was seen',
    body: priceSchema.omit({ source: true }),
    response: { 201: priceOverviewSchema },
  },
})
export const removePrice = endpoint({
  method: 'DELETE',
  path: '/api/prices/:id',
  schema: {
    summary: 'Take a price out of the ledger',
    params: z.object({ id: z.string().regex(/^\d{1,19}$/) }),
    response: overview,
  },
})
export const watchPrice = endpoint({
  method: 'PUT',
  path: '/api/prices/watches/:part',
  schema: {
    summary: 'Watch a price, or with null stop',
    params,
    body: z.strictObject({ belowMinor: z.int().min(1).max(1e9).nullable() }),
    response: overview,
  },
})
