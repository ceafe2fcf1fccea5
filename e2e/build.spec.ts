import { expect, test } from './harness.ts'

test('a rig is built step by step on a phone: ticks stay when the phone dies, and the end says what to try', async ({
  page,
  app,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${app.url}/rigs/winter-ferry-2/build?setup=gimbal-walk`)
  const step = page.getByRole('region', { name: 'This step' })
  await expect(step).toContainText('Step 1 of')
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  const tick = page.getByRole('button', { name: /^(On, and it holds|Done)$/ })
  expect((await tick.boundingBox())?.height).toBeGreaterThanOrEqual(72)
  const title = await step.getByRole('heading').first().innerText()
  await tick.click()
  await expect(step).toContainText('Step 2 of')
  await expect(step.getByRole('heading').first()).not.toHaveText(title)
  await page.reload()
  // One goes on where one was.
  await expect(step).toContainText('Step 2 of')
  await page.getByRole('button', { name: 'The step before' }).click()
  await expect(page.getByRole('button', { name: 'Done; take the tick back' })).toBeVisible()
  for (let i = 0; i < 30 && !(await step.getByText('What to try now').isVisible()); i++)
    await page.getByRole('button', { name: 'The next step' }).click()
  await expect(step).toContainText('Put it on a scale')
})

test('at the desk all steps stand beside the one in hand; arrows walk them; another set-up has ticks of its own', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2/build?setup=wheelhouse`)
  const steps = page.getByRole('navigation', { name: 'Steps' })
  await expect(steps).toContainText('4 mm key')
  const step = page.getByRole('region', { name: 'This step' })
  await steps
    .getByRole('button', { name: /top handle/ })
    .first()
    .click()
  await expect(step.getByRole('heading').first()).toContainText('top handle')
  await expect(step.locator('[data-loupe]')).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(step.getByRole('heading').first()).not.toContainText('top handle, pinned 1/4" on Sedgewick half cage')
  await page.getByRole('button', { name: /^(On, and it holds|Done)$/ }).click()
  await page.getByRole('button', { name: 'upright' }).click()
  await expect(page.getByRole('button', { name: 'Begin anew' })).toBeHidden()
})

test('what does not go on is said instead of being left out in silence', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1/build?setup=slip`)
  await expect(page.getByRole('alert')).toContainText('is left out here')
})
