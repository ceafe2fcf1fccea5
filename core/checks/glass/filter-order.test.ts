import type { Part } from '../../catalogue/index.ts'
import { front, screwed } from '../../testing/front-rigs.ts'
import { disc, nd, zoom } from '../../testing/glass.ts'
import { on, plug, socket, tinyPart } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { filterOrder } from './filter-order.ts'

const filter = (id: string, effect: 'clear' | 'polariser' | 'variable-nd', stops = 0): Part =>
  disc(id, 4, { kind: 'filter', effect, minStops: stops, maxStops: stops })
const stack = (...parts: readonly Part[]) =>
  front(
    [zoom(), ...parts],
    parts.map(({ id }, i) => (i === 0 ? screwed(id) : on(id, 'rear', parts[i - 1]?.id ?? '', 'front'))),
  )

/** A box clamped to the lens, with one tray that takes plates of glass by quarter turns. */
const box = tinyPart({
  id: 'box',
  role: 'matte-box',
  mounts: [
    plug('back', 'filter-thread', { family: '82', out: [0, 0, 1], up: [0, 1, 0] }),
    socket('tray', 'tray', [0, 0, -10], [0, 1, 0], { family: '4x4' }),
  ],
})
const pane = tinyPart({
  id: 'pane',
  role: 'filter',
  mounts: [plug('edge', 'tray', { family: '4x4', out: [0, 1, 0] })],
  opening: { at: [0, 0, 0], wideMm: 100, tallMm: 100 },
  optics: { kind: 'filter', effect: 'polariser', minStops: 1.5, maxStops: 1.5 },
})

testCheck(filterOrder, {
  speaks: [
    {
      name: 'a clear guard under neutral density',
      message: 'buried',
      level: 'hint',
      parts: ['guard', 'nd'],
      ...stack(filter('guard', 'clear'), disc('nd', 4, nd(6))),
    },
    {
      name: 'a polariser under a variable filter',
      message: 'crossed',
      parts: ['pola', 'vari'],
      ...stack(filter('pola', 'polariser'), filter('vari', 'variable-nd', 2)),
    },
    {
      name: 'a polariser in a tray that does not turn',
      message: 'stuck',
      parts: ['pane'],
      ...front([zoom(), box, pane], [on('box', 'back', 'lens', 'thread'), on('pane', 'edge', 'box', 'tray')]),
    },
  ],
  silent: [
    { name: 'the guard outermost', message: 'good', ...stack(disc('nd', 4, nd(6)), filter('guard', 'clear')) },
    {
      name: 'a polariser over plain neutral density',
      message: 'good',
      ...stack(disc('nd', 4, nd(6)), filter('pola', 'polariser')),
    },
    {
      name: 'two variable ones, which are told of elsewhere',
      message: 'good',
      ...stack(filter('one', 'variable-nd', 2), filter('two', 'variable-nd', 2)),
    },
  ],
})
