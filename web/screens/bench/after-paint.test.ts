import { effectScope, nextTick, shallowRef } from 'vue'
import { useAfterPaint } from './after-paint.ts'

interface Sheet {
  readonly of: string
  readonly n: number
}
const soon = (ms = 40) => new Promise((resolve) => setTimeout(resolve, ms))
const watched = (first?: Sheet) => {
  const now = shallowRef(first)
  const scope = effectScope()
  const late = scope.run(() =>
    useAfterPaint(
      () => now.value,
      (a, b) => a.of === b.of,
    ),
  )
  if (!late) throw new Error('a ref')
  return { now, late, scope }
}

test('an edit shows a frame later, and of several in one frame only the last', async () => {
  const { now, late } = watched({ of: 'rig', n: 1 })
  expect(late.value?.n).toBe(1)
  now.value = { of: 'rig', n: 2 }
  await nextTick()
  now.value = { of: 'rig', n: 3 }
  await nextTick()
  expect(late.value?.n).toBe(1)
  await soon()
  expect(late.value?.n).toBe(3)
})

test('of another rig nothing old is shown, nor of none', async () => {
  const { now, late } = watched({ of: 'rig', n: 1 })
  now.value = { of: 'other', n: 7 }
  await nextTick()
  expect(late.value).toEqual({ of: 'other', n: 7 })
  now.value = undefined
  await nextTick()
  expect(late.value).toBeUndefined()
})

test('who has left is brought nothing any more', async () => {
  const { now, late, scope } = watched({ of: 'rig', n: 1 })
  now.value = { of: 'rig', n: 2 }
  await nextTick()
  scope.stop()
  await soon()
  expect(late.value?.n).toBe(1)
})

test('a page that is not shown paints no frame, and is brought up all the same', async () => {
  const paint = window.requestAnimationFrame
  window.requestAnimationFrame = () => 0
  try {
    const { now, late } = watched({ of: 'rig', n: 1 })
    now.value = { of: 'rig', n: 2 }
    await nextTick()
    await soon(220)
    expect(late.value?.n).toBe(2)
  } finally {
    window.requestAnimationFrame = paint
  }
})
