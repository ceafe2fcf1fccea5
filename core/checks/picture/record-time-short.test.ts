import { recordTimeShort } from './record-time-short.ts'
import { testCheck } from '../tester.ts'
import { card, recording } from '../../testing/media-rigs.ts'

/** What 78 min at 100 Mbps fill, on cards of which 0.93 is used. */
const JUST_GB = (78 * 60 * 100) / 8000 / 0.93

testCheck(recordTimeShort, {
  speaks: [
    {
      name: 'no card',
      message: 'none',
      level: 'risk',
      numbers: { roomMin: 0, neededMin: 78 },
      remedies: 1,
      ...recording([], [card(64)]),
    },
    {
      name: '50 GB: 62 min; one more cures it',
      message: 'short',
      numbers: { roomMin: 62, neededMin: 78 },
      remedies: 1,
      ...recording([card(50)]),
    },
  ],
  silent: [{ name: 'to the minute', message: 'enough', numbers: { roomMin: 78 }, ...recording([card(JUST_GB)]) }],
})
