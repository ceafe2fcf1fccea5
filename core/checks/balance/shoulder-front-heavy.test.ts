import { GRAVITY } from '../../kernel/index.ts'
import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { shoulderFrontHeavy } from './shoulder-front-heavy.ts'
import { testCheck } from '../tester.ts'

const pad = (behindMm: number) =>
  tinyPart({
    id: 'pad',
    role: 'shoulder-pad',
    massG: 1e-9,
    grips: [{ kind: 'shoulder', at: [0, 0, behindMm] }],
    mounts: [plug('foot', 'thread-1/4')],
  })

const shouldered = (behindMm: number) =>
  tinyRig([pad(behindMm)], [on('pad', 'foot', 'camera', 'hole')], { setup: { support: 'shoulder' } })

testCheck(shoulderFrontHeavy, {
  speaks: [
    {
      name: '1 kg 150 mm ahead of the pad',
      message: 'front',
      level: 'hint',
      numbers: { momentNm: GRAVITY * 0.15, aheadMm: 150, behindMm: 150, counterweightG: 1000 },
      parts: ['pad'],
      ...shouldered(150),
    },
    { name: '400 mm ahead', message: 'front', level: 'risk', ...shouldered(400) },
  ],
  silent: [{ name: 'exactly 1 N m', message: 'level', numbers: { momentNm: 1 }, ...shouldered(1000 / GRAVITY) }],
  cannotTell: [
    {
      name: 'no pad; one is known',
      message: 'padless',
      level: 'hint',
      remedies: 1,
      ...tinyRig([], [], { setup: { support: 'shoulder' }, extra: [pad(0)] }),
    },
  ],
})
