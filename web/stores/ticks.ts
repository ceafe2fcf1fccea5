import { computed, type Ref, watch } from 'vue'
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
  watch(
    () => rig()?.id,
    (id) => {
      // Without the network those told on this machine remain.
      if (id !== undefined) void field.loadTicks(id).catch(() => undefined)
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
    isDone,
    tick: (key: string, on: boolean) => tell({ kind: 'tick', list: list(), key, on }),
    clear: () => tell({ kind: 'clear', list: list() }),
    count: computed(() => keys.value.filter(isDone).length),
  }
}
