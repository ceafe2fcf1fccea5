import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import type { Part } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker } from '@zucchini/demo/scenario'
import { buildApp } from './app.ts'
import { loadDemo } from './demo.ts'
import { errorTable } from '@zucchini/contract'
import { packFiles } from '../tools/packed.mjs'
import { type Kit, startKit } from './testing/kit.ts'

let kit: Kit
beforeAll(async () => {
  kit = await startKit()
})
afterAll(() => kit.close())

test('health says whether the database is there', async () => {
  expect((await kit.ask('GET', '/api/health')).body).toEqual({ ok: true, database: 'up' })
})

test('the catalogue is served whole, and not twice', async () => {
  const first = await kit.ask('GET', '/api/catalogue')
  const byId = (parts: readonly Part[]) => new Map(parts.map((part) => [part.id, part]))
  expect(byId((first.body as { parts: Part[] }).parts)).toEqual(byId(demoParts))
  const again = await kit.ask('GET', '/api/catalogue', undefined, { 'if-none-match': String(first.headers['etag']) })
  expect(again.status).toBe(304)
  expect((await kit.ask('GET', '/api/catalogue/calabash-h1')).body).toMatchObject({ role: 'camera' })
  expect((await kit.ask('GET', '/api/catalogue/nothing')).body).toMatchObject({ error: { code: 'part-unknown' } })
})

test('the locker: counts, changes, and a change somebody else made first', async () => {
  expect((await kit.ask('GET', '/api/locker')).body).toEqual({ pieces: demoLocker })
  expect((await kit.ask('PUT', '/api/locker/papyr-shotgun', { was: 0, pieces: 1 })).status).toBe(200)
  expect((await kit.ask('PUT', '/api/locker/papyr-shotgun', { was: 0, pieces: 3 })).body).toMatchObject({
    error: { code: 'locker-changed', pieces: 1 },
  })
  expect((await kit.ask('PUT', '/api/locker/papyr-shotgun', { was: 1, pieces: 0 })).status).toBe(200)
  expect((await kit.ask('GET', '/api/locker')).body).toEqual({ pieces: demoLocker })
  expect((await kit.ask('PUT', '/api/locker/nothing', { was: 0, pieces: 1 })).status).toBe(404)
  expect((await kit.ask('PUT', '/api/locker/papyr-shotgun', { was: 0, pieces: -1 })).status).toBe(400)
})

test('loading the demo again changes nothing, loading it fresh puts it back', async () => {
  await kit.ask('PUT', '/api/locker/papyr-shotgun', { was: 0, pieces: 1 })
  await loadDemo(kit.db, false)
  expect((await kit.ask('GET', '/api/locker')).body).toMatchObject({ pieces: { 'papyr-shotgun': 1 } })
  await loadDemo(kit.db, true)
  expect((await kit.ask('GET', '/api/locker')).body).toEqual({ pieces: demoLocker })
})

test('a request under a foreign name, or an edit from a foreign page, is turned away', async () => {
  expect((await kit.ask('GET', '/api/rigs', undefined, { host: 'evil.example' })).body).toMatchObject({
    error: { code: 'wrong-place' },
  })
  const edit = { was: 0, pieces: 1 }
  expect((await kit.ask('PUT', '/api/locker/papyr-shotgun', edit, { origin: 'http://evil.example' })).status).toBe(403)
  expect((await kit.ask('PUT', '/api/locker/papyr-shotgun', edit, { origin: 'http://127.0.0.1:4310' })).status).toBe(
    200,
  )
  expect((await kit.ask('GET', '/api/rigs', undefined, { host: 'localhost:9' })).status).toBe(200)
})

test('strict headers on every answer', async () => {
  const { headers } = await kit.ask('GET', '/api/health')
  expect(headers['content-security-policy']).toContain("default-src 'self'")
  expect(String(headers['content-security-policy']).split(';')).toContain("script-src 'self' 'wasm-unsafe-eval'")
  expect(headers['x-content-type-options']).toBe('nosniff')
  expect(headers['strict-transport-security']).toBeUndefined()
})

test('what is named after its content is kept by a browser for good, all else is asked for again', async () => {
  const webDir = mkdtempSync(join(tmpdir(), 'zucchini-pages-'))
  mkdirSync(join(webDir, 'assets'))
  for (const name of ['index.html', 'first.js', 'assets/index-1a2b3c.js']) writeFileSync(join(webDir, name), '/* */')
  const { app } = await buildApp({ db: kit.db, webDir })
  const kept = async (url: string) => {
    const { statusCode, headers } = await app.inject({ url, headers: { host: '127.0.0.1:4310' } })
    return [statusCode, headers['cache-control']]
  }
  expect(await kept('/assets/index-1a2b3c.js')).toEqual([200, 'public, max-age=31536000, immutable'])
  for (const path of ['/', '/index.html', '/rigs/some', '/first.js'])
    expect(await kept(path)).toEqual([200, 'no-cache'])
  expect((await kept('/assets/index-gone.js'))[0]).toBe(404)
  await app.close()
  rmSync(webDir, { recursive: true })
})

test('what was packed when the program was built goes packed to who can unpack it, and as it is to all others', async () => {
  const webDir = mkdtempSync(join(tmpdir(), 'zucchini-pages-'))
  mkdirSync(join(webDir, 'assets'))
  const script = `export default ${JSON.stringify('gourd '.repeat(500))}`
  writeFileSync(join(webDir, 'index.html'), '<!doctype html>')
  for (const [name, content] of [
    ['index-1a2b3c.js', script],
    ['small-4d5e6f.js', 'export {}'],
  ] as const)
    writeFileSync(join(webDir, 'assets', name), content)
  expect(packFiles(webDir)).toEqual(['assets/index-1a2b3c.js'])
  const { app } = await buildApp({ db: kit.db, webDir })
  const asked = async (url: string, encoding?: string) => {
    const { statusCode, headers, rawPayload } = await app.inject({
      url,
      headers: { host: '127.0.0.1:4310', ...(encoding ? { 'accept-encoding': encoding } : {}) },
    })
    return { statusCode, headers, rawPayload }
  }
  const path = '/assets/index-1a2b3c.js'
  const [packed, plain] = [await asked(path, 'gzip, deflate, br'), await asked(path)]
  expect([packed, plain].map(({ headers }) => headers['content-encoding'])).toEqual(['gzip', undefined])
  expect(gunzipSync(packed.rawPayload).toString()).toBe(script)
  expect(plain.rawPayload.toString()).toBe(script)
  expect(packed.headers['content-type']).toContain('javascript')
  expect(packed.headers['vary']).toBe('accept-encoding')
  expect(packed.headers['cache-control']).toContain('immutable')
  expect(packed.rawPayload.length).toBeLessThan(script.length / 10)
  expect((await asked('/assets/small-4d5e6f.js', 'gzip')).headers['content-encoding']).toBeUndefined()
  // The packed files are no pages of their own.
  expect((await asked(`${path}.gz`)).statusCode).toBe(404)
  await app.close()
  rmSync(webDir, { recursive: true })
})

test('the API describes itself', async () => {
  const { body } = await kit.ask('GET', '/api/openapi.json')
  expect(Object.keys((body as { paths: object }).paths)).toEqual(
    expect.arrayContaining([
      '/api/rigs',
      '/api/rigs/{id}',
      '/api/rigs/{id}/revisions',
      '/api/catalogue',
      '/api/locker',
      '/api/health',
    ]),
  )
})

test('an unknown address is said to be one', async () => {
  expect((await kit.ask('GET', '/api/nonsense')).body).toMatchObject({ error: { code: 'not-found' } })
  expect((await kit.ask('GET', '/api/rigs/..%2F..%2Fetc')).status).toBe(400)
})

test('every refusal of the table is in the docs with its status', () => {
  const docs = readFileSync(join(import.meta.dirname, '../docs/architecture.md'), 'utf8')
  const missing = Object.entries(errorTable).filter(([code, [status]]) => !docs.includes(`| \`${code}\` | ${status} |`))
  expect(missing.map(([code]) => code)).toEqual([])
})

test('behind a passphrase nobody gets in without it', async () => {
  const guarded = await startKit({ passphrase: 'a long walk by the reeds' })
  const basic = (word: string) => ({ authorization: `Basic ${Buffer.from(`me:${word}`).toString('base64')}` })
  expect((await guarded.ask('GET', '/api/health')).status).toBe(401)
  expect((await guarded.ask('GET', '/api/health', undefined, basic('a short walk'))).status).toBe(401)
  expect((await guarded.ask('GET', '/api/health', undefined, basic('a long walk by the reeds'))).status).toBe(200)
  await guarded.close()
})

test('limits are set one at a time, refused with words when no check takes them, judge every rig, and travel in its file', async () => {
  const put = (path: string, value: number | null) => kit.ask('PUT', `/api/operator/limits/${path}`, { value })
  expect(await put('single-screw/riskNm', 0.2)).toMatchObject({
    status: 200,
    body: { limits: { 'single-screw': { riskNm: 0.2 } } },
  })
  // Two pages at once: neither overwrites the other's.
  await Promise.all([put('hang-tilt/goodDeg', 5), put('seconds/lead', 4), put('tip-over/safeDeg', 8)])
  expect((await kit.ask('GET', '/api/operator')).body).toMatchObject({
    limits: {
      'single-screw': { riskNm: 0.2 },
      'hang-tilt': { goodDeg: 5 },
      seconds: { lead: 4 },
      'tip-over': { safeDeg: 8 },
    },
  })
  const refused = await put('single-screw/riskNm', -1)
  expect(refused).toMatchObject({
    status: 422,
    body: { error: { code: 'limit-refused', issues: [{ path: 'single-screw.riskNm' }] } },
  })
  expect((await put('nothing/at-all', 1)).status).toBe(422)
  expect((await kit.ask('GET', '/api/rigs/winter-ferry-2/file')).body).toMatchObject({
    version: 6,
    limits: { 'single-screw': { riskNm: 0.2 } },
  })
  expect(await put('single-screw/riskNm', null)).toMatchObject({ status: 200 })
  expect((await kit.ask('GET', '/api/operator')).body).not.toHaveProperty('limits.single-screw')
})
