import { mount } from '@vue/test-utils'
import { nextTick, ref } from 'vue'
import SortHeads from './SortHeads.vue'
import { type Column, useTable } from './table.ts'

interface Row {
  readonly id: string
  readonly massG: number
  readonly place: string
}
const row = (id: string, massG: number, place: string): Row => ({ id, massG, place })
const columns: readonly Column<Row>[] = [
  { id: 'mass', title: 'mass', value: ({ massG }) => massG, right: true },
  { id: 'place', title: 'kept in', value: ({ place }) => place },
]
const rows = ref<readonly Row[]>([row('a', 90, 'loft'), row('b', 1000, 'bag'), row('c', 90, ''), row('d', 5, 'bag')])
const ids = (list: readonly Row[]) => list.map(({ id }) => id).join('')

test('pressed once from the least, again from the most, a third time as they came; figures are no words', () => {
  const { sorted, sorting, sortBy } = useTable(rows, columns)
  expect(ids(sorted.value)).toBe('abcd')
  sortBy('mass')
  expect([ids(sorted.value), sorting.value]).toEqual(['dacb', { id: 'mass', down: false }])
  sortBy('mass')
  expect(ids(sorted.value)).toBe('bacd')
  sortBy('mass')
  expect([ids(sorted.value), sorting.value]).toEqual(['abcd', undefined])
})

test('what is equal stays as it came, and another column begins anew from the least', () => {
  const { sorted, sortBy } = useTable(rows, columns)
  sortBy('mass')
  sortBy('mass')
  sortBy('place')
  expect(ids(sorted.value)).toBe('cbda')
})

test('a row that comes or changes takes its place at once', async () => {
  const own = ref<readonly Row[]>(rows.value)
  const { sorted, sortBy } = useTable(own, columns)
  sortBy('mass')
  expect(ids(sorted.value)).toBe('dacb')
  own.value = [...own.value, row('e', 50, 'case')]
  await nextTick()
  expect(ids(sorted.value)).toBe('deacb')
})

test('five thousand rows are put in order as an array is', () => {
  const many = ref(Array.from({ length: 5000 }, (_, i) => row(String(i), (i * 7919) % 4999, 'bag')))
  const { sorted, sortBy } = useTable(many, columns)
  sortBy('mass')
  const plain = many.value.map((one, i) => ({ one, i })).sort((a, b) => a.one.massG - b.one.massG || a.i - b.i)
  expect(sorted.value.map(({ id }) => id)).toEqual(plain.map(({ one }) => one.id))
})

test('what nobody knows stands last, from the least and from the most', () => {
  const worth: readonly Column<Row>[] = [
    { id: 'mass', title: 'mass', value: ({ massG }) => (massG === 5 ? undefined : massG) },
  ]
  const { sorted, sortBy } = useTable(rows, worth)
  sortBy('mass')
  expect(ids(sorted.value)).toBe('acbd')
  sortBy('mass')
  expect(ids(sorted.value)).toBe('bacd')
})

test('the heads say in words and by an arrow which one orders, and ask by their name', async () => {
  const page = mount(SortHeads as never, { props: { columns, sorting: { id: 'mass', down: true } } as never })
  const heads = page.findAll('button')
  expect(heads.map((one) => one.text())).toEqual(['mass ↓, from the most', 'kept in, press to put in order'])
  expect(heads[0]?.find('[aria-hidden]').text()).toBe('↓')
  expect([heads[0]?.classes('text-right'), heads[1]?.classes('text-right')]).toEqual([true, false])
  await heads[1]?.trigger('click')
  expect(page.emitted('sort')).toEqual([['place']])
})
