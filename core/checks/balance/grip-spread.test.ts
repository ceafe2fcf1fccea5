import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { gripSpread } from './grip-spread.ts'
import { testCheck } from '../tester.ts'

const bar = (halfMm: number) =>
  tinyPart({
    id: 'bar',
    role: 'top-handle',
    grips: [-halfMm, halfMm].map((x) => ({ kind: 'side' as const, at: [x, 0, 0] as const })),
    mounts: [plug('foot', 'thread-1/4')],
  })

const spread = (halfMm: number) =>
  tinyRig([bar(halfMm)], [on('bar', 'foot', 'camera', 'hole')], { setup: { support: 'two-hand' } })

const sideGrip = tinyPart({ ...bar(90), id: 'side', role: 'side-handle' })

testCheck(gripSpread, {
  speaks: [
    {
      name: '120 mm apart',
      message: 'close',
      level: 'hint',
      numbers: { spreadMm: 120, lacksMm: 20 },
      parts: ['bar', 'bar'],
      ...spread(60),
    },
    {
      name: 'nothing to hold; a grip is known',
      message: 'one',
      remedies: 1,
      ...tinyRig([], [], { setup: { support: 'two-hand' }, extra: [sideGrip] }),
    },
  ],
  silent: [{ name: 'exactly 140 mm', message: 'wide', ...spread(70) }],
})
