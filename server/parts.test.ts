import type { Rig } from '@zucchini/core/assembly'
import type { Part } from '@zucchini/core/catalogue'
import { secondMark } from '@zucchini/demo/scenario'
import { demoParts } from '@zucchini/demo/catalogue'
import { rigEntity } from './features/rigs/entity.ts'
import type { ShelfEntry } from '@zucchini/contract'
import { type Kit, startKit } from './testing/kit.ts'

let kit: Kit
beforeAll(async () => {
  kit = await startKit()
})
afterAll(() => kit.close())

const shipped = demoParts.find(({ id }) => id === 'typha-shoe-block') as Part
const own = (id: string, more: Partial<Part> = {}): Part => ({ ...shipped, id, name: `my ${id}`, ...more })
const put = (part: unknown, was: string | null, id = (part as Part).id) =>
  kit.ask('PUT', `/api/catalogue/${id}`, { part, was })
const known = async (id: string) => (await kit.ask('GET', `/api/catalogue/${id}`)).body as Part
const code = (body: unknown) => (body as { error: { code: string } }).error.code

test('a part of one’s own is stored, found again and told apart from those that came along', async () => {
  const { status, body } = await put(own('my-block'), null)
  expect([status, typeof (body as { tag: string }).tag]).toEqual([200, 'string'])
  expect(await known('my-block')).toEqual(own('my-block'))
  const all = (await kit.ask('GET', '/api/catalogue')).body as { parts: Part[]; own: string[] }
  expect(all.own).toEqual(['my-block'])
  expect(all.parts.some(({ id }) => id === 'my-block')).toBe(true)
})

test('a change is made over the data it came from, or not at all', async () => {
  const first = (await put(own('torn-block'), null)).body as { tag: string }
  expect((await put(own('torn-block', { massG: 20 }), first.tag)).status).toBe(200)
  const late = await put(own('torn-block', { massG: 30 }), first.tag)
  expect([late.status, code(late.body)]).toEqual([409, 'part-changed'])
  expect((await known('torn-block')).massG).toBe(20)
  const { tag } = (await kit.ask('GET', '/api/catalogue/torn-block/tag')).body as { tag: string }
  expect((await put(own('torn-block', { massG: 30 }), tag)).status).toBe(200)
})

test('of many new parts with one id at once exactly one is stored', async () => {
  const answers = await Promise.all(
    Array.from({ length: 8 }, (_, i) => put(own('race-block', { massG: 20 + i }), null)),
  )
  expect(answers.filter(({ status }) => status === 200)).toHaveLength(1)
  expect(answers.filter(({ status, body }) => status === 409 && code(body) === 'part-exists')).toHaveLength(7)
})

test('rigs stored by an older version are read as today’s, also when a part is changed', async () => {
  const first = JSON.parse(
    JSON.stringify({ ...secondMark, id: 'from-before', name: 'from before', version: 1 }),
  ) as Record<string, never> & { brief: object; setups: object[] }
  const plain = (object: object, ...fields: string[]) =>
    Object.fromEntries(Object.entries(object).filter(([key]) => !fields.includes(key)))
  const doc = {
    ...first,
    brief: plain(first.brief, 'wideMm'),
    setups: first.setups.map((setup) => plain(setup, 'orientation', 'capG', 'braces', 'poses', 'links')),
  }
  const now = new Date()
  await kit.db.getRepository(rigEntity).insert({
    id: 'from-before',
    revision: 1,
    name: 'from before',
    doc: doc as never,
    createdAt: now,
    updatedAt: now,
    removedAt: null,
  })
  const { body } = await kit.ask('GET', '/api/rigs/from-before')
  expect(body).toMatchObject({
    rig: {
      version: 6,
      setups: expect.arrayContaining([expect.objectContaining({ braces: [], links: [] })]) as unknown,
    },
  })
  const { tag } = (await put(own('beside-it'), null)).body as { tag: string }
  expect((await put(own('beside-it', { massG: 16 }), tag)).status).toBe(200)
})

test('shipped parts stay as they are; ids are taken once; strangers are not changed', async () => {
  expect(code((await put({ ...shipped, massG: 1 }, null)).body)).toBe('part-exists')
  const { tag } = (await kit.ask('GET', `/api/catalogue/${shipped.id}/tag`)).body as { tag: string }
  expect(code((await put({ ...shipped, massG: 1 }, tag)).body)).toBe('part-shipped')
  expect(code((await kit.ask('DELETE', `/api/catalogue/${shipped.id}?was=${tag}`)).body)).toBe('part-shipped')
  expect(code((await put(own('nobody'), 'abc')).body)).toBe('part-unknown')
  expect(code((await kit.ask('DELETE', '/api/catalogue/nobody?was=abc')).body)).toBe('part-unknown')
  expect(await known(shipped.id)).toEqual(shipped)
})

test.each<[string, object, string, RegExp]>([
  ['a negative mass', { massG: -4 }, 'malformed', /massG/],
  ['no solids', { solids: [] }, 'malformed', /solids/],
  [
    'prices the wrong way round',
    { price: { low: 9, usual: 5, high: 7 } },
    'malformed',
    /rise from low over usual to high/,
  ],
  [
    'a mount in the air',
    { mounts: shipped.mounts.map((mount) => ({ ...mount, at: [0, 90, 0] })) },
    'unsound-part',
    /hangs in the air/,
  ],
  [
    'a standard nobody knows',
    { mounts: shipped.mounts.map((mount) => ({ ...mount, standard: 'glue' })) },
    'unsound-part',
    /glue/,
  ],
  [
    'one mount id twice',
    { mounts: shipped.mounts.map((mount) => ({ ...mount, id: 'same' })) },
    'unsound-part',
    /used twice/,
  ],
  [
    'a crooked mount',
    { mounts: shipped.mounts.map((mount) => ({ ...mount, up: mount.out })) },
    'unsound-part',
    /square/,
  ],
  [
    'a hinge that moves nothing',
    {
      hinges: [
        {
          id: 'h',
          label: 'h',
          at: [0, 0, 0],
          axis: [0, 1, 0],
          solids: [9],
          mounts: ['ghost'],
          positions: [
            { id: 'a', label: 'a', deg: 0 },
            { id: 'b', label: 'b', deg: 9 },
          ],
        },
      ],
    },
    'unsound-part',
    /ghost/,
  ],
])('refused with words, nothing stored: %s', async (_, spoil, wanted, words) => {
  const { status, body } = await put({ ...own('spoilt'), ...spoil }, null)
  expect([status >= 400 && status < 500, code(body)]).toEqual([true, wanted])
  expect(JSON.stringify(body)).toMatch(words)
  expect((await kit.ask('GET', '/api/catalogue/spoilt')).status).toBe(404)
})

test('the address and the part must name the same', async () => {
  expect(code((await put(own('one-name'), null, 'another-name')).body)).toBe('malformed')
})

test('a part that holds a rig together can not be taken away or lose the mount in use', async () => {
  const { tag } = (await put(own('rig-block'), null)).body as { tag: string }
  const rig = {
    ...secondMark,
    id: 'on-mine',
    name: 'on mine',
    kit: secondMark.kit.map((piece) => (piece.id === 'block' ? { ...piece, partId: 'rig-block' } : piece)),
  }
  expect((await kit.ask('POST', '/api/rigs', { rig, note: 'new' })).status).toBe(201)
  const gone = await kit.ask('DELETE', `/api/catalogue/rig-block?was=${tag}`)
  expect([code(gone.body), JSON.stringify(gone.body)]).toEqual(['part-holds-rigs', expect.stringContaining('on mine')])
  expect(code((await put(own('rig-block', { mounts: shipped.mounts.slice(0, 1) }), tag)).body)).toBe('part-holds-rigs')
  const { tag: now } = (await put(own('rig-block', { massG: 15 }), tag)).body as { tag: string }
  expect((await kit.ask('DELETE', '/api/rigs/on-mine?base=1')).status).toBe(204)
  // Decided while looking at other data than there are now: not done.
  expect(code((await kit.ask('DELETE', `/api/catalogue/rig-block?was=${tag}`)).body)).toBe('part-changed')
  await kit.ask('PUT', '/api/locker/rig-block', { was: 0, pieces: 1 })
  expect(code((await kit.ask('DELETE', `/api/catalogue/rig-block?was=${now}`)).body)).toBe('part-owned')
  await kit.ask('PUT', '/api/locker/rig-block', { was: 1, pieces: 0 })
  expect((await kit.ask('DELETE', `/api/catalogue/rig-block?was=${now}`)).status).toBe(204)
})

test('a part taken out keeps its last data for the rigs that used it: they come back whole, and so does the part', async () => {
  const catalogue = async () =>
    (await kit.ask('GET', '/api/catalogue')).body as { parts: Part[]; own: string[]; gone: Part[] }
  const { parts, gone } = await catalogue()
  expect(parts.some(({ id }) => id === 'rig-block')).toBe(false)
  expect(gone).toEqual([own('rig-block', { massG: 15 })])
  // The rig that used it goes back on the shelf and is saved again as it is.
  const back = await kit.ask('POST', '/api/rigs/on-mine/put-back')
  expect(back.status).toBe(200)
  const { rig } = back.body as { rig: Rig }
  expect((await kit.ask('PUT', '/api/rigs/on-mine', { base: 1, rig: { ...rig, name: 'still on mine' } })).status).toBe(
    200,
  )
  expect((await kit.ask('GET', '/api/rigs')).status).toBe(200)
  // Nobody can own it or price it as if it were on offer; it can be brought back, once.
  expect((await kit.ask('POST', '/api/catalogue/rig-block/bring-back')).status).toBe(204)
  expect((await catalogue()).own).toContain('rig-block')
  expect(code((await kit.ask('POST', '/api/catalogue/rig-block/bring-back')).body)).toBe('part-unknown')
})

test('a rig whose part is lost for good still opens and can be saved; a new one may not name it', async () => {
  await put(own('lost-block'), null)
  const lost = {
    ...secondMark,
    id: 'on-lost',
    name: 'on lost',
    kit: secondMark.kit.map((piece) => (piece.id === 'block' ? { ...piece, partId: 'lost-block' } : piece)),
  }
  await kit.ask('POST', '/api/rigs', { rig: lost, note: 'new' })
  await kit.db.query("DELETE FROM part WHERE id = 'lost-block'")
  await kit.db.query("UPDATE world SET number = number + 1 WHERE name = 'catalogue'")
  expect((await kit.ask('PUT', '/api/rigs/on-lost', { base: 1, rig: { ...lost, name: 'renamed' } })).status).toBe(200)
  expect(code((await kit.ask('POST', '/api/rigs', { rig: { ...lost, id: 'copy-of-lost' }, note: '' })).body)).toBe(
    'unsound-rig',
  )
  await kit.ask('GET', '/api/rigs')
  await kit.shelf.settled()
  const { rigs } = (await kit.ask('GET', '/api/rigs')).body as { rigs: ShelfEntry[] }
  expect(rigs.find(({ id }) => id === 'on-lost')).toMatchObject({ fresh: true, why: null, summary: { mended: 1 } })
  expect(rigs.every(({ summary }) => summary !== null)).toBe(true)
})

test('the operator is an average adult until a timed hold says otherwise', async () => {
  const average = { strengthNm: 60, armMassG: 3500, calibrated: false, limits: {} }
  expect((await kit.ask('GET', '/api/operator')).body).toEqual(average)
  expect((await kit.ask('PUT', '/api/operator', { strengthNm: 72.5, armMassG: 3500 })).body).toMatchObject({
    strengthNm: 72.5,
    calibrated: true,
  })
  expect((await kit.ask('GET', '/api/operator')).body).toMatchObject({ strengthNm: 72.5 })
  expect((await kit.ask('PUT', '/api/operator', { strengthNm: 0, armMassG: 3500 })).status).toBe(400)
  expect((await kit.ask('DELETE', '/api/operator')).body).toEqual(average)
})
