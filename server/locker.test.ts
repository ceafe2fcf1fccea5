import { type LockerPiece, newPiece } from '@zucchini/core/locker'
import { writeLockerCsv } from '@zucchini/core/formats'
import { demoPieces } from '@zucchini/demo/scenario'
import type { SavedPiece } from './features/locker/service.ts'
import { pieceEntity } from './features/locker/entity.ts'
import { type Kit, startKit } from './testing/kit.ts'

const today = '2026-11-25'
let kit: Kit
let milliseconds = 0
beforeAll(async () => {
  kit = await startKit({ now: () => new Date(`${today}T10:00:00Z`), clock: () => milliseconds })
})
afterAll(() => kit.close())

const pieces = async (): Promise<readonly SavedPiece[]> =>
  ((await kit.ask('GET', '/api/locker/pieces')).body as { pieces: SavedPiece[] }).pieces
const put = (piece: LockerPiece, base: number) => kit.ask('PUT', `/api/locker/pieces/${piece.id}`, { base, piece })
const csv = async (text: string | Buffer, dry = 'no') => {
  const answer = await kit.app.inject({
    method: 'POST',
    url: `/api/locker.csv?dry=${dry}`,
    headers: { host: '127.0.0.1', 'content-type': 'text/csv' },
    payload: text,
  })
  return {
    status: answer.statusCode,
    body: answer.json<{
      ok: boolean
      added: number
      changed: number
      same: number
      rows: number
      issues: { line: number; column: string; message: string }[]
      unknownColumns: string[]
    }>(),
  }
}

test('the demo’s pieces lie in the locker, each by itself, and count as before', async () => {
  expect((await pieces()).map(({ piece }) => piece.id).sort()).toEqual(demoPieces.map(({ id }) => id).sort())
  expect((await kit.ask('GET', '/api/locker')).body).toMatchObject({ pieces: { 'calabash-pack': 2, 'calabash-h1': 1 } })
})

test('a piece is saved over the revision it was made from, or both versions are shown', async () => {
  const piece = newPiece('lens-x', 'calabash-85', { place: 'bag', paidMinor: 52_000, boughtOn: '2026-01-02' })
  expect(await put(piece, 0)).toMatchObject({ status: 200, body: { revision: 1 } })
  expect(await put(piece, 0)).toMatchObject({ status: 409, body: { error: { code: 'piece-exists' } } })
  expect(await put({ ...piece, place: 'shelf' }, 1)).toMatchObject({ body: { revision: 2, piece: { place: 'shelf' } } })
  expect(await put({ ...piece, place: 'mine' }, 1)).toMatchObject({
    status: 409,
    body: { error: { code: 'piece-changed', theirs: { revision: 2, piece: { place: 'shelf' } } } },
  })
  expect(await kit.ask('DELETE', '/api/locker/pieces/lens-x?base=1')).toMatchObject({ status: 409 })
  expect(await kit.ask('DELETE', '/api/locker/pieces/lens-x?base=2')).toMatchObject({ status: 204 })
})

test('what is sold no longer counts, what is lent does', async () => {
  const piece = newPiece('lens-y', 'calabash-85')
  const count = async () =>
    ((await kit.ask('GET', '/api/locker')).body as { pieces: Record<string, number> }).pieces['calabash-85'] ?? 0
  await put(piece, 0)
  expect(await count()).toBe(1)
  await put({ ...piece, state: 'lent', lentTo: 'Ines', lentOn: '2026-11-01' }, 1)
  expect(await count()).toBe(1)
  await put({ ...piece, state: 'sold', soldMinor: 40_000, endedOn: '2026-11-20' }, 2)
  expect(await count()).toBe(0)
})

test.each<[string, Partial<LockerPiece>, number, RegExp]>([
  ['a day to come', { boughtOn: '2026-11-26' }, 422, /in the future/],
  ['money under nothing', { paidMinor: -1 }, 400, /less than nothing/],
  ['lent to nobody', { state: 'lent' }, 400, /to whom/],
  ['a part nobody knows', { partId: 'unheard-of' }, 404, /no such part/],
])('refused, nothing stored: %s', async (_, more, status, words) => {
  const answer = await put(newPiece('bad', 'calabash-85', more), 0)
  expect(answer.status).toBe(status)
  expect(JSON.stringify(answer.body)).toMatch(words)
  expect((await pieces()).some(({ piece }) => piece.id === 'bad')).toBe(false)
})

test('described pieces are not taken away by counting down', async () => {
  await put(newPiece('only', 'calabash-35', { notes: 'a scratch on the hood' }), 0)
  expect(await kit.ask('PUT', '/api/locker/calabash-35', { was: 1, pieces: 0 })).toMatchObject({
    status: 409,
    body: { error: { code: 'pieces-described' } },
  })
  expect(await kit.ask('PUT', '/api/locker/calabash-35', { was: 1, pieces: 3 })).toMatchObject({ status: 200 })
  expect(await kit.ask('PUT', '/api/locker/calabash-35', { was: 3, pieces: 1 })).toMatchObject({ status: 200 })
  expect((await pieces()).filter(({ piece }) => piece.partId === 'calabash-35').map(({ piece }) => piece.id)).toEqual([
    'only',
  ])
})

test('out as a table and in again changes nothing', async () => {
  const text = (await kit.app.inject({ method: 'GET', url: '/api/locker.csv', headers: { host: '127.0.0.1' } })).body
  const before = await pieces()
  expect((await csv(text, 'yes')).body).toMatchObject({ ok: true, added: 0, changed: 0, same: before.length })
  expect((await csv(text)).body).toMatchObject({ ok: true, same: before.length })
  expect(await pieces()).toEqual(before)
})

test('a table with one bad line is told by line and column, and nothing of it is taken in', async () => {
  const before = await pieces()
  const answer = await csv(
    'part,paid,bought (YYYY-MM-DD)\ncalabash-85,520.00,2026-01-02\ncalabash-85,-3,2026-13-01\nnobody,1,\n',
  )
  expect(answer.body).toMatchObject({ ok: false, rows: 3, added: 0 })
  expect(answer.body.issues.map(({ line, column }) => [line, column])).toEqual([
    [3, 'paid'],
    [3, 'bought (YYYY-MM-DD)'],
    [4, 'part'],
  ])
  expect(answer.body.issues.map(({ message }) => message).join()).toMatch(/less than nothing.*no day.*no part "nobody"/)
  expect(await pieces()).toEqual(before)
})

test('what would run as a formula is refused, in the wrong encoding nothing is guessed', async () => {
  const formula = await csv('part,notes\ncalabash-85,"=cmd|\'/c calc\'!A1"\n')
  expect(formula.body.issues[0]).toMatchObject({
    line: 2,
    column: 'notes',
    message: expect.stringContaining('looks like a formula') as unknown,
  })
  const latin = await csv(Buffer.from([...Buffer.from('part,notes\ncalabash-85,caf'), 0xe9, 0x0a]))
  expect(latin.body.issues[0]?.message).toMatch(/neither UTF-8 nor UTF-16/)
  expect((await csv('part;paid\ncalabash-85;"1.234,50"\n', 'yes')).body).toMatchObject({ ok: true, added: 1 })
  expect((await csv('paid\n3\n')).body.issues[0]).toMatchObject({
    line: 1,
    message: expect.stringContaining('"part" is missing') as unknown,
  })
})

test('fifty thousand rows are judged, and taken in at once or not at all', async () => {
  const many = Array.from({ length: 50_000 }, (_, i) =>
    newPiece(`many-${i}`, 'typha-bushing-14', { place: `box ${i % 40}` }),
  )
  const text = writeLockerCsv(many)
  expect((await csv(text, 'yes')).body).toMatchObject({ ok: true, rows: 50_000, added: 50_000 })
  const spoilt = text.replace('many-49999,typha-bushing-14', 'many-49999,nobody')
  const answer = await csv(spoilt)
  expect(answer.body).toMatchObject({ ok: false, issues: [{ line: 50_001, column: 'part' }] })
  expect(await kit.db.getRepository(pieceEntity).countBy({ partId: 'typha-bushing-14' })).toBeLessThan(5)
})

const laid = async (parts: string[]) => kit.ask('POST', '/api/scale/load', { parts })
const after = (seconds: number) => (milliseconds += seconds * 1000)

test('weighing: what the scale shows at rest takes the place of the datasheet; before that nothing is kept', async () => {
  const piece = newPiece('weighed', 'calabash-20')
  await put(piece, 0)
  const weigh = (base: number) => kit.ask('POST', '/api/locker/pieces/weighed/weigh', { base })
  expect(await weigh(1)).toMatchObject({ status: 409, body: { error: { code: 'scale-empty' } } })
  await laid(['calabash-20'])
  after(0.2)
  expect(await weigh(1)).toMatchObject({ status: 409, body: { error: { code: 'scale-unsteady' } } })
  after(10)
  await kit.ask('POST', '/api/scale/plug', { plugged: false })
  expect(await weigh(1)).toMatchObject({ status: 409, body: { error: { code: 'scale-gone' } } })
  expect((await pieces()).find(({ piece: one }) => one.id === 'weighed')).toMatchObject({
    revision: 1,
    piece: { measuredG: null },
  })
  await kit.ask('POST', '/api/scale/plug', { plugged: true })
  const done = await weigh(1)
  expect(done).toMatchObject({ status: 200, body: { revision: 2, piece: { measuredOn: today } } })
  const { measuredG } = (done.body as SavedPiece).piece
  // The datasheet says 372 g; the simulated piece is off by four in a hundred at most, the scale by a few grams.
  expect(Math.abs((measuredG ?? 0) - 372)).toBeLessThan(372 * 0.04 + 5)
  expect(await weigh(1)).toMatchObject({ status: 409, body: { error: { code: 'piece-changed' } } })
})

test('taring, and an unknown part', async () => {
  await laid(['calabash-h1'])
  expect(await kit.ask('POST', '/api/scale/tare')).toMatchObject({
    status: 409,
    body: { error: { code: 'scale-unsteady' } },
  })
  after(10)
  const tared = await kit.ask('POST', '/api/scale/tare')
  expect(tared).toMatchObject({ status: 200, body: { simulated: true, stable: true } })
  expect(Math.abs((tared.body as { grams: number }).grams)).toBeLessThanOrEqual(4)
  expect(await laid(['unheard-of'])).toMatchObject({ status: 404 })
})
