import { placeSetup } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { buildKnot } from './build-knot.ts'

/** A post with a roof over its neighbour's, `heightMm` up. */
const hook = (id: string, towards: 1 | -1, heightMm: number, longMm = 50) =>
  tinyPart({
    id,
    solids: [
      { kind: 'box', centre: [0, 10, 0], size: [20, 20, 20], matter: 'body' },
      { kind: 'box', centre: [(towards * longMm) / 2, heightMm, 0], size: [longMm, 3, 400], matter: 'body' },
    ],
    mounts: [plug('foot', 'thread-1/4')],
  })
const joints = [on('a', 'foot', 'camera', 'hole'), on('b', 'foot', 'camera', 'pinned')]

testCheck(buildKnot, {
  speaks: [
    {
      name: 'two roofs, each over the other’s post: neither can be screwed in last',
      message: 'locked',
      level: 'risk',
      parts: ['a', 'b'],
      ...tinyRig([hook('a', 1, 23), hook('b', -1, 27)], joints),
    },
  ],
  silent: [],
})

it('passes over two posts of which one has no roof', () => {
  const { rig, context } = tinyRig(
    [hook('a', 1, 23), tinyPart({ id: 'b', mounts: [plug('foot', 'thread-1/4')] })],
    joints,
  )
  const found = rig.setups.flatMap((setup) =>
    buildKnot.run(factsOf(placeSetup(rig, setup, context.catalogue), context)),
  )
  expect(found).toEqual([])
})
