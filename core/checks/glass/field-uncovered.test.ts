import { zoom } from '../../testing/glass.ts'
import { fieldUncovered } from './field-uncovered.ts'
import { testCheck } from '../tester.ts'
import { shot } from '../../testing/light-rigs.ts'

// On 40 x 30 mm, 50 mm across, 25 mm shows what 21.63 shows on 36 x 24, and 50 mm what 43.27 shows.
testCheck(fieldUncovered, {
  speaks: [
    {
      name: 'nothing as long as 85; a longer lens would be',
      message: 'open',
      level: 'hint',
      numbers: { fieldMm: 85, nearestMm: (50 * Math.hypot(36, 24)) / 50 },
      remedies: 1,
      ...shot({
        known: [zoom({ id: 'long', optics: { focalMinMm: 90, focalMaxMm: 120 } })],
        brief: { fieldsMm: [85], lenses: [{ partId: 'lens', share: 100 }] },
      }),
    },
  ],
  silent: [
    {
      name: 'to the half millimetre',
      message: 'given',
      numbers: { fieldMm: 21.2 },
      ...shot({ brief: { fieldsMm: [21.2] } }),
    },
  ],
})
