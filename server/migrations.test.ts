import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { demoParts } from '@zucchini/demo/catalogue'
import { DataSource } from 'typeorm'
import { runDatabase } from '../tools/database.mjs'
import { dataSourceFor } from './database.ts'
import { LockerService } from './features/locker/service.ts'
import { Worlds } from './versions.ts'
import { firstTables } from './migrations/1763900000000-first-tables.ts'

test('a locker that was only counted comes out piece by piece, also when the step is done twice', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-old-'))
  chmodSync(dir, 0o755)
  const base = await runDatabase({ dir, databases: ['old'] })
  const now = dataSourceFor(base.url('old'))
  const old = new DataSource({ ...now.options, migrations: [firstTables] })
  await old.initialize()
  await old.runMigrations()
  const [part, other] = demoParts
  if (!part || !other) throw new Error('the demo has parts')
  for (const one of [part, other])
    await old.query('INSERT INTO part (id, role, origin, doc) VALUES (?, ?, ?, ?)', [
      one.id,
      one.role,
      'demo',
      JSON.stringify(one),
    ])
  await old.query('INSERT INTO locker_item (partId, pieces) VALUES (?, 3), (?, 1)', [part.id, other.id])
  await old.destroy()

  await now.initialize()
  await now.runMigrations()
  const locker = new LockerService(now, new Worlds(now))
  expect(await locker.all()).toEqual({ [part.id]: 3, [other.id]: 1 })
  expect((await locker.pieces()).map(({ piece }) => piece.id).sort()).toEqual(
    [`${part.id}-1`, `${part.id}-2`, `${part.id}-3`, `${other.id}-1`].sort(),
  )
  // A crash before the step was noted lets it run again: nothing is there twice.
  await now.query('DELETE FROM migrations WHERE name = ?', ['lockerAndPrices1764000000000'])
  await now.runMigrations()
  expect(await locker.all()).toEqual({ [part.id]: 3, [other.id]: 1 })
  await now.destroy()
  await base.stop()
  rmSync(dir, { recursive: true, force: true })
}, 30_000)
