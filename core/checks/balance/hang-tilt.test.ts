import { placeSetup, type Rig } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { hangTilt } from './hang-tilt.ts'
import { testCheck } from '../tester.ts'

/** A weightless handle whose palm is 100 mm over the camera's centre and `aheadMm` in front of it. */
const handle = (backMm: number, upMm = 60, travelMm = 0) =>
  tinyPart({
    id: 'handle',
    role: 'top-handle',
    massG: 1e-9,
    grips: [{ kind: 'top', at: [0, upMm, backMm] }],
    mounts: [
      plug(
        'foot',
        'thread-1/4-pin',
        travelMm ? { travel: { along: [0, 0, -1], minMm: -travelMm, maxMm: travelMm, stepMm: 1 } } : {},
      ),
    ],
  })
const held = (backMm: number, upMm?: number, travelMm?: number) =>
  tinyRig([handle(backMm, upMm, travelMm)], [on('handle', 'foot', 'camera', 'pinned')])
const deg = (offMm: number) => (Math.atan2(offMm, 100) * 180) / Math.PI
const atLimit = 100 * Math.tan((3 * Math.PI) / 180)

testCheck(hangTilt, {
  speaks: [
    {
      name: 'palm 10 mm behind the centre, no way to slide',
      message: 'nose',
      level: 'hint',
      numbers: { tiltDeg: deg(10), offMm: 10 },
      remedies: 0,
      ...held(10),
    },
    { name: 'palm 20 mm behind', message: 'nose', level: 'risk', numbers: { tiltDeg: deg(20) }, ...held(20) },
    {
      name: 'palm 10 mm ahead; it can slide',
      message: 'tail',
      level: 'hint',
      numbers: { tiltDeg: deg(10) },
      remedies: 1,
      ...held(-10, 60, 20),
    },
    { name: 'palm under the centre', message: 'over', level: 'risk', numbers: { overMm: 5 }, ...held(10, -45) },
  ],
  silent: [
    { name: 'exactly three degrees', message: 'level', numbers: { tiltDeg: 3 }, ...held(atLimit) },
    { name: 'dead level', message: 'level', numbers: { tiltDeg: 0 }, ...held(0) },
  ],
})

test('on a tripod nothing hangs', () => {
  const { rig, context } = tinyRig([handle(20)], [on('handle', 'foot', 'camera', 'pinned')], {
    setup: { support: 'tripod' },
  })
  expect(
    hangTilt.judgements(factsOf(placeSetup(rig, rig.setups[0] as Rig['setups'][number], context.catalogue), context)),
  ).toEqual([])
})
