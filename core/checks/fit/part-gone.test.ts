import { placeSetup } from '../../assembly/index.ts'
import { withPlaceholders } from '../../catalogue/index.ts'
import { factsOf } from '../../facts/index.ts'
import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { partGone } from './part-gone.ts'
import { testCheck } from '../tester.ts'

const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4')] })
const known = tinyRig([cube], [on('cube', 'foot', 'camera', 'hole')])
const bare = tinyRig([], [])
const without = { ...known.context.catalogue, gone: new Map([['cube', 'taken-out' as const]]) }

testCheck(partGone, {
  speaks: [
    {
      name: 'a part that left the catalogue',
      message: 'taken-out',
      level: 'hint',
      parts: ['cube'],
      remedies: 1,
      ...known,
      context: { ...known.context, catalogue: without },
    },
    {
      name: 'a part nobody knows',
      message: 'placeholder',
      level: 'risk',
      parts: ['cube'],
      remedies: 1,
      ...known,
      context: {
        ...known.context,
        catalogue: withPlaceholders(known.context.catalogue, [{ ...cube, name: 'a part that is no longer known' }]),
      },
    },
    {
      name: 'the camera itself can not be left out',
      message: 'taken-out',
      parts: ['camera'],
      remedies: 0,
      ...bare,
      context: {
        ...bare.context,
        catalogue: { ...bare.context.catalogue, gone: new Map([['tiny-camera', 'taken-out' as const]]) },
      },
    },
  ],
  silent: [
    {
      name: 'what is gone is on another rig',
      message: 'known',
      ...known,
      context: {
        ...known.context,
        catalogue: { ...known.context.catalogue, gone: new Map([['another', 'taken-out' as const]]) },
      },
    },
  ],
})

test('where nothing is gone, nothing is said', () => {
  const setup = known.rig.setups[0]
  const assembly = setup && placeSetup(known.rig, setup, known.context.catalogue)
  expect(assembly && partGone.run(factsOf(assembly, known.context))).toEqual([])
})
