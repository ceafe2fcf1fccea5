import type { Part } from '../../catalogue/index.ts'
import { front } from '../../testing/front-rigs.ts'
import { zoom } from '../../testing/glass.ts'
import { on, plug, tinyPart } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { gradUp } from './grad-up.ts'

const graduated: Part['optics'] = { kind: 'filter', effect: 'graduated', minStops: 3, maxStops: 3 }
/** A filter that can be screwed on at any angle. */
const grad = tinyPart({
  id: 'grad',
  role: 'filter',
  mounts: [plug('rear', 'filter-thread', { family: '82', out: [0, 0, 1], up: [0, 1, 0] })],
  optics: graduated,
})
const turned = (turnDeg: number, upright = false) =>
  front([zoom(), grad], [on('grad', 'rear', 'lens', 'thread', { turnDeg })], {
    setup: upright ? { orientation: 'upright' } : {},
  })

testCheck(gradUp, {
  speaks: [
    {
      name: 'upside down',
      message: 'turned',
      level: 'risk',
      numbers: { offDeg: 180, mostDeg: 15 },
      parts: ['grad'],
      ...turned(180),
    },
    { name: 'level in a camera that stands upright', message: 'turned', numbers: { offDeg: 90 }, ...turned(0, true) },
  ],
  silent: [
    { name: 'as it should be', message: 'up', numbers: { offDeg: 0 }, ...turned(0) },
    { name: 'exactly 15 degrees off', message: 'up', numbers: { offDeg: 15 }, ...turned(15) },
  ],
})
