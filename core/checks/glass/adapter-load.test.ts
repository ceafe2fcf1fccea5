import { GRAVITY } from '../../kernel/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { adapterLoad } from './adapter-load.ts'
import { testCheck } from '../tester.ts'
import { lens } from '../../testing/stand-rigs.ts'

const ring = tinyPart({
  id: 'ring',
  role: 'lens-adapter',
  centre: [0, 0, -10],
  solids: [{ kind: 'box', centre: [0, 0, -10], size: [40, 40, 20], matter: 'body' }],
  mounts: [
    plug('rear', 'lens-mount', { out: [0, 0, 1], up: [0, 1, 0], family: 'stem' }),
    socket('front', 'lens-mount', [0, 0, -20], [0, 0, -1], { family: 'bud' }),
  ],
})

const adapted = (aheadMm: number, braced = false) =>
  tinyRig([ring, lens(aheadMm)], [on('ring', 'rear', 'camera', 'lens'), on('lens', 'rear', 'ring', 'front')], {
    setup: { braces: braced ? [on('lens', 'stay', 'camera', 'pinned')] : [] },
  })

testCheck(adapterLoad, {
  speaks: [
    {
      name: '1 kg 100 mm ahead: 0.98 N m',
      message: 'over',
      level: 'risk',
      numbers: { momentNm: GRAVITY * 0.1, ratedNm: 0.8 },
      parts: ['lens'],
      ...adapted(100),
    },
  ],
  silent: [
    { name: 'exactly 0.8 N m', message: 'within', ...adapted(800 / GRAVITY) },
    { name: 'the lens rests on a second hold', message: 'supported', ...adapted(100, true) },
  ],
})
