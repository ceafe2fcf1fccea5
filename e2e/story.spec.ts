import { expect, putOn, saved, scale, test } from './harness.ts'

test('from an empty shelf to a checked rig, found again after a restart', async ({ page, app }) => {
  await page.goto(app.url)
  await page.getByRole('button', { name: 'New rig' }).click()
  await page.getByLabel('What is it for?').fill('Ferry at dawn')
  await page.getByRole('radio', { name: /Calabash H1/ }).check()
  await page.getByRole('button', { name: 'Start' }).click()

  // The brief answers as it is filled in.
  await expect(page.getByRole('heading', { name: 'What is this rig for?' })).toBeVisible()
  await page.getByRole('radio', { name: /Client film/ }).check({ force: true })
  await expect(page.locator('[data-lack="wireless-sound"]')).toBeVisible()
  await page.getByRole('radio', { name: /Run and gun/ }).check({ force: true })
  await expect(page.locator('[data-lack="wireless-sound"]')).toHaveCount(0)
  await page.getByRole('checkbox', { name: 'low or full sun' }).check()
  await expect(page.locator('[data-lack="sun-view"]')).toContainText('still missing')
  await page.getByLabel('In the hand', { exact: true }).fill('-5')
  await page.getByLabel('In the hand', { exact: true }).blur()
  await expect(page.getByText('Grams run from 0 (no limit) to 60,000.')).toBeVisible()
  await page.getByLabel('In the hand', { exact: true }).fill('1500')
  await page.getByLabel('In the hand', { exact: true }).blur()
  await page.getByRole('link', { name: 'To the bench' }).click()

  // 658 g of camera; cage 212, handle 212, each from the catalogue's own figures.
  await expect(scale(page, 'In the hand')).toContainText('658 g')
  await expect(scale(page, 'In the hand')).toContainText('of 1,500 g')
  await putOn(page, 'camera/seat', 'Bulrush basic cage for H1')
  await expect(scale(page, 'In the hand')).toContainText('870 g')
  await expect(scale(page, 'Still to buy')).toContainText('€49.00')

  // What does not fit says why; put on all the same it is a stop, cured by one press.
  await page.locator('[data-point="reedsmith-top-38/foot"]').waitFor({ state: 'detached' })
  await page.locator('[data-point="bulrush-basic-h1/top-front"] .halo').click()
  await page.getByRole('checkbox', { name: /won’t go on/ }).check()
  const misfit = page.locator('[data-misfit="reedsmith-top-38"]')
  await expect(misfit).toContainText('pinned 3/8" screw against pinned 1/4" hole')
  await misfit.click()
  await misfit.getByRole('button', { name: 'put on all the same' }).click()
  const stop = page.locator('[data-check="mount-mismatch"]')
  await expect(stop).toContainText("won't go on")
  await expect(stop).toHaveAttribute('data-level', 'stop')
  await stop.getByRole('button', { name: /add Typha riser block.*\+24 g.*€10\.00/ }).click()
  await expect(stop).toHaveCount(0)
  await expect(scale(page, 'In the hand')).toContainText('1,106 g')

  await putOn(page, 'bulrush-basic-h1/shoe', 'Papyr small scratch mic')
  await putOn(page, 'reedsmith-top-38/shoe', 'Crookneck tilt mount, shoe foot')
  await putOn(page, 'crookneck-tilt-shoe/stud', 'Crookneck 5 in monitor, 1,000 nit')
  await expect(scale(page, 'In the hand')).toContainText('1,403 g')
  await expect(page.locator('[data-check="need-unmet"]').filter({ hasText: 'picture seen in full sun' })).toHaveCount(0)

  // Undo and redo, then a restart of the server between save and reload.
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(scale(page, 'In the hand')).toContainText('1,198 g')
  await page.getByRole('button', { name: 'Redo' }).click()
  await saved(page)
  await app.end('SIGTERM')
  await app.start(false)
  await page.reload()
  await expect(scale(page, 'In the hand')).toContainText('1,403 g')
  await page.getByRole('link', { name: 'Shelf', exact: true }).click()
  await expect(page.locator('[data-card="ferry-at-dawn"]')).toContainText('1,403 g')
})

test('the first mark shows its troubles, and pressing cures makes them fewer', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1`)
  const stops = page.locator('[data-level="stop"]')
  await expect(stops).toHaveCount(7)
  await stops.getByRole('button', { name: /add Typha riser/ }).click()
  await expect(stops).toHaveCount(6)
  await page
    .locator('[data-check="over-budget"]')
    .getByRole('button', { name: /swap the monitor for Delicata 5.5/ })
    .click()
  await expect(page.locator('[data-check="over-budget"]')).toContainText('€774.40')
  await page.getByRole('button', { name: 'slip', exact: true }).click()
  await expect(page).toHaveURL(/setup=slip/)
  await expect(page.locator('[data-check="single-screw"]')).toHaveCount(2)
})

test('a piece slides along its travel and the tilt follows at once; it can be swapped, owned and taken off', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2?piece=handle`)
  await expect(scale(page, 'Hangs')).toContainText('0.3°')
  await page.getByRole('slider').fill('-8')
  await expect(page.locator('[data-check="hang-tilt"]')).toContainText('Tail heavy')
  await page
    .locator('[data-check="hang-tilt"]')
    .getByRole('button', { name: /slide .* back/ })
    .click()
  await expect(page.locator('[data-check="hang-tilt"]')).toHaveCount(0)
  await page.keyboard.press('Escape')
  await page.locator('[data-piece="mic"]').click()
  await expect(page.getByRole('heading', { name: 'Rushlight on-camera mic with fur' })).toBeVisible()
  const toBuy = await scale(page, 'Still to buy').textContent()
  await page.getByRole('button', { name: 'I own this' }).click()
  await expect(scale(page, 'Still to buy')).not.toHaveText(toBuy ?? '')
  await page.getByRole('row', { name: /Papyr small scratch mic/ }).click()
  await page.getByRole('button', { name: 'swap', exact: true }).click()
  await expect(page.locator('[data-check="need-unmet"]')).toContainText('wind protection')
  await page.getByRole('button', { name: /^take off/ }).click()
  await expect(page.locator('[data-piece="mic"]')).toContainText('not on this set-up')
})

test('search finds a part and leads to the place it goes', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2`)
  await expect(scale(page, 'Tall')).toBeVisible()
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: 'Find' }).fill('cheese plate')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'Fits here' })).toBeVisible()
  await expect(page.getByRole('grid').getByRole('row')).toHaveCount(2)
})

test('an address that leads nowhere says so', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/never-was`)
  await expect(page.getByText('There is no such rig.')).toBeVisible()
  await page.goto(`${app.url}/no/such/page`)
  await expect(page.getByRole('heading', { name: 'Nothing lies here' })).toBeVisible()
})

test('a rig taken off the shelf can be put back', async ({ page, app }) => {
  await page.goto(app.url)
  await page.getByRole('button', { name: /Take The Winter Ferry, first mark off/ }).click()
  await expect(page.locator('[data-rig]')).toHaveCount(2)
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.locator('[data-rig]')).toHaveCount(3)
})

test('a set-up is copied, held another way, and the changeover counted', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2`)
  await page.getByRole('link', { name: 'all …' }).click()
  await expect(page.getByRole('region', { name: 'From crossing to slip' })).toContainText('5 s')
  await page.getByRole('button', { name: 'Copy crossing' }).click()
  const copy = page.locator('[data-setup="crossing-2"]')
  await copy.getByRole('textbox').fill('deck')
  await copy.getByRole('textbox').blur()
  await copy.getByRole('combobox', { name: /held/ }).selectOption('two-hand')
  await expect(copy).toContainText('min')
  await copy.getByRole('link').click()
  await expect(page).toHaveURL(/setup=crossing-2/)
  await expect(page.getByRole('button', { name: 'deck' })).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('checkbox', { name: 'as it hangs' }).check()
  await expect(page.locator('[data-point]')).toHaveCount(0)
})

test('a rig goes out as a file and comes back as a rig of its own; a spoilt file changes nothing', async ({
  page,
  app,
}) => {
  await page.goto(app.url)
  const download = page.waitForEvent('download')
  await page.locator('li', { hasText: 'second mark' }).getByRole('link', { name: 'file' }).click()
  const path = await (await download).path()
  await page.getByLabel('Read a rig file').setInputFiles(path)
  await expect(page.getByText('Nothing has been changed yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await expect(page).toHaveURL(/winter-ferry-2-2/)
  await expect(scale(page, 'In the hand')).toContainText('2,276 g')
  await page.getByRole('link', { name: 'Shelf', exact: true }).click()
  await expect(page.locator('[data-rig]')).toHaveCount(4)
  await page.getByLabel('Read a rig file').setInputFiles({
    name: 'junk.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"zucchini-rig-file","version":1}'),
  })
  await expect(page.getByRole('alert')).toContainText('Nothing was changed.')
  await page.getByRole('button', { name: 'Close' }).click()
  await expect(page.locator('[data-rig]')).toHaveCount(4)
})
