import { on, plug, tinyRig } from '../../testing/index.ts'
import { duplicateOwned } from './duplicate-owned.ts'
import { testCheck } from '../tester.ts'
import { mic, inShoe, wants } from '../../testing/thrift-rigs.ts'

testCheck(duplicateOwned, {
  speaks: [
    {
      name: 'the locker has one',
      message: 'owned',
      level: 'hint',
      numbers: { priceMinor: 1000 },
      parts: ['mic'],
      remedies: 1,
      ...tinyRig([mic('mic')], [inShoe], { ...wants, extra: [mic('old')], owned: { old: 1 } }),
    },
  ],
  silent: [
    {
      name: 'the locker has none',
      message: 'none',
      ...tinyRig([mic('mic')], [inShoe], { ...wants, extra: [mic('old')] }),
    },
    {
      name: 'the locker has this one as well: nothing is bought',
      message: 'paid',
      ...tinyRig([mic('mic')], [inShoe], { ...wants, extra: [mic('old')], owned: { old: 1, mic: 1 } }),
    },
    {
      name: 'the one in the locker would turn where this one is pinned',
      message: 'none',
      ...tinyRig([mic('mic')], [on('mic', 'screw', 'camera', 'pinned')], {
        ...wants,
        extra: [mic('old', { mounts: [plug('screw', 'thread-1/4')] })],
        owned: { old: 1 },
      }),
    },
  ],
})
