import type { Vec3 } from '../../kernel/index.ts'
import { testCheck } from '../tester.ts'
import { viewBlocked } from './view-blocked.ts'
import { block, screen, watching, turned } from '../../testing/view-rigs.ts'

// In two hands the eye is 90 mm up and 420 mm back; the picture's middle 70 up and 10 back: 20 over 410.
const eyeDeg = (Math.atan2(20, 410) * 180) / Math.PI

// The middle row's lines pass 30 mm behind the screen, 28 of 408 mm on their way: 70 + 20 * 28 / 408 = 71.4 over the
// axis, the next 8.4 mm over and under. The foot stands 40 up.
const BAR_UP = 31.4

const upOf = (out: Vec3): Vec3 => [0, out[2], -out[1]]

testCheck(viewBlocked, {
  speaks: [
    {
      name: 'a wall before it',
      message: 'hidden',
      level: 'risk',
      numbers: { hiddenPercent: 100, offDeg: eyeDeg },
      parts: ['wall', 'screen'],
      ...watching(screen(80, 45), [block('wall', [-25, 20, 60], [200, 160, 4])]),
    },
    {
      name: 'a bar across one of five rows: what five lines to middle and corners would miss',
      message: 'hidden',
      numbers: { hiddenPercent: 20, mostPercent: 10 },
      parts: ['bar', 'screen'],
      ...watching(screen(80, 45), [block('bar', [-25, BAR_UP, 40], [200, 7, 4])]),
    },
    {
      name: 'turned to the lens',
      message: 'away',
      numbers: { offDeg: 180 - eyeDeg },
      parts: ['screen'],
      ...watching(screen(80, 45, [0, 0, -1])),
    },
  ],
  silent: [
    { name: 'open before the eye', message: 'seen', ...watching(screen(80, 45)) },
    {
      name: 'the same bar a little above the picture',
      message: 'seen',
      numbers: { hiddenPercent: 0 },
      ...watching(screen(80, 45), [block('bar', [-25, BAR_UP + 24, 40], [200, 7, 4])]),
    },
    {
      name: 'exactly 60 degrees off',
      message: 'seen',
      numbers: { offDeg: 60 },
      ...watching(screen(80, 45, turned(60), [0, 30, 10], upOf(turned(60)))),
    },
  ],
})
