import * as contract from '@zucchini/contract'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { Refusal } from '../../errors.ts'
import { sendKept } from '../../kept-answers.ts'
import type { RigFileService } from './files.ts'
import type { RigHistory } from './history.ts'
import type { RigService } from './service.ts'
import type { ShelfService } from './shelf.ts'

const MOST_ENTRIES = 200
const NEWEST = 4_294_967_295

interface Services {
  readonly rigs: RigService
  readonly shelf: ShelfService
  readonly history: RigHistory
  readonly files: RigFileService
}

export const rigRoutes =
  ({ rigs, shelf, history, files }: Services): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.get(contract.shelf.path, { schema: contract.shelf.schema }, async (request, reply) =>
      sendKept(request, reply, await shelf.answer()),
    )

    app.post(
      contract.createRig.path,
      {
        schema: contract.createRig.schema,
      },
      async ({ body }, reply) => {
        const made = await rigs.create(body.rig, body.note)
        shelf.changed(made.rig.id)
        return reply.status(201).send(made)
      },
    )

    app.get(contract.oneRig.path, { schema: contract.oneRig.schema }, async (request, reply) =>
      sendKept(request, reply, await rigs.answer(request.params.id)),
    )

    app.put(
      contract.saveRig.path,
      {
        schema: contract.saveRig.schema,
      },
      async ({ params: { id }, body }) => {
        if (body.rig.id !== id)
          throw new Refusal('malformed', {
            issues: [{ path: 'rig.id', message: `must be the rig of the address, ${id}` }],
          })
        const done = await rigs.save(id, body.base, body.rig, body.note, {
          grewFrom: body.grewFrom ?? null,
          same: body.same ?? null,
        })
        shelf.changed(id)
        return done
      },
    )

    app.delete(
      contract.putAwayRig.path,
      {
        schema: contract.putAwayRig.schema,
      },
      async ({ params: { id }, query: { base } }, reply) => {
        await rigs.putAway(id, base)
        return reply.status(204).send(null)
      },
    )

    app.post(contract.putBackRig.path, { schema: contract.putBackRig.schema }, async ({ params: { id } }) => {
      const back = await rigs.putBack(id)
      shelf.changed(id)
      return back
    })

    const worded = ({ savedAt, ...rest }: { revision: number; note: string; savedAt: Date; name: string | null }) => ({
      revision: rest.revision,
      note: rest.note,
      name: rest.name,
      savedAt: savedAt.toISOString(),
    })
    app.get(
      contract.revisions.path,
      {
        schema: contract.revisions.schema,
      },
      async ({ params: { id }, query: { before } }) => {
        await rigs.mustExist(id)
        const found = await history.entries(id, before ?? NEWEST, MOST_ENTRIES + 1)
        return { revisions: found.slice(0, MOST_ENTRIES).map(worded), more: found.length > MOST_ENTRIES }
      },
    )

    app.get(
      contract.line.path,
      {
        schema: contract.line.schema,
      },
      async ({ params: { id } }) => {
        await rigs.mustExist(id)
        return history.line(id)
      },
    )

    app.get(
      contract.revisionOf.path,
      {
        schema: contract.revisionOf.schema,
      },
      async ({ params: { id, revision } }) => {
        const { entry: row, rig } = await history.rig(id, revision)
        return { rig, ...worded(row) }
      },
    )

    app.put(
      contract.nameRevision.path,
      {
        schema: contract.nameRevision.schema,
      },
      async ({ params: { id, revision }, body }, reply) => {
        await history.name(id, revision, body.name)
        return reply.status(204).send(null)
      },
    )

    app.get(contract.rigFile.path, { schema: contract.rigFile.schema }, async ({ params: { id } }, reply) =>
      reply
        .header('content-type', 'application/json; charset=utf-8')
        .header('content-disposition', `attachment; filename="${id}.rig.json"`)
        .send(Buffer.from(await files.write(id))),
    )

    app.post(
      contract.readRigFile.path,
      {
        schema: contract.readRigFile.schema,
      },
      async ({ body }) => {
        const read = await files.read(body.text, body.dry)
        if (read.ok && !body.dry) shelf.changed(read.rigId)
        return read
      },
    )
    done()
  }
