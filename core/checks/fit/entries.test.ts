import { placeSetup, type Rig } from '../../assembly/index.ts'
import { tinyRig } from '../../testing/index.ts'
import { factsOf } from '../../facts/index.ts'
import type { Context } from '../../context/index.ts'
import { clamp, cheeks, cheekJoints, onClamp } from '../../testing/fit-rigs.ts'

const factsFor = (rig: Rig, context: Context) => {
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  return factsOf(placeSetup(rig, setup, context.catalogue), context)
}

test('a clamp that opens needs no open end', () => {
  const { rig, context } = tinyRig([clamp(20), ...cheeks], [onClamp, ...cheekJoints])
  expect(factsFor(rig, context).entries).toEqual([])
})
