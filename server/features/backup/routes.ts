import type { FastifyPluginCallbackZod } from 'fastify-type-provider-zod'
import { z } from 'zod'
import { Refusal } from '../../errors.ts'
import type { BackupService } from './service.ts'

/** A backup may be this long. bytes */
const BACKUP_LIMIT = 200 * 1024 * 1024

export const backupRoutes =
  (backup: BackupService, replaced: () => void): FastifyPluginCallbackZod =>
  (app, _, done) => {
    app.addContentTypeParser('application/vnd.zucchini.backup', { parseAs: 'string', bodyLimit: BACKUP_LIMIT }, (_request, body, next) =>
      next(null, body),
    )

    app.get('/api/backup', { schema: { summary: 'Everything that is stored, in one file with a checksum' } }, async (_request, reply) =>
      reply
        .header('content-type', 'application/json; charset=utf-8')
        .header('content-disposition', 'attachment; filename="zucchini-backup.json"')
        .send(await backup.write()),
    )

    app.post(
      '/api/restore',
      {
        bodyLimit: BACKUP_LIMIT,
        schema: {
          summary: 'Put a backup in place of what is stored; dry it is only checked',
          consumes: ['application/vnd.zucchini.backup'],
          querystring: z.object({ dry: z.enum(['yes', 'no']).default('yes'), replace: z.enum(['yes', 'no']).default('no') }),
          response: { 200: z.object({ rows: z.record(z.string(), z.int()) }) },
        },
      },
      async ({ body, query }) => {
        if (typeof body !== 'string') throw new Refusal('malformed', { issues: [{ path: '', message: 'send the backup file itself' }] })
        if (query.dry === 'yes')
          return { rows: Object.fromEntries(Object.entries(backup.check(body)).map(([name, rows]) => [name, rows.length])) }
        const rows = await backup.restore(body, query.replace === 'yes')
        replaced()
        return { rows }
      },
    )
    done()
  }
