import { type ChildProcess, spawn } from 'node:child_process'
import { createHash, X509Certificate } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from './harness.ts'

const NAME = 'desk.test'
const entry = join(import.meta.dirname, '../server/dist/main.js')

const isFree = (port: number) =>
  new Promise<boolean>((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, '0.0.0.0', () => probe.close(() => resolve(true)))
  })
/** Three ports one after the other that are free: the desk's, and the two that phones come by. */
const threePorts = async (): Promise<number> => {
  for (let port = 42_310; port < 42_900; port += 3)
    if ((await Promise.all([port, port + 1, port + 2].map(isFree))).every(Boolean)) return port
  throw new Error('no three ports are free')
}

const started = async (data: string, port: number): Promise<ChildProcess> => {
  const server = spawn(process.execPath, [entry], {
    env: {
      ...process.env,
      DATABASE_URL: process.env['E2E_DATABASE_URL'],
      PORT: String(port),
      HOST: '127.0.0.1',
      ZUCCHINI_DATA: data,
      ZUCCHINI_PHONE_PORT: String(port + 1),
      ZUCCHINI_PHONE_HOSTS: NAME,
    },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  })
  await new Promise<void>((resolve, reject) => {
    server.once('message', () => resolve())
    server.once('exit', (code) => reject(new Error(`the server ended with ${code}`)))
  })
  return server
}

/** What a browser knows a key by that is to be trusted. */
const keyPrint = (data: string): string =>
  createHash('sha256')
    .update(
      new X509Certificate(readFileSync(join(data, 'phone/server.crt'))).publicKey.export({
        type: 'spki',
        format: 'der',
      }),
    )
    .digest('base64')

test('a phone under another name over https: paired by the code at the desk, a rig opens on it without the server', async ({
  page,
  app,
  playwright,
  launchOptions,
}) => {
  expect(app.url).toContain('127.0.0.1')
  const data = mkdtempSync(join(tmpdir(), 'zucchini-door-'))
  const port = await threePorts()
  let server = await started(data, port)
  const profile = mkdtempSync(join(tmpdir(), 'zucchini-hand-'))
  const phone = await playwright.chromium.launchPersistentContext(profile, {
    ...launchOptions,
    args: [
      ...(launchOptions.args ?? []),
      `--host-resolver-rules=MAP ${NAME} 127.0.0.1`,
      `--ignore-certificate-errors-spki-list=${keyPrint(data)}`,
    ],
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'allow',
  })
  const end = async () => {
    const gone = new Promise((resolve) => server.once('exit', resolve))
    server.kill('SIGKILL')
    await gone
  }
  try {
    const hand = await phone.newPage()
    const home = `https://${NAME}:${port + 1}`
    expect((await hand.goto(`${home}/`))?.status()).toBe(401)

    // At the desk: a code, drawn for the phone's camera.
    await page.goto(`http://127.0.0.1:${port}/phone`)
    await expect(page.locator('[data-qr]')).toHaveCount(1)
    const answer = page.waitForResponse((response) => response.url().endsWith('/api/phone/codes'))
    await page.locator('[data-pair]').click()
    await expect(page.locator('[data-qr]')).toHaveCount(2)
    const { addresses } = (await (await answer).json()) as { addresses: string[] }
    expect(addresses[0]).toContain(`${home}/pair?code=`)

    await hand.goto(addresses[0] ?? '')
    await expect(hand.getByRole('heading', { name: 'Shelf' })).toBeVisible()
    expect(await hand.evaluate(() => isSecureContext)).toBe(true)
    await hand.goto(`${home}/rigs/winter-ferry-3/pack`)
    await expect(hand.locator('[data-field-badge]')).toContainText('works without network', { timeout: 40_000 })
    await page.getByRole('button', { name: 'Look again' }).click()
    await expect(page.getByText('One phone is paired.')).toBeVisible()

    await end()
    await hand.reload()
    await hand.locator('[data-pack-line="rig crossing"]').click()
    await expect(hand.locator('[data-field-badge]')).toContainText('1 kept here')
    server = await started(data, port)
    await hand.evaluate(() => dispatchEvent(new Event('online')))
    await expect(hand.locator('[data-field-badge]')).toContainText('works without network')
    await page.goto(`http://127.0.0.1:${port}/rigs/winter-ferry-3/pack`)
    await expect(page.getByTestId('packed')).toContainText('1 of')
  } finally {
    await phone.close()
    await end()
    for (const folder of [data, profile]) rmSync(folder, { recursive: true, force: true })
  }
})
