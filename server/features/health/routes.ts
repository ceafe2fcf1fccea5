import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import type { DataSource } from 'typeorm'
import { z } from 'zod'

const answer = z.object({ ok: z.boolean(), database: z.enum(['up', 'down']) })

export const healthRoutes =
  (db: DataSource): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.get(
      '/api/health',
      { schema: { summary: 'Is the server able to work?', response: { 200: answer, 503: answer } } },
      async (_request, reply) => {
        try {
          await db.query('SELECT 1')
          return { ok: true, database: 'up' as const }
        } catch {
          return reply.status(503).send({ ok: false, database: 'down' as const })
        }
      },
    )
    done()
  }
