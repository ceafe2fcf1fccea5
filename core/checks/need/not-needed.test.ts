import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { notNeeded } from './not-needed.ts'
import { testCheck } from '../tester.ts'
import { mic, inShoe, wants } from '../../testing/thrift-rigs.ts'

testCheck(notNeeded, {
  speaks: [
    {
      name: 'XLR inputs at the desk',
      message: 'unasked',
      level: 'hint',
      numbers: { massG: 100, priceMinor: 1000, seconds: 15 },
      parts: ['preamp'],
      remedies: 1,
      ...tinyRig(
        [tinyPart({ id: 'preamp', role: 'preamp', provides: ['xlr'], mounts: [plug('foot', 'shoe-cold')] })],
        [on('preamp', 'foot', 'camera', 'shoe')],
      ),
    },
    {
      name: 'an owned arm that carries nothing',
      message: 'idle',
      numbers: { priceMinor: 0, seconds: 25 },
      ...tinyRig(
        [tinyPart({ id: 'arm', role: 'arm', mounts: [plug('foot', 'thread-1/4')] })],
        [on('arm', 'foot', 'camera', 'hole')],
        {
          owned: { arm: 1 },
        },
      ),
    },
  ],
  silent: [
    { name: 'a microphone that is asked for', message: 'needed', ...tinyRig([mic('mic')], [inShoe], wants) },
    {
      name: 'an arm with something on it',
      message: 'carries',
      ...tinyRig(
        [
          tinyPart({
            id: 'arm',
            role: 'arm',
            mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])],
          }),
          tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4')] }),
        ],
        [on('arm', 'foot', 'camera', 'hole'), on('cube', 'foot', 'arm', 'top')],
      ),
    },
  ],
})
