import { portraitMonitor } from './portrait-monitor.ts'
import { testCheck } from '../tester.ts'
import { screen, watching } from '../../testing/view-rigs.ts'

testCheck(portraitMonitor, {
  speaks: [
    {
      name: 'a tall screen turned with the camera lies across',
      message: 'across',
      level: 'hint',
      parts: ['screen'],
      ...watching(screen(45, 80), [], { orientation: 'upright' }),
    },
  ],
  silent: [
    {
      name: 'a wide screen turned with it stands',
      message: 'along',
      ...watching(screen(80, 45), [], { orientation: 'upright' }),
    },
  ],
})
