import { placeSetup } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { cameLoose } from './came-loose.ts'
import { testCheck } from '../tester.ts'

const arm = tinyPart({
  id: 'arm',
  role: 'arm',
  mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])],
})
const cube = tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4')] })
const joints = [on('arm', 'foot', 'camera', 'hole'), on('cube', 'foot', 'arm', 'top')]
const taught = { value: 1, times: 1, last: '2026-11-17', shoot: 'the slip' }

/** The name of the arm's joint, typed by hand. */
const here = 'arm/foot tiny-camera/hole'

testCheck(cameLoose, {
  speaks: [
    {
      name: 'the same joint as it was',
      message: 'once',
      level: 'risk',
      parts: ['arm'],
      ...tinyRig([arm, cube], joints, { learnt: { loose: new Map([[here, taught]]) } }),
    },
    {
      name: 'on two days',
      message: 'again',
      numbers: { times: 2 },
      parts: ['arm'],
      ...tinyRig([arm, cube], joints, { learnt: { loose: new Map([[here, { ...taught, times: 2 }]]) } }),
    },
  ],
  silent: [
    {
      name: 'the same part by another of its ends',
      message: 'held',
      ...tinyRig([arm, cube], joints, { learnt: { loose: new Map([['arm/top tiny-camera/hole', taught]]) } }),
    },
  ],
})

it('has nothing to say where nothing was learnt', () => {
  const { rig, context } = tinyRig([arm, cube], joints)
  const judged = rig.setups.flatMap((setup) =>
    cameLoose.judgements(factsOf(placeSetup(rig, setup, context.catalogue), context)),
  )
  expect(judged).toEqual([])
})
