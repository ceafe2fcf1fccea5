import { effectScope, nextTick, shallowRef } from 'vue'
import { useAfterPaint, useTaskLater } from './after-paint.ts'

interface Sheet {
  readonly of: string
  readonly n: number
}
const soon = (ms = 40) => new Promise((resolve) => setTimeout(resolve, ms))
const watched = (first?: Sheet, steps?: (next: Sheet) => Iterator<unknown>) => {
  const now = shallowRef(first)
  const scope = effectScope()
  const late = scope.run(() =>
    useAfterPaint(
      () => now.value,
      (a, b) => a.of === b.of,
      steps,
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

/** Keeps the page busy, ms. */
const busy = (ms: number) => {
  const until = performance.now() + ms
  while (performance.now() < until);
}

test('long work is done in stretches, between which other things get their turn, and shown when all is done', async () => {
  const turns: string[] = []
  const { now, late } = watched({ of: 'rig', n: 1 }, function* ({ n }) {
    for (let i = 0; i < 12; i++) {
      turns.push(`step of ${n}`)
      busy(2)
      yield
    }
  })
  now.value = { of: 'rig', n: 2 }
  await nextTick()
  const ticking = setInterval(() => turns.push('another'), 1)
  await soon(120)
  clearInterval(ticking)
  expect(late.value?.n).toBe(2)
  const steps = turns.flatMap((turn, i) => (turn === 'another' ? [] : [i]))
  expect(steps.length).toBe(12)
  const between = turns.slice(steps[0], steps.at(-1)).filter((turn) => turn === 'another')
  expect(between.length).toBeGreaterThan(0)
  // A stretch ends with the step that fills it: two or three of 2 ms.
  let longest = 0
  let run = 0
  for (const turn of turns) {
    run = turn === 'another' ? 0 : run + 1
    longest = Math.max(longest, run)
  }
  expect(longest).toBeLessThan(12)
})

test('what is being worked out is shown on its way, and then the last', async () => {
  const shown: number[] = []
  const { now, late } = watched({ of: 'rig', n: 1 }, function* () {
    for (let i = 0; i < 4; i++) {
      busy(3)
      yield
    }
  })
  now.value = { of: 'rig', n: 2 }
  for (let n = 3; n < 9; n++) {
    await soon(12)
    if (late.value && shown.at(-1) !== late.value.n) shown.push(late.value.n)
    now.value = { of: 'rig', n }
  }
  await soon(120)
  expect(shown.length).toBeGreaterThan(1)
  expect(late.value?.n).toBe(8)
})

test('one task later it follows, of several only the last; of another rig at once, and never once its page is left', async () => {
  const now = shallowRef<Sheet | undefined>({ of: 'rig', n: 1 })
  const scope = effectScope()
  const late = scope.run(() =>
    useTaskLater(
      () => now.value,
      (a, b) => a.of === b.of,
    ),
  )
  if (!late) throw new Error('a ref')
  const shown: number[] = []
  const edit = async (n: number, of = 'rig') => {
    now.value = { of, n }
    await nextTick()
    shown.push(late.value?.n ?? 0)
  }
  await edit(2)
  await edit(3)
  expect(shown).toEqual([1, 1])
  await soon(5)
  expect(late.value?.n).toBe(3)
  await edit(4)
  await edit(7, 'other')
  expect(late.value?.n).toBe(7)
  // What was still to follow of the rig before is dropped.
  await soon(5)
  expect(late.value).toEqual({ of: 'other', n: 7 })
  await edit(8, 'other')
  scope.stop()
  await soon(5)
  expect(late.value?.n).toBe(7)
})
