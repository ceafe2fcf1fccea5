import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { writeLockerCsv } from '@zucchini/core/formats'
import { newPiece } from '@zucchini/core/locker'
import { secondMark } from '@zucchini/demo/scenario'
import { runDatabase } from '../tools/database.mjs'
import { BackupService } from './features/backup/service.ts'
import type { SavedRig } from './features/rigs/service.ts'
import { startKit } from './testing/kit.ts'

test('a database killed right after a confirmed save has every revision when it comes back', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-crash-'))
  chmodSync(dir, 0o755)
  const first = await runDatabase({ dir, databases: ['crash'] })
  const before = await startKit({ url: first.url('crash') })
  for (let base = 1; base <= 25; base++) {
    const { status } = await before.ask('PUT', `/api/rigs/${secondMark.id}`, {
      base,
      rig: { ...secondMark, name: `edit ${base}` },
      note: `edit ${base}`,
    })
    expect(status).toBe(200)
  }
  first.kill()
  expect((await before.ask('GET', '/api/health')).status).toBe(503)
  await before.close()

  const second = await runDatabase({ dir, databases: ['crash'] })
  const after = await startKit({ url: second.url('crash'), keep: true })
  expect((await after.ask('GET', `/api/rigs/${secondMark.id}`)).body as SavedRig).toMatchObject({
    revision: 26,
    rig: { name: 'edit 25' },
  })
  expect(
    ((await after.ask('GET', `/api/rigs/${secondMark.id}/revisions`)).body as { revisions: unknown[] }).revisions,
  ).toHaveLength(26)
  await after.close()
  await second.stop()
  rmSync(dir, { recursive: true, force: true })
})

test('a database killed while five thousand rows are taken in has all of them or none when it comes back', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-crash-'))
  chmodSync(dir, 0o755)
  const table = (n: number) =>
    writeLockerCsv(
      Array.from({ length: 5000 }, (_, i) => newPiece(`crash-${n}-${i}`, 'typha-bushing-14', { place: 'box' })),
    )
  let base = await runDatabase({ dir, databases: ['crash'] })
  let kit = await startKit({ url: base.url('crash') })
  const seen: string[] = []
  for (const [n, waitMs] of [250, 450, 700, 1000].entries()) {
    const before = ((await kit.ask('GET', '/api/locker/pieces')).body as { pieces: unknown[] }).pieces.length
    const answer = kit.app.inject({
      method: 'POST',
      url: '/api/locker.csv?dry=no',
      headers: { host: '127.0.0.1', 'content-type': 'text/csv' },
      payload: table(n),
    })
    await new Promise((done) => setTimeout(done, waitMs))
    base.kill()
    const { statusCode } = await answer
    await kit.close()
    base = await runDatabase({ dir, databases: ['crash'] })
    kit = await startKit({ url: base.url('crash'), keep: true })
    const added = ((await kit.ask('GET', '/api/locker/pieces')).body as { pieces: unknown[] }).pieces.length - before
    expect([0, 5000]).toContain(added)
    // What was confirmed is there.
    if (statusCode === 200) expect(added).toBe(5000)
    seen.push(`${statusCode} ${added}`)
  }
  await kit.close()
  await base.stop()
  rmSync(dir, { recursive: true, force: true })
  // At least one was cut off in the middle, or the test says nothing.
  expect(seen.some((one) => one.endsWith(' 0'))).toBe(true)
}, 60_000)

test('a database killed while a backup is read gives no backup, or a whole one', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-crash-'))
  chmodSync(dir, 0o755)
  const base = await runDatabase({ dir, databases: ['crash'] })
  const kit = await startKit({ url: base.url('crash') })
  await kit.ask('PUT', '/api/prices/reckoning', {
    home: 'EUR',
    rules: { taxPercent: 20, taxIncluded: true, shippingMinor: 690, freeFromMinor: 10_000 },
    feed: { on: true, seed: 5 },
  })
  const backup = new BackupService(kit.db)
  const writing = backup.write().then(
    (text) => Object.keys((JSON.parse(text.trimEnd().split('\n').at(-1) ?? '') as { rows: object }).rows).length,
    () => 'none',
  )
  await new Promise((done) => setTimeout(done, 15))
  base.kill()
  // Eight tables with the end that only a whole one has, or nothing at all.
  expect(['none', 8]).toContain(await writing)
  await expect(backup.write()).rejects.toThrow()
  await kit.close()
  rmSync(dir, { recursive: true, force: true })
}, 30_000)
