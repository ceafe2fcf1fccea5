import * as contract from '@zucchini/contract'
import type { Price } from '@zucchini/core/money'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import type { PriceService } from './service.ts'

const MOST_PRICES = 1000
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
    app.get(contract.prices.path, { schema: contract.prices.schema }, overview)

    app.put(
      contract.setReckoning.path,
      {
        schema: contract.setReckoning.schema,
      },
      async ({ body }) => {
        await prices.setReckoning(body)
        return overview()
      },
    )

    app.post(
      contract.addRate.path,
      {
        schema: contract.addRate.schema,
      },
      async ({ body }) => {
        await prices.addRate(body)
        return overview()
      },
    )

    app.get(
      contract.pricesOf.path,
      {
        schema: contract.pricesOf.schema,
      },
      async ({ params }) => ({ prices: await prices.ofPart(params.part, MOST_PRICES) }),
    )

    app.post(
      contract.addPrice.path,
      {
        schema: contract.addPrice.schema,
      },
      async ({ body }, reply) => {
        await prices.add({ ...body, source: 'hand' } satisfies Price)
        return reply.status(201).send(await overview())
      },
    )

    app.delete(
      contract.removePrice.path,
      {
        schema: contract.removePrice.schema,
      },
      async ({ params }) => {
        await prices.remove(params.id)
        return overview()
      },
    )

    app.put(
      contract.watchPrice.path,
      {
        schema: contract.watchPrice.schema,
      },
      async ({ params, body }) => {
        await prices.watch(params.part, body.belowMinor)
        return overview()
      },
    )
    done()
  }
