import { expect, saved, scale, test } from './harness.ts'

const stops = /(\d+) stops?/

test('ways out: a row says what it costs, pointing at it moves the scales, and one press does it', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1?setup=crossing`)
  const table = page.locator('[data-ways]').first()
  await expect(table.locator('.way').first()).toBeVisible()
  await expect(page.locator('[data-searching]')).toHaveCount(0, { timeout: 60_000 })
  const row = page
    .locator('.way')
    .filter({ hasText: /swap the top handle for Sedgewick/ })
    .first()
  await row.hover()
  await expect(page.locator('[data-would]').first()).toBeVisible()
  const before = Number(stops.exec(await page.getByTestId('finding-count').innerText())?.[1])
  await row.click()
  await saved(page)
  await expect
    .poll(async () => Number(stops.exec(await page.getByTestId('finding-count').innerText())?.[1] ?? 0))
    .toBeLessThan(before)
})

test('all that is safe is put right by one press, and one undo takes it back', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1?setup=crossing`)
  const box = page.locator('[data-repair]')
  await expect(box).toBeVisible({ timeout: 60_000 })
  await box.getByRole('button', { name: 'Show the moves' }).click()
  const moves = await box.locator('[data-repair-steps] li').count()
  expect(moves).toBeGreaterThan(1)
  const count = page.getByTestId('finding-count')
  const before = await count.innerText()
  await box.getByRole('button', { name: /^Do all/ }).click()
  await saved(page)
  await expect(count).not.toHaveText(before)
  const after = Number(stops.exec(await count.innerText())?.[1] ?? 0)
  expect(after).toBeLessThan(Number(stops.exec(before)?.[1]))
  await page.keyboard.press('Control+z')
  await expect(count).toHaveText(before)
})

test('so much lighter: a list with the running sum, done by one press', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1?setup=crossing`)
  await scale(page, 'In the hand').click()
  const box = page.locator('[data-target]')
  await box.getByLabel('Bring it down by').fill('100')
  await box.getByRole('button', { name: 'What would do it?' }).click()
  await expect(box.getByText('That reaches it.')).toBeVisible({ timeout: 60_000 })
  const hand = await scale(page, 'In the hand').innerText()
  await box.getByRole('button', { name: /^Do / }).click()
  await saved(page)
  await expect(scale(page, 'In the hand')).not.toHaveText(hand)
})
