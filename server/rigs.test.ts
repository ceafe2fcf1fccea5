import { type Rig } from '@zucchini/core/assembly'
import { demoRigs, secondMark } from '@zucchini/demo/scenario'
import type { SavedRig } from './features/rigs/service.ts'
import type { ShelfEntry } from '@zucchini/contract'
import { type Kit, startKit } from './testing/kit.ts'

let kit: Kit
beforeAll(async () => {
  kit = await startKit()
})
afterAll(() => kit.close())

const fresh = (id: string): Rig => ({ ...secondMark, id, name: `rig ${id}` })
const create = async (id: string) => kit.ask('POST', '/api/rigs', { rig: fresh(id), note: 'new' })

test('the demo rigs lie on the shelf', async () => {
  const { status, body } = await kit.ask('GET', '/api/rigs')
  expect(status).toBe(200)
  expect((body as { rigs: ShelfEntry[] }).rigs.map(({ id }) => id).sort()).toEqual(demoRigs.map((rig) => rig.id).sort())
})

test('a rig comes back exactly as it was saved', async () => {
  expect((await create('there-and-back')).status).toBe(201)
  expect((await kit.ask('GET', '/api/rigs/there-and-back')).body).toMatchObject({
    rig: fresh('there-and-back'),
    revision: 1,
  })
})

test('each save is a revision of its own, and all stay', async () => {
  await create('history')
  for (const [base, name] of [
    [1, 'one'],
    [2, 'two'],
  ] as const) {
    const { status, body } = await kit.ask('PUT', '/api/rigs/history', {
      base,
      rig: { ...fresh('history'), name },
      note: `named ${name}`,
    })
    expect([status, (body as SavedRig).revision]).toEqual([200, base + 1])
  }
  const { body } = await kit.ask('GET', '/api/rigs/history/revisions')
  expect(
    (body as { revisions: { revision: number; note: string }[] }).revisions.map(({ revision, note }) => [
      revision,
      note,
    ]),
  ).toEqual([
    [3, 'named two'],
    [2, 'named one'],
    [1, 'new'],
  ])
  expect((await kit.ask('GET', '/api/rigs/history/revisions/2')).body).toMatchObject({ rig: { name: 'one' } })
  expect((await kit.ask('GET', '/api/rigs/history/revisions/9')).status).toBe(404)
})

test('a save over an older revision is refused and shows the newer one', async () => {
  await create('torn')
  const mine = { ...fresh('torn'), name: 'mine' }
  expect((await kit.ask('PUT', '/api/rigs/torn', { base: 1, rig: { ...fresh('torn'), name: 'theirs' } })).status).toBe(
    200,
  )
  const { status, body } = await kit.ask('PUT', '/api/rigs/torn', { base: 1, rig: mine })
  expect(status).toBe(409)
  expect(body).toMatchObject({
    error: { code: 'saved-elsewhere', theirs: { rig: { name: 'theirs' }, revision: 2 } },
  })
  expect((await kit.ask('GET', '/api/rigs/torn')).body).toMatchObject({ rig: { name: 'theirs' }, revision: 2 })
})

test('of many saves at once exactly one wins, and its revision is in the history', async () => {
  await create('race')
  const answers = await Promise.all(
    Array.from({ length: 12 }, (_, i) =>
      kit.ask('PUT', '/api/rigs/race', { base: 1, rig: { ...fresh('race'), name: `racer ${i}` } }),
    ),
  )
  expect(answers.map(({ status }) => status).sort((a, b) => a - b)).toEqual([200, ...Array<number>(11).fill(409)])
  const winner = answers.findIndex(({ status }) => status === 200)
  expect((await kit.ask('GET', '/api/rigs/race/revisions/2')).body).toMatchObject({ rig: { name: `racer ${winner}` } })
})

test('when the history can not be written, the save is not done either', async () => {
  await create('half')
  await kit.db.query(
    "INSERT INTO rig_revision (rigId, revision, note, body, savedAt) VALUES ('half', 2, 'in the way', '', NOW())",
  )
  expect((await kit.ask('PUT', '/api/rigs/half', { base: 1, rig: { ...fresh('half'), name: 'never' } })).status).toBe(
    500,
  )
  expect((await kit.ask('GET', '/api/rigs/half')).body).toMatchObject({ rig: { name: 'rig half' }, revision: 1 })
})

test('an id that is taken is refused', async () => {
  await create('taken')
  expect((await create('taken')).body).toMatchObject({ error: { code: 'rig-exists' } })
})

test('taken off the shelf and put back, history and all', async () => {
  await create('away')
  expect((await kit.ask('DELETE', '/api/rigs/away')).status).toBe(400)
  expect((await kit.ask('DELETE', '/api/rigs/away?base=7')).body).toMatchObject({
    error: { code: 'saved-elsewhere', theirs: { revision: 1 } },
  })
  expect((await kit.ask('DELETE', '/api/rigs/away?base=1')).status).toBe(204)
  expect((await kit.ask('GET', '/api/rigs/away')).status).toBe(410)
  expect((await kit.ask('DELETE', '/api/rigs/away?base=1')).body).toMatchObject({ error: { code: 'rig-put-away' } })
  expect((await kit.ask('PUT', '/api/rigs/away', { base: 1, rig: fresh('away') })).body).toMatchObject({
    error: { code: 'rig-put-away', revision: 1 },
  })
  expect((await kit.ask('POST', '/api/rigs/away/put-back')).body).toMatchObject({ revision: 1 })
  expect((await kit.ask('GET', '/api/rigs/away')).status).toBe(200)
})

test.each<[string, (rig: Rig) => unknown, number, RegExp]>([
  [
    'a part nobody knows',
    (rig) => ({ ...rig, kit: [...rig.kit, { id: 'x', partId: 'unheard-of', status: 'in' }] }),
    422,
    /kit\[\d+\].partId.*unheard-of/,
  ],
  [
    'joints in a ring',
    (rig) => ({
      ...rig,
      setups: [
        {
          ...rig.setups[0],
          joints: [
            { ...rig.setups[0]?.joints[0], guest: 'cage', host: 'handle', guestMount: 'seat', hostMount: 'shoe' },
            { ...rig.setups[0]?.joints[0], guest: 'handle', host: 'cage', guestMount: 'foot', hostMount: 'shoe' },
          ],
        },
      ],
    }),
    422,
    /sitting on itself/,
  ],
  ['a number that is none', (rig) => ({ ...rig, brief: { ...rig.brief, inHandG: 'heavy' } }), 400, /rig.brief.inHandG/],
  ['a field nobody asked for', (rig) => ({ ...rig, secret: 1 }), 400, /secret/],
  ['another rig under this address', (rig) => ({ ...rig, id: 'somebody-else' }), 400, /must be the rig of the address/],
  [
    'a set-up too many hundreds',
    (rig) => ({ ...rig, setups: Array.from({ length: 300 }, () => rig.setups[0]) }),
    400,
    /setups/,
  ],
])('refused with where and why, nothing stored: %s', async (_, spoil, status, words) => {
  const id = 'sound'
  await create(id)
  const answer = await kit.ask('PUT', `/api/rigs/${id}`, { base: 1, rig: spoil(fresh(id)) })
  expect(answer.status).toBe(status)
  expect(JSON.stringify(answer.body)).toMatch(words)
  expect((await kit.ask('GET', `/api/rigs/${id}`)).body).toMatchObject({ rig: fresh(id), revision: 1 })
})

test('what is no JSON, or too much of it, is refused', async () => {
  const junk = await kit.app.inject({
    method: 'POST',
    url: '/api/rigs',
    headers: { host: 'localhost', 'content-type': 'application/json' },
    payload: '{"rig":',
  })
  expect([junk.statusCode, junk.json<{ error: { code: string } }>().error.code]).toEqual([400, 'malformed'])
  const huge = await kit.app.inject({
    method: 'POST',
    url: '/api/rigs',
    headers: { host: 'localhost', 'content-type': 'application/json' },
    payload: JSON.stringify({ rig: 'x'.repeat(10_000_000) }),
  })
  expect([huge.statusCode, huge.json<{ error: { code: string } }>().error.code]).toEqual([413, 'too-large'])
})

describe('rig files', () => {
  const exported = async (id: string) =>
    (await kit.app.inject({ method: 'GET', url: `/api/rigs/${id}/file`, headers: { host: 'localhost' } })).body
  const read = (text: string, dry: boolean) => kit.ask('POST', '/api/rig-files', { text, dry })

  test('a dry run says what would happen and changes nothing; reading it in puts a second rig on the shelf', async () => {
    const text = await exported(secondMark.id)
    const before = ((await kit.ask('GET', '/api/rigs')).body as { rigs: unknown[] }).rigs.length
    expect((await read(text, true)).body).toMatchObject({
      ok: true,
      newParts: [],
      differing: [],
      rigId: `${secondMark.id}-2`,
    })
    expect(((await kit.ask('GET', '/api/rigs')).body as { rigs: unknown[] }).rigs).toHaveLength(before)
    expect((await read(text, false)).body).toMatchObject({ ok: true, rigId: `${secondMark.id}-2` })
    expect((await kit.ask('GET', `/api/rigs/${secondMark.id}-2`)).body).toMatchObject({
      revision: 1,
      rig: { ...secondMark, id: `${secondMark.id}-2` },
    })
    expect((await exported(`${secondMark.id}-2`)).replaceAll(`${secondMark.id}-2`, secondMark.id)).toBe(text)
  })

  test('a part the catalogue does not know comes along', async () => {
    const text = (await exported(secondMark.id)).replaceAll('crookneck-m5', 'somebodys-own-monitor')
    expect((await read(text, false)).body).toMatchObject({ ok: true, newParts: ['Crookneck 5 in monitor, 1,000 nit'] })
    expect((await kit.ask('GET', '/api/catalogue/somebodys-own-monitor')).status).toBe(200)
  })

  test('a bad file changes nothing and says where and why', async () => {
    const text = (await exported(secondMark.id))
      .replaceAll('"host": "cage"', '"host": "ghost"')
      .replaceAll('crookneck-m5', 'never-stored')
    const { status, body } = await read(text, false)
    expect(status).toBe(200)
    expect(body).toMatchObject({
      ok: false,
      issues: expect.arrayContaining([
        { path: expect.stringContaining('rig.setups[0].joints') as string, message: '"ghost" is not in the kit' },
      ]) as unknown,
    })
    expect((await kit.ask('GET', '/api/catalogue/never-stored')).status).toBe(404)
    expect((await read('{"a":', false)).body).toMatchObject({
      ok: false,
      issues: [{ message: expect.stringContaining('not JSON') as string }],
    })
  })
})
