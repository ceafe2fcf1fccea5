import type { Page } from '@playwright/test'
import { type App, expect, putOn, saved, scale, test } from './harness.ts'

const rig = '/rigs/winter-ferry-2'
const api = (app: App, path: string) => `${app.url}/api${path}`

/** Stores a part of one's own, as the editor would: a copy of a shoe block. */
const ownPart = async (page: Page, app: App, id: string) => {
  const part = (await (await page.request.get(api(app, '/catalogue/typha-shoe-block'))).json()) as object
  const answer = await page.request.put(api(app, `/catalogue/${id}`), {
    data: { part: { ...part, id, name: `Own ${id}` }, was: null },
  })
  expect(answer.ok()).toBe(true)
}

test('a gear made for another ring, put on all the same, is a stop like any other; the rig opens again', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1?point=zoom%2Fring`)
  await page.getByRole('checkbox', { name: /won’t go on/ }).check()
  const misfit = page.locator('[data-misfit]').filter({ hasText: 'closes on' }).first()
  await misfit.click()
  await misfit.getByRole('button', { name: 'put on all the same' }).click()
  const stop = page.locator('[data-check="mount-mismatch"]').filter({ hasText: "won't close" })
  await expect(stop).toHaveAttribute('data-level', 'stop')
  await saved(page)
  await page.reload()
  await expect(stop).toBeVisible()
})

test('undo and redo go on after a reload, and the history goes back and keeps names', async ({ page, app }) => {
  await page.goto(`${app.url}${rig}?piece=mic`)
  await page.getByRole('button', { name: /^take off/ }).click()
  await expect(scale(page, 'In the hand')).toContainText('2,180 g')
  await saved(page)
  await page.locator('[data-piece="receiver"]').click()
  await page.getByRole('button', { name: /^take off/ }).click()
  await expect(page.getByTestId('notice')).toContainText('1 lead')
  await expect(scale(page, 'In the hand')).toContainText('2,137 g')
  await saved(page)
  await page.reload()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(scale(page, 'In the hand')).toContainText('2,180 g')
  await saved(page)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(scale(page, 'In the hand')).toContainText('2,276 g')
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
  await saved(page)
  await page.reload()
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(scale(page, 'In the hand')).toContainText('2,180 g')
  await saved(page)

  await page.getByRole('button', { name: 'History' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.locator('[data-revision]')).toHaveCount(6)
  const third = dialog.locator('[data-revision="3"]')
  await third.getByRole('button', { name: 'Name it' }).click()
  await third.getByLabel('Name of this revision').fill('without sound')
  await third.getByRole('button', { name: 'Keep' }).click()
  await expect(third).toContainText('without sound')
  await third.getByRole('button', { name: 'Go back to it' }).click()
  await expect(scale(page, 'In the hand')).toContainText('2,137 g')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(scale(page, 'In the hand')).toContainText('2,180 g')
})

test('a part made in one tab is known in the other when that takes the rig over', async ({ page, app, context }) => {
  await page.goto(`${app.url}${rig}`)
  await expect(scale(page, 'Tall')).toBeVisible()
  const beside = await context.newPage()
  await ownPart(beside, app, 'tab-block')
  await beside.goto(`${app.url}${rig}`)
  await putOn(beside, 'cage/top-rear', 'Own tab-block')
  await saved(beside)
  await expect(page.getByTestId('notice')).toContainText('Another window saved this rig')
  await expect(page.locator('[data-piece="tab-block"]')).toContainText('Own tab-block')
  await expect(page.locator('[data-check="part-gone"]')).toHaveCount(0)
})

test('a rig put back after its own part was deleted lies on the shelf with all others, and opens whole', async ({
  page,
  app,
}) => {
  await ownPart(page, app, 'lost-block')
  await page.goto(`${app.url}${rig}`)
  await putOn(page, 'cage/top-rear', 'Own lost-block')
  await saved(page)
  await page.goto(app.url)
  await page.getByRole('button', { name: /Take The Winter Ferry, second mark off/ }).click()
  await expect(page.locator('[data-rig]')).toHaveCount(2)
  const { tag } = (await (await page.request.get(api(app, '/catalogue/lost-block/tag'))).json()) as { tag: string }
  expect((await page.request.delete(api(app, `/catalogue/lost-block?was=${tag}`))).status()).toBe(204)
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.locator('[data-rig]')).toHaveCount(3)
  await expect(page.locator('[data-rig][data-fresh="true"]')).toHaveCount(3)
  await page.locator('[data-rig="winter-ferry-2"]').click()
  await expect(page.locator('[data-piece="lost-block"]')).toContainText('Own lost-block')
  await expect(page.locator('[data-check="part-gone"]')).toContainText('not in the catalogue any more')
  // It comes back from its page.
  await page.goto(`${app.url}/catalogue/lost-block`)
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(page.getByRole('button', { name: 'Bring it back' })).toHaveCount(0)
})

test('a part nobody knows any more is drawn as a block; another is chosen in its place', async ({ page, app }) => {
  // As a database would give it that lost a part: the rig names one that is in no list.
  await page.route('**/api/rigs/winter-ferry-2', async (route) => {
    if (route.request().method() !== 'GET') return route.fallback()
    const answer = await route.fetch()
    const body = (await answer.text()).replaceAll('"partId":"typha-shoe-block"', '"partId":"never-heard-of"')
    await route.fulfill({ response: answer, body })
  })
  await page.goto(`${app.url}${rig}`)
  await expect(page.getByTestId('notice')).toContainText('“never-heard-of” is no longer known')
  const told = page.locator('[data-check="part-gone"]')
  await expect(told).toHaveAttribute('data-level', 'risk')
  await told.getByRole('button').first().click()
  await page.getByLabel('Filter the swaps').fill('screw-on cold shoe')
  await page.getByRole('row', { name: /Typha screw-on cold shoe/ }).click()
  await page.getByRole('button', { name: 'swap', exact: true }).click()
  await expect(told).toHaveCount(0)
  await expect(scale(page, 'In the hand')).toContainText('2,276 g')
  // What is still on its way would reach the world of the next test.
  await saved(page)
})

test('a rig that was put away elsewhere is put back, or goes on as a new one', async ({ page, app }) => {
  const putAway = async () =>
    expect((await page.request.delete(api(app, '/rigs/winter-ferry-2?base=1'))).status()).toBe(204)
  await page.goto(`${app.url}${rig}?piece=mic`)
  await expect(scale(page, 'Tall')).toBeVisible()
  await putAway()
  await page.getByRole('button', { name: /^take off/ }).click()
  await expect(page.getByRole('alert')).toContainText('taken off the shelf in another window')
  await page.getByRole('button', { name: 'Put it back' }).click()
  await saved(page)
  await page.reload()
  await expect(scale(page, 'In the hand')).toContainText('2,180 g')
  expect((await page.request.delete(api(app, '/rigs/winter-ferry-2?base=2'))).status()).toBe(204)
  await page.locator('[data-piece="receiver"]').click()
  await page.getByRole('button', { name: /^take off/ }).click()
  await page.getByRole('button', { name: 'Save it as a new rig' }).click()
  await expect(page).toHaveURL(/winter-ferry-2-/)
  await expect(scale(page, 'In the hand')).toContainText('2,137 g')
})

test('while storage is down the edit waits in the browser and goes on by itself', async ({ page, app }) => {
  await page.goto(`${app.url}${rig}?piece=mic`)
  await expect(scale(page, 'Tall')).toBeVisible()
  let down = true
  await page.route('**/api/rigs/winter-ferry-2', (route) =>
    down && route.request().method() === 'PUT'
      ? route.fulfill({ status: 503, json: { error: { code: 'database-down', message: 'Storage is down.' } } })
      : route.fallback(),
  )
  await page.getByRole('button', { name: /^take off/ }).click()
  await expect(page.getByTestId('waiting')).toContainText('Storage is down. Your edit is kept in this browser')
  down = false
  await saved(page)
  await expect(page.getByTestId('waiting')).toHaveCount(0)
})

test('a card that can not be worked out says so, an old one is shown as old; the others stay', async ({
  page,
  app,
}) => {
  await page.route('**/api/rigs', async (route) => {
    const answer = await route.fetch()
    const { rigs } = (await answer.json()) as { rigs: { id: string; summary: unknown }[] }
    const odd = rigs.map((one) =>
      one.id === 'winter-ferry-1' ? { ...one, summary: null, why: 'root-missing at setups[0]', fresh: true } : one,
    )
    await route.fulfill({ response: answer, json: { rigs: odd } })
  })
  await page.goto(app.url)
  await expect(page.locator('[data-rig="winter-ferry-1"]')).toContainText('could not be worked out')
  await expect(page.locator('[data-card="winter-ferry-2"]')).toContainText('2,276 g')
})

test('a rig nothing can be made of offers its history, its file, and the last good revision', async ({ page, app }) => {
  await page.goto(`${app.url}${rig}?piece=mic`)
  await page.getByRole('button', { name: /^take off/ }).click()
  await saved(page)
  let spoilt = true
  await page.route('**/api/rigs/winter-ferry-2', async (route) => {
    if (!spoilt || route.request().method() !== 'GET') return route.fallback()
    const answer = await route.fetch()
    const body = (await answer.json()) as { rig: { kit: { id: string }[] } }
    const kit = body.rig.kit.filter(({ id }) => id !== 'camera')
    await route.fulfill({ response: answer, json: { ...body, rig: { ...body.rig, kit } } })
  })
  await page.goto(`${app.url}${rig}`)
  const box = page.getByTestId('broken')
  await expect(box).toContainText('can’t be laid out')
  await expect(box).toContainText('Nothing is lost')
  const download = page.waitForEvent('download')
  await box.getByRole('link', { name: 'The rig as a file' }).click()
  expect((await download).suggestedFilename()).toBe('winter-ferry-2.rig.json')
  await box.getByRole('button', { name: 'History' }).click()
  await expect(box.locator('[data-revision]')).toHaveCount(2)
  spoilt = false
  await box.locator('[data-revision="1"]').getByRole('button', { name: 'Go back to it' }).click()
  await expect(scale(page, 'In the hand')).toContainText('2,276 g')
})

test('what is taken out of the locker can be put back as it was', async ({ page, app }) => {
  await page.goto(`${app.url}/locker`)
  await page.locator('[data-piece="marrow-gimbal-1"]').click()
  await page.getByRole('button', { name: 'Take out' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'out of the locker' })).toBeVisible()
  await expect(page.locator('[data-piece="marrow-gimbal-1"]')).toHaveCount(0)
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.locator('[data-piece="marrow-gimbal-1"]')).toHaveCount(1)
})
