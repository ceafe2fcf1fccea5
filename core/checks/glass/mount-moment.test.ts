import { GRAVITY } from '../../kernel/index.ts'
import { on, plug, socket, tinyCamera, tinyPart, tinyRig } from '../../testing/index.ts'
import { mountMoment } from './mount-moment.ts'
import { testCheck } from '../tester.ts'
import { lens } from '../../testing/balance-rigs.ts'

const onMount = (massG: number, aheadMm: number, more = {}) =>
  tinyRig([lens(massG, aheadMm)], [on('lens', 'bayonet', 'camera', 'lens')], more)

const ratedCamera = (momentNm: number) => ({
  ...tinyCamera,
  mounts: tinyCamera.mounts.map((mount) => (mount.id === 'lens' ? { ...mount, momentNm } : mount)),
})

const brick = tinyPart({
  id: 'brick',
  massG: 3000,
  centre: [0, 0, 100],
  mounts: [plug('screw', 'thread-1/4', { at: [0, 40, 0] })],
})

const legs = tinyPart({
  id: 'legs',
  role: 'tripod',
  under: { kind: 'legs', feetMm: 400 },
  mounts: [plug('screw', 'thread-1/4', { out: [0, 1, 0] })],
})

const footed = lens(4000, 60, {
  mounts: [...lens(1, 0).mounts, socket('foot', 'thread-1/4', [0, -30, -60], [0, -1, 0])],
})

const onLensFoot = tinyRig(
  [footed, brick, legs],
  [
    on('lens', 'bayonet', 'camera', 'lens'),
    on('brick', 'screw', 'camera', 'hole'),
    on('legs', 'screw', 'lens', 'foot'),
  ],
  { setup: { support: 'tripod' } },
)

const atLimitMm = (1 / (1 * GRAVITY)) * 1000

/** The heavy lens, its foot screwed to the pinned hole of the camera as well. */
const supported = tinyRig(
  [lens(2500, 100, { mounts: [...lens(1, 0).mounts, plug('foot', 'thread-1/4', { at: [25, 40, 30] })] })],
  [on('lens', 'bayonet', 'camera', 'lens')],
  { setup: { braces: [on('lens', 'foot', 'camera', 'pinned')] } },
)

testCheck(mountMoment, {
  speaks: [
    {
      name: '1.2 kg 100 mm ahead: 1.18 N m',
      message: 'support',
      level: 'risk',
      numbers: { momentNm: 1.176798 },
      parts: ['lens'],
      ...onMount(1200, 100),
    },
    {
      name: '2.5 kg 100 mm ahead: 2.45 N m',
      message: 'grave',
      level: 'risk',
      numbers: { momentNm: 2.4516625 },
      ...onMount(2500, 100),
    },
    {
      name: 'the same where the camera’s maker allows 2.4 N m',
      message: 'harm',
      level: 'stop',
      numbers: { momentNm: 2.4516625, ratedNm: 2.4 },
      ...onMount(2500, 100, { extra: [ratedCamera(2.4)] }),
    },
    {
      // The camera, 1 kg 30 mm behind its mount, and 3 kg of brick 130 mm behind it: 0.03 + 0.39 kg m.
      name: 'a lens on its own foot on the tripod bears the camera and what hangs on it',
      message: 'camera',
      level: 'risk',
      numbers: { momentNm: GRAVITY * 0.42 },
      ...onLensFoot,
    },
  ],
  silent: [
    { name: 'exactly 1 N m', message: 'fine', numbers: { momentNm: 1 }, ...onMount(1000, atLimitMm) },
    { name: '2.5 kg on a second hold', message: 'supported', ...supported },
  ],
})
