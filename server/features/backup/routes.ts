import { Readable } from 'node:stream'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { z } from 'zod'
import { Refusal } from '../../errors.ts'
import type { Nightly } from './nightly.ts'
import type { BackupService } from './service.ts'

const MIME = 'application/vnd.zucchini.backup'

export const backupRoutes =
  (backup: BackupService, nightly: Nightly): FastifyPluginCallbackZod =>
  (app, _, done) => {
    // The file is not taken into memory: it is read as it comes, and a row that is too long ends it.
    app.addContentTypeParser(MIME, (_request, payload, next) => next(null, payload))

    app.get(
      '/api/backup',
      { schema: { summary: 'Everything that is stored, in one file with a checksum' } },
      (_request, reply) =>
        reply
          .header('content-type', 'application/x-ndjson; charset=utf-8')
          .header('content-disposition', 'attachment; filename="zucchini-backup.jsonl"')
          .send(Readable.from(backup.lines(), { objectMode: false })),
    )

    app.get(
      '/api/backups',
      {
        schema: {
          summary: 'When the last backup was written by itself, since when none could be, and how much room is left',
          response: {
            200: z.object({
              on: z.boolean(),
              lastOn: z.string().nullable(),
              failedOn: z.string().nullable(),
              why: z.string().nullable(),
              freeBytes: z.number().nullable(),
              low: z.boolean(),
            }),
          },
        },
      },
      () => nightly.state(),
    )

    app.post(
      '/api/restore',
      {
        schema: {
          summary: 'Put a backup in place of what is stored; dry everything is done and taken back',
          consumes: [MIME],
          querystring: z.object({
            dry: z.enum(['yes', 'no']).default('yes'),
            replace: z.enum(['yes', 'no']).default('no'),
          }),
          response: { 200: z.object({ rows: z.record(z.string(), z.int()), safetyCopy: z.string().nullable() }) },
        },
      },
      async ({ body, query }) => {
        if (!(body instanceof Readable))
          throw new Refusal('malformed', { issues: [{ path: '', message: `send the backup file itself, as ${MIME}` }] })
        const dry = query.dry === 'yes'
        const safetyCopy = dry ? undefined : await nightly.safetyCopy('restore')
        const rows = await backup.restore(body, { replace: query.replace === 'yes', dry })
        return { rows, safetyCopy: safetyCopy ?? null }
      },
    )
    done()
  }
