import { tinyRig } from '../../testing/index.ts'
import { massUnknown } from './mass-unknown.ts'
import { testCheck } from '../tester.ts'
import { cube, onHole } from '../../testing/caps-rigs.ts'

testCheck(massUnknown, {
  speaks: [
    {
      name: 'a cube that nobody weighed on a camera of 1 kg',
      message: 'unweighed',
      numbers: { knownG: 1000 },
      parts: ['cube'],
      ...tinyRig([cube('cube', { massG: 0, unknown: ['massG'] })], [onHole]),
    },
  ],
  silent: [
    { name: 'weighed', message: 'known', ...tinyRig([cube('cube')], [onHole]) },
    {
      name: 'unweighed, and in the bag',
      message: 'known',
      ...tinyRig([cube('cube', { massG: 0, unknown: ['massG'] })], []),
    },
  ],
})
