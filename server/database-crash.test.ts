import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { secondMark } from '@zucchini/demo/scenario'
import { runDatabase } from '../tools/database.mjs'
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
  expect((await after.ask('GET', `/api/rigs/${secondMark.id}`)).body as SavedRig).toMatchObject({ revision: 26, rig: { name: 'edit 25' } })
  expect(((await after.ask('GET', `/api/rigs/${secondMark.id}/revisions`)).body as { revisions: unknown[] }).revisions).toHaveLength(26)
  await after.close()
  await second.stop()
  rmSync(dir, { recursive: true, force: true })
})
