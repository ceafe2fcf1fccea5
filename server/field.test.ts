import { randomUUID } from 'node:crypto'
import type { Rig } from '@zucchini/core/assembly'
import { type FieldEntry, jointName, type Told } from '@zucchini/core/log'
import { demoRigs } from '@zucchini/demo/scenario'
import { type Kit, startKit } from './testing/kit.ts'

const second = demoRigs.find(({ id }) => id === 'winter-ferry-2') as Rig
let kit: Kit
beforeAll(async () => {
  kit = await startKit()
  // The season of the demo is another test's.
  await kit.db.query('DELETE FROM field_entry')
  await kit.db.query("UPDATE world SET number = number + 1 WHERE name = 'field'")
})
afterAll(() => kit.close())

const entry = (what: Told, more: Partial<FieldEntry> = {}): FieldEntry => ({
  id: randomUUID(),
  rigId: 'winter-ferry-2',
  revision: 1,
  at: '2026-11-17T19:00:00.000Z',
  what,
  ...more,
})
const tick = (key: string, on: boolean, second: number, list = 'pack'): FieldEntry =>
  entry({ kind: 'tick', list, key, on }, { at: `2026-11-17T19:00:${String(second).padStart(2, '0')}.000Z` })
const tell = (...entries: FieldEntry[]) => kit.ask('POST', '/api/field', { entries })
const ticks = async (rig = 'winter-ferry-2') =>
  ((await kit.ask('GET', `/api/rigs/${rig}/ticks`)).body as { entries: FieldEntry[] }).entries
const teaching = async () => ((await kit.ask('GET', '/api/field')).body as { entries: FieldEntry[] }).entries

test('an entry told twice, alone or among others, is stored once and as it was first', async () => {
  const one = entry({ kind: 'lap', joint: 'shoe-cold', seconds: 9, day: '2026-11-17' })
  const before = (await teaching()).length
  expect(await tell(one)).toMatchObject({ status: 200, body: { kept: [one.id], strange: [] } })
  const other = entry({ kind: 'lap', joint: 'shoe-cold', seconds: 11, day: '2026-11-17' })
  const changed = { ...one, what: { ...one.what, seconds: 600 } as Told }
  expect(await tell(changed, other, other)).toMatchObject({ body: { kept: [one.id, other.id, other.id] } })
  const now = await teaching()
  expect(now).toHaveLength(before + 2)
  expect(now.find(({ id }) => id === one.id)).toEqual(one)
})

test('of ticks the last one of each line is told, and of each list when it was begun anew', async () => {
  await tell(tick('slab', true, 1), tick('keys', true, 2), tick('slab', false, 3), tick('a', true, 4, 'build slip'))
  const clear = entry({ kind: 'clear', list: 'pack' }, { at: '2026-11-17T19:00:00.500Z' })
  await tell(clear)
  const told = (await ticks()).map(({ what }) =>
    what.kind === 'tick' ? `${what.list} ${what.key} ${what.on}` : what.kind,
  )
  expect(told.sort()).toEqual(['build slip a true', 'clear', 'pack keys true', 'pack slab false'])
  expect(await ticks('winter-ferry-1')).toEqual([])
})

test('what belongs to a rig nobody knows is named, and the rest is stored', async () => {
  const strange = entry({ kind: 'clear', list: 'pack' }, { rigId: 'no-such-rig' })
  const good = tick('mist', true, 9)
  expect(await tell(strange, good)).toMatchObject({ status: 200, body: { kept: [good.id], strange: [strange.id] } })
  expect((await kit.ask('GET', '/api/rigs/no-such-rig/ticks')).status).toBe(404)
})

test.each([
  ['an id that is none', { id: 'x' }],
  ['a moment that is none', { at: 'yesterday' }],
  ['a revision under one', { revision: 0 }],
])('refused, nothing stored: %s', async (_, more) => {
  const before = (await teaching()).length
  expect(await tell(entry({ kind: 'lap', joint: 'lead', seconds: 4, day: '2026-11-17' }, more as never))).toMatchObject(
    {
      status: 400,
      body: { error: { code: 'malformed' } },
    },
  )
  expect((await teaching()).length).toBe(before)
})

test('two hundred ticks, sent in pieces again and again, in any order, arrive once each', async () => {
  const all = Array.from({ length: 200 }, (_, i) => tick(`line ${i}`, true, i % 60, 'build crossing'))
  const pieces = [all.slice(0, 90), all.slice(40, 130), all.slice(120), all.slice(0, 90)]
  await Promise.all(pieces.map((piece) => tell(...piece)))
  const rows = await kit.db.query<{ n: string }[]>(
    "SELECT COUNT(*) AS n FROM field_entry WHERE kind = 'tick' AND JSON_VALUE(doc, '$.what.list') = 'build crossing'",
  )
  expect(Number(rows[0]?.n)).toBe(200)
})

/** The part behind a piece of the second mark. */
const partOf = (instance: string): string => second.kit.find(({ id }) => id === instance)?.partId ?? ''

test('what came loose counts on the shelf, and what was told is in a backup and back', async () => {
  const counts = async () => {
    await kit.ask('GET', '/api/rigs')
    await kit.shelf.settled()
    const { rigs } = (await kit.ask('GET', '/api/rigs')).body as {
      rigs: { id: string; summary: { counts: { risk: number } } }[]
    }
    return rigs.find(({ id }) => id === second.id)?.summary.counts.risk
  }
  expect(await counts()).toBe(0)
  const { guest, guestMount, host, hostMount } =
    second.setups[0]?.joints.find((joint) => joint.guest === 'handle') ?? {}
  if (!guest || !guestMount || !host || !hostMount) throw new Error('the second mark has a handle')
  const joint = { guest: partOf(guest), guestMount, host: partOf(host), hostMount }
  const day = {
    kind: 'day' as const,
    shoot: 'The Winter Ferry',
    day: '2026-11-17',
    setups: ['slip'],
    carried: [joint.guest],
    loose: [{ piece: guest, partId: joint.guest, joint }],
    ranOut: [],
    inTheWay: [],
    unused: [],
    gaps: [],
    measured: [],
    line: '',
  }
  await tell(entry(day))
  expect(await counts()).toBe(1)
  // The word that it holds again takes it off.
  await tell(
    entry({ kind: 'word', lesson: `loose ${jointName(joint)}`, holds: false }, { at: '2026-11-18T08:00:00.000Z' }),
  )
  expect(await counts()).toBe(0)

  const text = (await kit.app.inject('/api/backup')).body
  expect(text).toContain('"t":"field_entry"')
  const told = await teaching()
  const back = await kit.app.inject({
    method: 'POST',
    url: '/api/restore?dry=no&replace=yes',
    payload: text,
    headers: { 'content-type': 'application/vnd.zucchini.backup' },
  })
  expect(back.statusCode).toBe(200)
  expect(await teaching()).toEqual(told)
})
