import * as contract from '@zucchini/contract'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import type { MeterService } from './service.ts'

export const meterRoutes =
  (meter: MeterService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.get(contract.readMeter.path, { schema: contract.readMeter.schema }, async () => meter.frame())
    app.put(contract.plugMeter.path, { schema: contract.plugMeter.schema }, async ({ body }) => meter.plug(body.part))
    done()
  }
