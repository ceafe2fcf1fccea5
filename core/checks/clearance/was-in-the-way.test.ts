import { tinyRig } from '../../testing/index.ts'
import { loggedJoints, loggedParts, taughtOnce } from '../../testing/log-rigs.ts'
import { wasInTheWay } from './was-in-the-way.ts'
import { testCheck } from '../tester.ts'

testCheck(wasInTheWay, {
  speaks: [
    {
      name: 'where it was',
      message: 'there',
      level: 'hint',
      parts: ['arm'],
      ...tinyRig(loggedParts, loggedJoints, {
        learnt: { inTheWay: new Map([['arm/foot tiny-camera/hole', taughtOnce]]) },
      }),
    },
  ],
  silent: [
    {
      name: 'it sat elsewhere then',
      message: 'elsewhere',
      ...tinyRig(loggedParts, loggedJoints, {
        learnt: { inTheWay: new Map([['arm/foot tiny-camera/shoe', taughtOnce]]) },
      }),
    },
  ],
})
