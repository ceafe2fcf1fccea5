// From a key press on the bench to the next painted frame, in Chromium with the built app and a private database.
import { spawn } from 'node:child_process'
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { benchLocker } from './bench-locker.mjs'
import { buildAll, root } from './build.mjs'
import { runDatabase } from './database.mjs'
import { ensureProgram, freePort } from './machine.mjs'
import { fail, say } from './say.mjs'

const EDITS = 60

const run = async () => {
  const executablePath = ensureProgram('chromium-headless-shell', ['chromium-headless-shell'])
  await buildAll()
  const scratch = mkdtempSync(join(tmpdir(), 'zucchini-bench-'))
  chmodSync(scratch, 0o755)
  const database = await runDatabase({ dir: join(scratch, 'db'), databases: ['zucchini'] })
  const port = await freePort()
  const server = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
    env: { ...process.env, DATABASE_URL: database.url('zucchini'), PORT: String(port) },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  })
  try {
    await new Promise((resolve, reject) => server.once('message', resolve).once('exit', reject))
    const { chromium } = await import('@playwright/test')
    const browser = await chromium.launch({
      executablePath,
      args: ['--no-sandbox', '--disable-quic', '--no-first-run', '--disable-background-networking'],
    })
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`http://127.0.0.1:${port}/rigs/winter-ferry-2?piece=handle`)
    await page.getByRole('slider').waitFor()
    await page.waitForTimeout(1000)
    const times = await page.evaluate(async (count) => {
      const painted = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)))
      const found = []
      for (let i = 0; i < count; i++) {
        const since = performance.now()
        window.dispatchEvent(new KeyboardEvent('keydown', { key: i % 2 ? ',' : '.', bubbles: true }))
        await painted()
        found.push(performance.now() - since)
        await new Promise((resolve) => setTimeout(resolve, 60))
      }
      return found
    }, EDITS)
    const sorted = times.sort((a, b) => a - b)
    const at = (share) => `${sorted[Math.floor((sorted.length - 1) * share)].toFixed(1)} ms`
    say(
      `${'edit to painted, Chromium, second mark'.padEnd(58)} median ${at(0.5).padStart(9)}   p95 ${at(0.95).padStart(9)}   (${EDITS} edits)`,
    )
    await benchLocker(page, `http://127.0.0.1:${port}`, database.url('zucchini'))
    await browser.close()
  } finally {
    server.kill('SIGTERM')
    await database.stop()
    rmSync(scratch, { recursive: true, force: true })
  }
}

run().then(() => process.exit(0), fail)
