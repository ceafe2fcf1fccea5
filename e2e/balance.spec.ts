import { readFileSync } from 'node:fs'
import { expect, pressSlowly, saved, test } from './harness.ts'

test('dragging the handle along its slot turns the rig, and one undo takes the whole drag back', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/balance`)
  const tilt = page.locator('[data-held="tilt"]')
  await expect(tilt).toContainText('0.3°')
  const handle = page.locator('[data-slide="handle"]')
  const box = await handle.boundingBox()
  if (!box) throw new Error('the slide has no place on the page')
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 6 })
  await page.mouse.up()
  await expect(tilt).not.toContainText('0.3°')
  await expect(page.locator('[data-check="hang-tilt"]')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(tilt).toContainText('0.3°')
  await page.getByRole('slider', { name: /Slide Sedgewick small top handle/ }).focus()
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowLeft')
  await expect(page.locator('[data-check="hang-tilt"]')).toBeVisible()
  await page.getByRole('button', { name: 'level it' }).click()
  await expect(page.locator('[data-check="hang-tilt"]')).toHaveCount(0)
  await saved(page)
})

test('each way of holding shows its own figures, and a timed hold changes the estimate', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1/balance?setup=slip`)
  await expect(page.locator('[data-held="moment when tilted"]')).toContainText('of 2.35 N m')
  await expect(page.locator('[data-check="plate-offset"]')).toBeVisible()
  await page.getByRole('button', { name: 'upright', exact: true }).click()
  await expect(page.locator('[data-held="left hand"]')).toContainText('%')
  const held = page.locator('[data-held="held still for"]')
  const before = await held.textContent()
  await page.getByLabel('Minutes held').fill('99')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByRole('alert')).toContainText('between 0.1 and 20')
  await page.getByLabel('Minutes held').fill('2')
  // Pressed as a hand does it: the field is left when the finger goes down, and nothing moves before it is up.
  await pressSlowly(page.getByRole('button', { name: 'Keep' }))
  await expect(held).toContainText('2 min')
  await expect(page.getByText('from your timed hold')).toBeVisible()
  await page.getByRole('button', { name: 'Average again' }).click()
  await expect(held).toHaveText(before ?? '')
  await expect(page.getByRole('table', { name: 'Light against steady' }).getByRole('row')).not.toHaveCount(0)
})

test('two set-ups side by side: figures, changes and findings', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/set-ups`)
  const compare = page.getByRole('region', { name: 'crossing beside slip' })
  await expect(compare.getByRole('row', { name: /in the hand/ })).toContainText('−86 g')
  await expect(compare.getByRole('img')).toHaveCount(2)
  await expect(compare).toContainText('Leans 6.9° to the left.')
  await page.locator('[data-setup="upright"]').getByRole('checkbox').check()
  await expect(page.getByRole('region', { name: 'slip beside upright' })).toBeVisible()
  await page
    .locator('[data-setup="upright"]')
    .getByRole('combobox', { name: /Which way up/ })
    .selectOption('level')
  await expect(page.locator('[data-setup="upright"]')).toContainText('298 mm')
})

test('a pose is set on the bench: the screen out, and what is then in its way is said', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2?piece=camera`)
  await page.getByLabel('screen', { exact: true }).selectOption('out')
  await expect(page.locator('[data-check="lever-room"]')).toContainText('Calabash H1')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('[data-check="lever-room"]')).toHaveCount(0)
})

test('drawings and a model are taken out as files', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2`)
  const take = async (item: RegExp) => {
    await page.getByRole('button', { name: 'Take out' }).click()
    const download = page.waitForEvent('download')
    await page.getByRole('menuitem', { name: item }).click()
    return readFileSync(await (await download).path(), 'utf8')
  }
  expect(await take(/Side elevation/)).toMatch(/^<\?xml[\s\S]*<svg[\s\S]*<\/svg>\s*$/)
  expect(JSON.parse(await take(/glTF/))).toMatchObject({ asset: { version: '2.0' } })
  expect(JSON.parse(await take(/JSON/))).toMatchObject({ format: 'zucchini-rig-file', version: 6 })
})
