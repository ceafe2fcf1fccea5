import { type Brief, emptyBrief, type Phase } from '@zucchini/core/brief'
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { alertsOf, fieldOf } from '../../testing/fields.ts'
import DayPartRow from './DayPartRow.vue'
import DayParts from './DayParts.vue'
import DayStart from './DayStart.vue'
import LensUseRow from './LensUseRow.vue'

const leave = async (page: VueWrapper, label: string, text: string) => {
  const field = fieldOf(page, label)
  field.element.value = text
  await field.trigger('change')
  await flushPromises()
}

test('a part of the day: its minutes in bounds, its light by name or by the hour', async () => {
  const phase: Phase = { name: 'crossing out', kind: 'roll', minutes: 40, mains: false, scene: 'sun' }
  const page = mount(DayPartRow, { props: { phase, n: 2 } })
  await leave(page, 'Minutes of part 2', '0')
  expect([alertsOf(page), page.emitted('change')]).toEqual([['A part of the day has 1 to 1,440 minutes.'], undefined])
  await leave(page, 'Minutes of part 2', '164')
  await leave(page, 'Light in part 2', '')
  expect(page.emitted('change')).toEqual([
    [{ ...phase, minutes: 164 }],
    [{ name: 'crossing out', kind: 'roll', minutes: 40, mains: false }],
  ])
  expect(alertsOf(page)).toEqual([])
})

test('what a part of the day refused stays with it when one before it is left out', async () => {
  const phases: readonly Phase[] = ['crossing', 'slip', 'wheelhouse'].map((name) => ({
    name,
    kind: 'roll',
    minutes: 40,
    mains: false,
  }))
  const page = mount(DayParts, { props: { brief: { ...emptyBrief, phases } } })
  await leave(page, 'Minutes of part 2', '0')
  await page.find('[aria-label="Leave out part 1"]').trigger('click')
  const left = (page.emitted('change')?.[0]?.[0] ?? []) as readonly Phase[]
  expect(left.map(({ name }) => name)).toEqual(['slip', 'wheelhouse'])
  await page.setProps({ brief: { ...emptyBrief, phases: left } })
  expect(fieldOf(page, 'Minutes of part 1').element.value).toBe('0')
  expect(fieldOf(page, 'Minutes of part 2').element.value).toBe('40')
  const rows = page.findAll('li')
  expect(rows.map((row) => row.find('[role="alert"]').exists())).toEqual([true, false])
  // What comes back by an undo is a new row.
  await page.setProps({ brief: { ...emptyBrief, phases } })
  expect(page.findAll('li').map((row) => row.find('[role="alert"]').exists())).toEqual([false, true, false])
})

test('when and where: a town brings its degrees and clocks, a clock is read, a pole too far is refused', async () => {
  const page = mount(DayStart, { props: { brief: emptyBrief } })
  const last = () => (page.emitted('change')?.at(-1)?.[0] as Partial<Brief> | undefined)?.light
  await leave(page, 'place', 'lisbon')
  expect(last()?.place).toMatchObject({ name: 'Lisbon', zone: 'Europe/Lisbon' })
  await leave(page, 'place', 'Somewhere')
  expect(last()?.place).toEqual({ ...emptyBrief.light.place, name: 'Somewhere' })
  await leave(page, 'begins', '11:45')
  expect(last()?.startMin).toBe(705)
  const before = page.emitted('change')?.length
  await leave(page, 'latitude', '91')
  await leave(page, 'clocks', 'Nowhere/Else')
  expect(page.emitted('change')?.length).toBe(before)
  expect(alertsOf(page)).toEqual([
    'A latitude runs from −90 (south) to 90 (north).',
    'Choose the time zone whose clocks count there, such as Europe/Lisbon.',
  ])
})

test('a share of the shooting runs from 0 to 100 percent', async () => {
  const page = mount(LensUseRow, { props: { name: 'the zoom', use: { partId: 'zoom', share: 60 } } })
  await leave(page, 'Share of the zoom', '101')
  expect([alertsOf(page), page.emitted('change')]).toEqual([['A share runs from 0 to 100 percent.'], undefined])
  await leave(page, 'Share of the zoom', '100')
  expect(page.emitted('change')).toEqual([[100]])
})
