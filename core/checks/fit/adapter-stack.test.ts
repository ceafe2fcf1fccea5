import { on, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { adapterStack } from './adapter-stack.ts'
import { testCheck } from '../tester.ts'
import { foot } from '../../testing/fit-rigs.ts'

const step = (id: string) => tinyPart({ id, mounts: [foot, socket('top', 'thread-1/4', [0, 20, 0])] })

const mic = tinyPart({ id: 'mic', role: 'mic', mounts: [foot] })

const tower = (count: number) => {
  const steps = ['one', 'two', 'three'].slice(0, count).map(step)
  const hosts = ['camera', ...steps.map(({ id }) => id)]
  return tinyRig(
    [...steps, mic],
    hosts.map((host, i) => on(steps[i]?.id ?? 'mic', 'foot', host, i === 0 ? 'hole' : 'top')),
  )
}

testCheck(adapterStack, {
  speaks: [
    {
      name: 'three in a row',
      message: 'tower',
      level: 'risk',
      numbers: { inRow: 3, highMm: 60 },
      parts: ['mic', 'three', 'two', 'one'],
      ...tower(3),
    },
  ],
  silent: [{ name: 'exactly two', message: 'firm', numbers: { inRow: 2 }, ...tower(2) }],
})
