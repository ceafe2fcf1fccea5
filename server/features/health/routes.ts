import * as contract from '@zucchini/contract'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import type { DataSource } from 'typeorm'

export const healthRoutes =
  (db: DataSource): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.get(contract.healthOf.path, { schema: contract.healthOf.schema }, async (_request, reply) => {
      try {
        await db.query('SELECT 1')
        return { ok: true, database: 'up' as const }
      } catch {
        return reply.status(503).send({ ok: false, database: 'down' as const })
      }
    })
    done()
  }
