import { on } from '../../testing/index.ts'
import { wiredRig } from '../../testing/wired.ts'
import { driveUnheld } from './drive-unheld.ts'
import { testCheck } from '../tester.ts'
import { drive } from '../../testing/media-rigs.ts'

testCheck(driveUnheld, {
  speaks: [
    {
      name: 'in the kit, on nothing',
      message: 'loose',
      level: 'risk',
      parts: ['drive'],
      remedies: 1,
      ...wiredRig([drive('thread-1/4')], []),
    },
  ],
  silent: [
    {
      name: 'on a screw',
      message: 'held',
      ...wiredRig([drive('thread-1/4')], [on('drive', 'foot', 'camera', 'hole')]),
    },
  ],
})
