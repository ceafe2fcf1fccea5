import type { FieldEntry } from '@zucchini/core/log'
import { type IDBPDatabase, openDB } from 'idb'

/** Where entries wait until the server has them: written before anything else is done, taken out when it said so. */
export interface Outbox {
  /** Does what waits outlive this page? */
  readonly isKept: () => Promise<boolean>
  readonly put: (entry: FieldEntry) => Promise<void>
  readonly all: () => Promise<readonly FieldEntry[]>
  readonly drop: (ids: readonly string[]) => Promise<void>
}

const STORE = 'waiting'

/** The browser's own database; it survives a closed page, a dead phone and an update. */
export const browserOutbox = (name = 'zucchini-field'): Outbox => {
  let opening: Promise<IDBPDatabase> | undefined
  const open = () =>
    (opening ??= openDB(name, 1, {
      upgrade: (db) => void db.createObjectStore(STORE, { keyPath: 'id' }),
    }))
  /** A browser may let nothing be kept: then entries wait in the page, and are gone with it. */
  const inPage = new Map<string, FieldEntry>()
  return {
    isKept: () =>
      open().then(
        () => true,
        () => false,
      ),
    put: async (entry) => {
      const db = await open().catch(() => undefined)
      if (!db) return void inPage.set(entry.id, entry)
      // Written to the disk, not only taken: a phone may die the next moment.
      const tx = db.transaction(STORE, 'readwrite', { durability: 'strict' })
      await Promise.all([tx.store.put(entry), tx.done])
    },
    all: async () => {
      const db = await open().catch(() => undefined)
      return db ? ((await db.getAll(STORE)) as readonly FieldEntry[]) : [...inPage.values()]
    },
    drop: async (ids) => {
      for (const id of ids) inPage.delete(id)
      const db = await open().catch(() => undefined)
      if (!db) return
      const tx = db.transaction(STORE, 'readwrite')
      await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done])
    },
  }
}
