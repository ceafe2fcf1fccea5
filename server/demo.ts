import type { Part } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoPieces, demoRigs } from '@zucchini/demo/scenario'
import type { DataSource, EntityManager } from 'typeorm'
import { partEntity } from './features/catalogue/entity.ts'
import { pieceEntity } from './features/locker/entity.ts'
import { rowOf as pieceRow } from './features/locker/service.ts'
import { rigEntity, rigRevisionEntity } from './features/rigs/entity.ts'
import { settingEntity } from './settings.ts'

const LOADED = 'demo-loaded'

const rowOf = (part: Part) => ({ id: part.id, role: part.role, origin: 'demo', doc: part })

const loadRigs = async (manager: EntityManager, now: Date): Promise<void> => {
  for (const rig of demoRigs) {
    await manager.insert(rigEntity, { id: rig.id, revision: 1, name: rig.name, doc: rig, createdAt: now, updatedAt: now, removedAt: null })
    await manager.insert(rigRevisionEntity, { rigId: rig.id, revision: 1, note: 'demo', doc: rig, savedAt: now })
  }
}

const clear = async (manager: EntityManager): Promise<void> => {
  for (const table of ['price_watch', 'price_point', 'currency_rate', 'locker_piece', 'rig_revision', 'rig', 'part', 'setting'])
    await manager.createQueryBuilder().delete().from(table).execute()
}

/**
 * Brings the shipped parts up to date and loads the demo rigs and locker the first time.
 * @param fresh throw away everything stored and load the demo anew
 */
export const loadDemo = async (db: DataSource, fresh: boolean, now: Date = new Date()): Promise<void> => {
  await db.transaction(async (manager) => {
    if (fresh) await clear(manager)
    await manager.upsert(partEntity, demoParts.map(rowOf), ['id'])
    if (await manager.existsBy(settingEntity, { name: LOADED })) return
    await loadRigs(manager, now)
    await manager.insert(
      pieceEntity,
      demoPieces.map((piece) => pieceRow(piece, 1, now)),
    )
    await manager.insert(settingEntity, { name: LOADED, value: now.toISOString() })
  })
}
