import { changeoverOf } from '@zucchini/core/build-order'
import { secondMark } from '@zucchini/demo/scenario'
import { assessed, onPage } from '../../testing/demo.ts'
import { changeKeys } from './setup-words.ts'
import ChangeoverList from './ChangeoverList.vue'
import ChangeoverMatrix, { type Side } from './ChangeoverMatrix.vue'

const sides: readonly Side[] = secondMark.setups.map((setup) => ({ setup, assessment: assessed(secondMark, setup.id) }))
const between = (from: Side, to: Side) => changeoverOf(from.assessment.assembly, to.assessment.assembly)

test('every pair of set-ups has its seconds and tools; a press picks the pair, the way back is a pair of its own', async () => {
  const { page } = await onPage(ChangeoverMatrix, { props: { sides, between, picked: ['crossing', 'slip'] } })
  expect(page.findAll('td button')).toHaveLength(sides.length * (sides.length - 1))
  const there = page.findAll('td button').find((one) => one.text().startsWith('crossing to wheelhouse'))
  // Receiver on its block, 25 s by coin; three leads of 8 s.
  expect(there?.text()).toMatch(/49 s.*coin/)
  await there?.trigger('click')
  expect(page.emitted('pick')).toEqual([['crossing', 'wheelhouse']])
})

test('what goes as one is told as one', async () => {
  const [crossing, , wheelhouse] = sides
  if (!crossing || !wheelhouse) throw new Error('the second mark has them')
  const { page } = await onPage(ChangeoverList, {
    props: { title: 'there', changeover: between(crossing, wheelhouse), from: 'crossing', of: wheelhouse.assessment },
  })
  expect(page.text()).toContain('as one with')
})

test('every step of every changeover has a key of its own, short enough to be told, and kinds that the watch knows', () => {
  for (const from of sides)
    for (const to of sides) {
      const { steps } = between(from, to)
      const keys = changeKeys(steps)
      expect(new Set(keys).size).toBe(steps.length)
      for (const key of keys) expect(key.length).toBeLessThan(2000)
      for (const { do: what, timed } of steps)
        if (what !== 'slide' && what !== 'pose' && what !== 'turn') expect(timed).toBeTruthy()
    }
})
