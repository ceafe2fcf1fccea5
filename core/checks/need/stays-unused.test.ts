import { tinyRig } from '../../testing/index.ts'
import { loggedJoints, loggedParts, taughtOnce } from '../../testing/log-rigs.ts'
import { staysUnused } from './stays-unused.ts'
import { placeSetup } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { namedWays } from '../../remedies/index.ts'
import { testCheck } from '../tester.ts'

const taught = { ...taughtOnce, value: 3 }

testCheck(staysUnused, {
  speaks: [
    {
      name: 'three shoots in a row',
      message: 'idle',
      level: 'hint',
      numbers: { shoots: 3, massG: 100, priceMinor: 1000 },
      parts: ['cube'],
      ...tinyRig(loggedParts, loggedJoints, { learnt: { unused: new Map([['cube', { ...taught, times: 3 }]]) } }),
    },
  ],
  silent: [],
})

test('a part that somebody uses is passed over; one that only lies in the bag is named, and can stay at home', () => {
  const unused = new Map([['cube', { ...taught, times: 3 }]])
  const { rig, context } = tinyRig(loggedParts, loggedJoints.slice(0, 1), { learnt: { unused } })
  const [setup] = rig.setups
  if (!setup) throw new Error('a rig has a set-up')
  const facts = factsOf(placeSetup(rig, setup, context.catalogue), context)
  const [finding, ...others] = staysUnused.run(facts)
  expect([finding?.parts, others]).toEqual([['cube'], []])
  const ways = finding ? [...namedWays(finding)] : []
  expect(ways.map(({ commands }) => commands)).toEqual([[{ do: 'discard', instance: 'cube' }]])
})
