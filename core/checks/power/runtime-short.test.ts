import { on, plug, tinyPart } from '../../testing/index.ts'
import { inBay, pack, wiredRig } from '../../testing/wired.ts'
import { runtimeShort } from './runtime-short.ts'
import { testCheck } from '../tester.ts'
import { day } from '../../testing/power-rigs.ts'

const onPacks = (minutes: number, packs: number) =>
  wiredRig([pack()], [inBay()], [], {
    brief: day(['roll', minutes]),
    kit: Array.from({ length: packs }, (_, i) => ({
      id: i === 0 ? 'pack' : `pack-${i + 1}`,
      partId: 'pack',
      status: 'in' as const,
    })),
  })

/** The same with a box on top whose draw nobody knows. */
const withUnknown = () => {
  const box = tinyPart({ id: 'box', unknown: ['drawW'], mounts: [plug('foot', 'thread-1/4')] })
  return wiredRig([pack(), box], [inBay(), on('box', 'foot', 'camera', 'hole')], [], { brief: day(['roll', 180]) })
}

testCheck(runtimeShort, {
  cannotTell: [
    {
      name: 'three hours on one pack, and a piece of unknown draw',
      message: 'unknown',
      parts: ['box'],
      ...withUnknown(),
    },
  ],
  speaks: [
    {
      name: 'four hours at 6 W on one pack of 18 Wh; a second cures it',
      message: 'short',
      level: 'risk',
      numbers: { needed: 2, have: 1, darkMin: 180 },
      remedies: 1,
      ...onPacks(240, 1),
    },
  ],
  silent: [
    { name: 'two packs for five hours', message: 'enough', numbers: { needed: 2, have: 2 }, ...onPacks(300, 2) },
    { name: 'three hours to the minute', message: 'enough', numbers: { needed: 1, have: 1 }, ...onPacks(180, 1) },
  ],
})
