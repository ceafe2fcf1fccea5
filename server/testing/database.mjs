// Jest's global set-up for the server's tests: one throw-away database server, stopped by the teardown of
// tools/test.mjs or here.
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { runDatabase } from '../../tools/database.mjs'

export default async () => {
  if (process.env.TEST_DATABASE_URL) return
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-test-db-'))
  const { chmodSync } = await import('node:fs')
  chmodSync(dir, 0o755)
  const database = await runDatabase({ dir, databases: ['zucchini_test_1', 'zucchini_test_2'] })
  process.env.TEST_DATABASE_URL = database.url('zucchini_test')
  globalThis.__stopDatabase = async () => {
    await database.stop()
    const { rmSync } = await import('node:fs')
    rmSync(dir, { recursive: true, force: true })
  }
}
