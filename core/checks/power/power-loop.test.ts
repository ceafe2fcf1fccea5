import { on } from '../../testing/index.ts'
import { link, screen, wiredRig } from '../../testing/wired.ts'
import { powerLoop } from './power-loop.ts'
import { testCheck } from '../tester.ts'
import { dc } from '../../testing/power-rigs.ts'

const passing = (id: string) =>
  screen(id, {
    sockets: [
      { id: 'dc', connector: 'dc-5.5x2.1', direction: 'in', at: [10, 10, 0], out: [1, 0, 0], carries: ['power'] },
      { id: 'on', connector: 'dc-5.5x2.1', direction: 'out', at: [-10, 10, 0], out: [-1, 0, 0], carries: ['power'] },
    ],
  })

const ring = (...links: Parameters<typeof link>[]) =>
  wiredRig(
    [passing('one'), passing('two'), dc('there'), dc('back')],
    [on('one', 'foot', 'camera', 'hole'), on('two', 'foot', 'camera', 'pinned')],
    links.map((given) => link(...given)),
  )

testCheck(powerLoop, {
  speaks: [
    {
      name: 'there and back',
      message: 'ring',
      level: 'stop',
      parts: ['back', 'two', 'one'],
      remedies: 1,
      ...ring(['there', 'one/on', 'two/dc'], ['back', 'two/on', 'one/dc']),
    },
  ],
  silent: [{ name: 'there only', message: 'straight', ...ring(['there', 'one/on', 'two/dc']) }],
})
