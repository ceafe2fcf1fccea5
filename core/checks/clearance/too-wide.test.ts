import { testCheck } from '../tester.ts'
import { tooWide } from './too-wide.ts'
import { wide } from '../../testing/view-rigs.ts'

// The camera is 100 mm wide, the cube on its side 20 more.
testCheck(tooWide, {
  speaks: [
    {
      name: '120 of 110 mm',
      message: 'over',
      level: 'risk',
      numbers: { wideMm: 120, overMm: 10 },
      parts: ['cube'],
      ...wide(110),
    },
  ],
  silent: [{ name: 'exactly 120 mm', message: 'within', ...wide(120) }],
})
