import { readFileSync } from 'node:fs'
import ICAL from 'ical.js'
import { expect, test } from './harness.ts'

test('a bag is packed on a phone: the day’s set-ups decide, ticks add grams and outlive a reload', async ({
  page,
  app,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${app.url}/rigs/winter-ferry-2/pack`)
  await expect(page.locator('[data-pack-line="part marrow-gimbal"]')).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  // Where the locker says it lies.
  await expect(page.locator('[data-pack-line="part marrow-gimbal"]')).toContainText('hall cupboard')
  await page.getByRole('group', { name: 'Set-ups of the day' }).getByRole('button', { name: 'gimbal walk' }).click()
  await expect(page.locator('[data-pack-line="part marrow-gimbal"]')).toHaveCount(0)
  await expect(page.getByText(/Stays at home.*Marrow small gimbal/)).toBeVisible()
  const rig = page.locator('[data-pack-line="rig crossing"]')
  expect((await rig.boundingBox())?.height).toBeGreaterThanOrEqual(56)
  await rig.click()
  await expect(page.getByTestId('packed')).toContainText('1 of')
  await page.reload()
  await expect(page.getByTestId('packed')).toContainText('1 of')
  await expect(page.locator('[data-pack-line="part marrow-gimbal"]')).toHaveCount(0)
  await page.getByRole('button', { name: 'Unpack all' }).click()
  await expect(page.getByTestId('packed')).toContainText('0 of')
})

test('the bag goes out as a table and the days as a calendar that others read', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/pack`)
  const out = async (title: RegExp) => {
    await page.getByRole('button', { name: 'Take out' }).click()
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: title }).click(),
    ])
    return readFileSync(await file.path(), 'utf8')
  }
  const table = await out(/CSV/)
  expect(table.split('\r\n')[0]).toBe('group,what,count,mass (g),lies in,goes in,notes')
  expect(table).toContain('hall cupboard')
  const events = new ICAL.Component(ICAL.parse(await out(/calendar/)) as string).getAllSubcomponents('vevent')
  const titles = events.map((one) => new ICAL.Event(one).summary)
  expect(titles).toContain('Shoot: The Winter Ferry, second mark')
  expect(titles).toContain('Charge for The Winter Ferry, second mark')
})
