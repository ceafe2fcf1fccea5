import { expect, saved, scale, test } from './harness.ts'

test('a server killed the moment an edit was confirmed has lost nothing', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2?piece=monitor`)
  await page.getByRole('button', { name: /^take off/ }).click()
  await expect(scale(page, 'In the hand')).toContainText('1,927 g')
  await saved(page)
  await app.end('SIGKILL')
  await app.start(false)
  await page.goto(`${app.url}/rigs/winter-ferry-2`)
  await expect(scale(page, 'In the hand')).toContainText('1,927 g')
})

test('an edit made while the server is dead waits, survives a reload, and arrives', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2?piece=monitor`)
  await expect(scale(page, 'In the hand')).toContainText('2,276 g')
  await app.end('SIGKILL')
  await page.getByRole('button', { name: /^take off/ }).click()
  await expect(page.getByTestId('save-state')).toContainText('not saved yet')
  await app.start(false)
  await page.goto(`${app.url}/rigs/winter-ferry-2`)
  await expect(scale(page, 'In the hand')).toContainText('1,927 g')
  await saved(page)
  const { rig } = (await (await page.request.get(`${app.url}/api/rigs/winter-ferry-2`)).json()) as {
    rig: { setups: { joints: { guest: string }[] }[] }
  }
  expect(rig.setups[0]?.joints.some(({ guest }) => guest === 'monitor')).toBe(false)
})

test('two windows can not silently overwrite each other', async ({ page, app, context, browser }) => {
  const open = async (where: typeof page) => {
    await where.goto(`${app.url}/rigs/winter-ferry-2?piece=mic`)
    await expect(scale(where, 'In the hand')).toContainText('2,276 g')
  }
  await open(page)
  // Another browser, so that no message between windows warns the first one.
  const elsewhere = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
  await open(elsewhere)
  await elsewhere.getByRole('button', { name: /^take off/ }).click()
  await saved(elsewhere)
  await page.keyboard.press('Escape')
  await page.locator('[data-piece="receiver"]').click()
  await page.getByRole('button', { name: /^take off/ }).click()
  const notice = page.getByRole('alert')
  await expect(notice).toContainText('Another window saved this rig')
  await expect(scale(page, 'In the hand')).toContainText('2,221 g')
  await notice.getByRole('button', { name: 'Keep both' }).click()
  await expect(page).toHaveURL(/winter-ferry-2-/)
  await expect(scale(page, 'In the hand')).toContainText('2,221 g')
  await page.goto(`${app.url}/rigs/winter-ferry-2`)
  await expect(scale(page, 'In the hand')).toContainText('2,180 g')

  // A second window of the same browser is followed at once, with one line and the own undo kept.
  const beside = await context.newPage()
  await beside.goto(`${app.url}/rigs/winter-ferry-2?piece=receiver`)
  await beside.getByRole('button', { name: /^take off/ }).click()
  await saved(beside)
  await expect(page.getByTestId('notice')).toContainText('Another window saved this rig')
  await expect(scale(page, 'In the hand')).toContainText('2,137 g')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(scale(page, 'In the hand')).toContainText('2,180 g')
  await saved(page)
})
