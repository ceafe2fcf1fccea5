import { flushPromises, mount } from '@vue/test-utils'
import { defineComponent, h, ref } from 'vue'
import { z } from 'zod'
import { alertsOf, fieldOf } from '../testing/fields.ts'
import Field from './Field.vue'
import { orNothing, useLiveForm } from './form.ts'

const schema = z
  .object({
    name: z.string().trim().min(1).max(10),
    long: z.number().min(0).max(24),
    rolling: z.number().min(0).max(24),
    costMinor: orNothing(z.int().min(0)),
    light: z.enum(['sun', 'night']).optional(),
    wall: z.boolean(),
  })
  .refine(({ long, rolling }) => rolling <= long, { path: ['rolling'], error: 'no more than there are' })
type Day = z.infer<typeof schema>
const start: Day = { name: 'ferry', long: 8, rolling: 2, costMinor: 500, wall: false }
const HOURS = 'Hours run from 0 to 24.'

const formOf = () => {
  const day = ref<Day>(start)
  const saves: Partial<Day>[] = []
  const Form = defineComponent({
    setup: () => {
      useLiveForm<Day>(
        schema,
        () => ({ ...day.value }),
        (change) => {
          saves.push(change)
          day.value = { ...day.value, ...change }
        },
        { long: HOURS, rolling: 'Fewer than on location.' },
      )
      return () =>
        h('div', [
          h(Field, { name: 'name', label: 'name' }),
          h(Field, { name: 'long', label: 'long', kind: 'number', step: 0.5, unit: 'h' }),
          h(Field, { name: 'rolling', label: 'rolling', kind: 'number', labelled: 'beside' }),
          h(Field, { name: 'costMinor', label: 'cost', kind: 'money' }),
          h(Field, {
            name: 'light',
            label: 'light',
            kind: 'choice',
            choices: [
              ['', 'by the hour'],
              ['sun', 'sun'],
            ],
          }),
          h(Field, { name: 'wall', label: 'wall', kind: 'switch', labelled: 'heard' }),
        ])
    },
  })
  const page = mount(Form)
  const field = (label: string) => fieldOf(page, label)
  const type = async (label: string, text: string) => {
    field(label).element.value = text
    await field(label).trigger('input')
    await field(label).trigger('change')
    await flushPromises()
  }
  const wrong = () => alertsOf(page)
  return { page, field, type, wrong, saves, day }
}

test('a field is saved as it is left, as its schema reads it, and by itself', async () => {
  const { field, type, saves } = formOf()
  field('name').element.value = 'fer'
  await field('name').trigger('input')
  expect(saves).toEqual([])
  await type('name', ' crossing ')
  await type('long', '9,5')
  await type('cost', '12,40')
  expect(saves).toEqual([{ name: 'crossing' }, { long: 9.5 }, { costMinor: 1240 }])
  expect(field('name').element.value).toBe('crossing')
})

test('what makes no sense stays as it was typed, is said at its field, and holds up nothing else', async () => {
  const { field, type, wrong, saves } = formOf()
  await type('long', '30')
  expect([field('long').element.value, wrong(), saves]).toEqual(['30', [HOURS], []])
  expect(field('long').attributes('aria-invalid')).toBe('true')
  await type('name', 'night')
  expect([field('long').element.value, saves]).toEqual(['30', [{ name: 'night' }]])
  await type('long', '6')
  expect([wrong(), saves.at(-1)]).toEqual([[], { long: 6 }])
})

test('what two fields say together is judged by what is saved, and told at the field that was left', async () => {
  const { type, wrong, saves } = formOf()
  await type('rolling', '8.5')
  expect([wrong(), saves]).toEqual([['Fewer than on location.'], []])
  await type('long', '1')
  expect(wrong()).toEqual([HOURS, 'Fewer than on location.'])
  expect(saves).toEqual([])
})

test('an emptied amount is nought, a choice of nothing is none, a switch is saved at once', async () => {
  const { page, field, type, saves } = formOf()
  await type('cost', '')
  await field('light').setValue('sun')
  await field('light').setValue('')
  await page.find('input[type="checkbox"]').setValue(true)
  await flushPromises()
  expect(saves).toEqual([{ costMinor: 0 }, { light: 'sun' }, { light: undefined }, { wall: true }])
})

test('arrow keys change a figure by its step, as far as it may go', async () => {
  const { field, saves, wrong, type } = formOf()
  await field('long').trigger('keydown', { key: 'ArrowUp' })
  await field('long').trigger('keydown', { key: 'ArrowDown' })
  await field('long').trigger('keydown', { key: 'ArrowDown' })
  await flushPromises()
  expect(saves).toEqual([{ long: 8.5 }, { long: 8 }, { long: 7.5 }])
  await type('long', '24')
  await field('long').trigger('keydown', { key: 'ArrowUp' })
  await flushPromises()
  expect([wrong(), saves.at(-1)]).toEqual([[HOURS], { long: 24 }])
})

test('what changes elsewhere is shown, also over what was wrong; what is being typed beside it stays', async () => {
  const { field, type, wrong, day } = formOf()
  await type('long', '99')
  field('name').element.value = 'half ty'
  await field('name').trigger('input')
  day.value = { ...day.value, long: 4 }
  await flushPromises()
  expect([field('long').element.value, wrong(), field('name').element.value]).toEqual(['4', [], 'half ty'])
})

test('a label that is only heard is there for those who hear', () => {
  const page = mount(
    defineComponent({
      setup: () => {
        useLiveForm(
          z.object({ a: z.string() }),
          () => ({ a: 'x' }),
          () => undefined,
        )
        return () => h(Field, { name: 'a', label: 'only heard', labelled: 'heard', suggestions: ['x', 'y'] })
      },
    }),
  )
  const label = page.get('label')
  expect([label.text(), label.classes()]).toEqual(['only heard', ['sr-only']])
  const input = page.get('input')
  expect(page.get(`[id="${input.attributes('list')}"]`).findAll('option').length).toBe(2)
})

test('where figures are suggested the arrow keys lead through those, and change nothing', async () => {
  const saves: unknown[] = []
  const page = mount(
    defineComponent({
      setup: () => {
        useLiveForm(
          z.object({ iso: z.number() }),
          () => ({ iso: 100 }),
          (change) => saves.push(change),
        )
        return () => h(Field, { name: 'iso', label: 'ISO', kind: 'number', step: 100, suggestions: ['100', '800'] })
      },
    }),
  )
  const key = new KeyboardEvent('keydown', { key: 'ArrowDown', cancelable: true })
  page.get('input').element.dispatchEvent(key)
  await flushPromises()
  expect([saves, key.defaultPrevented]).toEqual([[], false])
})
