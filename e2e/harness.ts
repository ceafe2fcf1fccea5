import { type ChildProcess, spawn } from 'node:child_process'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { expect, type Page, test as base } from '@playwright/test'

const entry = join(import.meta.dirname, '../server/dist/main.js')

const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer()
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => resolve(port))
    })
  })

/** The real server as a process of its own, which a test may kill and start again. */
export class App {
  readonly port: number
  #child: ChildProcess | undefined

  constructor(port: number) {
    this.port = port
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`
  }

  async start(fresh: boolean): Promise<void> {
    const url = process.env['E2E_DATABASE_URL']
    if (!url) throw new Error('E2E_DATABASE_URL is missing: run npm test, or npm test browser')
    const child = spawn(process.execPath, [entry], {
      env: { ...process.env, DATABASE_URL: url, PORT: String(this.port), HOST: '127.0.0.1', ZUCCHINI_FRESH: fresh ? '1' : '' },
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    })
    this.#child = child
    await new Promise<void>((resolve, reject) => {
      child.once('message', () => resolve())
      child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)))
    })
  }

  /** Ends the server: by SIGTERM as Ctrl-C would, or by SIGKILL as a power cut would. */
  async end(signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
    const child = this.#child
    if (!child || child.exitCode !== null) return
    const gone = new Promise((resolve) => child.once('exit', resolve))
    child.kill(signal)
    await gone
  }
}

/** Every test gets the app with the demo freshly loaded, and fails on any error in the page's console. */
export const test = base.extend<{ app: App; quiet: string[] }>({
  app: async ({}, use) => {
    const app = new App(await freePort())
    await app.start(true)
    await use(app)
    await app.end('SIGTERM')
  },
  quiet: [
    async ({ page }, use) => {
      const errors: string[] = []
      page.on('pageerror', (error) => errors.push(error.message))
      await use(errors)
      expect(errors).toEqual([])
    },
    { auto: true },
  ],
})

export { expect }

export const saved = (page: Page) => expect(page.getByTestId('save-state')).toContainText(/^saved/)

/** Opens an open point on the bench and puts on the part whose name is given. */
export const putOn = async (page: Page, point: string, part: string): Promise<void> => {
  await page.locator(`[data-point="${point}"] .halo`).click()
  const row = page.getByRole('grid').getByRole('row', { name: part })
  await row.click()
  await row.getByRole('button', { name: 'put on' }).click()
  await expect(page.getByRole('heading', { name: part })).toBeVisible()
}

export const scale = (page: Page, label: string) => page.locator(`[data-scale="${label}"]`)
