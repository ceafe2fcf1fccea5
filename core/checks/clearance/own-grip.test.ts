import { on, plug, tinyCamera, tinyPart, tinyRig, socket } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { ownGrip } from './own-grip.ts'

// No moulded grip: the palm lies 12 mm inside the right end, at (38, 0, 0). The hand reaches from 24 to 72 mm across, 36
// up and down, from 31 mm before to 40 behind.
const camera = {
  ...tinyCamera,
  mounts: [
    ...tinyCamera.mounts,
    socket('side', 'thread-1/4', [50, 0, 0], [1, 0, 0]),
    socket('off', 'thread-1/4', [60, 0, 0], [1, 0, 0]),
  ],
}
const frame = (thickMm: number) =>
  tinyPart({
    id: 'frame',
    solids: [{ kind: 'box', centre: [0, thickMm / 2, 0], size: [100, thickMm, 100], matter: 'body' }],
    mounts: [plug('foot', 'thread-1/4')],
  })
const framed = (hole: 'side' | 'off') =>
  tinyRig([frame(15)], [on('frame', 'foot', 'camera', hole)], { extra: [camera], setup: { support: 'two-hand' } })

testCheck(ownGrip, {
  speaks: [
    {
      // From 50 to 65 mm across: the hand would have to come 41 mm in or the frame 22 out; up or down it is 86.
      name: 'a frame where the palm goes',
      message: 'taken',
      level: 'hint',
      numbers: { intoMm: 22, mostMm: 12 },
      parts: ['frame', 'camera'],
      ...framed('side'),
    },
  ],
  silent: [
    { name: 'a frame that is held along with it', message: 'free', numbers: { intoMm: 12 }, ...framed('off') },
    {
      name: 'nothing beside it',
      message: 'free',
      numbers: { intoMm: 0 },
      ...tinyRig([], [], { setup: { support: 'two-hand' } }),
    },
  ],
})
