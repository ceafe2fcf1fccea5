import type { Part } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { mount } from '@vue/test-utils'
import OrderSection from './OrderSection.vue'
import { checkDraft } from './part-draft.ts'

const cage = demoParts.find(({ id }) => id === 'reedsmith-full-h1')
if (!cage) throw new Error('the cage of the demo')

/** A page that takes each change into the part, as the editor does. */
const onPart = (part: Part) => {
  const page = mount(OrderSection, {
    props: {
      part,
      onChange: (more: Partial<Part>) => {
        const next = 'solids' in more ? (more as Part) : { ...page.props('part'), ...more }
        void page.setProps({ part: next })
      },
    },
  })
  return { page, now: (): Part => page.props('part') }
}

test('what a maker states of the order is typed, taken back, and a part again at every step', async () => {
  const { page, now } = onPart(cage)
  const ticked = page.findAll('fieldset input').filter((one) => (one.element as HTMLInputElement).checked)
  expect(ticked).toHaveLength(1)
  await page.get('select').setValue('hood')
  await page.get('input').setValue('the arrow')
  expect(now().order).toEqual({ joinedBefore: ['left-low'], offFirst: ['hood'], faceUp: 'the arrow' })
  expect(checkDraft(now()).issues).toEqual([])
  // Chosen twice it is stated once.
  await page.get('select').setValue('hood')
  expect(now().order?.offFirst).toEqual(['hood'])
  await page.get('button').trigger('click')
  await page.get('input').setValue('')
  await ticked[0]?.setValue(false)
  // What says nothing is not stated at all.
  expect('order' in now()).toBe(false)
  expect(checkDraft(now()).issues).toEqual([])
})

test('the tools a part is are told apart by commas', async () => {
  const { page, now } = onPart(cage)
  const field = page.findAll('input').at(1)
  await field?.setValue('4 mm key,  coin ,')
  expect(now().serves).toEqual(['4 mm key', 'coin'])
  await field?.setValue('')
  expect('serves' in now()).toBe(false)
})
