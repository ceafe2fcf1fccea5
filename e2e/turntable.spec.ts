import { expect, scale, test } from './harness.ts'

test('the rig on the turntable: loaded only when asked for, turned by keys, drawn apart, picked', async ({
  page,
  app,
}) => {
  const loaded: string[] = []
  page.on('request', (request) => loaded.push(request.url()))
  await page.goto(`${app.url}/rigs/winter-ferry-2`)
  await expect(scale(page, 'Tall')).toBeVisible()
  expect(loaded.some((url) => url.includes('TurnTable'))).toBe(false)
  await page.keyboard.press('5')
  await expect(page).toHaveURL(/view=turntable/)
  const table = page.getByTestId('turntable')
  await expect(table.locator('canvas')).toBeVisible()
  const still = await table.screenshot()
  await table.focus()
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight')
  await expect.poll(async () => (await table.screenshot()).equals(still)).toBe(false)
  const turned = await table.screenshot()
  await page.getByRole('slider', { name: 'drawn apart' }).fill('40')
  await expect.poll(async () => (await table.screenshot()).equals(turned)).toBe(false)
  await page.getByRole('slider', { name: 'drawn apart' }).fill('0')
  const box = await table.boundingBox()
  if (!box) throw new Error('the turntable has no place on the page')
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2 + 70)
  await expect(page.getByRole('heading', { name: 'Swap for' })).toBeVisible()
  await page.keyboard.press('1')
  await expect(table).toHaveCount(0)
})

test('without WebGL the elevations stay and nothing breaks', async ({ page, app }) => {
  await page.addInitScript(() => {
    HTMLCanvasElement.prototype.getContext = () => null
  })
  await page.goto(`${app.url}/rigs/winter-ferry-2`)
  await page.getByRole('button', { name: 'Turntable' }).click()
  await expect(page.getByRole('button', { name: 'Turntable' })).toBeDisabled()
  await expect(page.locator('[data-point]').first()).toBeVisible()
})
