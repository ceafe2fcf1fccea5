import { placeSetup, type Rig } from '../../assembly/index.ts'
import { tinyRig } from '../../testing/index.ts'
import { factsOf } from '../../facts/index.ts'
import type { Context } from '../../context/index.ts'
import { cheek, clamp, cheeks, cheekJoints, onClamp } from '../../testing/fit-rigs.ts'

const factsFor = (rig: Rig, context: Context) => {
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  return factsOf(placeSetup(rig, setup, context.catalogue), context)
}

test('a clamp that opens needs no open end', () => {
  const { rig, context } = tinyRig([clamp(20), ...cheeks], [onClamp, ...cheekJoints])
  expect(factsFor(rig, context).entries).toEqual([])
})

// The rail runs 60 mm along the left side of the body, to its very ends; its face lies 50 mm left of the middle. A stop of
// 20 mm before each end whose outer side lies `outMm` left of that face.
const stops = (outMm: number) => [
  cheek('front', [-50 + 10 - outMm, -40, -45]),
  cheek('rear', [-75 + 10 - outMm, -40, 45]),
]
const shutBy = (outMm: number) => {
  const { rig, context } = tinyRig([clamp(20, { slidesOn: true }), ...stops(outMm)], [onClamp, ...cheekJoints])
  return factsFor(rig, context).entries.map(({ ends }) => ends.map((end) => end?.part.id))
}

test('end stops that are flush with the face of a rail shut it as well; what lies deeper than the jaws reach does not', () => {
  expect(shutBy(6)).toEqual([['front', 'rear']])
  expect(shutBy(0)).toEqual([['front', 'rear']])
  expect(shutBy(-7)).toEqual([['front', 'rear']])
  expect(shutBy(-9)).toEqual([[undefined, undefined]])
})
