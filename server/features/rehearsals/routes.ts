import * as contract from '@zucchini/contract'
import { PassThrough } from 'node:stream'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import type { Frame } from '@zucchini/contract'
import type { RehearsalService } from './service.ts'

/** A line now and then, so that a connection that is gone is noticed. */
const PING_MS = 15_000

export const rehearsalRoutes =
  (rehearsals: RehearsalService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.post(
      contract.startRehearsal.path,
      {
        schema: contract.startRehearsal.schema,
      },
      async ({ body }, reply) => {
        const session = await rehearsals.start(body.rig, body.setup, body.speed)
        return reply.status(201).send({ id: session.id, frame: session.frame() })
      },
    )

    app.get(
      contract.streamRehearsal.path,
      {
        schema: contract.streamRehearsal.schema,
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
      contract.changeRehearsal.path,
      {
        schema: contract.changeRehearsal.schema,
      },
      async ({ params: { id }, body }) => {
        return (await rehearsals.change(id, body)).frame()
      },
    )

    app.delete(
      contract.stopRehearsal.path,
      { schema: contract.stopRehearsal.schema },
      async ({ params: { id } }, reply) => {
        await rehearsals.stop(id)
        return reply.status(204).send(null)
      },
    )
    app.addHook('onClose', async () => rehearsals.close())
    done()
  }
