import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'
import { costOf } from './index.ts'

const cube = (id: string, more = {}) => tinyPart({ id, mounts: [plug('foot', 'thread-1/4')], ...more })

test('low, usual and high of what is not owned; the camera is', () => {
  const { rig, context } = tinyRig(
    [cube('one'), cube('two', { price: { low: 1, usual: 2, high: 3 } })],
    [on('one', 'foot', 'camera', 'hole')],
  )
  expect(costOf(rig, context.catalogue, context.owned)).toMatchObject({ low: 801, usual: 1002, high: 1203 })
})

test('two of a part with one in the locker: one is to buy', () => {
  const kit = ['a', 'b'].map((id) => ({ id, partId: 'one', status: 'in' as const }))
  const { rig, context } = tinyRig([cube('one')], [], { kit, owned: { one: 1 } })
  const cost = costOf(rig, context.catalogue, context.owned)
  expect(cost.usual).toBe(1000)
  expect(cost.lines.map(({ owned }) => owned)).toEqual([true, true, false])
})

test('what is only considered costs nothing yet', () => {
  const { rig, context } = tinyRig([cube('one')], [], { kit: [{ id: 'one', partId: 'one', status: 'considered' }] })
  expect(costOf(rig, context.catalogue, context.owned).usual).toBe(0)
})
