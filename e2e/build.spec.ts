import { readFileSync } from 'node:fs'
import { expect, test } from './harness.ts'

test('a rig is built step by step on a phone: ticks stay when the phone dies, and the end says what to try', async ({
  page,
  app,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${app.url}/rigs/winter-ferry-2/build?setup=gimbal-walk`)
  const step = page.getByRole('region', { name: 'This step' })
  await expect(step).toContainText('Step 1 of')
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  const tick = page.getByRole('button', { name: /^(On, and it holds|Done)$/ })
  expect((await tick.boundingBox())?.height).toBeGreaterThanOrEqual(72)
  const title = await step.getByRole('heading').first().innerText()
  await tick.click()
  await expect(step).toContainText('Step 2 of')
  await expect(step.getByRole('heading').first()).not.toHaveText(title)
  await page.reload()
  // One goes on where one was.
  await expect(step).toContainText('Step 2 of')
  await page.getByRole('button', { name: 'The step before' }).click()
  await expect(page.getByRole('button', { name: 'Done; take the tick back' })).toBeVisible()
  for (let i = 0; i < 30 && !(await step.getByText('What to try now').isVisible()); i++)
    await page.getByRole('button', { name: 'The next step' }).click()
  await expect(step).toContainText('Put it on a scale')
})

test('at the desk all steps stand beside the one in hand; arrows walk them; another set-up has ticks of its own', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/build?setup=wheelhouse`)
  const steps = page.getByRole('navigation', { name: 'Steps' })
  await expect(steps).toContainText('4 mm key')
  const step = page.getByRole('region', { name: 'This step' })
  await steps
    .getByRole('button', { name: /top handle/ })
    .first()
    .click()
  await expect(step.getByRole('heading').first()).toContainText('top handle')
  await expect(step.locator('[data-loupe]')).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(step.getByRole('heading').first()).not.toContainText('top handle, pinned 1/4" on Sedgewick half cage')
  await page.getByRole('button', { name: /^(On, and it holds|Done)$/ }).click()
  await page.getByRole('button', { name: 'upright' }).click()
  await expect(page.getByRole('button', { name: 'Begin anew' })).toBeHidden()
})

test('what does not go on is said instead of being left out in silence', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1/build?setup=slip`)
  await expect(page.getByRole('alert')).toContainText('is left out here')
})

test('the booklet is a PDF with a step a sheet, its text selectable and its fonts in it', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/build?setup=crossing`)
  await page.getByRole('button', { name: 'Take out' }).click()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: /A booklet, A5/ }).click(),
  ])
  expect(file.suggestedFilename()).toBe('winter-ferry-2-crossing-build-a5.pdf')
  const bytes = readFileSync(await file.path())
  // Read by another library than the one that wrote it.
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  const pdf = await getDocument({ data: new Uint8Array(bytes), useSystemFonts: false }).promise
  const textOf = async (n: number) =>
    (await (await pdf.getPage(n)).getTextContent()).items.map((item) => ('str' in item ? item.str : '')).join(' ')
  const [width, height] = (await pdf.getPage(1)).view.slice(2)
  // A5 standing: 148 by 210 mm.
  expect([((width ?? 0) / 72) * 25.4, ((height ?? 0) / 72) * 25.4].map(Math.round)).toEqual([148, 210])
  const steps = Number(/(\d+) steps/.exec(await textOf(1))?.[1])
  expect(steps).toBeGreaterThan(10)
  expect(pdf.numPages).toBe(steps + 1)
  expect(await textOf(3)).toMatch(/3 of 18.*top handle.*Scale at.*Check:/)
  expect(await textOf(pdf.numPages)).toContain('Put it on a scale')
  expect(bytes.toString('latin1').match(/\/FontFile2/g)?.length).toBeGreaterThanOrEqual(2)
})

test('who wants to change over with a coin at most is told which joint wants more', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/brief`)
  await page.getByLabel('From one set-up to another').selectOption('hands')
  await expect(page.getByText('saved')).toBeVisible()
  await page.goto(`${app.url}/rigs/winter-ferry-2?setup=crossing`)
  await expect(page.getByText(/takes a coin on the way to .*wheelhouse/).first()).toBeVisible()
  await page.goto(`${app.url}/rigs/winter-ferry-2/brief`)
  await page.getByLabel('From one set-up to another').selectOption('coin')
  await expect(page.getByText('saved')).toBeVisible()
  await page.goto(`${app.url}/rigs/winter-ferry-2?setup=crossing`)
  await expect(page.locator('[data-piece]').first()).toBeVisible()
  await expect(page.getByText(/takes a coin on the way/)).toHaveCount(0)
})
