import { spawn } from 'node:child_process'
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildAll, root } from './build.mjs'
import { runDatabase } from './database.mjs'
import { freePort } from './machine.mjs'

/** The built server over a database of its own, for a bench: the demo is in it. Ended with `stop`. */
export const serveForBench = async () => {
  await buildAll()
  const scratch = mkdtempSync(join(tmpdir(), 'zucchini-bench-'))
  chmodSync(scratch, 0o755)
  const database = await runDatabase({ dir: join(scratch, 'db'), databases: ['zucchini'] })
  const port = await freePort()
  const server = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
    // A bench asks more often in a minute than anybody could.
    env: { ...process.env, DATABASE_URL: database.url('zucchini'), PORT: String(port), ZUCCHINI_REQUESTS: '100000000' },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  })
  const stop = async () => {
    server.kill('SIGTERM')
    await database.stop()
    rmSync(scratch, { recursive: true, force: true })
  }
  try {
    await new Promise((resolve, reject) => server.once('message', resolve).once('exit', reject))
  } catch (error) {
    await stop()
    throw error
  }
  return { base: `http://127.0.0.1:${port}`, databaseUrl: database.url('zucchini'), stop }
}
