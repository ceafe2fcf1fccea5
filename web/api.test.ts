import { api, ApiRefusal } from './api.ts'

/** What was sent to the server, and what it answers. */
const sent: { url: string; init: RequestInit }[] = []
let answer: { status: number; body: unknown } = { status: 200, body: {} }
globalThis.fetch = ((url: string, init: RequestInit) => {
  sent.push({ url, init })
  const text = answer.body === undefined ? '' : JSON.stringify(answer.body)
  return Promise.resolve(
    new Response(answer.status === 204 ? null : text, { status: answer.status, headers: { 'content-type': 'x' } }),
  )
}) as typeof fetch
const last = () => {
  const call = sent.at(-1)
  if (!call) throw new Error('nothing was sent')
  return call
}
const answers = (status: number, body?: unknown) => (answer = { status, body })

class NodeResponse {
  readonly #text: string | null
  readonly status: number
  constructor(text: string | null, { status }: { status: number }) {
    this.#text = text
    this.status = status
  }
  get ok() {
    return this.status < 300
  }
  json() {
    return Promise.resolve().then(() => JSON.parse(this.#text ?? '') as unknown)
  }
}
// The page of the tests has no answers of its own.
globalThis.Response ??= NodeResponse as never

test('what stands in an address is written so that it can stand there', async () => {
  answers(204)
  await api.removePart('a part/with ü', 'tag&more')
  expect([last().init.method, last().url]).toEqual(['DELETE', '/api/catalogue/a%20part%2Fwith%20%C3%BC?was=tag%26more'])
})

test('what is not asked for is not in the address', async () => {
  answers(200, { revisions: [], more: false })
  await api.revisions('tiny')
  expect(last().url).toBe('/api/rigs/tiny/revisions')
  await api.revisions('tiny', 12)
  expect(last().url).toBe('/api/rigs/tiny/revisions?before=12')
})

test('a body goes as JSON, a file as itself, and the operator’s day goes along', async () => {
  answers(200, { pieces: 2 })
  await api.setOwned('cage', 1, 2)
  expect(last().init.body).toBe('{"was":1,"pieces":2}')
  expect(last().init.headers).toMatchObject({ 'content-type': 'application/json', 'x-time-zone': expect.any(String) })
  answers(200, { ok: true, rows: 0, added: 0, changed: 0, same: 0, unknownColumns: [], issues: [] })
  const table = new Blob(['part\n'])
  await api.readTable(table, true, 'EUR')
  expect(last().url).toBe('/api/locker.csv?dry=yes&currency=EUR')
  expect([last().init.body === table, (last().init.headers as Record<string, string>)['content-type']]).toEqual([
    true,
    'text/csv',
  ])
})

test('an answer is what the contract says; one that is not is refused, whatever its status', async () => {
  answers(200, { strengthNm: 60, armMassG: 3500, calibrated: false, limits: { 'hang-tilt': { goodDeg: 4 } }, odd: 1 })
  expect(await api.operator()).toEqual({
    strengthNm: 60,
    armMassG: 3500,
    calibrated: false,
    limits: { 'hang-tilt': { goodDeg: 4 } },
  })
  answers(200, { strengthNm: 'strong' })
  await expect(api.operator()).rejects.toMatchObject({ code: 'broken', message: expect.stringContaining('no sense') })
})

test('nothing comes back as nothing', async () => {
  answers(204)
  expect(await api.putAway('tiny', 3)).toBeNull()
  expect(last().url).toBe('/api/rigs/tiny?base=3')
})

test('a refusal brings the server’s words, its code, and the first thing that is wrong with its place', async () => {
  answers(422, {
    error: {
      code: 'unsound-rig',
      message: 'This rig does not hold together as data.',
      issues: [{ path: 'kit[2]', message: 'the id is used twice' }],
    },
  })
  const refused = await api.rig('tiny').catch((error: unknown) => error)
  expect(refused).toBeInstanceOf(ApiRefusal)
  expect(refused).toMatchObject({
    status: 422,
    code: 'unsound-rig',
    message: 'This rig does not hold together as data. kit[2]: the id is used twice.',
  })
})

test('an answer that can’t be read is told as such', async () => {
  answers(500, undefined)
  await expect(api.shelf()).rejects.toMatchObject({ status: 500, code: 'broken' })
})
