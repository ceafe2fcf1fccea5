import { PassThrough } from 'node:stream'
import { rigSchema } from '@zucchini/core/assembly'
import { idSchema } from '@zucchini/core/catalogue'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { z } from 'zod'
import { changeSchema, type Frame, frameSchema, SPEEDS, speedSchema } from './frames.ts'
import type { RehearsalService } from './service.ts'

const params = z.object({ id: z.uuid() })
/** A line now and then, so that a connection that is gone is noticed. */
const PING_MS = 15_000

export const rehearsalRoutes =
  (rehearsals: RehearsalService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.post(
      '/api/rehearsals',
      {
        schema: {
          summary: 'Play the day of a set-up on simulated batteries and meters',
          body: z.strictObject({ rig: rigSchema, setup: idSchema, speed: speedSchema.default(SPEEDS.usual) }),
          response: { 201: z.object({ id: z.uuid(), frame: frameSchema }) },
        },
      },
      async ({ body }, reply) => {
        const session = await rehearsals.start(body.rig, body.setup, body.speed)
        return reply.status(201).send({ id: session.id, frame: session.frame() })
      },
    )

    app.get(
      '/api/rehearsals/:id/stream',
      {
        schema: {
          summary:
            'The rehearsal as it goes on, as server-sent events: a `frame` with all so far, then one for each step',
          params,
        },
      },
      async (request, reply) => {
        const session = await rehearsals.get(request.params.id)
        const stream = new PassThrough()
        const send = (event: string, data: unknown) =>
          stream.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`)
        const tell = (frame: Frame) => void send('frame', frame)
        const ping = setInterval(() => stream.write(': still here\n\n'), PING_MS)
        tell(session.frame())
        session.listeners.add(tell)
        request.raw.on('close', () => {
          clearInterval(ping)
          session.listeners.delete(tell)
          stream.end()
        })
        return reply.header('content-type', 'text/event-stream').header('cache-control', 'no-store').send(stream)
      },
    )

    app.post(
      '/api/rehearsals/:id',
      {
        schema: {
          summary: 'Pause, go on, play faster, or change something',
          params,
          body: changeSchema,
          response: { 200: frameSchema },
        },
      },
      async ({ params: { id }, body }) => {
        return (await rehearsals.change(id, body)).frame()
      },
    )

    app.delete(
      '/api/rehearsals/:id',
      { schema: { summary: 'Put a rehearsal away', params, response: { 204: z.null() } } },
      async ({ params: { id } }, reply) => {
        await rehearsals.stop(id)
        return reply.status(204).send(null)
      },
    )
    app.addHook('onClose', async () => rehearsals.close())
    done()
  }
