import type { Page } from '@playwright/test'
import { expect, looking, test, visit } from './harness.ts'

const screens = [
  ['balance', '/rigs/winter-ferry-2/balance?setup=crossing', '[data-slide]'],
  ['balance on two hands', '/rigs/winter-ferry-2/balance?setup=wheelhouse', '[data-asks="fact ground"]'],
  ['money', '/rigs/winter-ferry-2/money', '[data-testid="bill"]'],
  ['wiring', '/rigs/winter-ferry-2/wiring?setup=crossing', '[data-kind]'],
  ['light', '/rigs/winter-ferry-2/light?setup=crossing', '[data-testid="clean"]'],
  ['set-ups', '/rigs/winter-ferry-2/set-ups', '[data-setup]'],
  ['build', '/rigs/winter-ferry-2/build?setup=crossing', '[data-step]'],
  ['pack', '/rigs/winter-ferry-2/pack', '[data-pack-line]'],
  ['log', '/rigs/winter-ferry-2/log', '[data-asks]'],
  ['beside', '/rigs/winter-ferry-2/beside/winter-ferry-1', '[data-asks]'],
  ['bench', '/rigs/winter-ferry-2?setup=crossing', '[data-way] .fig'],
  ['rehearsal', '/rigs/winter-ferry-2/rehearsal?setup=crossing', '[data-pack]'],
  ['locker', '/locker', '[data-testid="worth"]'],
  ['catalogue', '/catalogue/reedsmith-full-h1', '[data-asks="price"]'],
  ['brief', '/rigs/winter-ferry-2/brief', '[data-lack]'],
] as const

/** Figures on the page that lead to no sheet: none of what is typed, read off, counted or a date. */
const silentFigures = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('.fig')]
      .filter((one) => !one.matches('input, select, textarea') && /\d/.test(one.textContent ?? ''))
      .filter((one) => one.getClientRects().length > 0)
      .filter((one) => !one.closest('[data-asks], [data-figure], [data-figure-sheet], [data-given]'))
      .filter((one) => !one.querySelector('[data-figure]'))
      .map((one) => `${(one.textContent ?? '').trim()} in ${one.parentElement?.textContent?.trim().slice(0, 60)}`),
  )

for (const [name, path, ready] of screens)
  looking(`${name}: every figure can be asked how it is reckoned, by keyboard and by mouse`, async ({ page, app }) => {
    await visit(page, app, path)
    await expect(page.locator(ready).first()).toBeVisible()
    expect(await silentFigures(page)).toEqual([])
    const asks = await page
      .locator('[data-asks]')
      .evaluateAll((all) => [...new Set(all.map((one) => one.getAttribute('data-asks') ?? ''))])
    expect(asks.length).toBeGreaterThan(0)
    const sheet = page.locator('[data-figure-sheet]')
    for (const id of asks) {
      await page.locator(`[data-asks="${id}"]`).first().focus()
      await page.keyboard.press('Enter')
      await expect(sheet).toHaveAttribute('data-figure-sheet', id)
      await page.keyboard.press('Escape')
      await expect(sheet).toHaveCount(0)
    }
    await page
      .locator('[data-asks]:not(text):not(g)')
      .first()
      .click({ position: { x: 4, y: 4 } })
    await expect(sheet).toHaveCount(1)
    await page.keyboard.press('Escape')
    await expect(sheet).toHaveCount(0)
  })

test('the shelf leads to a figure on the bench, and limits are shown with their own sources', async ({ page, app }) => {
  await page.goto(app.url)
  await expect(page.locator('[data-asks="in-hand"]').first()).toBeVisible()
  expect(await silentFigures(page)).toEqual([])
  await page
    .locator('li', { has: page.locator('[data-rig="winter-ferry-2"]') })
    .locator('[data-asks="runs"]')
    .click()
  await expect(page.locator('[data-figure-sheet="runs"]')).toContainText('until the first piece goes dark')
  await page.goto(`${app.url}/how-i-work`)
  await expect(page.locator('[data-limit]').first()).toBeVisible()
  expect(await silentFigures(page)).toEqual([])
})

test('a part that fits says how its figures would be reckoned, and a figure leads to its limit', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2?setup=crossing&point=cage/top-rear`)
  const row = page.locator('[data-part]').first()
  // The first press chooses the part, the second asks.
  await row.locator('[data-figure="in-hand"]').click()
  await expect(page.locator('[data-figure-sheet]')).toHaveCount(0)
  await row.locator('[data-figure="in-hand"]').click()
  await expect(page.locator('[data-figure-sheet="in-hand"]')).toContainText('the sum of 17 pieces')
  await page.keyboard.press('Escape')
  await page.getByRole('grid').focus()
  await page.keyboard.press('w')
  await expect(page.locator('[data-figure-sheet="hangs"]')).toBeVisible()
  await page.goto(`${app.url}/rigs/winter-ferry-2/balance?setup=crossing`)
  await page.locator('[data-asks="fact hang"], [data-asks="fact hangs"]').first().focus()
  await page.keyboard.press('Enter')
  await page.locator('[data-figure-sheet]').getByRole('link', { name: 'change the limit' }).first().click()
  await expect(page).toHaveURL(/how-i-work#/)
  await expect(page.locator('[data-limit] input:focus')).toHaveCount(1)
})

test('a way out says how its figures would be reckoned: a press on one, or W on its row, and nothing is done', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2?setup=crossing`)
  const row = page.locator('[data-way="insert"]').first()
  const sheet = page.locator('[data-figure-sheet]')
  await row.locator('[data-figure="to-buy"]').click()
  await expect(sheet).toHaveAttribute('data-figure-sheet', 'to-buy')
  await page.keyboard.press('Escape')
  await row.focus()
  await page.keyboard.press('w')
  // 2,276 g and an extender of 14 g.
  await expect(sheet).toHaveAttribute('data-figure-sheet', 'in-hand')
  await expect(sheet).toContainText('2,290 g')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
})

test('from the day down to the batteries and back, and what is read is said in words', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/wiring?setup=crossing`)
  await page.locator('[data-asks="fact day"]').first().focus()
  await page.keyboard.press('Enter')
  const sheet = page.locator('[data-figure-sheet]')
  await expect(sheet).toContainText('with one pack in one bay at a time')
  await sheet.locator('[data-deeper="network"]').click()
  await expect(sheet).toHaveAttribute('data-figure-sheet', 'fact network')
  await expect(sheet).toContainText('the brief: conditions')
  await page.getByRole('button', { name: 'Back', exact: true }).click()
  await expect(sheet).toHaveAttribute('data-figure-sheet', 'fact day')
})
