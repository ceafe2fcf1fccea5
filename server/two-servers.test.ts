import type { Part } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { secondMark } from '@zucchini/demo/scenario'
import type { Frame } from '@zucchini/contract'
import type { ShelfEntry } from '@zucchini/contract'
import { type Kit, startKit } from './testing/kit.ts'

// Two servers on one database, each with everything it keeps in memory.
let one: Kit
let two: Kit
beforeAll(async () => {
  one = await startKit()
  two = await startKit({ keep: true })
})
afterAll(async () => {
  await one.close()
  await two.close()
})

const shipped = demoParts.find(({ id }) => id === 'typha-shoe-block') as Part
const price = {
  partId: 'calabash-85',
  seenOn: '2026-01-20',
  shop: 'a shop',
  amountMinor: 52_000,
  shippingMinor: 0,
  currency: 'EUR',
  used: false,
  available: true,
}

test('a part made on one is known to the other at once, and so is its going', async () => {
  const known = async (kit: Kit) =>
    ((await kit.ask('GET', '/api/catalogue')).body as { own: string[] }).own.includes('shared-part')
  expect([await known(one), await known(two)]).toEqual([false, false])
  const { tag } = (
    await one.ask('PUT', '/api/catalogue/shared-part', { part: { ...shipped, id: 'shared-part' }, was: null })
  ).body as {
    tag: string
  }
  expect([await known(one), await known(two)]).toEqual([true, true])
  expect((await two.ask('DELETE', `/api/catalogue/shared-part?was=${tag}`)).status).toBe(204)
  expect([await known(one), await known(two)]).toEqual([false, false])
})

test('a rig saved on one is read on the other, and both build one history', async () => {
  const name = async (kit: Kit) =>
    ((await kit.ask('GET', '/api/rigs/winter-ferry-2')).body as { rig: { name: string } }).rig.name
  await name(two)
  for (let base = 1; base <= 6; base++) {
    const kit = base % 2 ? one : two
    expect(
      (await kit.ask('PUT', '/api/rigs/winter-ferry-2', { base, rig: { ...secondMark, name: `edit ${base}` } })).status,
    ).toBe(200)
    expect([await name(one), await name(two)]).toEqual([`edit ${base}`, `edit ${base}`])
  }
  for (const kit of [one, two])
    for (let base = 1; base <= 6; base++)
      expect((await kit.ask('GET', `/api/rigs/winter-ferry-2/revisions/${base + 1}`)).body).toMatchObject({
        rig: { name: `edit ${base}` },
      })
  const names = async (kit: Kit) =>
    ((await kit.ask('GET', '/api/rigs')).body as { rigs: ShelfEntry[] }).rigs.map(({ name: text }) => text)
  expect(await names(one)).toEqual(await names(two))
})

test('prices and pieces of one count on the other', async () => {
  const usual = async (kit: Kit) =>
    ((await kit.ask('GET', '/api/prices')).body as { views: { partId: string; usual: number }[] }).views.find(
      ({ partId }) => partId === 'calabash-85',
    )?.usual
  expect([await usual(one), await usual(two)]).toEqual([undefined, undefined])
  await one.ask('POST', '/api/prices', price)
  await two.ask('POST', '/api/prices', { ...price, shop: 'another', amountMinor: 56_000 })
  expect([await usual(one), await usual(two)]).toEqual([54_000, 54_000])
  const pieces = async (kit: Kit) =>
    ((await kit.ask('GET', '/api/locker/pieces')).body as { pieces: unknown[] }).pieces.length
  const before = await pieces(two)
  await one.ask('PUT', '/api/locker/calabash-85', { was: 0, pieces: 2 })
  expect([await pieces(one), await pieces(two)]).toEqual([before + 2, before + 2])
})

test('after a restore on one nothing the other kept is built upon', async () => {
  const backup = (await one.app.inject({ url: '/api/backup', headers: { host: '127.0.0.1' } })).body
  await two.ask('PUT', '/api/rigs/winter-ferry-2', { base: 7, rig: { ...secondMark, name: 'after the backup' } })
  const answer = await one.app.inject({
    method: 'POST',
    url: '/api/restore?dry=no&replace=yes',
    headers: { host: '127.0.0.1', 'content-type': 'application/vnd.zucchini.backup' },
    payload: backup,
  })
  expect(answer.statusCode).toBe(200)
  expect((await two.ask('GET', '/api/rigs/winter-ferry-2')).body).toMatchObject({
    rig: { name: 'edit 6' },
    revision: 7,
  })
  expect(
    (await two.ask('PUT', '/api/rigs/winter-ferry-2', { base: 7, rig: { ...secondMark, name: 'after the restore' } }))
      .status,
  ).toBe(200)
  expect((await one.ask('GET', '/api/rigs/winter-ferry-2/revisions/8')).body).toMatchObject({
    rig: { name: 'after the restore' },
  })
})

test('a rehearsal begun on one is paused on the other', async () => {
  const { id } = (await one.ask('POST', '/api/rehearsals', { rig: secondMark, setup: 'crossing' })).body as {
    id: string
  }
  const paused = (await two.ask('POST', `/api/rehearsals/${id}`, { paused: true, celsius: -8 })).body as Frame
  expect(paused).toMatchObject({ paused: true, disturbance: { celsius: -8 } })
  const seen = (await one.ask('POST', `/api/rehearsals/${id}`, {})).body as Frame
  expect(seen).toMatchObject({ paused: true, disturbance: { celsius: -8 } })
  expect((await two.ask('DELETE', `/api/rehearsals/${id}`)).status).toBe(204)
  expect((await two.ask('POST', `/api/rehearsals/${id}`, {})).status).toBe(404)
})
