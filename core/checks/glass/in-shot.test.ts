import { on, plug, tinyCamera, tinyPart, tinyRig } from '../../testing/index.ts'
import { factsOf } from '../../facts/index.ts'
import { inShot } from './in-shot.ts'
import { testCheck } from '../tester.ts'
import { placed, block, intoMm } from '../../testing/view-rigs.ts'

// An 18 mm lens on 36 x 24 mm sees 45 degrees to each side and 33.7 up; its pupil is 30 mm ahead of the sensor.
const sighted = { ...tinyCamera, optics: { kind: 'sensor' as const, wideMm: 36, tallMm: 24 } }

const glass = tinyPart({
  id: 'glass',
  role: 'lens',
  solids: [{ kind: 'box', centre: [0, 0, -5], size: [20, 20, 10], matter: 'body' }],
  mounts: [plug('bayonet', 'lens-mount', { out: [0, 0, 1], up: [0, 1, 0], family: 'stem' })],
  optics: { kind: 'lens', focalMinMm: 18, focalMaxMm: 18, stop: 2, pupilMm: 0, imageCircleMm: 43 },
})

/** A 20 mm cube 70 mm ahead of the pupil, its middle `upMm` over the axis. */
const boom = (upMm: number) =>
  tinyRig(
    [glass, block('boom', [0, upMm - 40, -100])],
    [on('glass', 'bayonet', 'camera', 'lens'), on('boom', 'foot', 'camera', 'hole')],
    {
      extra: [sighted],
    },
  )

testCheck(inShot, {
  speaks: [
    {
      name: 'a cube 50 mm over the axis',
      message: 'seen',
      level: 'risk',
      numbers: { focalMm: 18, intoMm: intoMm(50) },
      parts: ['boom'],
      ...boom(50),
    },
  ],
  silent: [
    {
      name: 'the same a little more than the view higher',
      message: 'clear',
      numbers: { intoMm: 0 },
      ...boom(50 + intoMm(50) * Math.sqrt(1 + 4 / 9)),
    },
  ],
})

test('without optical data nothing is said about the picture', () => {
  const bare = tinyRig([block('boom', [0, 10, -100])], [on('boom', 'foot', 'camera', 'hole')])
  expect(inShot.judgements(factsOf(placed(bare), bare.context))).toEqual([])
})
