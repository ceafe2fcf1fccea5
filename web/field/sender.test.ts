import type { FieldEntry } from '@zucchini/core/log'
import fc from 'fast-check'
import { createPinia, setActivePinia } from 'pinia'
import { useField } from '../stores/field.ts'
import { browserOutbox } from './outbox.ts'
import { AT_ONCE, Sender } from './sender.ts'

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`
const tick = (n: number): FieldEntry => ({
  id: uuid(n),
  rigId: 'ferry',
  revision: 1,
  at: '2026-11-17T19:00:00.000Z',
  what: { kind: 'tick', list: 'pack', key: `line ${n}`, on: true },
})

class Refused extends Error {
  readonly status: number
  constructor(status: number) {
    super(String(status))
    this.status = status
  }
}

let outboxes = 0
/** A sender before a server that loses requests, loses answers, or refuses, as it is told. */
const world = (behave: (entries: readonly FieldEntry[]) => 'ok' | 'lost' | 'unheard' | number) => {
  const stored: FieldEntry[] = []
  const refused: string[] = []
  const waits: (() => void)[] = []
  const outbox = browserOutbox(`test ${++outboxes}`)
  const sender = new Sender({
    outbox,
    send: (entries) => {
      const how = behave(entries)
      if (typeof how === 'number') return Promise.reject(new Refused(how))
      if (how === 'lost') return Promise.reject(new TypeError('Failed to fetch'))
      // As the server does it: what it has it does not store again.
      for (const entry of entries) if (!stored.some(({ id }) => id === entry.id)) stored.push(entry)
      if (how === 'unheard') return Promise.reject(new TypeError('Failed to fetch'))
      return Promise.resolve({ kept: entries.map(({ id }) => id), strange: [] })
    },
    statusOf: (error) => (error instanceof Refused ? error.status : undefined),
    changed: () => undefined,
    lost: (entries) => refused.push(...entries.map(({ id }) => id)),
    later: (_, again) => void waits.push(again),
  })
  return { stored, refused, waits, outbox, sender }
}

it('two hundred ticks over a network that drops requests and answers arrive once each', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.constantFrom('ok', 'lost', 'unheard'), { minLength: 8, maxLength: 40 }),
      fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 12 }),
      async (network, bursts) => {
        let turn = 0
        const { stored, waits, outbox, sender } = world(() => (network[turn++] as 'ok' | undefined) ?? 'ok')
        let n = 0
        while (n < 200) {
          const burst = bursts[n % bursts.length] ?? 1
          for (let i = 0; i < burst && n < 200; i++) await outbox.put(tick(++n))
          await sender.flush()
        }
        for (let tries = 0; tries < 200 && (await outbox.all()).length > 0; tries++) {
          waits.shift()?.()
          await sender.flush()
        }
        expect(await outbox.all()).toEqual([])
        expect(stored.map(({ id }) => id).sort()).toEqual(Array.from({ length: 200 }, (_, i) => uuid(i + 1)))
      },
    ),
    { numRuns: 15 },
  )
})

it('what nobody answered stays, is tried again later, and is still there for a page that opens anew', async () => {
  const { waits, outbox, sender } = world(() => 'lost')
  await outbox.put(tick(1))
  await sender.flush()
  // However often it is asked again, one further try waits.
  await sender.flush()
  expect(waits).toHaveLength(1)
  expect(await outbox.all()).toEqual([tick(1)])
  expect(await browserOutbox(`test ${outboxes}`).all()).toEqual([tick(1)])
})

it('one entry that is refused for ever blocks none of the others', async () => {
  const { stored, refused, outbox, sender } = world((entries) =>
    entries.some(({ id }) => id === uuid(3)) ? 400 : 'ok',
  )
  for (let n = 1; n <= 5; n++) await outbox.put(tick(n))
  await sender.flush()
  expect(stored.map(({ id }) => id).sort()).toEqual([1, 2, 4, 5].map(uuid))
  expect(refused).toEqual([uuid(3)])
  // It is told and not lost: it stays here, and is not sent for ever.
  expect(await outbox.all()).toEqual([tick(3)])
  await sender.flush()
  expect(refused).toEqual([uuid(3)])
})

it('a server that is down is no refusal: nothing is given up', async () => {
  const { refused, outbox, sender } = world(() => 503)
  await outbox.put(tick(1))
  await sender.flush()
  expect([refused, await outbox.all()]).toEqual([[], [tick(1)]])
})

it('sends no more at once than is allowed', async () => {
  const sizes: number[] = []
  const { outbox, sender } = world((entries) => {
    sizes.push(entries.length)
    return 'ok'
  })
  for (let n = 1; n <= 2 * AT_ONCE + 1; n++) await outbox.put(tick(n))
  await sender.flush()
  expect(sizes).toEqual([AT_ONCE, AT_ONCE, 1])
})

it('a tick shows only once it is kept: what shows is never gone with the page', async () => {
  setActivePinia(createPinia())
  globalThis.fetch = () => Promise.reject(new TypeError('no connection'))
  const field = useField()
  const told = field.tell({ id: 'ferry' }, 1, { kind: 'tick', list: 'pack', key: 'slab', on: true })
  // Not yet: nobody knows whether it will be written.
  expect(field.ticksOn('ferry', 'pack').size).toBe(0)
  const entry = await told
  expect(field.ticksOn('ferry', 'pack').has('slab')).toBe(true)
  expect((await browserOutbox().all()).some(({ id }) => id === entry.id)).toBe(true)
})
