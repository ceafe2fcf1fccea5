import { monitorTooFar } from './monitor-too-far.ts'
import { testCheck } from '../tester.ts'
import { screen, watching } from '../../testing/view-rigs.ts'

const awayMm = Math.hypot(20, 410)

testCheck(monitorTooFar, {
  speaks: [
    {
      name: 'a 40 mm picture',
      message: 'far',
      level: 'hint',
      numbers: { distanceMm: awayMm, mostMm: 320 },
      ...watching(screen(40, 24)),
    },
  ],
  silent: [{ name: 'exactly an eighth of the distance', message: 'near', ...watching(screen(awayMm / 8, 24)) }],
})
