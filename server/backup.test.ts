import { spawn } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { addDays } from '@zucchini/core/kernel'
import { keepBackup, keptOf, nameOf } from './features/backup/keep.ts'
import { BackupService } from './features/backup/service.ts'
import { pieceEntity } from './features/locker/entity.ts'
import { rigEntity } from './features/rigs/entity.ts'
import { type Kit, startKit } from './testing/kit.ts'

let kit: Kit
beforeAll(async () => {
  kit = await startKit()
  await kit.ask('PUT', '/api/prices/reckoning', {
    home: 'EUR',
    rules: { taxPercent: 20, taxIncluded: true, shippingMinor: 690, freeFromMinor: 10_000 },
    feed: { on: true, seed: 3 },
  })
  await kit.ask('POST', '/api/prices/rates', { currency: 'GBP', seenOn: '2026-01-01', rate: 1.17 })
  await kit.ask('PUT', '/api/prices/watches/calabash-85', { belowMinor: 1 })
}, 60_000)
afterAll(() => kit.close())

const restore = async (text: string, query: string) => {
  const answer = await kit.app.inject({
    method: 'POST',
    url: `/api/restore?${query}`,
    headers: { host: '127.0.0.1', 'content-type': 'application/vnd.zucchini.backup' },
    payload: text,
  })
  return { status: answer.statusCode, body: answer.body }
}
const written = () => new BackupService(kit.db).write()
/** The first place where two long texts part, short enough to be read; nothing when they are the same. */
const parting = (a: string, b: string): string => {
  if (a === b) return ''
  // The checksum stands at the head; what it sums up comes after it.
  const [x, y] = [a.slice(120), b.slice(120)]
  const at = x === y ? -1 : [...x].findIndex((char, i) => char !== y[i]) + 120
  return `at ${at}: ${a.slice(at - 120, at + 60)} | ${b.slice(at - 120, at + 60)}`
}
const same = async (text: string) => expect(parting(text, await written())).toBe('')

test('out, in, and out again is the same to the byte', async () => {
  const text = await written()
  await same(text)
  // Something else is stored meanwhile, then the backup comes back over it.
  await kit.ask('PUT', '/api/locker/calabash-85', { was: 0, pieces: 2 })
  expect(parting(text, await written())).not.toBe('')
  expect((await restore(text, 'dry=no')).body).toContain('not-empty')
  expect((await restore(text, 'dry=no&replace=yes')).status).toBe(200)
  await same(text)
}, 60_000)

test('into an empty database everything comes back', async () => {
  const text = await written()
  for (const table of ['price_watch', 'price_point', 'currency_rate', 'locker_piece', 'rig_revision', 'rig', 'part', 'setting'])
    await kit.db.query(`DELETE FROM ${table}`)
  expect((await restore(text, 'dry=no')).status).toBe(200)
  await same(text)
  expect((await kit.ask('GET', '/api/rigs/winter-ferry-2')).body).toMatchObject({
    revision: 1,
    rig: { name: 'The Winter Ferry, second mark' },
  })
}, 60_000)

test('a file that was cut, changed or is something else is refused and changes nothing', async () => {
  const text = await written()
  for (const [spoilt, why] of [
    [text.slice(0, -200), /not JSON/],
    [text.replace('winter-ferry-1', 'winter-ferry-9'), /checksum/],
    ['{"format":"something"}', /format|version/],
    [text.replace('"version":1', '"version":2'), /version/],
  ] as const) {
    const answer = await restore(spoilt, 'dry=no&replace=yes')
    expect(answer.status).toBe(422)
    expect(answer.body).toMatch(why)
  }
  await same(text)
}, 60_000)

test('a restore that fails half-way leaves everything as it was', async () => {
  const text = await written()
  const data = JSON.parse(text) as { tables: Record<string, Record<string, unknown>[]> }
  // A revision of a rig that is not there: the database itself refuses it, after the parts and rigs are in.
  data.tables['rig_revision']?.push({ ...data.tables['rig_revision'][0], rigId: 'nobody' })
  const { createHash } = await import('node:crypto')
  const spoilt = JSON.stringify({ ...data, sha256: createHash('sha256').update(JSON.stringify(data.tables)).digest('hex') })
  expect((await restore(spoilt, 'dry=no&replace=yes')).status).toBe(500)
  await same(text)
  expect(await kit.db.getRepository(rigEntity).count()).toBe(2)
  expect(await kit.db.getRepository(pieceEntity).count()).toBeGreaterThan(20)
}, 60_000)

test('dated backups: seven days, the last of five weeks, the last of twelve months', () => {
  const days = Array.from({ length: 500 }, (_, i) => addDays('2026-11-25', -i))
  const kept = keptOf(days)
  for (let i = 0; i < 7; i++) expect(kept.has(addDays('2026-11-25', -i))).toBe(true)
  // Sundays end weeks; the last day of a month stands for it.
  expect(['2026-11-22', '2026-11-15', '2026-11-08', '2026-11-01'].every((day) => kept.has(day))).toBe(true)
  expect(kept.has('2026-10-31') && kept.has('2025-12-31')).toBe(true)
  expect(kept.has('2026-11-12') || kept.has('2025-11-30')).toBe(false)
  expect(kept.size).toBeLessThanOrEqual(7 + 5 + 12)
})

test('a backup stands there whole or not at all, and old ones go', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-kept-'))
  writeFileSync(join(dir, 'letter.txt'), 'not ours')
  for (let i = 40; i >= 0; i--) await keepBackup(dir, addDays('2026-11-25', -i), `backup ${i}`)
  const names = readdirSync(dir)
  expect(names).toContain('letter.txt')
  expect(names.some((name) => name.endsWith('.part'))).toBe(false)
  expect(names.length).toBeLessThan(16)
  expect(readFileSync(join(dir, nameOf('2026-11-25')), 'utf8')).toBe('backup 0')
})

test('a program killed again and again while it writes backups leaves none that is half', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-killed-'))
  const keep = join(import.meta.dirname, 'features/backup/keep.ts')
  const program = `
    const { keepBackup } = await import(${JSON.stringify(keep)})
    const whole = JSON.stringify({ rows: Array.from({ length: 200000 }, (_, i) => i) })
    for (let i = 0; ; i++) await keepBackup(${JSON.stringify(dir)}, '2026-11-' + String(1 + (i % 20)).padStart(2, '0'), whole)
  `
  const there = () => readdirSync(dir).filter((name) => name.endsWith('.json'))
  let whole = 0
  for (const waitMs of [3, 17, 41]) {
    for (const name of there()) rmSync(join(dir, name))
    const child = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', program], { stdio: 'ignore' })
    // Once the first stands there the next is being written: that is when the blow falls.
    while (there().length === 0 && child.exitCode === null) await new Promise((done) => setTimeout(done, 20))
    await new Promise((done) => setTimeout(done, waitMs))
    child.kill('SIGKILL')
    if (child.exitCode === null && child.signalCode === null) await new Promise((done) => child.once('exit', done))
    for (const name of there()) {
      expect((JSON.parse(readFileSync(join(dir, name), 'utf8')) as { rows: number[] }).rows).toHaveLength(200_000)
      whole++
    }
  }
  expect(whole).toBeGreaterThan(0)
}, 90_000)
