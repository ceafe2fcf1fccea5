import * as contract from '@zucchini/contract'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import type { RigService } from '../rigs/service.ts'
import type { FieldService } from './service.ts'

export const fieldRoutes =
  (field: FieldService, rigs: RigService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.post(contract.tellField.path, { schema: contract.tellField.schema }, async ({ body }) => {
      const { kept, strange } = await field.tell(body.entries)
      return { kept: [...kept], strange: [...strange] }
    })
    app.get(contract.taught.path, { schema: contract.taught.schema }, async () => ({
      entries: [...(await field.teaching())],
    }))
    app.get(contract.ticksOfRig.path, { schema: contract.ticksOfRig.schema }, async ({ params: { id } }) => {
      await rigs.mustExist(id)
      return { entries: [...(await field.ticks(id))] }
    })
    done()
  }
