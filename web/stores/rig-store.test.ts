import { setImmediate as nextTurn } from 'node:timers/promises'
import { mock } from 'node:test'
import type { Rig } from '@zucchini/core/assembly'
import type { Part } from '@zucchini/core/catalogue'
import { createPinia, setActivePinia } from 'pinia'
import { on, plug, tinyCamera, tinyPart, tinyRig } from '../../core/testing/index.ts'
import type { Reckoning } from '@zucchini/contract'
import { plainRules } from '@zucchini/core/money'
import { useContext } from './context.ts'
import { readDraft } from './draft.ts'
import { useRig } from './rig.ts'

const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4')] })
const { rig } = tinyRig([cube], [on('cube', 'foot', 'camera', 'hole')])

interface Server {
  rig: Rig
  revision: number
  parts: readonly Part[]
  gone: readonly Part[]
  /** Every revision there is, by its number. */
  past: Map<number, Rig>
  line: { undo: number[]; redo: number[] }
  away: boolean
  down: boolean
  /** Saves, but its answer is lost on the way. */
  deaf: boolean
  slowMs: number
  /** Refuses every save with this. */
  refuses: { status: number; code: string; message: string } | undefined
  saves: { same?: number; grewFrom?: number; base: number }[]
}
let server: Server

const answer = (status: number, body: unknown) => ({ ok: status < 400, status, json: async () => body })
const refusal = (status: number, code: string, more: object = {}) =>
  answer(status, { error: { code, message: code, ...more } })
const reckoning: Reckoning = { home: 'EUR', rules: plainRules, feed: { on: false, seed: 1 } }
const serve = async (path: string, init: { method: string; body?: string }) => {
  if (server.down) throw new TypeError('no connection')
  if (path === '/api/catalogue') return answer(200, { parts: server.parts, own: [], gone: server.gone })
  if (path === '/api/locker/pieces') return answer(200, { today: '2026-11-25', pieces: [] })
  if (path === '/api/prices')
    return answer(200, { ...reckoning, today: '2026-11-25', views: [], watches: [], notices: [], rates: [] })
  if (path === '/api/operator') return answer(200, { strengthNm: 60, armMassG: 3500, calibrated: false, limits: {} })
  if (path === '/api/rigs/tiny/line') return answer(200, server.line)
  const [, number] = /^\/api\/rigs\/tiny\/revisions\/(\d+)$/.exec(path) ?? []
  if (number)
    return answer(200, {
      rig: server.past.get(Number(number)),
      revision: Number(number),
      note: '',
      savedAt: '',
      name: null,
    })
  const now = () => ({ rig: server.rig, revision: server.revision, updatedAt: '2026-11-02T10:00:00.000Z' })
  if (path.endsWith('/put-back')) {
    server.away = false
    return answer(200, now())
  }
  if (path === '/api/rigs' && init.method === 'POST') {
    const made = JSON.parse(init.body ?? '{}') as { rig: Rig }
    return answer(201, { rig: made.rig, revision: 1, updatedAt: '2026-11-02T10:00:00.000Z' })
  }
  if (server.away) return refusal(410, 'rig-put-away')
  if (init.method === 'GET') return answer(200, now())
  if (server.refuses) return answer(server.refuses.status, { error: server.refuses })
  const { rig: sent, ...body } = JSON.parse(init.body ?? '{}') as {
    base: number
    rig: Rig
    same?: number
    grewFrom?: number
  }
  if (body.base !== server.revision) return refusal(409, 'saved-elsewhere', { theirs: now() })
  server.saves.push(body)
  server = { ...server, rig: sent, revision: server.revision + 1 }
  server.past.set(server.revision, sent)
  if (server.deaf) throw new TypeError('connection lost')
  const saved = { revision: server.revision, updatedAt: '2026-11-02T10:00:00.000Z' }
  if (server.slowMs > 0) await new Promise((resolve) => setTimeout(resolve, server.slowMs))
  return answer(200, saved)
}

beforeEach(() => {
  setActivePinia(createPinia())
  localStorage.clear()
  server = {
    rig,
    revision: 1,
    parts: [tinyCamera, cube],
    gone: [],
    past: new Map([[1, rig]]),
    line: { undo: [], redo: [] },
    away: false,
    down: false,
    deaf: false,
    slowMs: 0,
    refuses: undefined,
    saves: [],
  }
  globalThis.fetch = serve as unknown as typeof fetch
  mock.timers.enable({ apis: ['setTimeout', 'setInterval', 'Date'] })
})
afterEach(() => mock.timers.reset())

const open = async () => {
  const store = useRig()
  await store.open('tiny')
  return store
}
const STEP_MS = 10
/** Time goes on; whatever waits for an answer gets it in between. */
const settle = async (ms = 400) => {
  for (let gone = 0; gone < ms; gone += STEP_MS) {
    await nextTurn()
    mock.timers.tick(Math.min(STEP_MS, ms - gone))
  }
  await nextTurn()
}
const named = (name: string) => [{ do: 'rename' as const, name }]

test('an edit is saved by itself, undone and saved again', async () => {
  const store = await open()
  store.apply(named('changed'), 'rename')
  expect(store.saveState).toBe('saving')
  await settle()
  expect([store.saveState, server.rig.name, server.revision]).toEqual(['saved', 'changed', 2])
  await store.undo()
  await settle()
  expect([server.rig, store.canUndo, store.canRedo]).toEqual([rig, false, true])
  // The edit grew from the first revision, the undo is the same as it.
  expect(server.saves).toEqual([
    { base: 1, grewFrom: 1, note: 'rename' },
    { base: 2, same: 1, note: 'undo' },
  ])
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
  store.apply(named('kept'), 'rename')
  await settle()
  expect([store.saveState, readDraft('tiny')?.rig.name]).toEqual(['waiting', 'kept'])
  expect(store.waitingFor).toContain('kept in this browser')
  server.down = false
  await settle(4000)
  expect([store.saveState, server.rig.name, readDraft('tiny')]).toEqual(['saved', 'kept', undefined])
})

test.each([
  [503, 'database-down', 'Storage is down'],
  [507, 'disk-full', 'The disk is full'],
])('a server without storage (%i) is told as such, and the edit goes on by itself', async (status, code, words) => {
  const store = await open()
  server.refuses = { status, code, message: code }
  store.apply(named('patient'), 'rename')
  await settle()
  expect([store.saveState, store.waitingFor.startsWith(words)]).toEqual(['waiting', true])
  server.refuses = undefined
  await settle(4000)
  expect([store.saveState, server.rig.name]).toEqual(['saved', 'patient'])
})

test('a refusal is an answer: it is told and not tried again, and the next edit is', async () => {
  const store = await open()
  server.refuses = { status: 422, code: 'unsound-rig', message: 'It does not hold together.' }
  store.apply(named('refused'), 'rename')
  await settle()
  expect([store.saveState, store.refused]).toEqual(['refused', 'It does not hold together.'])
  server.refuses = undefined
  await settle(20_000)
  expect(server.revision).toBe(1)
  store.apply(named('better'), 'rename')
  await settle()
  expect([store.saveState, server.rig.name]).toEqual(['saved', 'better'])
})

test('a page closed before its edit arrived takes it up again', async () => {
  const first = await open()
  server.down = true
  first.apply(named('unsent'), 'rename')
  await settle()
  setActivePinia(createPinia())
  server.down = false
  const second = await open()
  expect(second.rig?.name).toBe('unsent')
  await settle()
  expect(server.rig.name).toBe('unsent')
})

test('a page closed after its edit arrived but before it heard so opens without a conflict', async () => {
  const first = await open()
  server.deaf = true
  first.apply(named('arrived'), 'rename')
  await settle()
  expect(readDraft('tiny')?.rig.name).toBe('arrived')
  setActivePinia(createPinia())
  server.deaf = false
  const second = await open()
  expect([second.saveState, second.theirs, second.rig?.name, readDraft('tiny')]).toEqual([
    'saved',
    undefined,
    'arrived',
    undefined,
  ])
})

test('two windows: the second save meets the first, and nothing is lost whichever is chosen', async () => {
  const store = await open()
  server = { ...server, rig: { ...rig, name: 'theirs' }, revision: 2 }
  store.apply(named('mine'), 'rename')
  await settle()
  expect([store.saveState, store.theirs?.rig.name, server.rig.name]).toEqual(['conflict', 'theirs', 'theirs'])
  await store.takeTheirs()
  expect(store.rig?.name).toBe('theirs')
  await store.undo()
  expect(store.rig?.name).toBe('mine')
  await settle()
  expect([server.rig.name, server.revision]).toEqual(['mine', 3])
})

test('going on with mine saves over the newer revision, which stays in the history', async () => {
  const store = await open()
  server = { ...server, rig: { ...rig, name: 'theirs' }, revision: 2 }
  store.apply(named('mine'), 'rename')
  await settle()
  store.keepMine()
  await settle()
  expect([store.saveState, server.rig.name, server.revision]).toEqual(['saved', 'mine', 3])
})

test('with nothing unsaved the other window’s version is taken over at once, told in one line, and undo brings this one back', async () => {
  const store = await open()
  server = { ...server, rig: { ...rig, name: 'theirs' }, revision: 2 }
  await store.look()
  expect([store.saveState, store.theirs, store.rig?.name]).toEqual(['saved', undefined, 'theirs'])
  expect(store.notice).toContain('revision 2')
  await store.undo()
  await settle()
  expect([store.rig?.name, server.rig.name, server.revision]).toEqual([rig.name, rig.name, 3])
})

test('a save whose answer was lost is recognised as our own when it is tried again', async () => {
  const store = await open()
  server.deaf = true
  store.apply(named('heard'), 'rename')
  await settle()
  expect([store.saveState, server.revision]).toEqual(['waiting', 2])
  server.deaf = false
  await settle(4000)
  expect([store.saveState, store.revision, server.revision, store.theirs]).toEqual(['saved', 2, 2, undefined])
})

test('going from one screen to another while a save is under way is no conflict', async () => {
  const store = await open()
  server.slowMs = 500
  store.apply(named('one'), 'rename')
  await settle(300)
  await store.open('tiny')
  store.apply(named('two'), 'rename')
  await settle(3000)
  expect([store.saveState, server.rig.name, server.revision, store.canUndo]).toEqual(['saved', 'two', 3, true])
})

test('undone and redone in one breath, there is nothing to send and it is saved', async () => {
  const store = await open()
  store.apply(named('kept'), 'rename')
  await settle()
  await store.undo()
  await store.redo()
  await settle()
  expect([store.saveState, server.rig.name, server.revision, readDraft('tiny')]).toEqual([
    'saved',
    'kept',
    2,
    undefined,
  ])
})

describe('after a reload', () => {
  const older = (name: string): Rig => ({ ...rig, name })
  beforeEach(() => {
    server.past = new Map([
      [1, older('one')],
      [2, older('two')],
      [3, older('three')],
    ])
    server = { ...server, rig: older('three'), revision: 3, line: { undo: [2, 1], redo: [] } }
  })

  test('undo and redo go on through the saved revisions, each step a new one', async () => {
    const store = await open()
    await settle()
    expect([store.canUndo, store.canRedo]).toEqual([true, false])
    await store.undo()
    await settle()
    await store.undo()
    await settle()
    expect([store.rig?.name, store.canUndo, store.canRedo, server.revision]).toEqual(['one', false, true, 5])
    await store.redo()
    await settle()
    expect([store.rig?.name, server.rig.name]).toEqual(['two', 'two'])
    expect(server.saves.map(({ same }) => same)).toEqual([2, 1, 2])
  })
  test('an edit after that ends redo and grows from where it was made', async () => {
    const store = await open()
    await settle()
    await store.undo()
    await settle()
    store.apply(named('other'), 'rename')
    await settle()
    expect([store.canRedo, server.saves.at(-1)?.grewFrom]).toEqual([false, 2])
    await store.undo()
    await settle()
    await store.undo()
    await settle()
    expect([server.rig.name, store.canUndo]).toEqual(['one', false])
  })
  test('what redo led to before the reload is still there', async () => {
    server = { ...server, rig: older('one'), line: { undo: [], redo: [2, 3] } }
    const store = await open()
    await settle()
    await store.redo()
    await settle()
    await store.redo()
    await settle()
    expect([store.rig?.name, store.canRedo, server.rig.name]).toEqual(['three', false, 'three'])
  })
  test('going back to a revision is an edit like any other', async () => {
    const store = await open()
    await settle()
    await store.goTo(1)
    await settle()
    expect([server.rig.name, server.saves.at(-1)]).toMatchObject(['one', { grewFrom: 3 }])
    await store.undo()
    expect(store.rig?.name).toBe('three')
  })
})

describe('a rig that was taken off the shelf elsewhere', () => {
  const meet = async () => {
    const store = await open()
    server.away = true
    store.apply(named('mine'), 'rename')
    await settle()
    expect(store.saveState).toBe('removed')
    await settle(20_000)
    expect([store.saveState, readDraft('tiny')?.rig.name]).toEqual(['removed', 'mine'])
    return store
  }
  test('is put back, and what was unsaved goes on from there', async () => {
    const store = await meet()
    await store.putBack()
    await settle()
    expect([store.saveState, server.rig.name]).toEqual(['saved', 'mine'])
  })
  test('or becomes a new rig', async () => {
    const store = await meet()
    expect(await store.saveAsNew()).toMatch(/^tiny-/)
    expect(readDraft('tiny')).toBeUndefined()
  })
})

describe('parts that are not there', () => {
  const foot = tinyPart({ id: 'own-foot', mounts: [plug('foot', 'thread-1/4')] })
  const withFoot: Rig = {
    ...rig,
    kit: rig.kit.map((one) => (one.id === 'cube' ? { ...one, partId: 'own-foot' } : one)),
  }

  test('a part made in another window is read once, and nothing is said', async () => {
    const store = await open()
    server = { ...server, rig: withFoot, revision: 2, parts: [...server.parts, foot] }
    await store.look()
    expect([
      store.rig,
      store.notice.includes('mend'),
      store.assessment?.findings.some(({ check }) => check === 'part-gone'),
    ]).toEqual([withFoot, false, false])
  })
  test('put on, undone, taken out of the catalogue, redone: it is still drawn, by its last data', async () => {
    server.parts = [tinyCamera, cube, foot]
    const store = await open()
    store.apply([{ do: 'swap', instance: 'cube', partId: 'own-foot' }], 'swap')
    await store.undo()
    server = { ...server, parts: [tinyCamera, cube], gone: [foot] }
    await useContext().reload()
    await store.redo()
    expect(store.assessment?.assembly.byInstance.get('cube')?.part).toMatchObject({ id: 'own-foot', massG: 100 })
    expect(store.assessment?.findings.find(({ check }) => check === 'part-gone')).toMatchObject({
      message: 'taken-out',
    })
  })
  test('nobody knows it any more: a block stands for it, one line says so, and it can be swapped', async () => {
    server.rig = withFoot
    const store = await open()
    expect(store.notice).toContain('“own-foot” is no longer known')
    expect(store.assessment?.assembly.placed.map(({ instance }) => instance.id)).toEqual(['camera', 'cube'])
    expect(store.assessment?.findings.find(({ check }) => check === 'part-gone')).toMatchObject({
      message: 'placeholder',
      level: 'risk',
    })
    expect(store.apply([{ do: 'swap', instance: 'cube', partId: 'cube' }], 'swap')).toBe(true)
    expect(store.assessment?.findings.some(({ check }) => check === 'part-gone')).toBe(false)
  })
  test('a part that vanishes under the open rig is stood in for, not lost', async () => {
    server = { ...server, rig: withFoot, parts: [tinyCamera, cube, foot] }
    const store = await open()
    expect(store.assessment).toBeDefined()
    server.parts = [tinyCamera, cube]
    await useContext().reload()
    await settle()
    expect(store.assessment?.assembly.byInstance.has('cube')).toBe(true)
  })
  test('a rig nothing can be made of is refused in words that say where it is kept', async () => {
    server.rig = { ...rig, kit: rig.kit.filter(({ id }) => id !== 'camera') }
    await expect(open()).rejects.toThrow(/can’t be laid out\. What everything hangs on.* Go back in its history/)
  })
})
