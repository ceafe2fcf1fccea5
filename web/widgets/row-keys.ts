import { equalJson } from '@zucchini/core/kernel'
import { ref, watch } from 'vue'

/**
 * Keys for the rows of a list whose rows have none of their own. Rows that stay keep their key wherever they come to
 * stand, so that what stands in one (a figure that was refused, with its reason) stays with it: what begins and ends the
 * list alike stays, and between the two as many as before are the same rows changed.
 * @returns the keys, and what has to be told when one row is left out: of rows that say the same, only that tells which
 */
export const useRowKeys = <T>(rows: () => readonly T[]) => {
  let next = 0
  let known: readonly T[] = []
  const keys = ref<readonly number[]>([])
  watch(
    rows,
    (now) => {
      let [head, tail] = [0, 0]
      const most = Math.min(known.length, now.length)
      while (head < most && equalJson(known[head], now[head])) head++
      while (tail < most - head && equalJson(known.at(-1 - tail), now.at(-1 - tail))) tail++
      const between = now.length - head - tail
      const stays = known.length - head - tail === between
      const middle = stays ? keys.value.slice(head, head + between) : Array.from({ length: between }, () => next++)
      keys.value = [...keys.value.slice(0, head), ...middle, ...keys.value.slice(known.length - tail)]
      known = now
    },
    { immediate: true },
  )
  const leaveOut = (row: number): void => {
    keys.value = keys.value.filter((_, at) => at !== row)
    known = known.filter((_, at) => at !== row)
  }
  return { keys, leaveOut }
}
