import { mount } from '@vue/test-utils'
import FigureFields from './FigureFields.vue'
import { figureFrom } from './part-draft.ts'

test('a figure says no more than it must', () => {
  expect(figureFrom(undefined, { like: '' })).toBeUndefined()
  expect(figureFrom(undefined, { like: 'cage' })).toEqual({ like: 'cage' })
  expect(figureFrom({ like: 'cage' }, { toggle: 'closed' })).toEqual({ like: 'cage', features: ['closed'] })
  expect(figureFrom({ like: 'cage', features: ['closed'] }, { like: '' })).toEqual({ features: ['closed'] })
  expect(figureFrom({ features: ['closed'] }, { toggle: 'closed' })).toBeUndefined()
  // What no list knows is not taken.
  expect(figureFrom({ like: 'cage' }, { like: 'pumpkin' })).toBeUndefined()
})

test('the choice and the ticks of a part are told as they are made', async () => {
  const fields = mount(FigureFields, { props: { figure: { features: ['smooth'] } } })
  const [closed, smooth] = fields.findAll('input')
  expect([closed?.element.checked, smooth?.element.checked]).toEqual([false, true])
  await fields.get('select').setValue('solids')
  await closed?.setValue(true)
  expect(fields.emitted('change')).toEqual([
    [{ like: 'solids', features: ['smooth'] }],
    [{ features: ['closed', 'smooth'] }],
  ])
})
