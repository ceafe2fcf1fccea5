import * as contract from '@zucchini/contract'
import { Readable } from 'node:stream'
import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { Refusal } from '../../errors.ts'
import type { Nightly } from './nightly.ts'
import type { BackupService } from './service.ts'

export const backupRoutes =
  (backup: BackupService, nightly: Nightly): FastifyPluginCallbackZod =>
  (app, _, done) => {
    // The file is not taken into memory: it is read as it comes, and a row that is too long ends it.
    app.addContentTypeParser(contract.BACKUP_MIME, (_request, payload, next) => next(null, payload))

    app.get(contract.backup.path, { schema: contract.backup.schema }, (_request, reply) =>
      reply
        .header('content-type', 'application/x-ndjson; charset=utf-8')
        .header('content-disposition', 'attachment; filename="zucchini-backup.jsonl"')
        .send(Readable.from(backup.lines(), { objectMode: false })),
    )

    app.get(
      contract.backups.path,
      {
        schema: contract.backups.schema,
      },
      () => nightly.state(),
    )

    app.post(
      contract.restore.path,
      {
        schema: contract.restore.schema,
      },
      async ({ body, query }) => {
        if (!(body instanceof Readable))
          throw new Refusal('malformed', {
            issues: [{ path: '', message: `send the backup file itself, as ${contract.BACKUP_MIME}` }],
          })
        const dry = query.dry === 'yes'
        const safetyCopy = dry ? undefined : await nightly.safetyCopy('restore')
        const rows = await backup.restore(body, { replace: query.replace === 'yes', dry })
        return { rows, safetyCopy: safetyCopy ?? null }
      },
    )
    done()
  }
