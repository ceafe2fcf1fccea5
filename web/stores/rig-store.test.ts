import { jest } from '@jest/globals'
import type { Rig } from '@zucchini/core/assembly'
import { createPinia, setActivePinia } from 'pinia'
import { on, plug, tinyCamera, tinyPart, tinyRig } from '../../core/testing/index.ts'

jest.unstable_mockModule('../workers/client.ts', () => ({ benchWorker: () => ({ setShelf: async () => undefined }) }))
const { useRig } = await import('./rig.ts')
const { readDraft } = await import('./draft.ts')

const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4')] })
const { rig } = tinyRig([cube], [on('cube', 'foot', 'camera', 'hole')])

interface Server {
  rig: Rig
  revision: number
  down: boolean
  /** Saves, but its answer is lost on the way. */
  deaf: boolean
  slowMs: number
}
let server: Server

const answer = (status: number, body: unknown) => ({ ok: status < 400, status, json: async () => body })
const serve = async (path: string, init: { method: string; body?: string }) => {
  if (server.down) throw new TypeError('no connection')
  if (path === '/api/catalogue') return answer(200, { parts: [tinyCamera, cube] })
  if (path === '/api/locker/pieces') return answer(200, { today: '2026-11-25', pieces: [] })
  if (path === '/api/prices') return answer(200, { today: '2026-11-25', home: 'EUR', views: [], watches: [], notices: [], rates: [] })
  const now = () => ({ rig: server.rig, revision: server.revision, updatedAt: '2026-11-02T10:00:00.000Z' })
  if (init.method === 'GET') return answer(200, now())
  const body = JSON.parse(init.body ?? '{}') as { base: number; rig: Rig }
  if (body.base !== server.revision) return answer(409, { error: { code: 'saved-elsewhere', message: 'saved elsewhere', theirs: now() } })
  server = { ...server, rig: body.rig, revision: server.revision + 1 }
  if (server.deaf) throw new TypeError('connection lost')
  const saved = now()
  if (server.slowMs > 0) await new Promise((resolve) => setTimeout(resolve, server.slowMs))
  if (server.slowMs > 0) return answer(200, saved)
  return answer(200, now())
}

beforeEach(() => {
  setActivePinia(createPinia())
  localStorage.clear()
  server = { rig, revision: 1, down: false, deaf: false, slowMs: 0 }
  globalThis.fetch = serve as unknown as typeof fetch
  jest.useFakeTimers()
})
afterEach(() => jest.useRealTimers())

const open = async () => {
  const store = useRig()
  await store.open('tiny')
  return store
}
const settle = (ms = 400) => jest.advanceTimersByTimeAsync(ms)

test('an edit is saved by itself, undone and saved again', async () => {
  const store = await open()
  store.apply([{ do: 'rename', name: 'changed' }], 'rename')
  expect(store.saveState).toBe('saving')
  await settle()
  expect([store.saveState, server.rig.name, server.revision]).toEqual(['saved', 'changed', 2])
  store.undo()
  await settle()
  expect([server.rig, store.canUndo, store.canRedo]).toEqual([rig, false, true])
})

test('an edit that can not be done changes nothing and says why', async () => {
  const store = await open()
  expect(store.apply([{ do: 'drop-setup', setup: 'main' }], 'drop')).toBe(false)
  expect(store.refused).toBe('A rig keeps at least one set-up.')
  await settle()
  expect(server.revision).toBe(1)
})

test('while the server is away edits wait, are kept in the browser, and arrive when it is back', async () => {
  const store = await open()
  server.down = true
  store.apply([{ do: 'rename', name: 'kept' }], 'rename')
  await settle()
  expect([store.saveState, readDraft('tiny')?.rig.name]).toEqual(['waiting', 'kept'])
  server.down = false
  await settle(4000)
  expect([store.saveState, server.rig.name, readDraft('tiny')]).toEqual(['saved', 'kept', undefined])
})

test('a page closed before its edit arrived takes it up again', async () => {
  const first = await open()
  server.down = true
  first.apply([{ do: 'rename', name: 'unsent' }], 'rename')
  await settle()
  setActivePinia(createPinia())
  server.down = false
  const second = await open()
  expect(second.rig?.name).toBe('unsent')
  await settle()
  expect(server.rig.name).toBe('unsent')
})

test('two windows: the second save meets the first, and nothing is lost whichever is chosen', async () => {
  const store = await open()
  server = { ...server, rig: { ...rig, name: 'theirs' }, revision: 2 }
  store.apply([{ do: 'rename', name: 'mine' }], 'rename')
  await settle()
  expect([store.saveState, store.theirs?.rig.name, server.rig.name]).toEqual(['conflict', 'theirs', 'theirs'])
  store.takeTheirs()
  expect(store.rig?.name).toBe('theirs')
  store.undo()
  expect(store.rig?.name).toBe('mine')
  await settle()
  expect([server.rig.name, server.revision]).toEqual(['mine', 3])
})

test('going on with mine saves over the newer revision, which stays in the history', async () => {
  const store = await open()
  server = { ...server, rig: { ...rig, name: 'theirs' }, revision: 2 }
  store.apply([{ do: 'rename', name: 'mine' }], 'rename')
  await settle()
  store.keepMine()
  await settle()
  expect([store.saveState, server.rig.name, server.revision]).toEqual(['saved', 'mine', 3])
})

test('a save whose answer was lost is recognised as our own when it is tried again', async () => {
  const store = await open()
  server.deaf = true
  store.apply([{ do: 'rename', name: 'heard' }], 'rename')
  await settle()
  expect([store.saveState, server.revision]).toEqual(['waiting', 2])
  server.deaf = false
  await settle(4000)
  expect([store.saveState, store.revision, server.revision, store.theirs]).toEqual(['saved', 2, 2, undefined])
})

test('going from one screen to another while a save is under way is no conflict', async () => {
  const store = await open()
  server.slowMs = 500
  store.apply([{ do: 'rename', name: 'one' }], 'rename')
  await settle(300)
  await store.open('tiny')
  store.apply([{ do: 'rename', name: 'two' }], 'rename')
  await settle(3000)
  expect([store.saveState, server.rig.name, server.revision, store.canUndo]).toEqual(['saved', 'two', 3, true])
})

test('undone and redone in one breath, there is nothing to send and it is saved', async () => {
  const store = await open()
  store.apply([{ do: 'rename', name: 'kept' }], 'rename')
  await settle()
  store.undo()
  store.redo()
  await settle()
  expect([store.saveState, server.rig.name, server.revision, readDraft('tiny')]).toEqual(['saved', 'kept', 2, undefined])
})
