import type { Rig } from '@zucchini/core/assembly'
import { onScopeDispose, ref, shallowRef } from 'vue'
import { api, ApiRefusal, type RehearsalFrame, type RehearsalSample } from '../../api.ts'
import { frameSchema, rehearsalStream } from '@zucchini/contract'

/** A rehearsal on the server, followed from here: started once, then told about frame by frame. */
export const useRehearsal = () => {
  const frame = shallowRef<RehearsalFrame>()
  const samples = shallowRef<readonly RehearsalSample[]>([])
  const trouble = ref('')
  let id = ''
  let source: EventSource | undefined
  let asked = 0

  const take = (next: RehearsalFrame) => {
    const now = frame.value
    // An answer and the stream may overtake each other: what is older is not shown any more.
    if (now && now.run === next.run && next.second < now.second) return
    if (now?.run !== next.run) samples.value = []
    const last = samples.value.at(-1)?.second ?? -1
    const fresh = next.samples.filter(({ second }) => second > last)
    if (fresh.length > 0) samples.value = [...samples.value, ...fresh]
    frame.value = next
  }
  const leave = () => {
    source?.close()
    source = undefined
    const gone = id
    id = ''
    if (gone) void api.stopRehearsal(gone).catch(() => undefined)
  }
  const say = (error: unknown) => {
    trouble.value =
      error instanceof ApiRefusal
        ? error.message
        : 'The server does not answer. Is it still running? Start it again, then play the day anew.'
  }

  /** Starts the day of a set-up from the morning; an earlier one is put away. */
  const start = async (rig: Rig, setup: string, speed: number): Promise<void> => {
    const turn = ++asked
    leave()
    trouble.value = ''
    samples.value = []
    frame.value = undefined
    try {
      const begun = await api.rehearse(rig, setup, speed)
      if (turn !== asked) {
        // Another set-up was asked for meanwhile: this one is nobody's.
        void api.stopRehearsal(begun.id).catch(() => undefined)
        return
      }
      id = begun.id
      take(begun.frame)
    } catch (error) {
      if (turn === asked) say(error)
      return
    }
    source = new EventSource(rehearsalStream(id))
    source.addEventListener('frame', ({ data }: MessageEvent<string>) => {
      const next = frameSchema.safeParse(JSON.parse(data))
      if (next.success) take(next.data)
      else trouble.value = 'The server sent something that makes no sense. Play the day anew.'
    })
    source.addEventListener('error', () => {
      if (source?.readyState === EventSource.CLOSED) say(undefined)
    })
  }
  const change = async (what: Parameters<typeof api.changeRehearsal>[1]): Promise<void> => {
    if (!id) return
    try {
      take(await api.changeRehearsal(id, what))
    } catch (error) {
      say(error)
    }
  }
  onScopeDispose(() => {
    asked++
    leave()
  })
  return { frame, samples, trouble, start, change }
}
