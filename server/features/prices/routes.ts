import { idSchema } from '@zucchini/core/catalogue'
import { type Price, priceSchema, rateSchema } from '@zucchini/core/money'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { z } from 'zod'
import { type PriceService, reckoningSchema } from './service.ts'

const MOST_PRICES = 1000
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
const part = z.object({ part: idSchema })

export const priceRoutes =
  (prices: PriceService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    const overview = async () => ({
      today: prices.today,
      ...(await prices.reckoning()),
      rates: await prices.rates(),
      views: [...(await prices.views())],
      watches: await prices.watches(),
      notices: await prices.notices(),
    })
    const overviewSchema = reckoningSchema.extend({
      today: z.string(),
      rates: z.array(rateSchema),
      views: z.array(view),
      watches: z.array(watch),
      notices: z.array(notice),
    })
    app.get(
      '/api/prices',
      { schema: { summary: 'What every part costs today, and how it is reckoned', response: { 200: overviewSchema } } },
      overview,
    )

    app.put(
      '/api/prices/reckoning',
      {
        schema: {
          summary: 'Set currency, tax and sending; switch the simulated shops on or off',
          body: reckoningSchema,
          response: { 200: overviewSchema },
        },
      },
      async ({ body }) => {
        await prices.setReckoning(body)
        return overview()
      },
    )

    app.post(
      '/api/prices/rates',
      {
        schema: {
          summary: 'Enter what a currency is worth from a day on',
          body: rateSchema,
          response: { 200: overviewSchema },
        },
      },
      async ({ body }) => {
        await prices.addRate(body)
        return overview()
      },
    )

    app.get(
      '/api/prices/of/:part',
      {
        schema: {
          summary: 'The ledger of a part, newest first',
          params: part,
          response: { 200: z.object({ prices: z.array(priceSchema.extend({ id: z.string() })) }) },
        },
      },
      async ({ params }) => ({ prices: await prices.ofPart(params.part, MOST_PRICES) }),
    )

    app.post(
      '/api/prices',
      {
        schema: {
          summary: 'Enter a price that was seen',
          body: priceSchema.omit({ source: true }),
          response: { 201: overviewSchema },
        },
      },
      async ({ body }, reply) => {
        await prices.add({ ...body, source: 'hand' } satisfies Price)
        return reply.status(201).send(await overview())
      },
    )

    app.delete(
      '/api/prices/:id',
      {
        schema: {
          summary: 'Take a price out of the ledger',
          params: z.object({ id: z.string().regex(/^\d{1,19}$/) }),
          response: { 200: overviewSchema },
        },
      },
      async ({ params }) => {
        await prices.remove(params.id)
        return overview()
      },
    )

    app.put(
      '/api/prices/watches/:part',
      {
        schema: {
          summary: 'Watch a price, or with null stop',
          params: part,
          body: z.strictObject({ belowMinor: z.int().min(1).max(1e9).nullable() }),
          response: { 200: overviewSchema },
        },
      },
      async ({ params, body }) => {
        await prices.watch(params.part, body.belowMinor)
        return overview()
      },
    )
    done()
  }
