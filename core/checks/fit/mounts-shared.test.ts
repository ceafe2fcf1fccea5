import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { mountsShared } from './mounts-shared.ts'
import { testCheck } from '../tester.ts'
import { screw } from '../../testing/thrift-rigs.ts'

const block = tinyPart({
  id: 'block',
  solids: [{ kind: 'box', centre: [0, 10, 0], size: [80, 20, 20], matter: 'body' }],
  mounts: [
    plug('foot', 'thread-1/4'),
    socket('a', 'thread-1/4', [-30, 20, 0], [0, 1, 0], { shares: ['b'] }),
    socket('b', 'thread-1/4', [0, 20, 0], [0, 1, 0], { shares: ['a'] }),
    socket('c', 'thread-1/4', [30, 20, 0]),
  ],
})

const both = (b: string) =>
  tinyRig(
    [block, screw('one'), screw('two')],
    [on('block', 'foot', 'camera', 'hole'), on('one', 'foot', 'block', 'a'), on('two', 'foot', 'block', b)],
  )

testCheck(mountsShared, {
  speaks: [
    {
      name: 'two holes in the same metal',
      message: 'blocked',
      level: 'stop',
      parts: ['two', 'one'],
      ...both('b'),
    },
  ],
  silent: [{ name: 'two that do not disturb each other', message: 'free', ...both('c') }],
})
