import { nextTick, ref } from 'vue'
import { useRowKeys } from './row-keys.ts'

const following = (start: readonly string[]) => {
  const rows = ref(start)
  const { keys, leaveOut } = useRowKeys(() => rows.value)
  const become = async (...now: readonly string[]) => {
    rows.value = now
    await nextTick()
    return keys.value
  }
  return { keys, leaveOut, become }
}

test('rows keep their keys wherever they come to stand; new ones get new ones', async () => {
  const { keys, become } = following(['a', 'b', 'c'])
  expect(keys.value).toEqual([0, 1, 2])
  // Changed in place it is the same row.
  expect(await become('a', 'B', 'c')).toEqual([0, 1, 2])
  expect(await become('B', 'c')).toEqual([1, 2])
  expect(await become('a', 'B', 'c')).toEqual([3, 1, 2])
  expect(await become('a', 'B', 'c', 'd')).toEqual([3, 1, 2, 4])
  expect(await become('a', 'd')).toEqual([3, 4])
  expect(await become()).toEqual([])
  expect(await become('x')).toEqual([5])
})

test('of rows that say the same, the one that is left out takes its key along', async () => {
  const { keys, leaveOut, become } = following(['same', 'same', 'same'])
  leaveOut(0)
  expect(keys.value).toEqual([1, 2])
  expect(await become('same', 'same')).toEqual([1, 2])
})
