import { tinyRig } from '../../testing/index.ts'
import { overMass } from './over-mass.ts'
import { testCheck } from '../tester.ts'
import { cube, onHole } from '../../testing/caps-rigs.ts'

testCheck(overMass, {
  cannotTell: [
    {
      name: 'within the cap, but a piece was never weighed',
      message: 'unweighed',
      numbers: { inHandG: 1000, capG: 1099 },
      parts: ['cube'],
      ...tinyRig([cube('cube', { massG: 0, unknown: ['massG'] })], [onHole], { brief: { inHandG: 1099 } }),
    },
  ],
  speaks: [
    {
      name: 'one gram over',
      message: 'over',
      level: 'risk',
      numbers: { inHandG: 1100, capG: 1099, overG: 1 },
      remedies: 1,
      ...tinyRig([cube('cube')], [onHole], { brief: { inHandG: 1099 } }),
    },
  ],
  silent: [
    {
      name: 'exactly at the cap',
      message: 'within',
      numbers: { inHandG: 1100, capG: 1100 },
      ...tinyRig([cube('cube')], [onHole], { brief: { inHandG: 1100 } }),
    },
  ],
})
