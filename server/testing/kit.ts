import type { FastifyInstance } from 'fastify'
import type { DataSource } from 'typeorm'
import { buildApp } from '../app.ts'
import { dataSourceFor } from '../database.ts'
import { loadDemo } from '../demo.ts'
import type { Nightly } from '../features/backup/nightly.ts'
import type { RigHistory } from '../features/rigs/history.ts'
import type { ShelfService } from '../features/rigs/shelf.ts'

export interface Kit {
  readonly db: DataSource
  readonly app: FastifyInstance
  readonly shelf: ShelfService
  readonly history: RigHistory
  readonly nightly: Nightly
  readonly ask: (
    method: 'GET' | 'POST' | 'PUT' | 'DELETE',
    url: string,
    body?: unknown,
    headers?: Record<string, string>,
  ) => Promise<{ status: number; body: never; headers: Record<string, unknown> }>
  readonly close: () => Promise<void>
}

/** A server on the real test database with the demo freshly loaded. */
export const startKit = async (
  more: {
    passphrase?: string
    url?: string
    keep?: boolean
    now?: () => Date
    clock?: () => number
    backupDirs?: readonly string[]
    slowestBodyMs?: number
  } = {},
): Promise<Kit> => {
  // Test files run side by side, each worker on a database of its own.
  const base = process.env['TEST_DATABASE_URL']
  const url = more.url ?? (base && `${base}_${process.env['JEST_WORKER_ID'] ?? '1'}`)
  if (!url) throw new Error('TEST_DATABASE_URL is missing: Jest’s global set-up of the server project sets it')
  const db = dataSourceFor(url)
  await db.initialize()
  await db.runMigrations()
  await loadDemo(db, !more.keep)
  const { app, shelf, history, nightly } = await buildApp({
    db,
    passphrase: more.passphrase,
    ...(more.backupDirs ? { backupDirs: more.backupDirs } : {}),
    ...(more.slowestBodyMs ? { slowestBodyMs: more.slowestBodyMs } : {}),
    ...(more.now ? { now: more.now } : {}),
    ...(more.clock ? { clock: more.clock } : {}),
  })
  return {
    db,
    app,
    shelf,
    history,
    nightly,
    ask: async (method, path, body, headers = {}) => {
      const answer = await app.inject({
        method,
        url: path,
        headers: { host: '127.0.0.1:4310', ...headers },
        ...(body === undefined ? {} : { payload: body as object }),
      })
      return {
        status: answer.statusCode,
        body: (answer.body && answer.headers['content-type']?.toString().includes('json')
          ? answer.json()
          : answer.body) as never,
        headers: answer.headers,
      }
    },
    close: async () => {
      await app.close()
      await db.destroy()
    },
  }
}
