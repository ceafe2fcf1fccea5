import { writeFileSync } from 'node:fs'
import { expect, saved, test } from './harness.ts'

test('a piece is found, described, lent and counted; a day to come is refused', async ({ app, page }) => {
  await page.goto(`${app.url}/locker`)
  await expect(page.getByText('29 of 29 pieces')).toBeVisible()
  await page.getByRole('searchbox', { name: 'Search the locker' }).fill('gimbal hums')
  await expect(page.locator('[data-piece]')).toHaveCount(1)
  await page.locator('[data-piece="marrow-gimbal-1"]').click()
  const form = page.getByRole('form', { name: 'Piece' })
  await form.getByLabel('kept in').fill('loft')
  await form.getByLabel('paid, EUR').fill('-3')
  await form.getByLabel('paid, EUR').press('Tab')
  await expect(form.getByRole('alert')).toContainText('0 or more')
  await form.getByLabel('paid, EUR').fill('420,50')
  await form.getByLabel('last used').fill('2100-01-01')
  await form.getByLabel('last used').press('Tab')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form.getByRole('alert')).toContainText('still to come')
  await form.getByLabel('last used').fill('2026-06-01')
  await form.getByLabel('last used').press('Tab')
  await form.getByRole('button', { name: 'lent', exact: true }).click()
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(form.getByRole('alert')).toContainText('to whom')
  await form.getByLabel('lent to').fill('Ines')
  await form.getByRole('button', { name: 'Save' }).click()
  await expect(page.locator('[data-piece="marrow-gimbal-1"]')).toContainText('lent to Ines')
  await page.reload()
  await page.getByRole('combobox', { name: 'State' }).selectOption('lent')
  await expect(page.locator('[data-piece]')).toHaveCount(1)
  await page.locator('[data-piece="marrow-gimbal-1"]').click()
  await expect(page.getByLabel('paid, EUR')).toHaveValue('420.50')
  await expect(page.getByRole('region', { name: 'Used in' })).toContainText('The Winter Ferry, second mark')
})

test('what has not been used for a year is shown, and nothing by that name is said', async ({ app, page }) => {
  await page.goto(`${app.url}/locker`)
  await page.getByRole('checkbox', { name: 'unused for a year' }).check()
  await expect(page.locator('[data-piece="tromba-ball-shoe-1"]')).toBeVisible()
  await expect(page.locator('[data-piece="calabash-h1-1"]')).toHaveCount(0)
  await page.getByRole('searchbox').fill('nothing of the kind')
  await expect(page.getByText('Nothing is like that.')).toBeVisible()
})

test('weighed: the mass of the datasheet goes, on the bench as well; a pulled plug keeps the old one', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/locker`)
  await page.locator('[data-piece="calabash-20-1"]').click()
  await page.getByRole('button', { name: 'Weigh it' }).click()
  const scale = page.getByTestId('scale')
  await page.getByRole('button', { name: /Lay this piece on it/ }).click()
  await expect(scale).toHaveAttribute('data-stable', 'false')
  await page.getByRole('button', { name: 'Pull the plug' }).click()
  await expect(scale).toContainText('What was weighed before stays')
  await expect(page.getByRole('button', { name: 'Keep what it shows' })).toBeDisabled()
  await page.getByRole('button', { name: 'Plug in' }).click()
  await expect(scale).toHaveAttribute('data-stable', 'true', { timeout: 20_000 })
  await page.getByRole('button', { name: 'Keep what it shows' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Kept:' })).toBeVisible()
  const weighed = await page.locator('[data-piece="calabash-20-1"]').textContent()
  expect(weighed).toMatch(/3\d\d g/)
  expect(weighed).not.toContain('~')
  // The same part on the rig weighs what the scale said.
  const grams = /(\d{3}) g/.exec(weighed ?? '')?.[1] ?? ''
  await page.goto(`${app.url}/rigs/winter-ferry-2`)
  await expect(page.locator('[data-piece="prime"]')).toContainText(`${grams} g`)
  await page.goto(`${app.url}/locker`)
  await page.getByRole('button', { name: 'Weigh', exact: true }).click()
  await page.getByLabel('Rig and set-up').selectOption('winter-ferry-2/crossing')
  await page.getByRole('region', { name: 'Weigh-in' }).getByRole('button', { name: 'Weigh', exact: true }).click()
  await expect(scale).toHaveAttribute('data-stable', 'true', { timeout: 20_000 })
  await expect(page.getByTestId('rig-weighing')).toContainText('unexplained')
  await expect(page.getByTestId('rig-weighing')).toContainText('Calabash H1 hybrid body')
})

test('a table is judged before it is taken in; one bad line takes nothing in', async ({ app, page }, info) => {
  await page.goto(`${app.url}/locker`)
  await page.getByRole('button', { name: 'Files' }).click()
  const bad = info.outputPath('bad.csv')
  writeFileSync(bad, 'part;paid;notes\ncalabash-85;520,00;fine\ncalabash-85;-1;=cmd\n')
  await page.getByLabel('read one').setInputFiles(bad)
  const report = page.getByTestId('table-report')
  await expect(report).toContainText('Nothing is taken in')
  await expect(report).toContainText('line 3, paid: -1 is less than nothing')
  await expect(report).toContainText('looks like a formula')
  const good = info.outputPath('good.csv')
  writeFileSync(good, 'part;paid;place\ncalabash-85;520,00;studio\ncalabash-85;480,00;studio\n')
  await page.getByLabel('read one').setInputFiles(good)
  await expect(report).toContainText('2 new')
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Taken in: 2 new' })).toBeVisible()
  await expect(page.getByText('31 of 31 pieces')).toBeVisible()
})

test('everything goes out in one file and comes back over what was changed since', async ({ app, page }) => {
  await page.goto(`${app.url}/locker`)
  await page.getByRole('button', { name: 'Files' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Back up' }).click()
  const file = await (await download).path()
  await page.request.put(`${app.url}/api/locker/calabash-85`, { data: { was: 0, pieces: 3 } })
  await page.reload()
  await expect(page.getByText('32 of 32 pieces')).toBeVisible()
  await page.getByRole('button', { name: 'Files' }).click()
  await page.getByLabel('restore one').setInputFiles(file)
  await expect(page.getByTestId('backup-report')).toContainText('3 rigs, 3 revisions, 29 pieces')
  await page.getByRole('button', { name: 'Put it in place of what is here' }).click()
  await expect(page.getByText('29 of 29 pieces')).toBeVisible()
})

test('money: tiers with their running sum, prices of the simulated shops, a plan by months', async ({ app, page }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1/money`)
  await expect(page.getByTestId('bill')).toHaveText('€2,064.40')
  await expect(page.getByTestId('chance')).toHaveText('0 %')
  await expect(page.getByTestId('forgotten')).toContainText('6 packs')
  // Only the gimbal works at once; what a set-up needs by a month moves it forward.
  await expect(page.locator('[data-plan="gimbal-walk"]')).toContainText(/20\d\d/)
  await page.getByLabel('each month').fill('-5')
  await page.getByLabel('each month').press('Tab')
  await expect(page.getByRole('alert').filter({ hasText: 'allowance' })).toBeVisible()
  await page.getByLabel('each month').fill('900')
  await page.getByLabel('each month').press('Tab')
  await saved(page)
  // A word of one's own moves a piece to another tier.
  await page.getByRole('combobox', { name: 'Tier of Rushlight 1/8 mist, 82 mm' }).selectOption('may')
  await expect(page.locator('[data-tier="may"] [data-line="mist"]')).toBeVisible()
  await page.getByRole('checkbox', { name: /ask three simulated shops/ }).check()
  await expect(page.getByTestId('bill')).not.toHaveText('€2,064.40')
  await page.locator('[data-line="monitor"]').getByRole('button').click()
  const box = page.getByRole('region', { name: 'Price of one part' })
  await expect(box).toContainText('42 prices')
  await box.getByText('Enter a price that was seen').click()
  await box.getByLabel('shop', { exact: true }).fill('The corner shop')
  await box.getByLabel('price', { exact: true }).fill('99,90')
  await box.getByLabel('currency').fill('XYZ')
  await box.getByRole('button', { name: 'Store it' }).click()
  await expect(box.getByRole('alert')).toContainText('no rate is known from XYZ')
  await box.getByLabel('currency').fill('EUR')
  await box.getByRole('button', { name: 'Store it' }).click()
  await expect(box).toContainText('43 prices')
  await expect(box).toContainText('on sale now')
  await box.getByLabel('tell me when it is under').fill('120')
  await box.getByRole('button', { name: 'Watch' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'is down to €99.90' })).toBeVisible()
  // What stands in its place says what is lost, and is put there by one press.
  const before = await page.getByTestId('bill').textContent()
  await box.locator('[data-instead]').first().getByRole('button', { name: 'swap' }).click()
  await expect(page.getByTestId('bill')).not.toHaveText(before ?? '')
  await saved(page)
})

test('a server killed while a table is taken in has all of it or nothing', async ({ app, page }) => {
  const rows = Array.from({ length: 5000 }, (_, i) => `killed-${i},typha-bushing-14,box`).join('\n')
  const count = async () =>
    ((await (await page.request.get(`${app.url}/api/locker/pieces`)).json()) as { pieces: unknown[] }).pieces.length
  const before = await count()
  const seen = new Set<number>()
  for (const waitMs of [150, 300, 500]) {
    const table = `id,part,place\n${rows.replaceAll('killed', `killed-${waitMs}`)}\n`
    const sending = fetch(`${app.url}/api/locker.csv?dry=no`, {
      method: 'POST',
      body: table,
      headers: { 'content-type': 'text/csv' },
    }).catch(() => undefined)
    const at = await count()
    await page.waitForTimeout(waitMs)
    await app.end('SIGKILL')
    await sending
    await app.start(false)
    const added = (await count()) - at
    expect([0, 5000]).toContain(added)
    seen.add(added)
  }
  expect((await count()) - before).toBeGreaterThanOrEqual(0)
})

test('the locker is put in order by a press on a head: from the least, from the most, as it was', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/locker`)
  const first = page.locator('[data-piece]').first()
  await expect(first).toBeVisible()
  const asItWas = await first.getAttribute('data-piece')
  const masses = async () =>
    (await page.locator('[data-piece] [data-given]').allTextContents()).map((text) =>
      Number(text.replace(/[^\d.]/g, '')),
    )
  await page.locator('[data-sort="mass"]').click()
  await expect(page.locator('[data-sort="mass"]')).toContainText('mass ↑')
  const up = await masses()
  expect(up.length).toBeGreaterThan(8)
  expect(up).toEqual([...up].sort((a, b) => a - b))
  await page.locator('[data-sort="mass"]').click()
  const down = await masses()
  expect(down).toEqual([...down].sort((a, b) => b - a))
  expect(down[0]).toBeGreaterThan(up[0] ?? 0)
  await page.locator('[data-sort="mass"]').click()
  await expect(first).toHaveAttribute('data-piece', asItWas ?? '')
})
