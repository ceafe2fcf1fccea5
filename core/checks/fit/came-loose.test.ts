import { placeSetup } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { tinyRig } from '../../testing/index.ts'
import { loggedJoints, loggedParts, taughtOnce } from '../../testing/log-rigs.ts'
import { cameLoose } from './came-loose.ts'
import { testCheck } from '../tester.ts'

/** The name of the arm's joint, typed by hand. */
const here = 'arm/foot tiny-camera/hole'

testCheck(cameLoose, {
  speaks: [
    {
      name: 'the same joint as it was',
      message: 'once',
      level: 'risk',
      parts: ['arm'],
      ...tinyRig(loggedParts, loggedJoints, { learnt: { loose: new Map([[here, taughtOnce]]) } }),
    },
    {
      name: 'on two days',
      message: 'again',
      numbers: { times: 2 },
      parts: ['arm'],
      ...tinyRig(loggedParts, loggedJoints, { learnt: { loose: new Map([[here, { ...taughtOnce, times: 2 }]]) } }),
    },
  ],
  silent: [
    {
      name: 'the same part by another of its ends',
      message: 'held',
      ...tinyRig(loggedParts, loggedJoints, { learnt: { loose: new Map([['arm/top tiny-camera/hole', taughtOnce]]) } }),
    },
  ],
})

it('has nothing to say where nothing was learnt', () => {
  const { rig, context } = tinyRig(loggedParts, loggedJoints)
  const judged = rig.setups.flatMap((setup) =>
    cameLoose.judgements(factsOf(placeSetup(rig, setup, context.catalogue), context)),
  )
  expect(judged).toEqual([])
})
