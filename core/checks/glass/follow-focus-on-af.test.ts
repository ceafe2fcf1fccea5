import { zoom } from '../../testing/glass.ts'
import { followFocusOnAf } from './follow-focus-on-af.ts'
import { testCheck } from '../tester.ts'
import { front, drive, held, geared } from '../../testing/front-rigs.ts'

testCheck(followFocusOnAf, {
  speaks: [
    {
      name: 'a lens that focuses by itself',
      message: 'idle',
      level: 'hint',
      numbers: { massG: 100, priceMinor: 1000 },
      parts: ['drive'],
      ...front([zoom({ geared: true, optics: { autofocus: true } }), drive(24)], [held]),
    },
  ],
  silent: [{ name: 'a lens for the hand', message: 'manual', ...front([geared, drive(24)], [held]) }],
})
