import { createHash } from 'node:crypto'
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { spawn } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { addDays } from '@zucchini/core/kernel'
import { secondMark } from '@zucchini/demo/scenario'
import { keepBackup, keepSafetyCopy, keptOf, nameOf } from './features/backup/keep.ts'
import { Nightly } from './features/backup/nightly.ts'
import { BackupService } from './features/backup/service.ts'
import { pieceEntity } from './features/locker/entity.ts'
import { rigEntity } from './features/rigs/entity.ts'
import { type Kit, startKit } from './testing/kit.ts'

let kit: Kit
const copies = mkdtempSync(join(tmpdir(), 'zucchini-copies-'))
beforeAll(async () => {
  kit = await startKit({ backupDirs: [copies] })
  for (const shop of ['one', 'two', 'three'])
    await kit.ask('POST', '/api/prices', {
      partId: 'calabash-85',
      seenOn: '2026-01-20',
      shop,
      amountMinor: 52_000,
      shippingMinor: 690,
      currency: 'EUR',
      used: false,
      available: true,
    })
  await kit.ask('POST', '/api/prices/rates', { currency: 'GBP', seenOn: '2026-01-01', rate: 1.17 })
  await kit.ask('PUT', '/api/prices/watches/calabash-85', { belowMinor: 1 })
  await kit.ask('PUT', '/api/rigs/winter-ferry-2', { base: 1, rig: { ...secondMark, name: 'edited' } })
}, 60_000)
afterAll(async () => {
  await kit.close()
  rmSync(copies, { recursive: true, force: true })
})

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
/** The first line where two backups part, short enough to be read; nothing when they are the same. */
const parting = (a: string, b: string): string => {
  if (a === b) return ''
  const [x, y] = [a.split('\n'), b.split('\n')]
  const at = x.findIndex((line, i) => line !== y[i])
  return `line ${at + 1}: ${x[at]?.slice(0, 160)} | ${y[at]?.slice(0, 160)}`
}
const same = async (text: string) => expect(parting(text, await written())).toBe('')
/** A backup with something in it changed and its end made to fit again: a forgery that only its contents give away. */
const forged = (text: string, change: (line: string) => string): string => {
  const lines = text.trimEnd().split('\n').map(change)
  const end = JSON.parse(lines.pop() ?? '') as { rows: object }
  const body = `${lines.join('\n')}\n`
  return `${body}${JSON.stringify({ ...end, sha256: createHash('sha256').update(body).digest('hex') })}\n`
}

test('out, in, and out again is the same to the byte', async () => {
  const text = await written()
  await same(text)
  // Something else is stored meanwhile, then the backup comes back over it.
  await kit.ask('PUT', '/api/locker/calabash-85', { was: 0, pieces: 2 })
  expect(parting(text, await written())).not.toBe('')
  expect((await restore(text, 'dry=no')).body).toContain('not-empty')
  expect((await restore(text, 'dry=no&replace=yes')).status).toBe(200)
  await same(text)
  expect((await kit.ask('GET', '/api/rigs/winter-ferry-2/revisions/2')).body).toMatchObject({ rig: { name: 'edited' } })
}, 60_000)

test('dry, the whole restore is done and taken back: nothing is changed, and what is wrong is found', async () => {
  const text = await written()
  await kit.ask('PUT', '/api/locker/calabash-85', { was: 0, pieces: 1 })
  const now = await written()
  const { status, body } = await restore(text, 'dry=yes')
  expect([status, (JSON.parse(body) as { rows: Record<string, number> }).rows['rig']]).toEqual([200, 3])
  await same(now)
  await kit.ask('PUT', '/api/locker/calabash-85', { was: 1, pieces: 0 })
}, 60_000)

test('while a backup comes in, others are answered', async () => {
  const text = await written()
  // Trickled in, so that the restore is under way for as long as the questions take.
  const service = new BackupService(kit.db)
  const trickle = async function* () {
    for (let i = 0; i < text.length; i += 40_000) {
      yield Buffer.from(text.slice(i, i + 40_000))
      await new Promise((done) => setTimeout(done, 5))
    }
  }
  let under = true
  const restoring = service.restore(trickle(), { replace: true, dry: true }).finally(() => (under = false))
  let asked = 0
  while (under) {
    expect((await kit.ask('GET', '/api/rigs/winter-ferry-2')).body).toMatchObject({ revision: 2 })
    asked++
  }
  expect((await restoring)['rig']).toBe(3)
  expect(asked).toBeGreaterThan(3)
}, 60_000)

test('into an empty database everything comes back', async () => {
  const text = await written()
  for (const table of [
    'rig_summary',
    'price_watch',
    'price_point',
    'currency_rate',
    'locker_piece',
    'field_entry',
    'rig_revision',
    'rig',
    'part',
    'setting',
  ])
    await kit.db.query(`DELETE FROM ${table}`)
  expect((await restore(text, 'dry=no')).status).toBe(200)
  await same(text)
  expect((await kit.ask('GET', '/api/rigs/winter-ferry-2')).body).toMatchObject({
    revision: 2,
    rig: { name: 'edited' },
  })
}, 60_000)

test('a file that was cut, changed or is something else is refused with the place, and changes nothing', async () => {
  const text = await written()
  const doubled = text.trimEnd().split('\n')
  for (const [spoilt, why] of [
    [text.slice(0, -200), /ends too early|not JSON/],
    [text.split('\n').slice(0, -2).join('\n'), /ends too early/],
    [text.replace('winter-ferry-1', 'winter-ferry-9'), /another one than its row says|checksum/],
    [text.replace('"amountMinor":', '"amountMinor":1'), /checksum/],
    ['{"format":"something"}', /not a backup of this program/],
    ['', /ends too early/],
    [text.replace('"version":2', '"version":3'), /newer version/],
    [`${text}{"t":"rig","r":{}}\n`, /behind its end/],
    [[...doubled.slice(0, 5), doubled[4], ...doubled.slice(5)].join('\n'), /./],
  ] as const) {
    const answer = await restore(spoilt, 'dry=no&replace=yes')
    expect(answer.status).toBeGreaterThanOrEqual(422)
    expect(answer.body).toMatch(why)
  }
  await same(text)
}, 60_000)

test.each<[string, (line: string) => string, RegExp]>([
  [
    'a part with a negative mass',
    (line) => line.replace(/"id":"calabash-h1","(.*?)"massG":\d+/, '"id":"calabash-h1","$1"massG":-4'),
    /line \d+, part/,
  ],
  [
    'a price below nothing',
    (line) => line.replace(/"amountMinor":\d+/, '"amountMinor":-5'),
    /line \d+, price_point.*less than nothing/,
  ],
  [
    'a column nobody knows',
    (line) => line.replace('{"t":"setting","r":{', '{"t":"setting","r":{"evil":1,'),
    /line \d+, setting.*evil/,
  ],
  ['a table nobody knows', (line) => line.replace('"t":"price_watch"', '"t":"user"'), /knows no \\"user\\"/],
  [
    'a piece of a part that is not there',
    (line) =>
      line
        .replace(/("t":"locker_piece".*"partId":")[^"]+(","revision".*)/, '$1nobody$2')
        .replace(/("doc":\{.*"partId":")[^"]+(".*"t2")/, '$1nobody$2'),
    /locker_piece/,
  ],
  [
    'a revision that is no rig',
    (line) => line.replace(/"body":\{"b64":"[^"]+"\}/, '"body":{"b64":"AAAA"}'),
    /rig_revision.*body/,
  ],
  ['a moment that is none', (line) => line.replace(/"updatedAt":"[^"]+"/, '"updatedAt":"yesterday"'), /updatedAt/],
])(
  'a forged backup with %s is refused whole, and changes nothing',
  async (_, change, why) => {
    const text = await written()
    const spoilt = forged(text, change)
    expect(spoilt).not.toBe(text)
    for (const query of ['dry=yes', 'dry=no&replace=yes']) {
      const answer = await restore(spoilt, query)
      expect([answer.status, answer.body]).toEqual([422, expect.stringMatching(why)])
    }
    await same(text)
  },
  60_000,
)

test('before a restore a copy with a name of its own is written, and it can be read', async () => {
  const text = await written()
  const before = new Set(readdirSync(copies))
  const { body } = await restore(text, 'dry=no&replace=yes')
  const [name] = readdirSync(copies).filter((found) => !before.has(found))
  expect(name).toMatch(/^before-restore-\d{4}-\d\d-\d\dT\d{6,}\.jsonl$/)
  expect((JSON.parse(body) as { safetyCopy: string }).safetyCopy).toBe(join(copies, name ?? ''))
  expect(parting(readFileSync(join(copies, name ?? ''), 'utf8'), text)).toBe('')
}, 60_000)

test('a backup of the first form is read: rigs lifted, revisions packed, own parts kept', async () => {
  const now = await written()
  const old = readFileSync(join(import.meta.dirname, 'fixtures/backup-1.json'), 'utf8')
  expect((await restore(old.replace('52000', '52001'), 'dry=no&replace=yes')).body).toMatch(/checksum/)
  expect(await restore(old, 'dry=no&replace=yes')).toMatchObject({ status: 200 })
  expect((await kit.ask('GET', '/api/rigs/winter-ferry-2')).body).toMatchObject({
    revision: 2,
    rig: { version: 6, brief: { lenses: [] } },
  })
  expect((await kit.ask('GET', '/api/rigs/winter-ferry-2/revisions/1')).body).toMatchObject({
    rig: { name: 'first name', version: 6 },
  })
  expect((await kit.ask('GET', '/api/catalogue')).body).toMatchObject({ own: ['my-cage'] })
  const again = await written()
  expect((await restore(again, 'dry=no&replace=yes')).status).toBe(200)
  await same(again)
  expect((await restore(now, 'dry=no&replace=yes')).status).toBe(200)
  await same(now)
}, 60_000)

test('a restore that the database itself refuses leaves everything as it was', async () => {
  const text = await written()
  const service = new BackupService(kit.db)
  await kit.db.query('ALTER TABLE rig_revision ADD CONSTRAINT no_edits CHECK (note <> "forbidden")')
  try {
    await kit.db.query("UPDATE rig_revision SET note = 'allowed'")
    const spoilt = forged(await written(), (line) => line.replace('"note":"allowed"', '"note":"forbidden"'))
    await expect(service.restore(Readable.from([Buffer.from(spoilt)]), { replace: true, dry: false })).rejects.toThrow()
    expect(await kit.db.getRepository(rigEntity).count()).toBe(3)
    expect(await kit.db.getRepository(pieceEntity).count()).toBeGreaterThan(20)
  } finally {
    await kit.db.query('ALTER TABLE rig_revision DROP CONSTRAINT no_edits')
    await restore(text, 'dry=no&replace=yes')
  }
  await same(text)
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

const ofWeight = (pieces: number) =>
  `{"format":"zucchini-backup","version":2}\n${JSON.stringify({ end: true, rows: { locker_piece: pieces }, sha256: '' })}\n`

test('a backup stands there whole or not at all, old ones go, and other files stay', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-kept-'))
  writeFileSync(join(dir, 'letter.txt'), 'not ours')
  for (let i = 40; i >= 0; i--) await keepBackup(dir, addDays('2026-11-25', -i), ofWeight(i))
  const names = readdirSync(dir)
  expect(names).toContain('letter.txt')
  expect(names.some((name) => name.endsWith('.part') || name.endsWith('.new'))).toBe(false)
  expect(names.length).toBeLessThan(16)
  expect(readFileSync(join(dir, nameOf('2026-11-25')), 'utf8')).toBe(ofWeight(0))
})

test('the day’s backup is never replaced by one that holds less', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-kept-'))
  expect(await keepBackup(dir, '2026-11-25', ofWeight(500))).toBe('zucchini-2026-11-25.jsonl')
  expect(await keepBackup(dir, '2026-11-25', ofWeight(3))).toBe('zucchini-2026-11-25-2.jsonl')
  expect(await keepBackup(dir, '2026-11-25', ofWeight(4))).toBe('zucchini-2026-11-25-2.jsonl')
  expect(await keepBackup(dir, '2026-11-25', ofWeight(500))).toBe('zucchini-2026-11-25.jsonl')
  expect(readdirSync(dir).sort()).toEqual(['zucchini-2026-11-25-2.jsonl', 'zucchini-2026-11-25.jsonl'])
})

test('safety copies have names of their own and the oldest go after twelve', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-safe-'))
  const at = (minute: number) => new Date(Date.UTC(2026, 10, 25, 9, minute))
  for (let i = 0; i < 15; i++) await keepSafetyCopy(dir, i % 2 ? 'fresh' : 'restore', at(i), ofWeight(i))
  await keepSafetyCopy(dir, 'restore', at(14), ofWeight(99))
  const names = readdirSync(dir)
  expect(names).toHaveLength(12)
  expect(names).toContain('before-restore-2026-11-25T0914002.jsonl')
  expect(names.some((name) => name.includes('T0900'))).toBe(false)
})

test('a nightly backup goes to both folders; a failure is remembered with its day and forgotten when it works again', async () => {
  const [dir, too] = [
    mkdtempSync(join(tmpdir(), 'zucchini-a-')),
    join(mkdtempSync(join(tmpdir(), 'zucchini-b-')), 'deeper'),
  ]
  const now = () => new Date('2026-11-25T12:00:00')
  const nightly = new Nightly(new BackupService(kit.db), [dir, too], undefined, now)
  await nightly.write()
  expect(readdirSync(too)).toEqual(readdirSync(dir))
  expect(await nightly.state()).toMatchObject({
    on: true,
    lastOn: '2026-11-25',
    failedOn: null,
    why: null,
    low: expect.any(Boolean) as boolean,
  })
  const blocked = new Nightly(
    new BackupService(kit.db),
    [join(dir, nameOf('2026-11-25'), 'not-a-folder')],
    undefined,
    now,
  )
  await blocked.write()
  expect(await blocked.state()).toMatchObject({
    on: true,
    lastOn: null,
    failedOn: '2026-11-25',
    why: expect.stringMatching(/ENOTDIR|EEXIST|not a directory/) as string,
  })
  mkdirSync(join(dir, 'x'))
  expect(await new Nightly(new BackupService(kit.db), []).state()).toMatchObject({ on: false })
}, 60_000)

test('a program killed again and again while it writes backups leaves none that is half', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'zucchini-killed-'))
  const keep = join(import.meta.dirname, 'features/backup/keep.ts')
  const program = `
    const { keepBackup } = await import(${JSON.stringify(keep)})
    const whole = JSON.stringify({ rows: Array.from({ length: 200000 }, (_, i) => i) })
    for (let i = 0; ; i++) await keepBackup(${JSON.stringify(dir)}, '2026-11-' + String(1 + (i % 20)).padStart(2, '0'), whole)
  `
  const there = () => readdirSync(dir).filter((name) => name.endsWith('.jsonl'))
  let whole = 0
  for (const waitMs of [3, 17, 41]) {
    for (const name of there()) rmSync(join(dir, name))
    const child = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', program], {
      stdio: 'ignore',
    })
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
