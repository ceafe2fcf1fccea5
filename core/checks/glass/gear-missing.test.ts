import type { Part } from '../../catalogue/index.ts'
import { zoom } from '../../testing/glass.ts'
import { on, plug, socket, tinyPart } from '../../testing/index.ts'
import { gearMissing } from './gear-missing.ts'
import { testCheck } from '../tester.ts'
import { front, drive, held, geared } from '../../testing/front-rigs.ts'

const gearRing = (minMm: number, maxMm: number): Part =>
  tinyPart({
    id: 'gear-ring',
    role: 'gear-ring',
    solids: [{ kind: 'box', centre: [0, 2, 0], size: [4, 4, 4], matter: 'soft' }],
    mounts: [plug('seat', 'lens-ring', { closesOn: { minMm, maxMm } }), socket('gear', 'gear-0.8', [0, 4, 0])],
  })

testCheck(gearMissing, {
  speaks: [
    {
      name: 'a bare ring of 80 mm; a gear ring for 76 to 82 cures it, or the drive comes off',
      message: 'bare',
      level: 'risk',
      parts: ['drive', 'lens'],
      remedies: 2,
      ...front([zoom({ ringMm: 80 }), drive(24)], [held], { extra: [gearRing(76, 82)] }),
    },
    {
      name: 'a gear ring for other diameters is no cure',
      message: 'bare',
      remedies: 1,
      ...front([zoom({ ringMm: 83 }), drive(24)], [held], { extra: [gearRing(76, 82)] }),
    },
  ],
  silent: [
    { name: 'teeth of its own', message: 'toothed', ...front([geared, drive(24)], [held]) },
    {
      name: 'teeth on a ring',
      message: 'toothed',
      ...front([zoom({ ringMm: 82 }), drive(24), gearRing(76, 82)], [held, on('gear-ring', 'seat', 'lens', 'ring')]),
    },
  ],
})
