import { on, tinyRig } from '../../testing/index.ts'
import { standsCrooked } from './stands-crooked.ts'
import { testCheck } from '../tester.ts'
import { plate, lens as glass } from '../../testing/balance-rigs.ts'

/** What hangs ahead: a lens, or a block of the same size and mass that may be lain on. */
const lens = (massG: number, aheadMm: number, role: 'lens' | 'adapter') => glass(massG, aheadMm, { role })

const standing = (longMm: number, aheadMm: number, role: 'lens' | 'adapter' = 'adapter') =>
  tinyRig(
    [plate(longMm), lens(1000, aheadMm, role)],
    [on('plate', 'seat', 'camera', 'seat'), on('lens', 'bayonet', 'camera', 'lens')],
  )

// Camera 1 kg at z 0, lens 1 kg at z -30 - ahead: the centre lies (30 + ahead) / 2 ahead of the plate's middle.
testCheck(standsCrooked, {
  speaks: [
    {
      name: 'centre 20 mm ahead on a plate that ends at 15',
      message: 'falls',
      level: 'hint',
      numbers: { outMm: 5 },
      parts: ['plate'],
      ...standing(30, 10),
    },
    {
      name: 'the same with a lens there: it comes to rest on that',
      message: 'leans',
      level: 'hint',
      numbers: { outMm: 5 },
      parts: ['lens', 'plate'],
      ...standing(30, 10, 'lens'),
    },
    {
      name: 'centre 20 mm ahead on a plate that ends at 25',
      message: 'barely',
      numbers: { marginMm: 5, wantedMm: 10 },
      ...standing(50, 10),
    },
  ],
  silent: [{ name: 'exactly 10 mm inside', message: 'stands', numbers: { marginMm: 10 }, ...standing(60, 10) }],
})
