import { defineComponent } from 'vue'
import { useAsk } from './stores/ask.ts'
import { onPage, second } from './testing/demo.ts'
import FactSheet from './widgets/FactSheet.vue'

const crossing = second()
const Row = defineComponent({
  props: { figure: { type: String, default: 'fact day' } },
  setup: () => ({ crossing }),
  template: `<div><p v-ask="[figure, crossing]"><span>6 h</span><button>another use</button></p></div>`,
})

test('a press anywhere on a row asks about its figure; what has a use of its own keeps it', async () => {
  const { page } = await onPage(Row)
  const ask = useAsk()
  await page.find('button').trigger('click')
  expect(ask.figure).toBeUndefined()
  await page.find('span').trigger('click')
  expect(ask.figure).toBe('fact day')
  expect(ask.assessment).toBe(crossing)
})

test('one stop of the keyboard, and Enter', async () => {
  const { page } = await onPage(Row)
  const row = page.find('p')
  expect([row.attributes('tabindex'), row.attributes('data-asks')]).toEqual(['0', 'fact day'])
  await row.trigger('keydown', { key: 'a' })
  expect(useAsk().figure).toBeUndefined()
  await page.find('button').trigger('keydown', { key: 'Enter' })
  expect(useAsk().figure).toBeUndefined()
  await row.trigger('keydown', { key: 'Enter' })
  expect(useAsk().figure).toBe('fact day')
})

test('a row that comes to stand for another figure asks about that one', async () => {
  const { page } = await onPage(Row)
  await page.setProps({ figure: 'fact mass' })
  await page.find('span').trigger('click')
  expect(useAsk().figure).toBe('fact mass')
})

test('deeper and back again, as far as one went', async () => {
  await onPage(Row)
  const ask = useAsk()
  ask.open('fact chance', crossing)
  ask.deeper('fact cost')
  ask.deeper('fact mass')
  ask.back()
  expect([ask.figure, ask.trail]).toEqual(['fact cost', ['fact chance']])
  ask.back()
  expect([ask.figure, ask.trail]).toEqual(['fact chance', []])
  ask.back()
  expect(ask.figure).toBe('fact chance')
  ask.close()
  expect(ask.figure).toBeUndefined()
})

test('the sheet of a figure: its value, how, what it is made of, and what it read', async () => {
  const { page } = await onPage(FactSheet, { props: { assessment: crossing, fact: 'day' } })
  expect(page.find('h2').text()).toBe('The day')
  expect(page.text()).toContain('one pack in one bay at a time')
  expect(page.findAll('[data-deeper]').map((one) => one.attributes('data-deeper'))).toEqual([
    'network',
    'spares',
    'bays',
  ])
  expect(page.text()).toContain('the brief: parts of the day')
  useAsk().open('fact day', crossing)
  await page.find('[data-deeper="network"]').trigger('click')
  expect([useAsk().figure, useAsk().trail]).toEqual(['fact network', ['fact day']])
})

test('a figure that could not be worked out says why', async () => {
  const broken = { ...crossing, strict: { ...crossing.strict } }
  expect(broken.strict).toBeDefined()
  const { evaluate } = await import('@zucchini/core/assess')
  const { secondMark } = await import('@zucchini/demo/scenario')
  const { demoContext } = await import('./testing/demo.ts')
  const failing = evaluate(secondMark, 'crossing', { ...demoContext, prices: {} as never })
  const { page } = await onPage(FactSheet, { props: { assessment: failing, fact: 'chance' } })
  expect(page.find('[role="alert"]').text()).toContain('not a function')
})
