import { idSchema } from '@zucchini/core/catalogue'
import { pieceSchema } from '@zucchini/core/locker'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { z } from 'zod'
import { Refusal } from '../../errors.ts'
import { sendKept } from '../../kept-answers.ts'
import { digits } from '../../params.ts'
import type { LockerCsv } from './csv.ts'
import type { LockerService } from './service.ts'

const pieces = z.int().min(0).max(99)
const saved = z.object({ piece: pieceSchema, revision: z.int() })
/** A table of pieces may be this long. bytes */
const TABLE_LIMIT = 16 * 1024 * 1024

export const lockerRoutes =
  (locker: LockerService, csv: LockerCsv): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.addContentTypeParser('text/csv', { parseAs: 'buffer', bodyLimit: TABLE_LIMIT }, (_request, body, next) =>
      next(null, body),
    )

    app.get(
      '/api/locker',
      {
        schema: {
          summary: 'Pieces owned, by part',
          response: { 200: z.object({ pieces: z.record(z.string(), z.int()) }) },
        },
      },
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

    app.get(
      '/api/locker/pieces',
      {
        schema: {
          summary: 'Every piece with all that is known of it',
        },
      },
      async (request, reply) => sendKept(request, reply, await locker.answer()),
    )

    app.put(
      '/api/locker/pieces/:id',
      {
        schema: {
          summary: 'Save a piece over the revision it was made from; 0 for a new one',
          params: z.object({ id: idSchema }),
          body: z.strictObject({ base: z.int().min(0), piece: pieceSchema }),
          response: { 200: saved },
        },
      },
      async ({ params, body }) => {
        if (body.piece.id !== params.id)
          throw new Refusal('malformed', {
            issues: [{ path: 'piece.id', message: `must be the piece of the address, ${params.id}` }],
          })
        return locker.save(body.piece, body.base)
      },
    )

    app.delete(
      '/api/locker/pieces/:id',
      {
        schema: {
          summary: 'Take a piece out for good, as if it had never been there',
          params: z.object({ id: idSchema }),
          querystring: z.object({ base: digits }),
          response: { 204: z.null() },
        },
      },
      async ({ params, query }, reply) => {
        await locker.remove(params.id, query.base)
        return reply.status(204).send(null)
      },
    )

    app.get('/api/locker.csv', { schema: { summary: 'The locker as CSV' } }, async (_request, reply) =>
      reply
        .header('content-type', 'text/csv; charset=utf-8')
        .header('content-disposition', 'attachment; filename="locker.csv"')
        .send(await csv.write()),
    )

    app.post(
      '/api/locker.csv',
      {
        bodyLimit: TABLE_LIMIT,
        schema: {
          summary: 'Read pieces from CSV; with dry it only says what would happen',
          consumes: ['text/csv'],
          querystring: z.object({
            dry: z.enum(['yes', 'no']).default('yes'),
            currency: z
              .string()
              .regex(/^[A-Z]{3}$/)
              .default('EUR'),
          }),
          response: {
            200: z.object({
              ok: z.boolean(),
              rows: z.int(),
              added: z.int(),
              changed: z.int(),
              same: z.int(),
              unknownColumns: z.array(z.string()),
              issues: z.array(z.object({ line: z.int(), column: z.string(), message: z.string() })),
            }),
          },
        },
      },
      async ({ body, query }) => {
        if (!Buffer.isBuffer(body))
          throw new Refusal('malformed', { issues: [{ path: '', message: 'send the file itself, as text/csv' }] })
        const { unknownColumns, issues, ...answer } = await csv.read(body, query.dry === 'yes', query.currency)
        return { ...answer, unknownColumns: [...unknownColumns], issues: [...issues] }
      },
    )
    done()
  }
