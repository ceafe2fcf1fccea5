import { rigSchema } from '@zucchini/core/assembly'
import { idSchema } from '@zucchini/core/catalogue'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { z } from 'zod'
import { Refusal } from '../../errors.ts'
import type { RigFileService } from './files.ts'
import type { RigService } from './service.ts'

const params = z.object({ id: idSchema })
const note = z.string().max(200).default('')
const saved = z.object({ rig: rigSchema, revision: z.int(), updatedAt: z.string() })

export const rigRoutes =
  (rigs: RigService, files: RigFileService): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.get(
      '/api/rigs',
      { schema: { summary: 'All rigs on the shelf, newest first', response: { 200: z.object({ rigs: z.array(saved) }) } } },
      async () => ({ rigs: await rigs.list() }),
    )

    app.post(
      '/api/rigs',
      { schema: { summary: 'Put a new rig on the shelf', body: z.strictObject({ rig: rigSchema, note }), response: { 201: saved } } },
      async ({ body }, reply) => reply.status(201).send(await rigs.create(body.rig, body.note)),
    )

    app.get(
      '/api/rigs/:id',
      { schema: { summary: 'One rig, newest revision', params, response: { 200: saved } } },
      async ({ params: { id } }) => rigs.get(id),
    )

    app.put(
      '/api/rigs/:id',
      {
        schema: {
          summary: 'Save over the revision the edit was made from',
          params,
          body: z.strictObject({ base: z.int().min(1), rig: rigSchema, note }),
          response: { 200: saved },
        },
      },
      async ({ params: { id }, body }) => {
        if (body.rig.id !== id)
          throw new Refusal('malformed', { issues: [{ path: 'rig.id', message: `must be the rig of the address, ${id}` }] })
        return rigs.save(id, body.base, body.rig, body.note)
      },
    )

    app.delete(
      '/api/rigs/:id',
      { schema: { summary: 'Take a rig off the shelf; its history stays', params, response: { 204: z.null() } } },
      async ({ params: { id } }, reply) => {
        await rigs.remove(id, true)
        return reply.status(204).send(null)
      },
    )

    app.post(
      '/api/rigs/:id/put-back',
      { schema: { summary: 'Put a rig back on the shelf', params, response: { 200: saved } } },
      async ({ params: { id } }) => {
        await rigs.remove(id, false)
        return rigs.get(id)
      },
    )

    const entry = z.object({ revision: z.int(), note: z.string(), savedAt: z.string() })
    app.get(
      '/api/rigs/:id/revisions',
      { schema: { summary: 'The history of a rig', params, response: { 200: z.object({ revisions: z.array(entry) }) } } },
      async ({ params: { id } }) => ({
        revisions: (await rigs.revisions(id)).map(({ revision, note, savedAt }) => ({ revision, note, savedAt: savedAt.toISOString() })),
      }),
    )

    app.get(
      '/api/rigs/:id/revisions/:revision',
      {
        schema: {
          summary: 'A rig as it was',
          params: params.extend({ revision: z.coerce.number().int().min(1) }),
          response: { 200: entry.extend({ rig: rigSchema }) },
        },
      },
      async ({ params: { id, revision } }) => {
        const row = await rigs.revision(id, revision)
        return { rig: row.doc, revision: row.revision, note: row.note, savedAt: row.savedAt.toISOString() }
      },
    )
    app.get(
      '/api/rigs/:id/file',
      { schema: { summary: 'The rig as a file that stands alone', params } },
      async ({ params: { id } }, reply) =>
        reply
          .header('content-type', 'application/json; charset=utf-8')
          .header('content-disposition', `attachment; filename="${id}.rig.json"`)
          .send(await files.write(id)),
    )

    const issue = z.object({ path: z.string(), message: z.string() })
    const report = z.object({
      ok: z.boolean(),
      name: z.string(),
      newParts: z.array(z.string()),
      differing: z.array(z.string()),
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
      async ({ body }) => files.read(body.text, body.dry),
    )
    done()
  }
