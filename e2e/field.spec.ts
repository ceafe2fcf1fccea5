import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from './harness.ts'

/** Ticks of build, bag and changeovers, and the day itself. */
const told = (...ticks: readonly number[]): number => ticks.reduce((sum, one) => sum + one, 1)
const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, serviceWorkers: 'allow' } as const

test('a day is told in a minute, teaches at once, and the word that takes it back counts', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-3/log`)
  await page.locator('[data-happening="loose"]').click()
  await page.locator('[data-log-piece="tilt"]').click()
  await expect(page.locator('[data-happening="loose"]')).toContainText('tilt mount')
  // The next mark knows what to do before the day is kept.
  await expect(page.locator('[data-next-mark]')).toContainText('came loose')
  await page.getByLabel('short slab lasted').fill('1:20')
  await page.getByLabel('crossing weighed, g').fill('heavy')
  await expect(page.getByText('A figure can not be read; it is marked.')).toBeVisible()
  await page.getByLabel('crossing weighed, g').fill('2310')
  await page.getByRole('button', { name: 'Keep the log' }).click()
  await expect(page.getByText('Kept. Rest now.')).toBeVisible()
  await expect(page.locator('[data-day-told]')).toContainText('came loose: tilt mount')
  await expect(page.locator('[data-day-told]')).toContainText('of revision 1')

  // It stands on the bench as a finding with its day.
  await page.goto(`${app.url}/rigs/winter-ferry-3?setup=crossing`)
  await expect(page.getByText(/tilt mount.*came loose\./).first()).toBeVisible()
  await page.goto(`${app.url}/rigs/winter-ferry-3/log`)
  const lesson = page.locator('[data-lesson^="loose crookneck-tilt-shoe"]')
  await lesson.getByRole('button', { name: 'Don’t use it' }).click()
  await expect(lesson).toContainText('Taken back')
  await page.goto(`${app.url}/rigs/winter-ferry-3?setup=crossing`)
  await expect(page.locator('[data-piece]').first()).toBeVisible()
  await expect(page.getByText(/came loose\./)).toHaveCount(0)
})

test('the next mark is opened from the log and laid beside the one before', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-3/log`)
  await page.locator('[data-make-mark]').click()
  await expect(page.getByText('The Winter Ferry, fourth mark').first()).toBeVisible()
  await expect(page.locator('[data-piece]').first()).toBeVisible()
  const id = new URL(page.url()).pathname.split('/')[2] ?? ''
  expect(id).not.toBe('winter-ferry-3')
  await page.goto(`${app.url}/rigs/${id}/beside/winter-ferry-1`)
  const figures = page.getByRole('table', { name: 'Figures side by side' })
  await expect(figures.getByRole('row', { name: /in the hand/ })).toContainText('2,276 g')
  await expect(page.getByRole('region', { name: 'went' })).toContainText('Delicata 7 in recorder')
  await expect(page.getByRole('region', { name: 'Findings gone' }).locator('li').first()).toBeVisible()
})

test('a day is lived on a phone with the server out of reach, and the desk shows it after', async ({
  page,
  app,
  playwright,
  launchOptions,
}) => {
  const browser = await playwright.chromium.launch(launchOptions)
  try {
    const context = await browser.newContext(phone)
    const hand = await context.newPage()
    await hand.goto(`${app.url}/rigs/winter-ferry-3/build?setup=crossing`)
    await expect(hand.locator('[data-field-badge]')).toContainText('works without network', { timeout: 40_000 })

    // Out of reach: no server answers any more.
    await app.end('SIGKILL')
    await hand.reload()
    const step = hand.getByRole('region', { name: 'This step' })
    await expect(step).toContainText('Step 1 of')
    const steps = Number(/Step 1 of (\d+)/.exec(await step.innerText())?.[1])
    expect(steps).toBeGreaterThan(15)
    // Built to the end.
    for (let done = 1; done <= steps; done++) {
      await hand.getByRole('button', { name: /^(On, and it holds|Done)$/ }).click()
      await expect(step).toContainText(done < steps ? `Step ${done + 1} of` : 'All on')
    }
    await expect(hand.locator('[data-field-badge]')).toContainText(`${steps} kept here`)

    // Packed to the last line.
    await hand.goto(`${app.url}/rigs/winter-ferry-3/pack`)
    const lines = hand.locator('[data-pack-line]')
    await expect(lines.first()).toBeVisible()
    const packed = await lines.count()
    for (let i = 0; i < packed; i++) await lines.nth(i).click()
    await expect(hand.getByTestId('packed')).toContainText(`${packed} of ${packed} in`)

    // Changed over twice on the way, the first time by the watch.
    await hand.goto(`${app.url}/rigs/winter-ferry-3/build?setup=crossing`)
    await hand.getByRole('link', { name: 'change over to another set-up' }).click()
    await expect(hand).toHaveURL(/set-ups\?from=crossing/)
    // In the hand the change comes before the cards.
    await expect(hand.getByRole('region', { name: 'Every changeover' })).toBeInViewport()
    let changed = 0
    for (const [from, to] of [
      ['crossing', 'wheelhouse'],
      ['wheelhouse', 'slip'],
    ] as const) {
      await hand.getByRole('button', { name: `${from} to ${to}` }).click()
      const list = hand.getByRole('region', { name: `From ${from} to ${to}` })
      if (changed === 0) {
        await list.getByRole('button', { name: 'time it' }).click()
        // A joint made in less than a second is a slip of the thumb, and is not told.
        await hand.waitForTimeout(1600)
      }
      const own = list.getByRole('checkbox')
      const count = await own.count()
      expect(count).toBeGreaterThan(2)
      for (let i = 0; i < count; i++) await own.nth(i).click()
      await expect(list).toContainText('all done')
      changed += count
    }

    await hand.goto(`${app.url}/rigs/winter-ferry-3/log`)
    await hand.locator('[data-happening="unused"]').click()
    await hand.locator('[data-log-piece="side"]').click()
    await hand.getByRole('button', { name: 'Keep the log' }).click()
    await expect(hand.locator('[data-day-told]')).toContainText('waits here for the network')
    // The phone dies in between: all of it is still there.
    await hand.close()
    const again = await context.newPage()
    await again.goto(`${app.url}/rigs/winter-ferry-3/log`)
    await expect(again.locator('[data-day-told]')).toContainText('never used: short side grip')
    // Every tick, what the watch told, and the day.
    const kept = Number(/(\d+) kept here/.exec(await again.locator('[data-field-badge]').innerText())?.[1])
    expect(kept).toBeGreaterThan(told(steps, packed, changed))
    expect(kept).toBeLessThanOrEqual(told(steps, packed, changed) + changed)

    await app.start(false)
    await again.evaluate(() => dispatchEvent(new Event('online')))
    await expect(again.locator('[data-day-told]')).toContainText('of revision 1')
    await expect(again.locator('[data-field-badge]')).toContainText('works without network')
  } finally {
    await browser.close()
  }

  // The desk, another browser, has it all, once each.
  await page.goto(`${app.url}/rigs/winter-ferry-3/log`)
  await expect(page.locator('[data-day-told]')).toHaveCount(1)
  await page.goto(`${app.url}/rigs/winter-ferry-3/pack`)
  await expect(page.getByTestId('packed')).toContainText(/^(\d+) of \1 in/)
  await page.goto(`${app.url}/rigs/winter-ferry-3/build?setup=crossing`)
  await expect(page.getByRole('region', { name: 'This step' })).toContainText('All on')
  await page.goto(`${app.url}/rigs/winter-ferry-3/set-ups`)
  await page.getByRole('button', { name: 'wheelhouse to slip' }).click()
  await expect(page.getByRole('region', { name: 'From wheelhouse to slip' })).toContainText('all done')
})

test('a page that stands alone has steps, bag and log; what is told on it is read back once, a broken file not at all', async ({
  page,
  app,
  playwright,
  launchOptions,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-3/log`)
  const [sheets] = await Promise.all([page.waitForEvent('download'), page.locator('[data-write-sheets]').click()])
  const folder = mkdtempSync(join(tmpdir(), 'zucchini-sheets-'))
  const [html, told] = [join(folder, 'sheets.html'), join(folder, 'told.json')]
  await sheets.saveAs(html)
  const browser = await playwright.chromium.launch(launchOptions)
  try {
    const hand = await browser.newPage({ viewport: { width: 390, height: 844 }, acceptDownloads: true })
    const asked: string[] = []
    hand.on('request', (request) => asked.push(request.url()))
    const errors: string[] = []
    hand.on('pageerror', ({ message }) => errors.push(message))
    await hand.goto(`file://${html}`)
    expect(await hand.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await expect(hand.locator('#build-crossing svg').first()).toBeVisible()
    await hand.locator('#pack input').first().check()
    await hand.locator('#build-crossing input[data-key]').nth(0).check()
    await hand.locator('#build-crossing input[data-key]').nth(1).check()
    await hand.locator('#build-crossing input[data-key]').nth(1).uncheck()
    await expect(hand.locator('[data-count="pack"]')).toContainText('1 of')
    await hand.reload()
    await expect(hand.locator('[data-count="pack"]')).toContainText('1 of')
    await hand.getByText('What came loose?').click()
    await hand
      .locator('fieldset', { hasText: 'came loose' })
      .getByLabel(/tilt mount/)
      .check()
    await hand.getByRole('button', { name: 'Keep the log' }).click()
    await expect(hand.getByText('Kept. Rest now.')).toBeVisible()
    const [file] = await Promise.all([
      hand.waitForEvent('download'),
      hand.getByRole('button', { name: /as a file, for the desk/ }).click(),
    ])
    await file.saveAs(told)
    expect(asked.filter((url) => !/^(file|blob|data):/.test(url))).toEqual([])
    expect(errors).toEqual([])
  } finally {
    await browser.close()
  }

  // Cut short it changes nothing.
  const input = page.locator('[data-read-sheets]')
  const text = readFileSync(told, 'utf8')
  await input.setInputFiles({ name: 'told.json', mimeType: 'application/json', buffer: Buffer.from(text.slice(0, -9)) })
  await expect(page.getByText(/Nothing was read: this is not JSON/)).toBeVisible()
  await expect(page.locator('[data-day-told]')).toHaveCount(0)
  await input.setInputFiles(told)
  await expect(page.getByText('5 of 5 were new and are kept now.')).toBeVisible()
  await expect(page.locator('[data-day-told]')).toContainText('came loose: tilt mount')
  await input.setInputFiles(told)
  await expect(page.getByText('All that stands in it was known already.')).toBeVisible()
  await page.goto(`${app.url}/rigs/winter-ferry-3/pack`)
  await expect(page.getByTestId('packed')).toContainText('1 of')
  rmSync(folder, { recursive: true })
})
