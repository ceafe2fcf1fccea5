import { strengthFrom } from '@zucchini/core/balance'
import { flushPromises } from '@vue/test-utils'
import { useContext } from '../../stores/context.ts'
import { assessed, onPage, second } from '../../testing/demo.ts'
import { firstMark } from '@zucchini/demo/scenario'
import CalibrateBox from './CalibrateBox.vue'

const settled = async () => {
  for (let i = 0; i < 6; i++) {
    await new Promise((done) => setTimeout(done, 5))
    await flushPromises()
  }
}
const open = async (assessment = second('crossing')) => {
  const { page } = await onPage(CalibrateBox, { props: { assessment } })
  const kept: unknown[] = []
  useContext().setOperator = (arm) => {
    kept.push(arm)
    return Promise.resolve()
  }
  const minutes = page.find<HTMLInputElement>('input')
  const hold = async (text: string) => {
    await minutes.setValue(text)
    await minutes.trigger('change')
    await settled()
    await page.find('form').trigger('submit')
    await settled()
  }
  return { page, minutes, hold, kept, wrong: () => page.findAll('[role="alert"]').map((one) => one.text()) }
}

test('a timed hold becomes a strength, and the field is free for the next', async () => {
  const { hold, kept, minutes } = await open()
  await hold('2,5')
  const found = strengthFrom(second('crossing').mass.inHandG, 'hand-low', 2.5) ?? 0
  expect(kept).toEqual([{ strengthNm: Math.round(found * 10) / 10, armMassG: expect.any(Number) as number }])
  expect(minutes.element.value).toBe('')
})

test('minutes that no arm holds, and words, are refused at the field and stay to be mended', async () => {
  const { hold, kept, wrong, minutes } = await open()
  for (const text of ['99', 'long']) {
    await hold(text)
    expect(wrong()).toEqual(['Give minutes between 0.1 and 20: the time until it began to hurt.'])
    expect(minutes.element.value).toBe(text)
  }
  expect(kept).toEqual([])
})

test('on a stand there is nothing to time', async () => {
  const { minutes, page } = await open(assessed(firstMark, 'slip'))
  expect(minutes.element.disabled).toBe(true)
  expect(page.find('button').attributes('disabled')).toBeDefined()
})
