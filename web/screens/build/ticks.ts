import type { SheetStep } from '@zucchini/core/build-order'
import { useLocalStorage } from '@vueuse/core'
import { computed, type Ref } from 'vue'

/** What tells a step from the others and from what it was before it was set otherwise. */
export const stepKey = (step: SheetStep): string => JSON.stringify(step.commands)

/**
 * The ticks of a build, kept on this machine by rig and set-up, so that a dead phone loses none. A tick belongs to a step as
 * it is: a step that is set otherwise since then is open again.
 */
export const useTicks = (of: () => string, steps: Ref<readonly SheetStep[]>) => {
  const kept = useLocalStorage<readonly string[]>(() => `build ${of()}`, [])
  const done = computed(() => new Set(kept.value))
  const isDone = (step: SheetStep): boolean => done.value.has(stepKey(step))
  const tick = (step: SheetStep, on: boolean): void => {
    const key = stepKey(step)
    const known = new Set(steps.value.map(stepKey))
    const rest = kept.value.filter((one) => one !== key && known.has(one))
    kept.value = on ? [...rest, key] : rest
  }
  const clear = (): void => void (kept.value = [])
  return { isDone, tick, clear, count: computed(() => steps.value.filter(isDone).length) }
}
