import {
  type FieldEntry,
  inOrder,
  type Learnt,
  learntOf,
  type Lesson,
  lessonsOf,
  nothingLearnt,
  ticksOf,
  type Told,
} from '@zucchini/core/log'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, ApiRefusal } from '../api.ts'
import { browserOutbox } from '../field/outbox.ts'
import { Sender } from '../field/sender.ts'

/** An id of its own for each entry, on pages that came over plain http too. */
const freshId = (): string => {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`
}

const byId = (...lists: (readonly FieldEntry[])[]): readonly FieldEntry[] =>
  inOrder(new Map(lists.flat().map((entry) => [entry.id, entry])).values())

/**
 * What is told from the field. It is kept on this machine first and sent then; ticks, laps, days and words that wait
 * count as if they had arrived.
 */
export const useField = defineStore('field', () => {
  const outbox = browserOutbox()
  const waiting = shallowRef<readonly FieldEntry[]>([])
  /** What the server has: days, laps and words of all rigs, and the ticks of the rig that is looked at. */
  const stored = shallowRef<readonly FieldEntry[]>([])
  const notStored = shallowRef<readonly FieldEntry[]>([])
  const troubled = ref(false)
  /** Does this browser keep what waits when the page is closed? */
  const isKept = ref(true)
  let lastAt = 0

  const sender = new Sender({
    outbox,
    send: (entries) => api.tellField(entries),
    statusOf: (error) => (error instanceof ApiRefusal ? error.status : undefined),
    changed: (left, arrived) => {
      stored.value = byId(stored.value, arrived)
      waiting.value = left
      troubled.value = false
    },
    lost: (entries) => (notStored.value = [...notStored.value, ...entries]),
    later: (ms, again) => {
      troubled.value = true
      setTimeout(again, ms)
    },
  })
  if (typeof addEventListener === 'function') addEventListener('online', () => void sender.flush())

  const all = computed(() => byId(stored.value, waiting.value))
  const lessons = computed<readonly Lesson[]>(() =>
    lessonsOf(all.value.filter(({ what }) => what.kind !== 'tick' && what.kind !== 'clear')),
  )
  const learnt = computed<Learnt>(() => (lessons.value.length > 0 ? learntOf(lessons.value) : nothingLearnt))

  /** Tells one thing of a rig. It is safe on this machine when this returns. */
  const tell = async (rig: { readonly id: string }, revision: number, what: Told): Promise<FieldEntry> => {
    lastAt = Math.max(Date.now(), lastAt + 1)
    const entry = { id: freshId(), rigId: rig.id, revision, at: new Date(lastAt).toISOString(), what }
    // Nothing is shown as ticked or told that would be gone if the page closed now.
    await outbox.put(entry)
    waiting.value = byId(waiting.value, [entry])
    void sender.flush()
    return entry
  }

  /** The operator's word on a lesson: it is used, or not any more. It is told of the rig that taught it last. */
  const say = async ({ key, evidence }: Lesson, holds: boolean): Promise<void> => {
    const from = all.value.find(({ id }) => id === evidence.at(-1)?.entry)
    if (from) await tell({ id: from.rigId }, from.revision, { kind: 'word', lesson: key, holds })
  }

  /** Reads what waits here, then what the server has of days, laps and words. */
  const load = async (): Promise<void> => {
    waiting.value = byId(waiting.value, await outbox.all())
    isKept.value = await outbox.isKept()
    if (waiting.value.length > 0) void sender.flush()
    const { entries } = await api.taught()
    stored.value = byId(stored.value, entries)
  }

  /** Reads the ticks of a rig; without the network those told on this machine remain. */
  const loadTicks = async (rigId: string): Promise<void> => {
    const { entries } = await api.ticksOf(rigId)
    stored.value = byId(stored.value, entries)
  }

  /** Takes in entries that came as a file; they are sent like those told here. @returns how many are new */
  const takeIn = async (entries: readonly FieldEntry[]): Promise<number> => {
    const known = new Set(all.value.map(({ id }) => id))
    const fresh = entries.filter(({ id }) => !known.has(id))
    for (const entry of fresh) await outbox.put(entry)
    waiting.value = byId(waiting.value, fresh)
    void sender.flush()
    return fresh.length
  }

  return {
    all,
    waiting,
    notStored,
    troubled,
    isKept,
    lessons,
    learnt,
    tell,
    say,
    load,
    loadTicks,
    takeIn,
    flush: () => sender.flush(),
    ticksOn: (rigId: string, list: string): ReadonlySet<string> =>
      ticksOf(
        all.value.filter((entry) => entry.rigId === rigId),
        list,
      ),
  }
})
