import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type BrowserContext, expect, type Locator, type Page, test as base } from '@playwright/test'
import { createConnection } from 'mysql2/promise'

const ACTION_MS = 20_000
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
      env: {
        ...process.env,
        DATABASE_URL: url,
        PORT: String(this.port),
        HOST: '127.0.0.1',
        ZUCCHINI_FRESH: fresh ? '1' : '',
      },
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    })
    this.#child = child
    child.once('exit', () => {
      if (this.#child === child) this.#child = undefined
    })
    await new Promise<void>((resolve, reject) => {
      child.once('message', () => resolve())
      child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)))
    })
  }

  /** Starts the server again if a test has ended it. */
  async ensure(): Promise<void> {
    if (!this.#child) await this.start(false)
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

/** The numbers of everything that can change: equal numbers, equal world. */
const worldOf = async (app: App): Promise<string> => {
  const db = await createConnection(process.env['E2E_DATABASE_URL'] ?? '')
  try {
    const [rows] = await db.query("SELECT name, number FROM world WHERE name <> 'summaries' ORDER BY name")
    return `${app.port} ${JSON.stringify(rows)}`
  } finally {
    await db.end()
  }
}

/** The server of a worker, with the demo as a file to go back to. */
interface Ground {
  readonly app: App
  readonly demo: string
  world: string
}

const toTheDemo = async (ground: Ground): Promise<void> => {
  const { app, demo } = ground
  await app.ensure()
  await fetch(`${app.url}/api/scale/plug`, {
    method: 'POST',
    body: '{"plugged":true}',
    headers: { 'content-type': 'application/json' },
  })
  await fetch(`${app.url}/api/scale/load`, {
    method: 'POST',
    body: '{"parts":[]}',
    headers: { 'content-type': 'application/json' },
  })
  // What nobody changed needs not be put back.
  if ((await worldOf(app)) === ground.world) return
  const answer = await fetch(`${app.url}/api/restore?dry=no&replace=yes`, {
    method: 'POST',
    body: demo,
    headers: { 'content-type': 'application/vnd.zucchini.backup' },
  })
  if (!answer.ok) throw new Error(`the demo could not be put back: ${await answer.text()}`)
  ground.world = await worldOf(app)
}

/** The page that walks from screen to screen, and the world it was opened in. */
interface Walker {
  page: Page | undefined
  world: string
}

/** What a page keeps in a profile is thrown away. */
const sweep = (sweeper: Page): Promise<void> =>
  sweeper.evaluate(async () => {
    localStorage.clear()
    await new Promise((done) => {
      const gone = indexedDB.deleteDatabase('zucchini-field')
      gone.onsuccess = done
      gone.onerror = done
      gone.onblocked = done
    })
  })

/**
 * All tests of a worker share one server and one database; each begins with the demo as it was, and fails on any error
 * in the page's console.
 */
export const test = base.extend<
  { app: App; quiet: string[] },
  { ground: Ground; profile: BrowserContext; sweeper: Page; walker: Walker }
>({
  // One browser profile a worker, as one person has: scripts that were loaded once need not be loaded and compiled
  // again for each test.
  // What a page keeps in it is thrown away before each.
  profile: [
    async ({ playwright, launchOptions }, use) => {
      const folder = mkdtempSync(join(tmpdir(), 'zucchini-profile-'))
      const context = await playwright.chromium.launchPersistentContext(folder, {
        ...launchOptions,
        viewport: { width: 1280, height: 800 },
        serviceWorkers: 'block',
        acceptDownloads: true,
      })
      context.setDefaultTimeout(ACTION_MS)
      await use(context)
      await context.close()
      rmSync(folder, { recursive: true, force: true })
    },
    { scope: 'worker' },
  ],
  // What a page keeps is thrown away by one that stays open and shows nothing.
  sweeper: [
    async ({ profile, ground: { app } }, use) => {
      const sweeper = await profile.newPage()
      await sweeper.goto(`${app.url}/api/health`)
      await use(sweeper)
    },
    { scope: 'worker' },
  ],
  walker: [async ({}, use) => use({ page: undefined, world: '' }), { scope: 'worker' }],
  context: async ({ profile, sweeper, walker, app: _ }, use) => {
    // No second window looks on while another test is at work.
    await walker.page?.close()
    walker.page = undefined
    await sweep(sweeper)
    await use(profile)
    for (const page of profile.pages()) if (page !== sweeper) await page.close()
  },
  ground: [
    async ({}, use) => {
      const app = new App(await freePort())
      await app.start(true)
      const demo = await (await fetch(`${app.url}/api/backup`)).text()
      await use({ app, demo, world: await worldOf(app) })
      await app.end('SIGTERM')
    },
    { scope: 'worker' },
  ],
  app: async ({ ground }, use) => {
    await toTheDemo(ground)
    await use(ground.app)
  },
  quiet: [
    async ({ page }, use) => {
      const errors: string[] = []
      const note = (error: Error) => errors.push(error.message)
      page.on('pageerror', note)
      await use(errors)
      page.off('pageerror', note)
      expect(errors).toEqual([])
    },
    { auto: true },
  ],
})

/**
 * For tests that only look: their page stays open from one to the next, as long as nothing was changed, and goes from
 * screen to screen as somebody does who follows links.
 */
export const looking = test.extend({
  page: async ({ profile, sweeper, walker, ground, app: _ }, use) => {
    if (!walker.page || walker.page.isClosed() || walker.world !== ground.world) {
      await walker.page?.close()
      await sweep(sweeper)
      walker.page = await profile.newPage()
      walker.world = ground.world
    }
    await use(walker.page)
  },
})

const turnTo = (page: Page, path: string): Promise<void> =>
  page.evaluate((to) => {
    history.pushState(null, '', to)
    dispatchEvent(new PopStateEvent('popstate', { state: null }))
  }, path)

/** Goes to a screen: within the page, where one is open already, over one that has nothing of either. */
export const visit = async (page: Page, { url }: App, path: string): Promise<void> => {
  if (!page.url().startsWith(url)) return void (await page.goto(url + path))
  await turnTo(page, '/nowhere')
  await expect(page.getByRole('heading', { name: 'Nothing lies here' })).toBeVisible()
  await turnTo(page, path)
}

export { expect }

/** Presses with the mouse where something is, and lets go a tenth of a second later, wherever that is by then. */
export const pressSlowly = async (target: Locator): Promise<void> => {
  const box = await target.boundingBox()
  if (!box) throw new Error('what is pressed can not be seen')
  const { mouse } = target.page()
  await mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await mouse.down()
  await target.page().waitForTimeout(100)
  await mouse.up()
}

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
