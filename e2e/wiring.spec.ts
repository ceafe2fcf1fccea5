import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect, saved, scale, test } from './harness.ts'

const summary = (page: Page) => page.getByTestId('plan-summary')

test('a voltage stop is seen on the wiring, the right lead cures it, and the bench agrees', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1/wiring?setup=slip`)
  const finding = page.locator('[data-check="voltage"][data-level="stop"]')
  await expect(finding).toContainText('gives up to 16.8 V')
  await expect(finding).toContainText('bears 8.6 V at most')
  const lead = page.locator('[data-cable="tap"]')
  await lead.focus()
  await page.keyboard.press('Enter')
  const card = page.getByRole('region', { name: 'The lead in hand' })
  await expect(card).toContainText('11 to 16.8 V')
  await card.getByRole('listitem').filter({ hasText: '7.6 V regulator' }).getByRole('button', { name: 'swap' }).click()
  await expect(finding).toHaveCount(0)
  await saved(page)
  await page.goto(`${app.url}/rigs/winter-ferry-1?setup=slip`)
  await expect(scale(page, 'Runs')).toBeVisible()
  await expect(page.locator('[data-check="voltage"]')).toHaveCount(0)
  await page.goBack()
})

test('what is missing is planned and plugged in at once, and comes out again by one undo', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/wiring?setup=crossing`)
  await expect(summary(page)).toHaveText('Everything that needs a lead has one.')
  await page.locator('[data-cable="hdmi"]').click()
  await page.getByRole('button', { name: 'Unplug' }).click()
  await expect(summary(page)).toHaveText('1 more lead would do.')
  await expect(page.locator('[data-check="no-cable"]')).toContainText('No picture on Crookneck 5 in monitor')
  await page.getByRole('button', { name: 'Plug it in' }).click()
  await expect(summary(page)).toHaveText('Everything that needs a lead has one.')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(summary(page)).toHaveText('1 more lead would do.')
})

test('a free socket offers what goes in; a lead laid through the clamp is longer by what it goes round', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/wiring?setup=wheelhouse&lead=hdmi`)
  const card = page.getByRole('region', { name: 'The lead in hand' })
  await expect(card).toContainText('Reedsmith thin HDMI lead')
  const clamp = card.getByRole('checkbox', { name: 'Reedsmith HDMI lock clamp, 1/4"' })
  await expect(clamp).toBeChecked()
  const along = card.locator('dl > div').filter({ hasText: 'along the rig' }).locator('dd')
  const through = Number.parseInt(await along.innerText())
  await clamp.uncheck()
  await expect.poll(async () => Number.parseInt(await along.innerText())).toBeLessThan(through)
  await expect(page.locator('[data-check="no-strain-relief"]')).toContainText('Nothing holds')
  await card.getByRole('button', { name: 'Close' }).click()
  await page.locator('[data-port="camera/usb-c-3"]').click()
  await expect(page.getByRole('region', { name: 'The socket in hand' })).toContainText('5 to 20 V')
})

test('the ways to power the camera are laid side by side and one of them is taken', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1/wiring?setup=slip`)
  const own = page.locator('[data-school="own"]')
  await expect(own).toContainText('camera 58 min')
  await expect(page.locator('[data-school="dummy"]')).toContainText('door stays open')
  // What a way would bring stands beside it, by name, before it is taken.
  await expect(own.getByTestId('brings')).toContainText('brings: ')
  await own.getByRole('button', { name: /^take/ }).click()
  await expect(own).toContainText('as it is')
  await expect(page.locator('[data-school]').first()).toHaveAttribute('data-school', 'own')
  await expect(page.locator('[data-check="voltage"]')).toHaveCount(0)
})

test('leads and power go out as tables', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/wiring`)
  const take = async (name: string) => {
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name }).click()
    return readFileSync(await (await download).path(), 'utf8')
  }
  expect(await take('Leads, CSV')).toMatch(/^lead,from,from socket,[^\r\n]*needed \(mm\)[^\r\n]*\r\n/)
  expect(await take('Power, CSV')).toContain('Calabash H1 hybrid body,draws,12,5,')
})

test('the day is rehearsed: it plays, stands still, meets cold and a forgotten pack, and begins anew', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/rehearsal`)
  const clock = page.getByTestId('clock')
  const minutes = async () => {
    const [, h, m] = /(\d+) h (\d+)/.exec(await clock.innerText()) ?? []
    return Number(h) * 60 + Number(m)
  }
  await expect(page.getByText('simulated batteries and meters')).toBeVisible()
  await page.getByRole('button', { name: 'fast', exact: true }).click()
  await expect.poll(minutes, { timeout: 20_000 }).toBeGreaterThan(30)
  await page.getByRole('button', { name: 'Pause' }).click()
  await expect(page.getByRole('button', { name: 'Go on' })).toBeVisible()
  // The step that was under way when it was stopped still arrives; then the clock stands.
  let stood = Number.NaN
  await expect
    .poll(
      async () => {
        const before = stood
        stood = await minutes()
        return stood === before
      },
      { intervals: [700] },
    )
    .toBe(true)
  await page.getByRole('slider', { name: 'Temperature, degrees Celsius' }).fill('-10')
  await expect(page.getByText('-10 °C')).toBeVisible()
  expect(await minutes()).toBe(stood)
  for (const pack of ['pack-2', 'pack-3', 'pack-4'])
    await page.locator(`[data-pack="${pack}"]`).getByRole('button', { name: 'forget' }).click()
  await expect(page.locator('[data-pack="pack-4"]')).toContainText('left at home')
  await page.getByRole('button', { name: 'Go on' }).click()
  await page.getByRole('button', { name: 'a rush' }).click()
  await expect(page.getByRole('region', { name: 'What happened' })).toContainText('Calabash H1 hybrid body goes dark', {
    timeout: 20_000,
  })
  await expect(page.getByText('the day is over').first()).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: 'From the morning' }).click()
  await expect.poll(minutes).toBeLessThan(stood + 360)
})

test('the day in the brief is written in parts, and the hours follow', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/brief`)
  await expect(page.getByRole('textbox', { name: 'Name of part 2' })).toHaveValue('crossing out')
  await page.getByLabel('Minutes of part 2').fill('164')
  await page.getByLabel('Minutes of part 2').press('Tab')
  await saved(page)
  await page.goto(`${app.url}/rigs/winter-ferry-2`)
  await expect(scale(page, 'Runs')).toContainText('of 8 h 00')
  await expect(page.locator('[data-check="runtime-short"]').first()).toContainText('The day takes')
})

test('a battery is worn on the belt with its plate: it leaves the rig, its grams are told, and undo puts it back', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1?setup=slip&piece=brick-plate`)
  const where = page.getByLabel('Where Typha V-mount plate, 1/4" screw goes along')
  await expect(where).toHaveValue('')
  await where.selectOption('belt')
  // The plate of 168 g, the brick of 620 and half of a lead of 42.
  await expect(page.locator('div', { has: page.locator('dt', { hasText: 'on the belt' }) }).last()).toContainText(
    '809 g',
  )
  await expect(page.getByText('battery plate; on the belt, joined by its leads')).toBeVisible()
  // What sits on it went along: plate and brick are no longer drawn on the rig.
  await expect(page.locator('[data-lead="tap"]')).toContainText('to Typha V-mount plate')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(where).toHaveValue('')
  await saved(page)
})

test('a port saver is put between a plug and the camera, bought once, and taken out again', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/wiring?setup=crossing&lead=hdmi`)
  const saver = page.getByLabel('Port saver or coupler at its start')
  const way = page.locator('dl').filter({ hasText: 'along the rig' })
  const before = await way.textContent()
  await saver.selectOption({ label: 'Papyr port saver, HDMI A' })
  await expect(way).not.toHaveText(before ?? '')
  await saver.selectOption('')
  await expect(way).toHaveText(before ?? '')
  await saved(page)
})
