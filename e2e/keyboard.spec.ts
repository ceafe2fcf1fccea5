import { expect, saved, scale, test } from './harness.ts'

test('a rig is built with the keyboard alone', async ({ page, app }) => {
  const keys = async (...list: string[]) => {
    for (const key of list) await page.keyboard.press(key)
  }
  const tabTo = async (name: string) => {
    for (let i = 0; i < 80; i++) {
      await page.keyboard.press('Tab')
      const focused = await page.evaluate(
        () =>
          document.querySelector('a:focus, button:focus')?.getAttribute('aria-label') ??
          document.querySelector('a:focus, button:focus')?.textContent?.trim() ??
          '',
      )
      if (focused.includes(name)) return
    }
    throw new Error(`${name} is not reached by Tab`)
  }
  await page.goto(app.url)
  await expect(page.locator('[data-rig]')).toHaveCount(3)
  await tabTo('New rig')
  await keys('Enter')
  await expect(page.getByRole('heading', { name: 'New rig' })).toBeVisible()
  await page.getByLabel('What is it for?').focus()
  await page.keyboard.type('By keys')
  await keys('Enter')
  await expect(page.getByRole('heading', { name: 'What is this rig for?' })).toBeVisible()
  await tabTo('To the bench')
  await keys('Enter')
  await expect(scale(page, 'In the hand')).toContainText('658 g')

  // Walk the open points until the camera's base, filter, choose, put on.
  for (let i = 0; i < 12 && !(await page.getByRole('heading', { name: /camera base, cage seat/ }).isVisible()); i++)
    await keys('o')
  await expect(page.getByRole('grid')).toBeVisible()
  await keys('f')
  await page.keyboard.type('sedgewick half')
  await expect(page.getByRole('row', { name: /Sedgewick half cage/ })).toBeVisible()
  await keys('Enter')
  await expect(scale(page, 'In the hand')).toContainText('826 g')

  // Find a handle by name, put it on, slide it, turn it, undo the lot, redo, take it off.
  await keys('Escape', '/')
  await page.keyboard.type('Sedgewick small top handle')
  await keys('Enter')
  await expect(page.getByRole('row', { name: /Sedgewick small top handle/ })).toBeVisible()
  await keys('f', 'Enter')
  await expect(scale(page, 'In the hand')).toContainText('974 g')
  const before = await scale(page, 'Hangs').textContent()
  await keys('.', '.', '.')
  await expect(scale(page, 'Hangs')).not.toHaveText(before ?? '')
  await keys('Control+z', 'Control+z', 'Control+z')
  await expect(scale(page, 'Hangs')).toHaveText(before ?? '')
  await keys('Control+Shift+z', '2')
  await expect(page).toHaveURL(/view=front/)
  await keys('Delete')
  await expect(scale(page, 'In the hand')).toContainText('826 g')
  await keys('?')
  await expect(page.getByRole('heading', { name: 'Keys at the bench' })).toBeVisible()
  await keys('Escape')
  await expect(page.getByRole('heading', { name: 'Keys at the bench' })).toBeHidden()
  await keys('c')
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled()
  await saved(page)
})

test('every figure on the bench tells how it is reckoned: one stop a bar, by keyboard and by mouse', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2`)
  await expect(scale(page, 'Hangs')).toContainText('0.3°')
  const ids = await page
    .locator('[data-figure]')
    .evaluateAll((all) => all.map((one) => one.getAttribute('data-figure') ?? ''))
  expect(ids).toEqual(['in-hand', 'to-buy', 'runs', 'hangs', 'tall', 'set-up', 'held'])
  const sheet = page.getByRole('region', { name: 'How it is reckoned' })
  for (const id of ids) {
    await page.locator(`[data-figure="${id}"]`).focus()
    await page.keyboard.press('Enter')
    await expect(sheet).toHaveAttribute('data-figure-sheet', id)
    await expect(sheet.getByRole('row').nth(1)).toBeVisible()
  }
  await page.keyboard.press('Escape')
  await expect(sheet).toBeHidden()
  await scale(page, 'Hangs').click()
  await expect(sheet).toContainText('atan ( 0.3 mm')
  await expect(sheet).toContainText('limit 3.0°: How I work')
  await expect(sheet).toContainText('658 g')
  await sheet.getByRole('link', { name: 'change the limit' }).click()
  await expect(page.getByRole('heading', { name: 'How I work' })).toBeVisible()
})
