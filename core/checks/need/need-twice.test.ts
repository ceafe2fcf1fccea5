import { on, plug, socket, tinyCamera, tinyPart, tinyRig } from '../../testing/index.ts'
import { needTwice } from './need-twice.ts'
import { testCheck } from '../tester.ts'
import { mic, inShoe, wants } from '../../testing/thrift-rigs.ts'

/** Side grips on a camera that two hands hold. */
const inHands = (...ids: readonly string[]) => {
  const grip = (id: string) =>
    tinyPart({
      id,
      role: 'side-handle',
      provides: ['side-grip'],
      grips: [{ kind: 'side', at: [0, 10, 0] }],
      mounts: [plug('foot', 'thread-1/4')],
    })
  const holes = ids.map((id, i) => socket(`hole-${id}`, 'thread-1/4', [-40 + 40 * i, 40, 0]))
  return tinyRig(
    ids.map(grip),
    ids.map((id) => on(id, 'foot', 'camera', `hole-${id}`)),
    {
      ...wants,
      setup: { support: 'two-hand' },
      extra: [{ ...tinyCamera, mounts: [...tinyCamera.mounts, ...holes] }],
    },
  )
}

testCheck(needTwice, {
  speaks: [
    {
      name: 'three grips for two hands',
      message: 'twice',
      ...inHands('left', 'right', 'third'),
    },
    {
      name: 'two microphones that do the same: the one on the later point goes, whichever was put on first',
      message: 'twice',
      level: 'hint',
      numbers: { massG: 100 },
      parts: ['mic', 'spare'],
      remedies: 1,
      ...tinyRig([mic('mic'), mic('spare')], [inShoe, on('spare', 'screw', 'camera', 'pinned')], wants),
    },
    {
      name: 'one does all the other does and more: the lesser goes',
      message: 'twice',
      parts: ['mic', 'furry'],
      ...tinyRig(
        [mic('mic'), mic('furry', { provides: ['scratch-sound', 'wind-cover'] })],
        [inShoe, on('furry', 'screw', 'camera', 'pinned')],
        wants,
      ),
    },
  ],
  silent: [
    { name: 'a grip for either hand', message: 'alone', ...inHands('left', 'right') },
    { name: 'one microphone', message: 'alone', ...tinyRig([mic('mic')], [inShoe], wants) },
  ],
})
