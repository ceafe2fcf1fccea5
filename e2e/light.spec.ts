import { expect, saved, test } from './harness.ts'

const lightOf = (rig: string, setup: string) => `/rigs/${rig}/light?setup=${setup}`

test('the first mark: dark corners, too bright a day; one filter off and another along mend it', async ({
  app,
  page,
}) => {
  await page.goto(app.url + lightOf('winter-ferry-1', 'crossing'))
  await expect(page.getByTestId('clean')).toHaveText(/clean from 27 mm on; the lens begins at 24 mm/)
  await expect(page.getByTestId('in-picture')).toContainText('dark corners')
  // Each scene with what it wants and what is missing.
  await expect(page.locator('tr[data-scene="crossing out"]')).toContainText('nothing, 0.5 off')
  await expect(page.locator('[data-block="crossing out"]')).toHaveAttribute('data-state', 'bright')
  await expect(page.locator('[data-block="night crossing"]')).toHaveAttribute('data-state', 'dark')
  await page
    .getByRole('button', { name: /take off Rushlight 1\/8 mist/ })
    .first()
    .click()
  await expect(page.getByTestId('clean')).toHaveText(/clean from the short end on, 24 mm/)
  await expect(page.getByTestId('in-picture')).toContainText('nothing of the rig')
  await page
    .getByRole('button', { name: /take Phragma variable ND, 82 mm along/ })
    .first()
    .click()
  await expect(page.locator('tr[data-scene="crossing out"]')).toContainText('variable ND')
  await expect(page.locator('[data-block="crossing out"]')).toHaveAttribute('data-state', 'held')
  await saved(page)
  await page.reload()
  await expect(page.locator('[data-block="crossing out"]')).toHaveAttribute('data-state', 'held')
})

test('the mic hangs in the wheelhouse picture, in a wider cut as well', async ({ app, page }) => {
  await page.goto(app.url + lightOf('winter-ferry-1', 'wheelhouse'))
  await expect(page.getByTestId('in-picture')).toContainText('long shotgun mic')
  await expect(page.locator('[data-intruder="gun"] path').first()).toBeVisible()
  // A prime has one focal length: the slider says so by standing still.
  await expect(page.getByRole('slider', { name: 'Focal length' })).toBeDisabled()
  await page.getByRole('group', { name: 'Picture' }).getByRole('button', { name: '2.39' }).click()
  await expect(page.locator('[data-intruder="gun"]')).toHaveCount(1)
  await saved(page)
})

test('exposure: what can not be is refused in words, what can be is reckoned at once', async ({ app, page }) => {
  await page.goto(app.url + lightOf('winter-ferry-2', 'crossing'))
  const row = page.locator('tr[data-scene="crossing out"]')
  await expect(row).toContainText('6.8')
  const type = async (name: string, value: string) => {
    const field = page.getByLabel(name, { exact: true })
    await field.fill(value)
    await field.press('Tab')
  }
  for (const [name, value, words] of [
    ['f-number', '0', 'An f-number runs from 0.7 to 64'],
    ['ISO', '0', 'A sensitivity runs from 25'],
    ['shutter', '400', 'at most 360 degrees'],
    ['fps', '0', 'Frames in a second run from more than 0'],
  ] as const) {
    await type(name, value)
    await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible()
    await expect(row).toContainText('6.8')
  }
  await expect(page.getByText('NaN')).toHaveCount(0)
  await page.reload()
  // Two stops more sensitive, two stops more to take: past what the filter holds.
  await type('ISO', '400')
  await expect(row).toContainText('8.8')
  await expect(row).toContainText('nothing')
  // Two stops of iris give them back.
  await type('f-number', '5.6')
  await expect(row).toContainText('6.8')
  await expect(row).toContainText('variable ND')
  await saved(page)
})

test('the lens kit is chosen in the brief, with shares, fields of view and the light of each part', async ({
  app,
  page,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/brief`)
  const kit = page.getByRole('group', { name: /Which lenses come along/ })
  await expect(kit.locator('[data-lens-use]')).toHaveCount(3)
  await kit.getByRole('button', { name: /Leave Chayote 16–50 mm compact zoom at home/ }).click()
  await kit.getByRole('combobox').selectOption('typha-58-vintage')
  await expect(kit.locator('[data-lens-use="typha-58-vintage"] input')).toHaveValue('15')
  await kit.getByLabel(/fields of view/).fill('20, three')
  await kit.getByLabel(/fields of view/).press('Tab')
  await expect(kit.getByRole('alert')).toContainText('focal lengths from 4 to 2,000 mm')
  await kit.getByLabel(/fields of view/).fill('20, 135')
  await kit.getByLabel(/fields of view/).press('Tab')
  await page.getByRole('combobox', { name: 'Light in part 2' }).selectOption('overcast')
  await saved(page)
  await page.goto(app.url + lightOf('winter-ferry-2', 'crossing'))
  await expect(page.locator('[data-lens="typha-58-vintage"]')).toContainText('focus by hand')
  await expect(page.locator('[data-lens="typha-58-vintage"]')).toContainText('Typha adapter, pip lens to tendril body')
  await expect(page.getByText('135 mm open')).toBeVisible()
  await expect(page.locator('tr[data-scene="crossing out"]')).toContainText('overcast')
  const field = page.locator('[data-check="field-uncovered"]')
  await expect(field.first()).toContainText('No lens shows what 20 mm shows')
  await expect(field.first()).toContainText('20 mm to 135 mm')
})

test('the Glass station of the bench shows the front and leads to the light', async ({ app, page }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1?setup=crossing`)
  await page
    .getByRole('navigation', { name: 'Stations, in working order' })
    .getByRole('button', { name: /Glass/ })
    .click()
  const station = page.getByRole('region', { name: 'Glass station' })
  await expect(station).toContainText('nothing, in 2 of 4 scenes')
  await expect(station.locator('[data-rim="mist"]')).toHaveCount(1)
  await station.getByRole('link', { name: 'To the light' }).click()
  await expect(page).toHaveURL(/\/light\?setup=crossing/)
})

test('a lens that can not be is refused in the part editor', async ({ app, page }) => {
  await page.goto(`${app.url}/catalogue/new?from=kabocha-24-70`)
  const field = page.getByRole('spinbutton', { name: 'Shortest focal length (mm)' })
  await field.fill('80')
  await field.press('Tab')
  await expect(page.getByText(/the long end can not be shorter than the short end/)).toBeVisible()
  await field.fill('24')
  await field.press('Tab')
  await page.getByRole('spinbutton', { name: 'Widest stop' }).fill('0')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('region', { name: 'What is still wrong' }).getByRole('listitem')).toHaveText(
    /f-number.*must be 0\.5 or more/,
  )
})
