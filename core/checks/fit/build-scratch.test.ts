import { placeSetup } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { buildScratch } from './build-scratch.ts'

/** A collar that goes down on the camera's front by its foot behind: `inMm` of it is in the body on the way, none at the end. */
const hooked = (inMm: number) =>
  tinyPart({
    id: 'hooked',
    solids: [
      { kind: 'box', centre: [0, 5, 0], size: [20, 10, 20], matter: 'body' },
      // Arms round the left, right, front and back, whose noses reach in below the camera's lower edge.
      ...[1, -1].flatMap((side) => [
        {
          kind: 'box' as const,
          centre: [side * 53, -37, 0] as const,
          size: [6, 94, 10] as const,
          matter: 'body' as const,
        },
        {
          kind: 'box' as const,
          centre: [side * (50 + 2 - inMm), -82, 0] as const,
          size: [4, 3.9, 10] as const,
          matter: 'body' as const,
        },
      ]),
      { kind: 'box', centre: [0, 7, -33], size: [10, 6, 6], matter: 'body' },
    ],
    mounts: [plug('foot', 'thread-1/4')],
  })
const wants = (id: string, role: 'adapter' | 'hood') =>
  tinyPart({
    id,
    role,
    mounts: [plug('foot', 'thread-1/4')],
    order: { offFirst: [role === 'hood' ? 'adapter' : 'hood'] },
  })

/** A foot whose maker wants its rail filled first, and a bow on that rail with a nose under the camera: it only slides on. */
const foot = tinyPart({
  id: 'foot',
  mounts: [
    plug('foot', 'thread-1/4'),
    socket('rail', 'nato', [0, 20, 0], [0, 1, 0], {
      lengthMm: 20,
      travel: { along: [0, 0, 1], minMm: -5, maxMm: 5, stepMm: 1 },
    }),
  ],
  order: { joinedBefore: ['rail'] },
})
const bow = tinyPart({
  id: 'bow',
  solids: [
    { kind: 'box', centre: [30, 5, 0], size: [80, 10, 20], matter: 'body' },
    { kind: 'box', centre: [65, -50, 0], size: [10, 110, 20], matter: 'body' },
    { kind: 'box', centre: [50, -107, 0], size: [40, 6, 20], matter: 'body' },
  ],
  mounts: [plug('foot', 'nato', { lengthMm: 20 })],
})

testCheck(buildScratch, {
  speaks: [
    {
      name: 'a bow that should be on its foot before the camera, but would not pass it',
      message: 'joined',
      parts: ['bow', 'foot'],
      ...tinyRig([foot, bow], [on('foot', 'foot', 'camera', 'hole'), on('bow', 'foot', 'foot', 'rail')]),
    },
    {
      name: 'noses that close below the body by 0.6 mm on either side',
      message: 'rubs',
      level: 'risk',
      numbers: { depthMm: 0.6 },
      parts: ['hooked', 'camera'],
      ...tinyRig([hooked(0.6)], [on('hooked', 'foot', 'camera', 'hole')]),
    },
    {
      name: 'two makers, each of whom wants the other part off first',
      message: 'first',
      ...tinyRig(
        [wants('a', 'adapter'), wants('b', 'hood')],
        [on('a', 'foot', 'camera', 'hole'), on('b', 'foot', 'camera', 'pinned')],
      ),
    },
  ],
  silent: [],
})

it('passes over noses that clear the body by 0.1 mm, and over an order that can be kept', () => {
  const plain = tinyPart({ id: 'b', role: 'hood', mounts: [plug('foot', 'thread-1/4')] })
  for (const { rig, context } of [
    tinyRig([hooked(-0.1)], [on('hooked', 'foot', 'camera', 'hole')]),
    tinyRig([wants('a', 'adapter'), plain], [on('a', 'foot', 'camera', 'hole'), on('b', 'foot', 'camera', 'pinned')]),
  ])
    for (const setup of rig.setups)
      expect(buildScratch.run(factsOf(placeSetup(rig, setup, context.catalogue), context))).toEqual([])
})
