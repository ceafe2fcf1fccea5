import type { Page } from '@playwright/test'
import { expect, test } from './harness.ts'

const WIDE = 390
const HIGH = 844
test.beforeEach(({ page }) => page.setViewportSize({ width: WIDE, height: HIGH }))

/** Touch targets are 44 px high (WCAG 2.2 wants 24). */
const TOUCH = 44

/** What reaches beyond the right edge of the screen and can't be scrolled there in a strip of its own. */
const tooWide = (page: Page): Promise<string[]> =>
  page.evaluate((wide) => {
    const scrolls = (el: Element): boolean => {
      for (let at: Element | null = el.parentElement; at; at = at.parentElement) {
        const { overflowX } = getComputedStyle(at)
        if ((overflowX === 'auto' || overflowX === 'scroll' || overflowX === 'hidden') && at !== document.body)
          return true
      }
      return false
    }
    return [...document.querySelectorAll('main *, header *')]
      .filter((el) => el.getBoundingClientRect().right > wide + 1 && el.getClientRects().length > 0 && !scrolls(el))
      .map((el) => `${el.tagName} ${(el.textContent ?? '').trim().slice(0, 30)}`)
  }, WIDE)

test('the bench on a phone is one column: drawing, scales, findings, kit, nothing over another', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1?setup=crossing`)
  await expect(page.locator('[data-piece]').first()).toBeAttached()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(WIDE)
  expect(await tooWide(page)).toEqual([])
  const parts = [
    page.getByRole('navigation', { name: 'Stations, in working order' }),
    page.getByRole('region', { name: 'The rig, drawn to scale' }),
    page.getByRole('complementary', { name: 'Scales and findings' }),
    page.getByTestId('in-hand-panel'),
  ]
  let floor = 0
  for (const part of parts) {
    const box = await part.boundingBox()
    if (!box) throw new Error('every part of the bench is there')
    expect(box.y).toBeGreaterThanOrEqual(floor - 1)
    expect([box.x, box.x + box.width]).toEqual([0, WIDE])
    expect(box.height).toBeGreaterThan(40)
    floor = box.y + box.height
  }
  // The drawing fills its part: the rig stands at least half as high as the sheet.
  const drawn = await page
    .locator('section[aria-label="The rig, drawn to scale"] [data-instance]')
    .evaluateAll((all) => {
      const boxes = all.map((one) => one.getBoundingClientRect()).filter(({ height }) => height > 0)
      return Math.max(...boxes.map(({ bottom }) => bottom)) - Math.min(...boxes.map(({ top }) => top))
    })
  expect(drawn).toBeGreaterThan(220)
})

test('on a phone a point is tapped, a part is chosen and put on; what can be tapped is large enough', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2?setup=crossing`)
  const rail = page.getByRole('navigation', { name: 'Stations, in working order' })
  for (const button of await rail.getByRole('button').all())
    expect((await button.boundingBox())?.height ?? 0).toBeGreaterThanOrEqual(TOUCH)
  await page.locator('[data-point="cage/top-rear"]').click()
  const rows = page.locator('[data-part]')
  await rows.nth(1).scrollIntoViewIfNeeded()
  await rows.nth(1).locator('span').first().click()
  await page.getByRole('button', { name: 'put on' }).click()
  await expect(page.getByRole('region', { name: 'The rig, drawn to scale' })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeEnabled()
  expect(await tooWide(page)).toEqual([])
})
