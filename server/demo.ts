import { isDeepStrictEqual } from 'node:util'
import type { Part } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoPieces, demoRigs, season } from '@zucchini/demo/scenario'
import type { DataSource, EntityManager } from 'typeorm'
import { partEntity } from './features/catalogue/entity.ts'
import { fieldEntity, rowOf as fieldRow } from './features/field/entity.ts'
import { pieceEntity } from './features/locker/entity.ts'
import { rowOf as pieceRow } from './features/locker/service.ts'
import { packWhole } from './features/rigs/revision-codec.ts'
import { settingEntity } from './settings.ts'
import { inTransaction } from './transactions.ts'
import { raise, raiseAll } from './versions.ts'

const LOADED = 'demo-loaded'
/** What a fresh start keeps: which installation the database belongs to. */
const KEPT_SETTINGS = ['installation']

const rowOf = (part: Part) => ({ id: part.id, role: part.role, origin: 'demo', doc: part })

const loadRigs = async (manager: EntityManager, now: Date): Promise<void> => {
  for (const rig of demoRigs) {
    await manager.query(
      'INSERT INTO rig (id, revision, name, doc, createdAt, updatedAt, removedAt) VALUES (?, 1, ?, ?, ?, ?, NULL)',
      [rig.id, rig.name, JSON.stringify(rig), now, now],
    )
    await manager.query(
      "INSERT INTO rig_revision (rigId, revision, note, body, whole, grewFrom, same, name, savedAt) VALUES (?, 1, 'demo', ?, NULL, NULL, NULL, NULL, ?)",
      [rig.id, packWhole(rig).body, now],
    )
  }
}

const clear = async (manager: EntityManager): Promise<void> => {
  for (const table of [
    'field_entry',
    'rehearsal',
    'rig_summary',
    'price_watch',
    'price_point',
    'currency_rate',
    'locker_piece',
    'rig_revision',
    'rig',
    'part',
  ])
    await manager.query(`DELETE FROM ${table}`)
  await manager.query('DELETE FROM setting WHERE name NOT IN (?)', [KEPT_SETTINGS])
}

/** Shipped parts as this version has them; the operator's own are never touched. @returns whether any changed */
const renewParts = async (manager: EntityManager): Promise<boolean> => {
  const there = new Map((await manager.find(partEntity)).map((row) => [row.id, row] as const))
  const other = demoParts.filter((part) => {
    const row = there.get(part.id)
    return !row || (row.origin === 'demo' && !isDeepStrictEqual(row.doc, JSON.parse(JSON.stringify(part))))
  })
  if (other.length > 0) await manager.upsert(partEntity, other.map(rowOf), ['id'])
  return other.length > 0
}

/**
 * Brings the shipped parts up to date and loads the demo rigs, the locker and the season the first time.
 * @param fresh throw away everything stored and load the demo anew
 */
export const loadDemo = async (db: DataSource, fresh: boolean, now: Date = new Date()): Promise<void> => {
  await inTransaction(db, async (manager) => {
    if (fresh) await clear(manager)
    const changed = await renewParts(manager)
    const loaded = await manager.existsBy(settingEntity, { name: LOADED })
    if (!loaded) {
      await loadRigs(manager, now)
      await manager.insert(
        pieceEntity,
        demoPieces.map((piece) => pieceRow(piece, 1, now)),
      )
      await manager.insert(fieldEntity, season.map(fieldRow))
      await manager.insert(settingEntity, { name: LOADED, value: now.toISOString() })
    }
    if (fresh || !loaded) await raiseAll(manager)
    else if (changed) await raise(manager, 'catalogue')
  })
}
