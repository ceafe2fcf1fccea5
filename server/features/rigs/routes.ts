import { rigSchema } from '@zucchini/core/assembly'
import { idSchema } from '@zucchini/core/catalogue'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { z } from 'zod'
import { Refusal } from '../../errors.ts'
import { sendKept } from '../../kept-answers.ts'
import { digits } from '../../params.ts'
import type { RigFileService } from './files.ts'
import type { RigHistory } from './history.ts'
import type { RigService } from './service.ts'
import type { ShelfService } from './shelf.ts'

const params = z.object({ id: idSchema })
const note = z.string().max(200).default('')
const receipt = z.object({ revision: z.int(), updatedAt: z.string() })
const saved = receipt.extend({ rig: rigSchema })
const revisionNumber = z.int().min(1)
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
    app.get(
      '/api/rigs',
      { schema: { summary: 'The shelf: every rig with what is known of it at a glance, newest first' } },
      async (request, reply) => sendKept(request, reply, await shelf.answer()),
    )

    app.post(
      '/api/rigs',
      {
        schema: {
          summary: 'Put a new rig on the shelf',
          body: z.strictObject({ rig: rigSchema, note }),
          response: { 201: saved },
        },
      },
      async ({ body }, reply) => {
        const made = await rigs.create(body.rig, body.note)
        shelf.changed(made.rig.id)
        return reply.status(201).send(made)
      },
    )

    app.get('/api/rigs/:id', { schema: { summary: 'One rig, newest revision', params } }, async (request, reply) =>
      sendKept(request, reply, await rigs.answer(request.params.id)),
    )

    app.put(
      '/api/rigs/:id',
      {
        schema: {
          summary: 'Save over the revision the edit was made from',
          params,
          body: z.strictObject({
            base: revisionNumber,
            rig: rigSchema,
            note,
            /** The revision the edit grew from, or the one it is the same as after an undo or redo. */
            grewFrom: revisionNumber.optional(),
            same: revisionNumber.optional(),
          }),
          response: { 200: receipt },
        },
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
      '/api/rigs/:id',
      {
        schema: {
          summary: 'Take a rig off the shelf, as it was when this was decided; its history stays',
          params,
          querystring: z.object({ base: digits }),
          response: { 204: z.null() },
        },
      },
      async ({ params: { id }, query: { base } }, reply) => {
        await rigs.putAway(id, base)
        return reply.status(204).send(null)
      },
    )

    app.post(
      '/api/rigs/:id/put-back',
      { schema: { summary: 'Put a rig back on the shelf', params, response: { 200: saved } } },
      async ({ params: { id } }) => {
        const back = await rigs.putBack(id)
        shelf.changed(id)
        return back
      },
    )

    const entry = z.object({ revision: z.int(), note: z.string(), savedAt: z.string(), name: z.string().nullable() })
    const worded = ({ savedAt, ...rest }: { revision: number; note: string; savedAt: Date; name: string | null }) => ({
      revision: rest.revision,
      note: rest.note,
      name: rest.name,
      savedAt: savedAt.toISOString(),
    })
    app.get(
      '/api/rigs/:id/revisions',
      {
        schema: {
          summary: 'The history of a rig, newest first, so many at once',
          params,
          querystring: z.object({ before: digits.optional() }),
          response: { 200: z.object({ revisions: z.array(entry), more: z.boolean() }) },
        },
      },
      async ({ params: { id }, query: { before } }) => {
        await rigs.mustExist(id)
        const found = await history.entries(id, before ?? NEWEST, MOST_ENTRIES + 1)
        return { revisions: found.slice(0, MOST_ENTRIES).map(worded), more: found.length > MOST_ENTRIES }
      },
    )

    app.get(
      '/api/rigs/:id/line',
      {
        schema: {
          summary: 'Where undo and redo lead from the newest revision, nearest first',
          params,
          response: { 200: z.object({ undo: z.array(z.int()).readonly(), redo: z.array(z.int()).readonly() }) },
        },
      },
      async ({ params: { id } }) => {
        await rigs.mustExist(id)
        return history.line(id)
      },
    )

    const oneRevision = params.extend({ revision: digits })
    app.get(
      '/api/rigs/:id/revisions/:revision',
      {
        schema: {
          summary: 'A rig as it was',
          params: oneRevision,
          response: { 200: entry.extend({ rig: rigSchema }) },
        },
      },
      async ({ params: { id, revision } }) => {
        const { entry: row, rig } = await history.rig(id, revision)
        return { rig, ...worded(row) }
      },
    )

    app.put(
      '/api/rigs/:id/revisions/:revision/name',
      {
        schema: {
          summary: 'Give a revision a name, so that it always stays; null takes the name away',
          params: oneRevision,
          body: z.strictObject({ name: z.string().trim().min(1).max(80).nullable() }),
          response: { 204: z.null() },
        },
      },
      async ({ params: { id, revision }, body }, reply) => {
        await history.name(id, revision, body.name)
        return reply.status(204).send(null)
      },
    )

    app.get(
      '/api/rigs/:id/file',
      { schema: { summary: 'The rig as a file that stands alone', params } },
      async ({ params: { id } }, reply) =>
        reply
          .header('content-type', 'application/json; charset=utf-8')
          .header('content-disposition', `attachment; filename="${id}.rig.json"`)
          .send(Buffer.from(await files.write(id))),
    )

    const issue = z.object({ path: z.string(), message: z.string() })
    const report = z.object({
      ok: z.boolean(),
      name: z.string(),
      newParts: z.array(z.string()),
      differing: z.array(z.string()),
      limits: z.number(),
      issues: z.array(issue),
      rigId: z.string(),
    })
    app.post(
      '/api/rig-files',
      {
        schema: {
          summary: 'Read a rig file; with dry it only says what would happen',
          body: z.strictObject({ text: z.string(), dry: z.boolean() }),
          response: { 200: report },
        },
      },
      async ({ body }) => {
        const read = await files.read(body.text, body.dry)
        if (read.ok && !body.dry) shelf.changed(read.rigId)
        return read
      },
    )
    done()
  }
