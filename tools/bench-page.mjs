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
    const stretches = await page.evaluate(async (count) => {
      // A message comes back as soon as the page is free: the longest gap is what a key press would wait.
      const longestGap = (ms) =>
        new Promise((resolve) => {
          const channel = new MessageChannel()
          const until = performance.now() + ms
          let last = performance.now()
          let longest = 0
          channel.port1.onmessage = () => {
            const now = performance.now()
            longest = Math.max(longest, now - last)
            last = now
            if (now > until) resolve(longest)
            else channel.port2.postMessage(0)
          }
          channel.port2.postMessage(0)
        })
      const found = []
      for (let i = 0; i < count; i++) {
        window.dispatchEvent(new KeyboardEvent('keydown', { key: i % 2 ? ',' : '.', bubbles: true }))
        await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)))
        found.push(await longestGap(150))
      }
      return found.sort((a, b) => a - b)
    }, EDITS)
    say(
      `${'busy at a stretch once an edit is painted, Chromium'.padEnd(58)} median ${stretches[EDITS >> 1].toFixed(1).padStart(6)} ms   (${EDITS} edits)`,
    )
    await benchLocker(page, served, databaseUrl)
    await browser.close()
  } finally {
    await stop()
  }
}

run().then(() => process.exit(0), fail)
