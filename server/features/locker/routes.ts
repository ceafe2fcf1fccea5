import * as contract from '@zucchini/contract'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { Refusal } from '../../errors.ts'
import { sendKept } from '../../kept-answers.ts'
import type { LockerCsv } from './csv.ts'
import type { LockerService } from './service.ts'

/** A table of pieces may be this long. bytes */
const TABLE_LIMIT = 16 * 1024 * 1024

export const lockerRoutes =
  (locker: LockerService, csv: LockerCsv): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.addContentTypeParser('text/csv', { parseAs: 'buffer', bodyLimit: TABLE_LIMIT }, (_request, body, next) =>
      next(null, body),
    )

    app.get(
      contract.owned.path,
      {
        schema: contract.owned.schema,
      },
      async () => ({ pieces: await locker.all() }),
    )

    app.put(
      contract.setOwned.path,
      {
        schema: contract.setOwned.schema,
      },
      async ({ params: { part }, body }) => {
        await locker.set(part, body.was, body.pieces)
        return { pieces: body.pieces }
      },
    )

    app.get(
      contract.allPieces.path,
      {
        schema: contract.allPieces.schema,
      },
      async (request, reply) => sendKept(request, reply, await locker.answer()),
    )

    app.put(
      contract.savePiece.path,
      {
        schema: contract.savePiece.schema,
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
      contract.removePiece.path,
      {
        schema: contract.removePiece.schema,
      },
      async ({ params, query }, reply) => {
        await locker.remove(params.id, query.base)
        return reply.status(204).send(null)
      },
    )

    app.get(contract.lockerTable.path, { schema: contract.lockerTable.schema }, async (_request, reply) =>
      reply
        .header('content-type', 'text/csv; charset=utf-8')
        .header('content-disposition', 'attachment; filename="locker.csv"')
        .send(await csv.write()),
    )

    app.post(
      contract.readLockerTable.path,
      {
        bodyLimit: TABLE_LIMIT,
        schema: contract.readLockerTable.schema,
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
