import { flushPromises, mount } from '@vue/test-utils'
import { defineComponent, h } from 'vue'
import { z } from 'zod'
import { alertsOf, fieldOf } from '../testing/fields.ts'
import Field from './Field.vue'
import { typedIn, useSchemaForm } from './form.ts'
import { oncePressed } from './pressed.ts'

const turn = () => new Promise((done) => setTimeout(done))
/** A form waits a few milliseconds for more to be typed before it looks at it. */
const looked = async () => {
  await new Promise((done) => setTimeout(done, 20))
  await flushPromises()
}
const press = (type: string) => window.dispatchEvent(new Event(type))

test('what waits for the end of a press comes after it, in its order; without a press it comes at once', async () => {
  const seen: string[] = []
  oncePressed(() => seen.push('at once'))
  press('pointerdown')
  oncePressed(() => seen.push('first'))
  oncePressed(() => seen.push('second'))
  expect(seen).toEqual(['at once'])
  press('pointerup')
  seen.push('pressed')
  await turn()
  expect(seen).toEqual(['at once', 'pressed', 'first', 'second'])
  oncePressed(() => seen.push('after'))
  expect(seen.at(-1)).toBe('after')
})

test('a complaint stays at its field until the finger that leaves it is up', async () => {
  const Form = defineComponent({
    setup() {
      useSchemaForm(
        z.strictObject({ minutes: typedIn(z.number().min(1)) }),
        { minutes: null },
        () => Promise.resolve(),
        {
          minutes: 'A minute at least.',
        },
      )
      return () => h(Field, { name: 'minutes', label: 'Minutes', kind: 'number' })
    },
  })
  const page = mount(Form, { attachTo: document.body })
  const leave = async (text: string) => {
    const field = fieldOf(page, 'Minutes')
    field.element.value = text
    await field.trigger('change')
    await looked()
  }
  await leave('0')
  expect(alertsOf(page)).toEqual(['A minute at least.'])
  press('pointerdown')
  await leave('2')
  await fieldOf(page, 'Minutes').trigger('blur')
  await looked()
  expect(alertsOf(page)).toEqual(['A minute at least.'])
  press('pointerup')
  await turn()
  await flushPromises()
  expect(alertsOf(page)).toEqual([])
})
