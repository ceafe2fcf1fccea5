import { on, tinyRig } from '../../testing/index.ts'
import { needTwice } from './need-twice.ts'
import { testCheck } from '../tester.ts'
import { mic, inShoe, wants } from '../../testing/thrift-rigs.ts'

testCheck(needTwice, {
  speaks: [
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
  silent: [{ name: 'one microphone', message: 'alone', ...tinyRig([mic('mic')], [inShoe], wants) }],
})
