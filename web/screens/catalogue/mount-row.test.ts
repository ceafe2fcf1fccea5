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

test('whether its contacts pass sound is told of a shoe and of a foot, and of nothing else', async () => {
  const said = (one: Mount) =>
    row(one)
      .findAll('label')
      .find((label) => label.text() === 'passes sound')
  expect(said({ ...foot, standard: 'thread-1/4' })).toBeUndefined()
  for (const mount of [foot, { ...foot, side: 'holds' as const, sound: true }]) {
    const one = row(mount)
    const box = one
      .findAll('label')
      .find((label) => label.text() === 'passes sound')
      ?.get('input')
    await box?.setValue(!mount.sound)
    const { sound: _, ...silent } = mount
    expect(one.emitted('change')).toEqual([[mount.sound ? silent : { ...mount, sound: true }]])
  }
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

test('a pad or a face is asked how wide and tall it is; one figure typed first stands for both', async () => {
  const face: Mount = { id: 'face', standard: 'face', side: 'holds', at: [0, 0, 0], out: [0, 0, 1], up: [0, 1, 0] }
  const plain = row(face)
  await plain.get('[aria-label="Mount 1, how wide it is flat (mm)"]').setValue('40')
  expect(plain.emitted('change')).toEqual([[{ ...face, faceMm: [40, 40] }]])
  const known = row({ ...face, faceMm: [40, 60] })
  await known.get('[aria-label="Mount 1, how tall it is flat (mm)"]').setValue('55')
  expect(known.emitted('change')).toEqual([[{ ...face, faceMm: [40, 55] }]])
  expect(row(foot).find('[aria-label="Mount 1, how wide it is flat (mm)"]').exists()).toBe(false)
})
