import type { Part } from '../../catalogue/index.ts'
import { on, plug, tinyCamera, tinyPart, tinyRig } from '../../testing/index.ts'
import { imageCircle } from './image-circle.ts'
import { testCheck } from '../tester.ts'

/** A sensor of 30 x 40 mm is 50 mm across. */
const camera: Part = { ...tinyCamera, optics: { kind: 'sensor', wideMm: 40, tallMm: 30 } }
const lens = (id: string, imageCircleMm?: number) =>
  tinyPart({
    id,
    role: 'lens',
    mounts: [plug('bayonet', 'lens-mount', { family: 'stem', out: [0, 0, 1], up: [0, 1, 0] })],
    ...(imageCircleMm === undefined
      ? {}
      : { optics: { kind: 'lens' as const, focalMinMm: 35, focalMaxMm: 35, stop: 2, pupilMm: 20, imageCircleMm } }),
  })
const mounted = (part: Part, extra: readonly Part[] = [], body: Part = camera) =>
  tinyRig([part], [on(part.id, 'bayonet', 'camera', 'lens')], { extra: [body, ...extra] })

testCheck(imageCircle, {
  speaks: [
    {
      name: 'a lens for a smaller sensor; one that fills it cures it',
      message: 'small',
      level: 'risk',
      numbers: { diagonalMm: 50, circleMm: 28.5 },
      parts: ['lens'],
      remedies: 1,
      ...mounted(lens('lens', 28.4), [lens('large', 52)]),
    },
  ],
  silent: [
    {
      name: 'to the tenth of a millimetre',
      message: 'fills',
      numbers: { diagonalMm: 50, circleMm: 50 },
      ...mounted(lens('lens', 49.9)),
    },
  ],
  cannotTell: [
    { name: 'a lens of which nothing is stated', message: 'unknown', ...mounted(lens('lens')) },
    { name: 'a sensor of which nothing is stated', message: 'unknown', ...mounted(lens('lens', 52), [], tinyCamera) },
  ],
})
