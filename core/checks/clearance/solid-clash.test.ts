import { placeSetup, type Rig } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { CLASH_MM } from '../../kernel/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { search } from '../../ways-out/index.ts'
import { findingsOf } from '../index.ts'
import { solidClash } from './solid-clash.ts'
import { testCheck } from '../tester.ts'

/** A shelf carrying two holes `gapMm` apart, and two 20 mm cubes on them. */
const pair = (gapMm: number) => {
  const context = tinyPart({
    id: 'shelf',
    centre: [0, 2, 0],
    solids: [{ kind: 'box', centre: [0, 2, 0], size: [60, 4, 20], matter: 'body' }],
    mounts: [
      plug('foot', 'thread-1/4'),
      socket('a', 'thread-1/4', [0, 4, 0]),
      socket('b', 'thread-1/4', [gapMm, 4, 0]),
    ],
  })
  const cube = (id: string) => tinyPart({ id, mounts: [plug('foot', 'thread-1/4')] })
  return tinyRig(
    [context, cube('one'), cube('two')],
    [on('shelf', 'foot', 'camera', 'hole'), on('one', 'foot', 'shelf', 'a'), on('two', 'foot', 'shelf', 'b')],
  )
}
testCheck(solidClash, {
  speaks: [
    {
      name: 'a hair over the tolerance',
      message: 'clash',
      level: 'stop',
      numbers: { depthMm: CLASH_MM + 0.01, allowedMm: CLASH_MM },
      parts: ['two', 'one'],
      ...pair(20 - CLASH_MM - 0.01),
    },
  ],
  silent: [{ name: 'exactly the tolerance', message: 'clear', ...pair(20 - CLASH_MM) }],
})

test('a piece on a rail is slid clear by the shortest way, and the words name that way', () => {
  const clamp = (id: string, size: readonly [number, number, number]) =>
    tinyPart({
      id,
      centre: [0, 10, 0],
      solids: [{ kind: 'box', centre: [0, 10, 0], size, matter: 'body' }],
      mounts: [plug('foot', 'nato', { lengthMm: 20 })],
    })
  const wall = tinyPart({
    id: 'wall',
    centre: [-60, 0, 20],
    solids: [{ kind: 'box', centre: [-60, -20, 14], size: [10, 90, 10], matter: 'body' }],
    mounts: [plug('foot', 'thread-1/4')],
  })
  const { rig, context } = tinyRig(
    [clamp('slider', [20, 20, 20]), wall],
    [on('slider', 'foot', 'camera', 'rail'), on('wall', 'foot', 'camera', 'hole')],
  )
  const facts = factsOf(placeSetup(rig, rig.setups[0] as Rig['setups'][number], context.catalogue), context)
  const [finding] = findingsOf(facts).filter(({ check }) => check === 'solid-clash')
  if (!finding) throw new Error('they clash')
  const ways = search({ rig, factsOf: () => facts }, 'main', finding)
  expect(ways[0]?.remedy).toMatchObject({ numbers: { byMm: 1 }, names: { way: 'forward' } })
})
