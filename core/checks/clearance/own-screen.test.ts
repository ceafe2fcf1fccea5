import type { Part } from '../../catalogue/index.ts'
import { block, screen } from '../../testing/view-rigs.ts'
import { on, tinyCamera, tinyRig } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { ownScreen } from './own-screen.ts'

/** The tiny camera with a screen of 60 x 40 mm on its back, and with a finder over it. */
const watched = (finder = false): Part => ({
  ...tinyCamera,
  screen: { at: [0, 0, 30], out: [0, 0, 1], up: [0, 1, 0], wideMm: 60, tallMm: 40, nits: 400, solid: 0 },
  rooms: finder
    ? [{ kind: 'view', shape: { kind: 'box', centre: [0, 60, 50], size: [10, 10, 10] }, lost: 'the eye does not come' }]
    : [],
})
const rig = (
  parts: readonly Part[],
  setup: object = { support: 'two-hand' },
  camera: Part = watched(),
  joints = parts.map(({ id }) => on(id, 'foot', 'camera', 'hole')),
) => tinyRig(parts, joints, { setup, extra: [camera] })

// In two hands the eye is 90 up and 420 back of the axis: 90 over 390 from the screen.
const eyeDeg = (Math.atan2(90, 390) * 180) / Math.PI
const wall = block('wall', [0, -20, 60], [200, 160, 4])

testCheck(ownScreen, {
  speaks: [
    {
      name: 'a wall behind the camera, and no monitor',
      message: 'hidden',
      level: 'risk',
      numbers: { hiddenPercent: 100, mostPercent: 10 },
      parts: ['wall', 'camera'],
      ...rig([wall]),
    },
    {
      name: 'low in one hand it looks back, and the eye is far above it',
      message: 'away',
      numbers: { offDeg: (Math.acos(350 / Math.hypot(350, 420)) * 180) / Math.PI + 20, mostDeg: 60 },
      parts: ['camera'],
      ...rig(
        [],
        { support: 'hand-low' },
        {
          ...watched(),
          screen: {
            at: [0, 0, 30],
            out: [0, -Math.sin((20 * Math.PI) / 180), Math.cos((20 * Math.PI) / 180)],
            up: [0, Math.cos((20 * Math.PI) / 180), Math.sin((20 * Math.PI) / 180)],
            wideMm: 60,
            tallMm: 40,
            nits: 400,
            solid: 0,
          },
        },
      ),
    },
  ],
  silent: [
    { name: 'open behind', message: 'seen', numbers: { offDeg: eyeDeg }, ...rig([]) },
    { name: 'a wall, and a finder', message: 'finder', ...rig([wall], undefined, watched(true)) },
    { name: 'a monitor on top, and both are seen', message: 'both', ...rig([screen(80, 45)]) },
    {
      name: 'a monitor on top, and the wall',
      message: 'other',
      ...rig([screen(80, 45), wall], undefined, watched(), [
        on('screen', 'foot', 'camera', 'hole'),
        on('wall', 'foot', 'camera', 'pinned'),
      ]),
    },
  ],
})
