import { flushPromises } from '@vue/test-utils'
import { defineComponent, h, ref } from 'vue'
import { z } from 'zod'
import { onPage } from '../testing/demo.ts'
import { alertsOf, fieldOf } from '../testing/fields.ts'
import Field from './Field.vue'
import { formSchema, useSchemaForm } from './form.ts'

const schema = z
  .strictObject({
    place: z.string().trim().max(8, 'a place is 8 letters at most'),
    paidMinor: z.int().min(0).nullable(),
    boughtOn: z.iso.date().nullable(),
    state: z.enum(['kept', 'lent']),
    lentTo: z.string(),
  })
  .refine(({ state, lentTo }) => state !== 'lent' || lentTo !== '', { path: ['lentTo'], error: 'to whom' })
type Piece = z.infer<typeof schema>
const start: Piece = { place: 'loft', paidMinor: 4990, boughtOn: '2025-03-01', state: 'kept', lentTo: '' }
const AMOUNT = 'An amount is 0 or more, such as 49.90.'

/** A form gathers what is typed for some milliseconds before it checks all of it. */
const settled = async () => {
  for (let i = 0; i < 6; i++) {
    await new Promise((done) => setTimeout(done, 5))
    await flushPromises()
  }
}

const formOf = async (answer: (piece: Piece) => Partial<Record<keyof Piece, string>> = () => ({})) => {
  const kept: Piece[] = []
  const shown = ref(true)
  const Form = defineComponent({
    setup: () => {
      const { submit, changed, values } = useSchemaForm<Piece>(
        schema,
        start,
        (piece, refuse) => {
          kept.push(piece)
          refuse(answer(piece))
          return Promise.resolve()
        },
        { paidMinor: AMOUNT },
      )
      return () =>
        h('form', { onSubmit: submit, 'data-changed': changed.value }, [
          shown.value ? h(Field, { name: 'place', label: 'kept in' }) : undefined,
          h(Field, { name: 'paidMinor', label: 'paid', kind: 'money' }),
          h(Field, { name: 'boughtOn', label: 'bought on', kind: 'date', latest: '2026-11-25' }),
          h(Field, {
            name: 'state',
            label: 'is',
            kind: 'choice',
            choices: [
              ['kept', 'kept'],
              ['lent', 'lent'],
            ],
          }),
          h(Field, { name: 'lentTo', label: 'lent to', kind: 'notes' }),
          h('output', JSON.stringify(values)),
        ])
    },
  })
  const { page } = await onPage(Form)
  const field = (label: string) => fieldOf(page, label)
  const save = async () => {
    await page.find('form').trigger('submit')
    await settled()
  }
  const wrong = () => alertsOf(page)
  return { page, field, save, kept, wrong, shown }
}

test('a schema as a form takes it refuses what it refuses, at the field, in words', async () => {
  const typed = formSchema(schema, { paidMinor: AMOUNT })
  expect(await typed.parse(start)).toEqual({ value: start, errors: [] })
  const bad = await typed.parse({ ...start, place: 'far too long a place', paidMinor: -3, state: 'lent' })
  expect(bad.value).toBeUndefined()
  expect(bad.errors).toEqual([
    { path: 'place', errors: ['a place is 8 letters at most.'] },
    { path: 'paidMinor', errors: [AMOUNT] },
    { path: 'lentTo', errors: ['to whom.'] },
  ])
  expect((await typed.parse({ ...start, state: 'lent' })).errors).toEqual([{ path: 'lentTo', errors: ['to whom.'] }])
})

test('fields show what is there: money in whole units, days, choices; nothing is changed yet', async () => {
  const { page, field } = await formOf()
  expect(['kept in', 'paid', 'bought on', 'is'].map((label) => field(label).element.value)).toEqual([
    'loft',
    '49.90',
    '2025-03-01',
    'kept',
  ])
  expect(field('bought on').attributes('max')).toBe('2026-11-25')
  expect(page.find('form').attributes('data-changed')).toBe('false')
})

test('what is no amount stays as it was typed, is said at its field, and is not saved; mended it is', async () => {
  const { field, save, kept, wrong, page } = await formOf()
  await field('paid').setValue('-3')
  await field('paid').trigger('change')
  await save()
  expect([field('paid').element.value, wrong(), kept]).toEqual(['-3', [AMOUNT], []])
  const [described] = [field('paid').attributes('aria-describedby')]
  expect([field('paid').attributes('aria-invalid'), page.find(`[id="${described}"]`).text()]).toEqual(['true', AMOUNT])
  await field('paid').setValue('420,5')
  await field('paid').trigger('change')
  await save()
  expect([kept[0]?.paidMinor, wrong()]).toEqual([42050, []])
})

test('an amount or a day that is emptied is none', async () => {
  const { field, save, kept } = await formOf()
  for (const label of ['paid', 'bought on']) {
    await field(label).setValue('')
    await field(label).trigger('change')
  }
  await save()
  expect(kept[0]).toMatchObject({ paidMinor: null, boughtOn: null })
})

test('what the server or the day refuses stands at its field as well, and goes when it is typed anew', async () => {
  const { field, save, wrong } = await formOf(({ boughtOn }) =>
    boughtOn === '2026-11-26' ? { boughtOn: 'still to come' } : {},
  )
  await field('bought on').setValue('2026-11-26')
  await field('bought on').trigger('change')
  await settled()
  await save()
  expect(wrong()).toEqual(['still to come'])
  await field('bought on').setValue('2026-11-20')
  await field('bought on').trigger('change')
  await settled()
  expect(wrong()).toEqual([])
})

test('a field that is put away keeps what it says', async () => {
  const { shown, save, kept, field } = await formOf()
  await field('kept in').setValue('bag')
  shown.value = false
  await settled()
  await save()
  expect(kept[0]?.place).toBe('bag')
})

test('what the schema tidies is what is saved, and what two fields say together is checked', async () => {
  const { field, save, kept, wrong } = await formOf()
  await field('kept in').setValue('  bag ')
  await field('is').setValue('lent')
  await save()
  expect([kept, wrong()]).toEqual([[], ['to whom.']])
  await field('lent to').setValue('Ines')
  await save()
  expect(kept[0]).toMatchObject({ place: 'bag', state: 'lent', lentTo: 'Ines' })
})
