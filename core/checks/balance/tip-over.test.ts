import { testCheck } from '../tester.ts'
import { tipOver } from './tip-over.ts'
import { head, standing, rad } from '../../testing/stand-rigs.ts'

/** Legs 1,000 mm long under the camera: the centre stands 1,040 mm up. */
const legs = (feetMm: number, backMm = 0) => {
  const part = { ...head({}, 'legs'), role: 'tripod' as const, massG: 1e-9, under: { kind: 'legs' as const, feetMm } }
  return standing(
    { ...part, solids: [{ kind: 'box', centre: [0, -500, 0], size: [20, 1000, 20], matter: 'body' }] },
    backMm,
  )
}

testCheck(tipOver, {
  speaks: [
    {
      name: 'feet 200 mm out',
      message: 'near',
      level: 'risk',
      numbers: { marginMm: 100, heightMm: 1040, tipDeg: (Math.atan2(100, 1040) * 180) / Math.PI },
      parts: ['legs'],
      ...legs(200),
    },
    {
      name: 'centre 150 mm off between feet 200 mm out',
      message: 'falls',
      level: 'stop',
      numbers: { outMm: 50 },
      ...legs(200, 150),
    },
  ],
  silent: [
    { name: 'exactly six degrees', message: 'stands', numbers: { tipDeg: 6 }, ...legs(2 * 1040 * Math.tan(rad(6))) },
  ],
})
