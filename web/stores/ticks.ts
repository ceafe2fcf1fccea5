import { useLocalStorage } from '@vueuse/core'
import { computed, type Ref } from 'vue'

/**
 * Ticks of a list, kept on this machine under a name, so that a dead phone loses none. What is on the list no more loses
 * its tick.
 */
export const useTicks = (of: () => string, keys: Ref<readonly string[]>) => {
  const kept = useLocalStorage<readonly string[]>(of, [])
  const done = computed(() => new Set(kept.value))
  const isDone = (key: string): boolean => done.value.has(key)
  const tick = (key: string, on: boolean): void => {
    const known = new Set(keys.value)
    const rest = kept.value.filter((one) => one !== key && known.has(one))
    kept.value = on ? [...rest, key] : rest
  }
  const clear = (): void => void (kept.value = [])
  return { isDone, tick, clear, count: computed(() => keys.value.filter(isDone).length) }
}
