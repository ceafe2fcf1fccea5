import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { shoeOverload } from './shoe-overload.ts'
import { testCheck } from '../tester.ts'
import { foot, onShoe } from '../../testing/shoe-rigs.ts'

const screwed = (id: string, massG: number) => tinyPart({ id, massG, mounts: [plug('foot', 'thread-1/4')] })

testCheck(shoeOverload, {
  speaks: [
    {
      name: 'arm and monitor together',
      message: 'usual',
      level: 'risk',
      numbers: { carriedG: 600, limitG: 500 },
      parts: ['arm'],
      ...tinyRig([foot('arm', 100), screwed('monitor', 500)], [onShoe, on('monitor', 'foot', 'arm', 'top')]),
    },
    {
      name: 'the part’s own lower rating counts',
      message: 'over',
      level: 'stop',
      numbers: { carriedG: 301, limitG: 300 },
      ...tinyRig([foot('arm', 301, { limitG: 300 })], [onShoe]),
    },
  ],
  silent: [
    {
      name: 'exactly 500 g',
      message: 'light',
      numbers: { carriedG: 500, limitG: 500 },
      ...tinyRig([foot('arm', 500)], [onShoe]),
    },
  ],
})
