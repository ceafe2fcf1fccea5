import { placeSetup } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { roofed } from '../../testing/fit-rigs.ts'
import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { buildKnot } from './build-knot.ts'

const joints = [on('a', 'foot', 'camera', 'hole'), on('b', 'foot', 'camera', 'pinned')]

testCheck(buildKnot, {
  speaks: [
    {
      name: 'two roofs, each over the other’s post: neither can be screwed in last',
      message: 'locked',
      level: 'risk',
      parts: ['a', 'b'],
      ...tinyRig([roofed('a', 1, 23), roofed('b', -1, 27)], joints),
    },
  ],
  silent: [],
})

it('passes over two posts of which one has no roof', () => {
  const { rig, context } = tinyRig(
    [roofed('a', 1, 23), tinyPart({ id: 'b', mounts: [plug('foot', 'thread-1/4')] })],
    joints,
  )
  const found = rig.setups.flatMap((setup) =>
    buildKnot.run(factsOf(placeSetup(rig, setup, context.catalogue), context)),
  )
  expect(found).toEqual([])
})
