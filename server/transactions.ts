import type { DataSource, EntityManager } from 'typeorm'

/** What the database says when two requests stood in each other's way: the one that lost is simply tried again. */
const IN_THE_WAY: ReadonlySet<string> = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD'])
/** What it says when another request stored the same key a moment earlier. */
const TAKEN: ReadonlySet<string> = new Set(['ER_DUP_ENTRY'])
/** What is said when it can't be reached at all, by the driver or by the database on its way down. */
const AWAY: ReadonlySet<string> = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOENT',
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR',
  'PROTOCOL_ENQUEUE_AFTER_QUIT',
  'POOL_CLOSED',
  'ER_SERVER_SHUTDOWN',
  'ER_NORMAL_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'ER_CONNECTION_KILLED',
  'ER_NEW_ABORTING_CONNECTION',
])
/** What it says when there is no room to write. */
const FULL: ReadonlySet<string> = new Set(['ER_RECORD_FILE_FULL', 'ER_DISK_FULL', 'ENOSPC'])

const MOST_TRIES = 12
const FIRST_WAIT_MS = 4
const LONGEST_WAIT_MS = 250

const codeOf = (error: unknown): string => (error as { code?: unknown } | null)?.code?.toString() ?? ''
const wordsOf = (error: unknown): string => (error instanceof Error ? error.message : '')

export const isTaken = (error: unknown): boolean => TAKEN.has(codeOf(error))
export const isAway = (error: unknown): boolean =>
  AWAY.has(codeOf(error)) || /Pool is closed|Connection lost|closed state|Can't add new command/i.test(wordsOf(error))
export const isFull = (error: unknown): boolean =>
  FULL.has(codeOf(error)) || /No space left on device|errno: 28\b/i.test(wordsOf(error))

const waitMs = (tried: number): number => Math.random() * Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** tried)

/**
 * Does some work as one transaction, all or nothing. When it lost a lock to another request it is done again from the
 * start, so the work must have no effects of its own outside the database.
 */
export const inTransaction = async <T>(db: DataSource, work: (manager: EntityManager) => Promise<T>): Promise<T> => {
  for (let tried = 1; ; tried++)
    try {
      return await db.transaction(work)
    } catch (error) {
      if (!IN_THE_WAY.has(codeOf(error)) || tried >= MOST_TRIES) throw error
      await new Promise((done) => setTimeout(done, waitMs(tried)))
    }
}
