import { monitorTooHigh } from './monitor-too-high.ts'
import { testCheck } from '../tester.ts'
import { screen, watching } from '../../testing/view-rigs.ts'

testCheck(monitorTooHigh, {
  speaks: [
    {
      name: '160 mm over the axis',
      message: 'high',
      level: 'hint',
      numbers: { aboveMm: 210 },
      ...watching(screen(80, 45, [0, 0, 1], [0, 170, 10])),
    },
    { name: '270 mm', message: 'high', level: 'risk', ...watching(screen(80, 45, [0, 0, 1], [0, 230, 10])) },
  ],
  silent: [{ name: 'exactly 200 mm', message: 'low', ...watching(screen(80, 45, [0, 0, 1], [0, 160, 10])) }],
})
