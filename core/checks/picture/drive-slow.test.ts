import { driveSlow } from './drive-slow.ts'
import { testCheck } from '../tester.ts'
import { card, recording } from '../../testing/media-rigs.ts'

testCheck(driveSlow, {
  speaks: [
    {
      name: '10 MB/s for a stream of 12.5 with some to spare',
      message: 'slow',
      level: 'risk',
      numbers: { wantedMBs: 16.25, writeMBs: 10 },
      parts: ['card', 'camera'],
      remedies: 1,
      ...recording([card(100, 10)]),
    },
  ],
  silent: [{ name: '16.25 MB/s', message: 'keeps', numbers: { writeMBs: 16.25 }, ...recording([card(100, 16.25)]) }],
})
