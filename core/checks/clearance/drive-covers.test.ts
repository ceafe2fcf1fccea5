import { on, plug, socket, tinyPart } from '../../testing/index.ts'
import { wiredRig } from '../../testing/wired.ts'
import { driveCovers } from './drive-covers.ts'
import { testCheck } from '../tester.ts'
import { drive } from '../../testing/media-rigs.ts'

const bar = tinyPart({ id: 'bar', mounts: [plug('foot', 'thread-1/4'), socket('more', 'shoe-cold', [0, 20, 0])] })

testCheck(driveCovers, {
  speaks: [
    {
      name: 'on the only shoe',
      message: 'last',
      level: 'hint',
      numbers: { open: 0 },
      parts: ['drive'],
      ...wiredRig([drive('shoe-cold')], [on('drive', 'foot', 'camera', 'shoe')]),
    },
  ],
  silent: [
    {
      name: 'one more is open',
      message: 'room',
      numbers: { open: 1, wanted: 1 },
      ...wiredRig(
        [drive('shoe-cold'), bar],
        [on('drive', 'foot', 'camera', 'shoe'), on('bar', 'foot', 'camera', 'hole')],
      ),
    },
  ],
})
