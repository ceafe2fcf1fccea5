import type { Mount } from '@zucchini/core/catalogue'
import { mount as onPage } from '@vue/test-utils'
import MountRow from './MountRow.vue'

const foot: Mount = { id: 'foot', standard: 'shoe-cold', side: 'sits', at: [0, 0, 0], out: [0, -1, 0], up: [0, 0, -1] }
const row = (mount: Mount) => onPage(MountRow, { props: { mount, n: 1, picked: false } })
const KEPT = '[aria-label="Mount 1, what keeps it in its shoe"]'

test('what keeps a shoe foot in its shoe is chosen, and left out again for the springs alone', async () => {
  const plain = row(foot)
  await plain.get(KEPT).setValue('nut')
  expect(plain.emitted('change')).toEqual([[{ ...foot, lock: 'nut' }]])
  const locked = row({ ...foot, lock: 'pin' })
  expect((locked.get(KEPT).element as HTMLSelectElement).value).toBe('pin')
  await locked.get(KEPT).setValue('')
  expect(locked.emitted('change')).toEqual([[foot]])
})

test('it is asked of shoe feet only', () => {
  expect(
    row({ ...foot, side: 'holds' })
      .find(KEPT)
      .exists(),
  ).toBe(false)
  expect(
    row({ ...foot, standard: 'thread-1/4' })
      .find(KEPT)
      .exists(),
  ).toBe(false)
})
