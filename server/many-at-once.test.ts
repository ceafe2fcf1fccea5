import { connect } from 'node:net'
import type { AddressInfo } from 'node:net'
import { catalogueOf, type Part } from '@zucchini/core/catalogue'
import { writeLockerCsv, writeRigFile } from '@zucchini/core/formats'
import { newPiece } from '@zucchini/core/locker'
import { demoParts } from '@zucchini/demo/catalogue'
import { secondMark } from '@zucchini/demo/scenario'
import { type Kit, startKit } from './testing/kit.ts'

let kit: Kit
beforeAll(async () => {
  kit = await startKit()
})
afterAll(() => kit.close())

const shipped = demoParts.find(({ id }) => id === 'typha-shoe-block') as Part
const times = <T>(count: number, make: (i: number) => T): T[] => Array.from({ length: count }, (_, i) => make(i))
const statuses = (answers: readonly { status: number }[]) => answers.map(({ status }) => status).sort((a, b) => a - b)

test('thirty different new parts at once: all are stored', async () => {
  const answers = await Promise.all(
    times(30, (i) =>
      kit.ask('PUT', `/api/catalogue/many-${i}`, {
        part: { ...shipped, id: `many-${i}`, name: `many ${i}` },
        was: null,
      }),
    ),
  )
  expect(statuses(answers)).toEqual(times(30, () => 200))
  const { own } = (await kit.ask('GET', '/api/catalogue')).body as { own: string[] }
  expect(own.filter((id) => id.startsWith('many-'))).toHaveLength(30)
})

test('the same new part thirty times: one is stored, the others are told', async () => {
  const answers = await Promise.all(
    times(30, () =>
      kit.ask('PUT', '/api/catalogue/only-one', { part: { ...shipped, id: 'only-one', name: 'one' }, was: null }),
    ),
  )
  expect(statuses(answers)).toEqual([200, ...times(29, () => 409)])
})

test('the same rig file twice at once: two rigs, each with its history', async () => {
  const own = { ...shipped, id: 'brought-along', name: 'brought along' }
  const rig = {
    ...secondMark,
    kit: secondMark.kit.map((piece) => (piece.id === 'block' ? { ...piece, partId: own.id } : piece)),
  }
  const text = writeRigFile(rig, catalogueOf([...demoParts, own]))
  const answers = await Promise.all(times(6, () => kit.ask('POST', '/api/rig-files', { text, dry: false })))
  expect(statuses(answers)).toEqual(times(6, () => 200))
  const ids = answers.map(({ body }) => (body as { rigId: string }).rigId)
  expect(new Set(ids).size).toBe(6)
  for (const id of ids) expect((await kit.ask('GET', `/api/rigs/${id}/revisions/1`)).status).toBe(200)
})

test('forty counts of one locker at once: one or more are set, the others are told, none fails', async () => {
  const answers = await Promise.all(
    times(40, (i) => kit.ask('PUT', '/api/locker/papyr-shotgun', { was: 0, pieces: 1 + (i % 3) })),
  )
  expect(statuses(answers)).toEqual([200, ...times(39, () => 409)])
  const other = await Promise.all(
    times(40, (i) => kit.ask('PUT', `/api/locker/${demoParts[i]?.id ?? ''}`, { was: 99, pieces: 1 })),
  )
  expect(other.every(({ status }) => status === 409 || status === 200)).toBe(true)
})

test('the same piece thirty times: one is made, the others are told', async () => {
  const piece = newPiece('once-only', 'papyr-shotgun')
  const answers = await Promise.all(times(30, () => kit.ask('PUT', '/api/locker/pieces/once-only', { base: 0, piece })))
  expect(statuses(answers)).toEqual([200, ...times(29, () => 409)])
})

test('ten thousand pieces of one part get their numbers and are taken in', async () => {
  const rows = times(10_000, () => newPiece('x', 'typha-bushing-14'))
  const text = writeLockerCsv(rows).replaceAll(/^x,/gm, ',')
  const answer = await kit.app.inject({
    method: 'POST',
    url: '/api/locker.csv?dry=no',
    headers: { host: '127.0.0.1', 'content-type': 'text/csv' },
    payload: text,
  })
  expect(answer.json()).toMatchObject({ ok: true, rows: 10_000, added: 10_000 })
}, 60_000)

describe('every refusal has the one form', () => {
  const shape = (body: unknown) => Object.keys((body as { error: object }).error)
  test.each([
    ['bad percent-encoding', '/api/rigs/%E0%A4%A', 400, 'bad-address'],
    ['no such address', '/api/no', 404, 'not-found'],
    ['a revision that is no plain number', '/api/rigs/winter-ferry-1/revisions/1e0', 400, 'malformed'],
    ['a revision in another notation', '/api/rigs/winter-ferry-1/revisions/0x1', 400, 'malformed'],
    ['a revision with a space', '/api/rigs/winter-ferry-1/revisions/%201', 400, 'malformed'],
    ['a revision below the first', '/api/rigs/winter-ferry-1/revisions/0', 400, 'malformed'],
    ['a revision beyond all numbers', '/api/rigs/winter-ferry-1/revisions/99999999999', 400, 'malformed'],
  ])('%s', async (_, url, status, code) => {
    const answer = await kit.ask('GET', url)
    expect([answer.status, (answer.body as { error: { code: string } }).error.code]).toEqual([status, code])
    expect(shape(answer.body).slice(0, 2)).toEqual(['code', 'message'])
  })

  test('over a real connection: too large, too slow, and what is no request at all', async () => {
    const slow = await startKit({ keep: true, slowestBodyMs: 150 })
    await slow.app.listen({ port: 0, host: '127.0.0.1' })
    const { port } = slow.app.server.address() as AddressInfo
    const say = (text: string, wait = 1500) =>
      new Promise<string>((resolve) => {
        const socket = connect(port, '127.0.0.1', () => socket.write(text))
        let heard = ''
        socket.on('data', (chunk) => (heard += chunk.toString()))
        socket.on('error', () => resolve(heard))
        socket.on('close', () => resolve(heard))
        setTimeout(() => socket.destroy(), wait)
      })
    const head = `Host: 127.0.0.1:${port}\r\nContent-Type: application/json\r\n`
    const trickle = await say(`POST /api/rigs HTTP/1.1\r\n${head}Content-Length: 500\r\n\r\n{"rig":`)
    expect(trickle).toMatch(/^HTTP\/1.1 408[^]*"code":"too-slow"/)
    const large = await say(`POST /api/rigs HTTP/1.1\r\n${head}Content-Length: 99000000\r\n\r\n{`)
    expect(large).toMatch(/^HTTP\/1.1 413[^]*"code":"too-large"/)
    const junk = await say('HELLO\r\n\r\n')
    expect(junk).toMatch(/^HTTP\/1.1 400[^]*"code":"malformed"/)
    await slow.close()
  }, 20_000)
})

test('today is the operator’s day, not that of Greenwich', async () => {
  // Half past eleven in the evening in Greenwich is the next morning in Auckland.
  const late = await startKit({ keep: true, now: () => new Date('2026-11-24T23:30:00Z') })
  const price = (shop: string) => ({
    partId: 'calabash-85',
    seenOn: '2026-11-25',
    shop,
    amountMinor: 52_000,
    shippingMinor: 0,
    currency: 'EUR',
    used: false,
    available: true,
  })
  expect((await late.ask('POST', '/api/prices', price('here'), { 'x-time-zone': 'Etc/UTC' })).status).toBe(422)
  expect((await late.ask('POST', '/api/prices', price('there'), { 'x-time-zone': 'Pacific/Auckland' })).status).toBe(
    201,
  )
  expect(
    (await late.ask('GET', '/api/locker/pieces', undefined, { 'x-time-zone': 'Pacific/Auckland' })).body,
  ).toMatchObject({
    today: '2026-11-25',
  })
  expect(
    (await late.ask('GET', '/api/locker/pieces', undefined, { 'x-time-zone': 'America/Lima' })).body,
  ).toMatchObject({
    today: '2026-11-24',
  })
  expect((await late.ask('GET', '/api/locker/pieces', undefined, { 'x-time-zone': 'Nowhere/At_All' })).status).toBe(200)
  await late.close()
})
