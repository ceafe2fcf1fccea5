import { tinyRig } from '../../testing/index.ts'
import { loggedJoints, loggedParts, taughtOnce } from '../../testing/log-rigs.ts'
import { gapSeen } from './gap-seen.ts'
import { testCheck } from '../tester.ts'

const taught = { ...taughtOnce, value: 1.5 }

testCheck(gapSeen, {
  speaks: [
    {
      name: 'one and a half millimetres stayed open',
      message: 'open',
      level: 'risk',
      numbers: { gapMm: 1.5 },
      parts: ['cube'],
      ...tinyRig(loggedParts, loggedJoints, { learnt: { gaps: new Map([['cube/foot arm/top', taught]]) } }),
    },
  ],
  silent: [
    {
      name: 'another joint had the gap',
      message: 'closed',
      ...tinyRig(loggedParts, loggedJoints, { learnt: { gaps: new Map([['cube/foot arm/foot', taught]]) } }),
    },
  ],
})
