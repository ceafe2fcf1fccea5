import { evaluate, knownBy, targetOf, usualTarget } from '@zucchini/core/assess'
import { flushPromises } from '@vue/test-utils'
import { first, onPage } from '../../testing/demo.ts'
import { askInstead } from '../../workers/client.ts'
import TargetBox from './TargetBox.vue'

const draft = first()
const known = knownBy(draft, (id) => evaluate(draft.rig, id, draft.facts.context))
const asked: unknown[][] = []
// The worker answers on the page's own thread here, as it does beside it.
beforeAll(() =>
  askInstead({
    target: (...given: [unknown, string, 'in-hand', number]) => {
      asked.push(given)
      return Promise.resolve(targetOf(known, draft, given[2], given[3]))
    },
  }),
)
afterAll(() => askInstead(undefined))

test('it begins with what is over the limit, and lists what would do it with the running sum', async () => {
  expect(usualTarget(draft, 'in-hand')).toBe(722)
  const { page } = await onPage(TargetBox, { props: { assessment: draft, target: 'in-hand' } })
  expect((page.get('input').element as HTMLInputElement).value).toBe('722')
  expect(page.text()).toContain('g, lighter')
  await page.get('form').trigger('submit')
  await flushPromises()
  expect(asked[0]?.slice(1)).toEqual(['crossing', 'in-hand', 722])
  const answer = targetOf(known, draft, 'in-hand', 722)
  expect(page.findAll('tbody tr')).toHaveLength(answer.steps.length)
  expect(page.text()).toContain(answer.isReached ? 'That reaches it' : 'More is not to be had')
})

test('nothing is asked for a target of nothing', async () => {
  asked.length = 0
  const { page } = await onPage(TargetBox, { props: { assessment: draft, target: 'set-up' } })
  expect((page.get('input').element as HTMLInputElement).value).toBe('60')
  await page.get('input').setValue('0')
  await page.get('form').trigger('submit')
  await flushPromises()
  expect(asked).toEqual([])
})
