import { idSchema } from '@zucchini/core/catalogue'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { z } from 'zod'
import type { LockerService } from './service.ts'

const pieces = z.int().min(0).max(99)

export const lockerRoutes =
  (locker: LockerService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.get(
      '/api/locker',
      { schema: { summary: 'Pieces owned, by part', response: { 200: z.object({ pieces: z.record(z.string(), z.int()) }) } } },
      async () => ({ pieces: await locker.all() }),
    )

    app.put(
      '/api/locker/:part',
      {
        schema: {
          summary: 'Set how many pieces of a part are owned',
          params: z.object({ part: idSchema }),
          body: z.strictObject({ was: pieces, pieces }),
          response: { 200: z.object({ pieces }) },
        },
      },
      async ({ params: { part }, body }) => {
        await locker.set(part, body.was, body.pieces)
        return { pieces: body.pieces }
      },
    )
    done()
  }
