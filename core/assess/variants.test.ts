import { on, plug, socket, tinyPart, tinyRig } from '../testing/index.ts'
import { variantsOf } from './index.ts'

const cube = (id: string) =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])] })
const { rig, context } = tinyRig(
  [cube('one'), cube('two')],
  [on('one', 'foot', 'camera', 'hole'), on('two', 'foot', 'one', 'top')],
)

test('the set-up in hand, itself without each end, and the bare camera', () => {
  const found = variantsOf(rig, 'main', context)
  expect(found.map(({ kind, name, massG }) => [kind, name, massG])).toEqual([
    ['now', 'main', 1200],
    ['without', 'without two', 1100],
    ['bare', 'bare camera', 1000],
  ])
  expect(found.at(-1)?.yawShake).toBeCloseTo(1, 9)
  expect(found[0]?.yawShake).toBeLessThan(found[1]?.yawShake ?? 0)
})

test('other carried set-ups are points too; one on the tripod is none', () => {
  const [main] = rig.setups
  if (!main) throw new Error('a set-up')
  const more = {
    ...rig,
    setups: [
      main,
      { ...main, id: 'chest', name: 'chest', support: 'chest' as const },
      { ...main, id: 'slip', name: 'slip', support: 'tripod' as const },
    ],
  }
  expect(
    variantsOf(more, 'main', context)
      .filter(({ kind }) => kind === 'setup')
      .map(({ id }) => id),
  ).toEqual(['chest'])
  expect(variantsOf(more, 'slip', context).map(({ kind }) => kind)).toEqual(['setup', 'setup'])
})
