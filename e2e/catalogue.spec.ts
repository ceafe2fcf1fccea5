import { expect, saved, scale, test } from './harness.ts'

test('the catalogue is searched, narrowed down by what it is and weighs, and a part is looked at', async ({
  page,
  app,
}) => {
  await page.goto(app.url)
  await page.getByRole('link', { name: 'Catalogue' }).click()
  const count = page.getByTestId('part-count')
  await expect(count).toContainText(/^38\d of 38\d parts$/)
  await page.getByLabel('what it is').selectOption('top-handle')
  await expect(count).toContainText('11 of')
  await page.getByLabel('up to g').fill('150')
  await expect(page.locator('[data-part]')).toHaveCount(2)
  await page.getByLabel('with a mount of').selectOption('thread-1/4')
  await expect(page.locator('[data-part]')).toHaveCount(1)
  await page.locator('[data-part="sedgewick-top-14"]').click()
  await expect(page).toHaveURL(/catalogue\/sedgewick-top-14/)
  const article = page.getByRole('article', { name: /Sedgewick small top handle/ })
  await expect(article).toContainText('148 g')
  await expect(article.getByRole('img')).toHaveCount(3)
  await expect(article).toContainText('slides 36 mm')
  await article.getByRole('checkbox', { name: /rooms/ }).check()
  await page.getByRole('button', { name: 'Show all again' }).click()
  await expect(count).toContainText(/^38\d of/)
  await page.getByRole('searchbox', { name: 'find' }).fill('no such thing')
  await expect(page.getByText('Nothing is like that.')).toBeVisible()
})

test('a part of one’s own: started from a copy, refused in words while it is wrong, stored, used on a rig, edited', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/catalogue/typha-shoe-block`)
  await page.getByRole('link', { name: 'Copy as a start' }).click()
  await page.getByLabel('name', { exact: true }).fill('My shoe block')
  await page.getByLabel('Mass (g)').fill('0')
  await page.getByRole('button', { name: 'Store the part' }).click()
  const wrong = page.getByRole('region', { name: 'What is still wrong' })
  await expect(wrong).toContainText('mass give it, or leave it empty for unknown')
  await page.getByLabel('Mass (g)').fill('-3')
  await expect(wrong).toContainText('mass must be 0 or more')
  await page.getByLabel('Mass (g)').fill('17')
  await page.getByLabel('Mount 2, place, up (mm)').fill('40')
  await expect(wrong).toContainText('mount 2, place hangs in the air')
  await page.getByLabel('Mount 2, place, up (mm)').fill('6')
  await expect(wrong).toContainText('Ready to store')
  await page.getByRole('button', { name: 'Store the part' }).click()
  await expect(page).toHaveURL(/catalogue\/my-shoe-block$/)
  await expect(page.getByRole('article')).toContainText('entered by you')

  await page.goto(`${app.url}/rigs/winter-ferry-2?point=cage%2Ftop-rear`)
  await page.getByLabel('Filter the parts').fill('my shoe')
  await page.getByRole('row', { name: /My shoe block/ }).click()
  await page.getByRole('button', { name: 'put on', exact: true }).click()
  await expect(scale(page, 'In the hand')).toContainText('2,293 g')
  await saved(page)

  await page.goto(`${app.url}/catalogue/my-shoe-block`)
  await page.getByRole('link', { name: 'Edit' }).click()
  await page.getByRole('button', { name: 'Remove mount 1' }).click()
  await page.getByRole('button', { name: 'Store the part' }).click()
  await expect(page.getByRole('alert')).toContainText('Rigs on the shelf would come apart')
  // What was typed is still there after leaving and coming back.
  await page.reload()
  await expect(page.getByRole('status').filter({ hasText: 'Taken up where you left it' })).toBeVisible()
  await page.getByRole('button', { name: 'Start over' }).click()
  await page.getByLabel('Mass (g)').fill('21')
  await page.getByRole('button', { name: 'Store the part' }).click()
  await expect(page.getByRole('article')).toContainText('21 g')
  await page.goto(`${app.url}/rigs/winter-ferry-2`)
  await expect(scale(page, 'In the hand')).toContainText('2,297 g')
})
