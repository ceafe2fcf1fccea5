import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from './harness.ts'

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
    for (const next of [2, 3]) {
      await hand.getByRole('button', { name: /^(On, and it holds|Done)$/ }).click()
      await expect(step).toContainText(`Step ${next} of`)
    }
    await expect(hand.locator('[data-field-badge]')).toContainText('2 kept here')

    await hand.goto(`${app.url}/rigs/winter-ferry-3/set-ups`)
    await hand.getByRole('button', { name: /crossing to slip/ }).click()
    await expect(hand.getByText('From crossing to slip')).toBeVisible()

    await hand.goto(`${app.url}/rigs/winter-ferry-3/pack`)
    await hand.locator('[data-pack-line="rig crossing"]').click()
    await expect(hand.getByTestId('packed')).toContainText('1 of')

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
    await expect(again.locator('[data-field-badge]')).toContainText('4 kept here')

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
  await expect(page.getByTestId('packed')).toContainText('1 of')
  await page.goto(`${app.url}/rigs/winter-ferry-3/build?setup=crossing`)
  await expect(page.getByRole('region', { name: 'This step' })).toContainText('Step 3 of')
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
