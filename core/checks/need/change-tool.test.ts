import type { Brief } from '../../brief/index.ts'
import { type Joint, placeSetup } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { changeTool } from './change-tool.ts'

const keyed = tinyPart({ id: 'keyed', mounts: [plug('foot', 'thread-1/4-pin')] })
const coined = tinyPart({ id: 'coined', mounts: [plug('foot', 'thread-1/4')] })
const inKeyed = on('keyed', 'foot', 'camera', 'pinned')
const inCoined = on('coined', 'foot', 'camera', 'hole')

/** Two set-ups of one kit, the first of which is looked at. */
const two = (changeWith: Brief['changeWith'], here: readonly Joint[], there: readonly Joint[], extra = [coined]) => {
  const tiny = tinyRig([keyed, ...extra], here, changeWith ? { brief: { changeWith } } : {})
  const [setup] = tiny.rig.setups
  if (!setup) throw new Error('a set-up')
  return { ...tiny, rig: { ...tiny.rig, setups: [setup, { ...setup, id: 'kerb', name: 'kerb', joints: there }] } }
}

testCheck(changeTool, {
  speaks: [
    {
      name: 'a 4 mm key where a coin is wanted; the same foot on a plain hole goes by coin',
      message: 'tool',
      level: 'risk',
      parts: ['keyed'],
      ...two('coin', [inKeyed, inCoined], [inCoined]),
    },
    {
      name: 'what only comes on in the other set-up is told too',
      message: 'tool',
      parts: ['keyed'],
      remedies: 0,
      ...two('coin', [], [inKeyed]),
    },
    { name: 'a coin where bare hands are wanted', message: 'tool', parts: ['coined'], ...two('hands', [inCoined], []) },
  ],
  silent: [
    {
      name: 'a coin, as wished; the key stays where it is',
      message: 'fine',
      ...two('coin', [inKeyed], [inKeyed, inCoined]),
    },
  ],
})

it('says nothing where nobody wished anything, and nothing of a rig with one form', () => {
  const judged = (tiny: ReturnType<typeof two>) => changeTool.judgements(factsIn(tiny))
  expect(judged(two(undefined, [inKeyed], []))).toEqual([])
  const one = two('coin', [inKeyed], [])
  expect(judged({ ...one, rig: { ...one.rig, setups: one.rig.setups.slice(0, 1) } })).toEqual([])
})
const factsIn = ({ rig, context }: ReturnType<typeof two>) => {
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  return factsOf(placeSetup(rig, setup, context.catalogue), context)
}
