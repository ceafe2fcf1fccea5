import { computed, type Ref, ref, watch } from 'vue'
import { useField } from './field.ts'

/**
 * Ticks of one of a rig's lists. Each is told as it is set: kept on this machine at once, sent when there is a network,
 * and seen on every other machine then.
 * @param rig whose list it is, at which revision @param list its name
 * @param keys its lines: what is on the list no more counts for nothing
 */
export const useTicks = (
  rig: () => { readonly id: string; readonly revision: number } | undefined,
  list: () => string,
  keys: Ref<readonly string[]>,
) => {
  const field = useField()
  /** Are the ticks of every machine here, or is it known that they can't be had? */
  const isKnown = ref(false)
  watch(
    () => rig()?.id,
    async (id) => {
      if (id === undefined) return
      isKnown.value = false
      // Without the network those told on this machine remain.
      await field.loadTicks(id).catch(() => undefined)
      if (rig()?.id === id) isKnown.value = true
    },
    { immediate: true },
  )
  const done = computed(() => field.ticksOn(rig()?.id ?? '', list()))
  const isDone = (key: string): boolean => done.value.has(key)
  const tell = async (what: Parameters<typeof field.tell>[2]): Promise<void> => {
    const of = rig()
    if (of) await field.tell(of, of.revision, what)
  }
  return {
    isKnown,
    isDone,
    tick: (key: string, on: boolean) => tell({ kind: 'tick', list: list(), key, on }),
    clear: () => tell({ kind: 'clear', list: list() }),
    count: computed(() => keys.value.filter(isDone).length),
  }
}
