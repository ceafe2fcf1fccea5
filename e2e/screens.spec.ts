import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { AxeBuilder } from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, looking, scale, test, visit } from './harness.ts'

const screens = [
  ['shelf', '/', async (page: Page) => expect(page.locator('[data-rig]')).toHaveCount(3)],
  [
    'brief',
    '/rigs/winter-ferry-1/brief',
    async (page: Page) => expect(page.getByRole('heading', { name: 'What is this rig for?' })).toBeVisible(),
  ],
  ['bench', '/rigs/winter-ferry-1', async (page: Page) => expect(scale(page, 'Tall')).toBeVisible()],
  [
    'fits here',
    '/rigs/winter-ferry-2?point=cage%2Ftop-rear',
    async (page: Page) => expect(page.getByRole('grid')).toBeVisible(),
  ],
  ['piece', '/rigs/winter-ferry-2?piece=handle', async (page: Page) => expect(page.getByRole('slider')).toBeVisible()],
  [
    'turntable',
    '/rigs/winter-ferry-2?view=turntable',
    async (page: Page) => expect(page.getByTestId('turntable').locator('canvas')).toBeVisible(),
  ],
  [
    'set-ups',
    '/rigs/winter-ferry-2/set-ups',
    async (page: Page) => expect(page.locator('[data-setup]')).toHaveCount(5),
  ],
  [
    'build',
    '/rigs/winter-ferry-2/build',
    async (page: Page) => expect(page.locator('[data-step-picture]').first()).toBeVisible(),
  ],
  [
    'pack',
    '/rigs/winter-ferry-2/pack',
    async (page: Page) => expect(page.locator('[data-pack-line]').first()).toBeVisible(),
  ],
  [
    'log',
    '/rigs/winter-ferry-2/log',
    async (page: Page) => expect(page.getByRole('button', { name: 'Keep the log' })).toBeEnabled(),
  ],
  [
    'beside',
    '/rigs/winter-ferry-2/beside/winter-ferry-1',
    async (page: Page) => expect(page.getByRole('table', { name: 'Figures side by side' })).toBeVisible(),
  ],
  ['phone', '/phone', async (page: Page) => expect(page.locator('[data-phones-off]')).toBeVisible()],
  [
    'balance',
    '/rigs/winter-ferry-2/balance',
    async (page: Page) => expect(page.locator('[data-slide]').first()).toBeVisible(),
  ],
  [
    'wiring',
    '/rigs/winter-ferry-1/wiring?setup=slip',
    async (page: Page) => expect(page.locator('[data-cable="tap"]')).toBeVisible(),
  ],
  [
    'light',
    '/rigs/winter-ferry-1/light?setup=crossing',
    async (page: Page) => expect(page.getByTestId('clean')).toBeVisible(),
  ],
  [
    'money',
    '/rigs/winter-ferry-1/money?line=monitor',
    async (page: Page) => expect(page.getByTestId('bill')).toBeVisible(),
  ],
  ['locker', '/locker', async (page: Page) => expect(page.locator('[data-piece]').first()).toBeVisible()],
  [
    'rehearsal',
    '/rigs/winter-ferry-2/rehearsal',
    async (page: Page) => expect(page.locator('[data-pack]')).toHaveCount(7),
  ],
  [
    'catalogue',
    '/catalogue/sedgewick-top-14',
    async (page: Page) => expect(page.getByRole('article', { name: /Sedgewick small/ })).toBeVisible(),
  ],
  [
    'part editor',
    '/catalogue/new?from=sedgewick-top-14',
    async (page: Page) => expect(page.getByText('Ready to store')).toBeVisible(),
  ],
  ['how I work', '/how-i-work', async (page: Page) => expect(page.locator('[data-limit]').first()).toBeVisible()],
  [
    'nowhere',
    '/nowhere',
    async (page: Page) => expect(page.getByRole('heading', { name: 'Nothing lies here' })).toBeVisible(),
  ],
] as const

test('every screen of the list is looked at here', () => {
  const list = readFileSync(join(import.meta.dirname, '../web/screens/list.ts'), 'utf8')
  const stated = [...list.matchAll(/^    path: '([^']+)'[\s\S]*?import\('([^']+)'\)/gm)]
  expect(stated.length).toBeGreaterThan(12)
  const looked = screens.map(([, path]) => path.split('?')[0] ?? '')
  const asked = (path: string) =>
    new RegExp(`^${path.replace('/:rest(.*)*', '/nowhere').replaceAll(/:\w+/g, '[^/]+')}$`)
  const seen = stated.flatMap(([, path = '', file]) => (looked.some((one) => asked(path).test(one)) ? [file] : []))
  expect(stated.map(([, , file]) => file).filter((file) => !seen.includes(file))).toEqual([])
})

const barriers = async (page: Page, what: 'everything' | 'contrast'): Promise<string[]> => {
  // Without frames on the page nothing has to be gathered on a second one.
  const axe = new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'], preload: false, elementRef: false })
  if (what === 'contrast') axe.withRules(['color-contrast', 'link-in-text-block'])
  else axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
  const { violations } = await axe.analyze()
  return violations.map(({ id, impact, nodes }) => {
    const where = nodes.map((node) => `${node.target.join(' ')} ${node.any[0]?.message ?? ''}`)
    return `${impact} ${id}: ${where.slice(0, 3).join('; ')}`
  })
}

for (const [name, path, ready] of screens)
  looking(`${name}: no serious barrier, on paper and on slate`, async ({ page, app }) => {
    await visit(page, app, path)
    await ready(page)
    expect(await barriers(page, 'everything')).toEqual([])
    const title = await page.evaluate(() => document.querySelector('[aria-label="Dark theme"]') !== null)
    if (title) await page.getByRole('button', { name: 'Dark theme' }).click()
    else await page.evaluate(() => (document.documentElement.dataset['theme'] = 'dark'))
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
    // The other theme changes colours and nothing else.
    expect(await barriers(page, 'contrast')).toEqual([])
    if (title) await page.getByRole('button', { name: 'Light theme' }).click()
    else await page.evaluate(() => delete document.documentElement.dataset['theme'])
  })

test('dialogues have no serious barrier', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2`)
  await expect(scale(page, 'Tall')).toBeVisible()
  for (const key of ['?', '/']) {
    await page.keyboard.press(key)
    await expect(page.getByRole('dialog')).toHaveCount(1)
    const { violations } = await new AxeBuilder({ page }).setLegacyMode(true).analyze()
    expect(
      violations
        .filter(({ impact }) => impact === 'serious' || impact === 'critical')
        .map(({ id, nodes }) => `${id} ${nodes[0]?.html}`),
    ).toEqual([])
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
})

test('the bench fits 1280 x 800 without scrolling the page, and nothing jumps', async ({ page, app }) => {
  await page.addInitScript(() => {
    const sums = ((window as unknown as { shifts: number }).shifts = 0)
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as unknown as { value: number; hadRecentInput: boolean }[])
        if (!entry.hadRecentInput) (window as unknown as { shifts: number }).shifts += entry.value
    }).observe({ type: 'layout-shift', buffered: true })
    return sums
  })
  await page.goto(`${app.url}/rigs/winter-ferry-1`)
  await expect(scale(page, 'Tall')).toBeVisible()
  await page.locator('[data-point="camera/lens"], [data-point="cage/top-rear"]').first().locator('.halo').click()
  await expect(page.getByRole('grid')).toBeVisible()
  const size = await page.evaluate(() => [document.documentElement.scrollWidth, document.documentElement.scrollHeight])
  expect(size).toEqual([1280, 800])
  expect(await page.evaluate(() => (window as unknown as { shifts: number }).shifts)).toBeLessThan(0.02)
})

test('what the first page loads is 250 kB of script at most, and nothing comes from elsewhere', async ({
  page,
  app,
}) => {
  const loaded = new Set<string>()
  page.on('request', (request) => loaded.add(request.url()))
  await page.goto(app.url)
  await expect(page.locator('[data-rig]')).toHaveCount(3)
  expect([...loaded].filter((url) => !url.startsWith(app.url) && !url.startsWith('data:'))).toEqual([])
  const dist = join(import.meta.dirname, '../web/dist/assets')
  const scripts = readdirSync(dist).filter(
    (name) => name.endsWith('.js') && !name.includes('worker') && [...loaded].some((url) => url.endsWith(name)),
  )
  expect(scripts.length).toBeGreaterThan(1)
  const bytes = scripts.reduce((sum, name) => sum + gzipSync(readFileSync(join(dist, name))).length, 0)
  expect(bytes).toBeLessThanOrEqual(250_000)
})

test('the shelf and the brief work at 390 wide', async ({ page, app }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  // Each is looked at once its last part is there.
  for (const [path, last] of [
    ['/', '[data-rig]'],
    ['/rigs/winter-ferry-1/brief', 'form, fieldset'],
    ['/rigs/winter-ferry-1/set-ups', '[aria-label="Every changeover"] tbody td'],
  ] as const) {
    await page.goto(app.url + path)
    await expect(page.getByRole('heading').first()).toBeVisible()
    await expect(page.locator(last).first()).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  }
})

test('a limit of one’s own judges at once, is refused in words when no check takes it, and goes back', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-1`)
  await expect(page.locator('[data-check="single-screw"]')).not.toHaveCount(0)
  await page.getByRole('link', { name: 'How I work' }).click()
  const mine = page.locator('[data-limit="single-screw riskNm"]').getByRole('textbox')
  await mine.fill('-2')
  await mine.press('Tab')
  await expect(page.getByRole('alert')).toContainText('single-screw.riskNm')
  await mine.fill('20')
  await mine.press('Tab')
  await expect(page.getByText('only what I changed (1)')).toBeVisible()
  await page.goto(`${app.url}/rigs/winter-ferry-1`)
  await expect(scale(page, 'Tall')).toBeVisible()
  await expect(page.locator('[data-check="single-screw"]')).toHaveCount(0)
  await page.goto(`${app.url}/how-i-work`)
  await page.locator('[data-limit="single-screw riskNm"]').getByRole('button', { name: 'back to 0.05' }).click()
  await expect(page.getByText('only what I changed (0)')).toBeVisible()
})

test('the poster comes as a page and as a picture', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2?setup=crossing`)
  const taken = async (title: string) => {
    await page.getByRole('button', { name: 'Take out' }).click()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: title }).click(),
    ])
    const chunks: Buffer[] = []
    for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer)
    return { name: download.suggestedFilename(), bytes: Buffer.concat(chunks) }
  }
  const pdf = await taken('A poster for the wall, A4, PDF')
  expect(pdf.name).toBe('winter-ferry-2-crossing-poster.pdf')
  expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-')
  // A4 lying, in points of 1/72 in.
  expect(pdf.bytes.toString('latin1')).toMatch(/\/MediaBox \[0 0 841\.\d+ 595\.\d+\]/)
  expect(pdf.bytes.length).toBeGreaterThan(20_000)
  const png = await taken('The poster as a picture, PNG')
  expect(png.bytes.subarray(1, 4).toString()).toBe('PNG')
  // Width and height stand in the first block.
  expect([png.bytes.readUInt32BE(16), png.bytes.readUInt32BE(20)]).toEqual([2246, 1588])
  expect(png.bytes.length).toBeGreaterThan(60_000)
})

test('the drawing comes nearer by wheel and key, is drawn about, and is remembered a view', async ({ page, app }) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2?setup=crossing`)
  const sheet = page.locator('section[aria-label="The rig, drawn to scale"] svg:has(> title)')
  await expect(page.locator('[data-instance="handle"]').first()).toBeAttached()
  const ratio = async () => Number((await page.getByTestId('ratio').textContent())?.replace('1 :', ''))
  const whole = await ratio()
  const box = await sheet.boundingBox()
  if (!box) throw new Error('the sheet is there')
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.wheel(0, -460)
  await expect.poll(ratio).toBeLessThan(whole * 0.6)
  const left = async () => (await page.locator('[data-instance="handle"]').first().boundingBox())?.x ?? 0
  const before = await left()
  await page.mouse.down()
  await page.mouse.move(x + 60, y, { steps: 4 })
  await page.mouse.up()
  expect((await left()) - before).toBeCloseTo(60, 0)
  const nearer = await ratio()
  await page.keyboard.press('2')
  await expect(page.getByText('Front elevation of the rig')).toBeAttached()
  await page.keyboard.press('1')
  await expect.poll(ratio).toBe(nearer)
  await page.keyboard.press('+')
  await expect.poll(ratio).toBeLessThan(nearer)
  await page.keyboard.press('0')
  await expect.poll(ratio).toBe(whole)
})

test('a way out that is pointed at is drawn in dashes where it would be, and gone when one looks away', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/rigs/winter-ferry-2?setup=crossing&point=cage/top-rear`)
  const ghosts = page.getByTestId('ghosts')
  await expect(page.locator('[data-part]').first()).toBeVisible()
  await expect(ghosts).toHaveCount(0)
  await page.locator('[data-part]').nth(1).locator('span').first().click()
  await expect(ghosts.locator('path').first()).toBeAttached()
  await page.keyboard.press('Escape')
  await expect(ghosts).toHaveCount(0)
})
