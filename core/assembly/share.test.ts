import { secondMark } from '../../demo/scenario/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { demoParts } from '../../demo/catalogue/index.ts'
import { edit, placeSetup, type Rig, type Setup, sharedWith } from './index.ts'

const anew = (rig: Rig): Rig => structuredClone(rig)

test('the same rig anew is the rig it was', () => {
  expect(sharedWith(secondMark, anew(secondMark))).toBe(secondMark)
  expect(sharedWith(undefined, secondMark)).toBe(secondMark)
  expect(sharedWith([{ id: 'a', n: 1 }], 'text')).toBe('text')
})

test('after an edit all it did not touch is the same, and pieces that stay sit as the same pieces', () => {
  const catalogue = catalogueOf(demoParts)
  const done = edit(secondMark, [{ do: 'set', setup: 'crossing', instance: 'handle', slideMm: 3 }], catalogue)
  if (!done.ok) throw new Error('it slides')
  const shared = sharedWith(secondMark, anew(done.value))
  expect(shared).toEqual(done.value)
  expect(shared.brief).toBe(secondMark.brief)
  expect(shared.kit).toBe(secondMark.kit)
  expect(shared.setups.filter((setup, i) => setup !== secondMark.setups[i]).map(({ id }) => id)).toEqual(['crossing'])
  const placed = (rig: Rig) => placeSetup(rig, rig.setups[0] as Setup, catalogue).placed
  const still = placed(shared).filter((piece) => placed(secondMark).includes(piece))
  expect(still.length).toBeGreaterThan(3)
  expect(still.length).toBeLessThan(placed(secondMark).length)
})

test('order and number of items may change; what is new is taken as it came', () => {
  const [a, b] = [
    { id: 'a', at: [1, 2] },
    { id: 'b', at: [3] },
  ]
  const fresh = { id: 'c', at: [9] }
  const shared = sharedWith([a, b], [structuredClone(b), fresh, { id: 'a', at: [1, 5] }])
  expect([shared[0] === b, shared[1] === fresh, shared[2]]).toEqual([true, true, { id: 'a', at: [1, 5] }])
  expect(sharedWith({ x: 1, y: undefined }, { x: 1 })).toEqual({ x: 1 })
})
