import { idSchema } from '@zucchini/core/catalogue'
import { pieceSchema } from '@zucchini/core/locker'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { z } from 'zod'
import type { LockerService } from '../locker/service.ts'
import { type ScaleService, STEP_S } from './service.ts'

const frame = z.object({
  simulated: z.literal(true),
  plugged: z.boolean(),
  grams: z.number().nullable(),
  stable: z.boolean(),
  holds: z.array(z.string()),
})

export const scaleRoutes =
  (scale: ScaleService, locker: LockerService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.get('/api/scale/stream', { schema: { hide: true } }, async (request, reply) => {
      reply.hijack()
      reply.raw.writeHead(200, {
        'content-type': 'text/event-stream',
        'cache-control': 'no-cache',
        connection: 'keep-alive',
      })
      const tell = () => reply.raw.write(`data: ${JSON.stringify(scale.frame())}\n\n`)
      tell()
      const timer = setInterval(tell, STEP_S * 1000)
      const end = () => {
        clearInterval(timer)
        reply.raw.end()
      }
      request.raw.once('close', end)
      app.server.once('close', end)
    })

    app.post(
      '/api/scale/load',
      {
        schema: {
          summary: 'Lay pieces of these parts on the simulated scale; an empty list takes all off',
          body: z.strictObject({ parts: z.array(idSchema).max(200) }),
          response: { 200: frame },
        },
      },
      async ({ body }) => toFrame(await scale.lay(body.parts)),
    )
    app.post(
      '/api/scale/tare',
      { schema: { summary: 'Make what it shows now nought', response: { 200: frame } } },
      async () => toFrame(scale.tare()),
    )
    app.post(
      '/api/scale/plug',
      {
        schema: {
          summary: 'Pull the simulated scale’s plug, or put it back',
          body: z.strictObject({ plugged: z.boolean() }),
          response: { 200: frame },
        },
      },
      async ({ body }) => toFrame(scale.plug(body.plugged)),
    )
    app.post(
      '/api/locker/pieces/:id/weigh',
      {
        schema: {
          summary: 'Keep what the scale shows as the mass of a piece; an unsteady or missing scale changes nothing',
          params: z.object({ id: idSchema }),
          body: z.strictObject({ base: z.int().min(1) }),
          response: { 200: z.object({ piece: pieceSchema, revision: z.int() }) },
        },
      },
      async ({ params, body }) => {
        const { piece } = await locker.piece(params.id)
        const { grams } = scale.steady()
        return locker.save({ ...piece, measuredG: grams, measuredOn: locker.today }, body.base)
      },
    )
    done()
  }

const toFrame = ({ holds, ...rest }: ReturnType<ScaleService['frame']>) => ({ ...rest, holds: [...holds] })
