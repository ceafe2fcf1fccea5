import { z } from 'zod'
import { endpoint, yesOrNo } from './endpoint.ts'

export const BACKUP_MIME = 'application/vnd.zucchini.backup'

/** How the backups that are written by themselves stand. */
export const backupStateSchema = z.object({
  on: z.boolean(),
  lastOn: z.string().nullable(),
  failedOn: z.string().nullable(),
  why: z.string().nullable(),
  /** Room left where everything is stored, bytes, and whether that is little. */
  freeBytes: z.number().nullable(),
  low: z.boolean(),
})
export type BackupState = z.infer<typeof backupStateSchema>

export const backup = endpoint({
  method: 'GET',
  path: '/api/backup',
  schema: { summary: 'Everything that is stored, in one file with a checksum' },
})
export const backups = endpoint({
  method: 'GET',
  path: '/api/backups',
  schema: {
    summary: 'When the last backup was written by itself, since when none could be, and how much room is left',
    response: { 200: backupStateSchema },
  },
})
export const restore = endpoint({
  method: 'POST',
  path: '/api/restore',
  schema: {
    summary: 'Put a backup in place of what is stored; dry everything is done and taken back',
    consumes: [BACKUP_MIME],
    querystring: z.object({ dry: yesOrNo.default('yes'), replace: yesOrNo.default('no') }),
    response: { 200: z.object({ rows: z.record(z.string(), z.int()), safetyCopy: z.string().nullable() }) },
  },
})
const health = z.object({ ok: z.boolean(), database: z.enum(['up', 'down']) })
export const healthOf = endpoint({
  method: 'GET',
  path: '/api/health',
  schema: { summary: 'Is the server able to work?', response: { 200: health, 503: health } },
})
