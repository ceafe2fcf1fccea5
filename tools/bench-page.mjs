// From a key press on the bench to the next painted frame, in Chromium with the built app and a private database.
import { benchLocker } from './bench-locker.mjs'
import { serveForBench } from './bench-serve.mjs'
import { ensureProgram } from './machine.mjs'
import { fail, say } from './say.mjs'

const EDITS = 60
/** The page is at work all day: so many edits come before those that are timed. */
const WARM_EDITS = 40
/** Between two edits, ms: one by itself, when all that follows an edit is done; and one upon the other. */
const APART = { 'edit to painted': 150, 'edit upon edit to painted': 60 }

const run = async () => {
  const executablePath = ensureProgram('chromium-headless-shell', ['chromium-headless-shell'])
  const { base: served, databaseUrl, stop } = await serveForBench()
  try {
    const { chromium } = await import('@playwright/test')
    const browser = await chromium.launch({
      executablePath,
      args: ['--no-sandbox', '--disable-quic', '--no-first-run', '--disable-background-networking'],
    })
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`${served}/rigs/winter-ferry-2?piece=handle`)
    await page.getByRole('slider').waitFor()
    await page.waitForTimeout(1000)
    for (const [title, apartMs] of Object.entries(APART)) {
      const times = await page.evaluate(
        async ({ count, warm, apartMs }) => {
          const painted = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)))
          const found = []
          for (let i = -warm; i < count; i++) {
            const since = performance.now()
            window.dispatchEvent(new KeyboardEvent('keydown', { key: i % 2 ? ',' : '.', bubbles: true }))
            await painted()
            if (i >= 0) found.push(performance.now() - since)
            await new Promise((resolve) => setTimeout(resolve, apartMs))
          }
          return found
        },
        { count: EDITS, warm: WARM_EDITS, apartMs },
      )
      const sorted = times.sort((a, b) => a - b)
      const at = (share) => `${sorted[Math.floor((sorted.length - 1) * share)].toFixed(1)} ms`
      say(
        `${`${title}, Chromium, second mark`.padEnd(58)} median ${at(0.5).padStart(9)}   p95 ${at(0.95).padStart(9)}   (${EDITS} edits)`,
      )
    }
    await benchLocker(page, served, databaseUrl)
    await browser.close()
  } finally {
    await stop()
  }
}

run().then(() => process.exit(0), fail)
