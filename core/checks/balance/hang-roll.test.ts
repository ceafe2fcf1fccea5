import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { hangRoll } from './hang-roll.ts'
import { testCheck } from '../tester.ts'

const handle = (besideMm: number) =>
  tinyPart({
    id: 'handle',
    role: 'top-handle',
    massG: 1e-9,
    grips: [{ kind: 'top', at: [besideMm, 60, 0] }],
    mounts: [plug('foot', 'thread-1/4')],
  })

const held = (besideMm: number) => tinyRig([handle(besideMm)], [on('handle', 'foot', 'camera', 'hole')])

const deg = (offMm: number) => (Math.atan2(offMm, 100) * 180) / Math.PI

testCheck(hangRoll, {
  speaks: [
    {
      name: 'palm 10 mm right of the centre',
      message: 'leans',
      level: 'hint',
      numbers: { rollDeg: deg(10), offMm: 10 },
      ...held(10),
    },
    { name: 'palm 20 mm left of it', message: 'leans', level: 'risk', numbers: { rollDeg: deg(20) }, ...held(-20) },
  ],
  silent: [
    {
      name: 'exactly three degrees',
      message: 'upright',
      numbers: { rollDeg: 3 },
      ...held(100 * Math.tan((3 * Math.PI) / 180)),
    },
  ],
})
