import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { liftByShoe } from './lift-by-shoe.ts'
import { testCheck } from '../tester.ts'
import { foot, onShoe } from '../../testing/shoe-rigs.ts'

const grip = { grips: [{ kind: 'top' as const, at: [0, 30, 0] as const }] }

const handle = (standard: string) =>
  tinyPart({ id: 'handle', mounts: [plug('foot', standard), plug('screw', 'thread-1/4')], ...grip })

/** A handle over the shoe and the hole beside it. */
const bridging = tinyPart({
  id: 'bridge',
  mounts: [plug('foot', 'shoe-cold'), plug('screw', 'thread-1/4', { at: [25, 0, 0] })],
  ...grip,
})

testCheck(liftByShoe, {
  speaks: [
    {
      name: 'handle in the shoe; its screw fits a hole',
      message: 'lifts',
      level: 'stop',
      numbers: { inHandG: 1100 },
      parts: ['handle'],
      remedies: 2,
      ...tinyRig([handle('shoe-cold')], [on('handle', 'foot', 'camera', 'shoe')]),
    },
    {
      name: 'firm handle on a part that sits in a shoe',
      message: 'lifts',
      ...tinyRig([foot('arm', 50), handle('thread-1/4-pin')], [onShoe, on('handle', 'screw', 'arm', 'top')]),
    },
  ],
  silent: [
    {
      name: 'handle in the shoe, and a screw through its other foot',
      message: 'firm',
      ...tinyRig([bridging], [on('bridge', 'foot', 'camera', 'shoe')], {
        setup: { braces: [on('bridge', 'screw', 'camera', 'hole')] },
      }),
    },
    {
      name: 'handle on a pinned screw',
      message: 'firm',
      ...tinyRig([handle('thread-1/4-pin')], [on('handle', 'foot', 'camera', 'pinned')]),
    },
  ],
})
