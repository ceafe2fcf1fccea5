import * as contract from '@zucchini/contract'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import type { Frame } from '@zucchini/contract'
import { streamEvents } from '../../streams.ts'
import type { RehearsalService } from './service.ts'

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
        return streamEvents(reply, (send) => {
          const tell = (frame: Frame) => send(frame, 'frame')
          tell(session.frame())
          session.listeners.add(tell)
          return () => session.listeners.delete(tell)
        })
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
