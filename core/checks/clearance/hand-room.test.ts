import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { handRoom } from './hand-room.ts'
import { testCheck } from '../tester.ts'

/** A handle whose fingers want 28 mm under a grip `clearMm` above its foot. */
const handle = (clearMm: number) =>
  tinyPart({
    id: 'handle',
    role: 'top-handle',
    solids: [
      { kind: 'box', centre: [0, clearMm + 10, -40], size: [20, 20, 100], matter: 'body' },
      { kind: 'box', centre: [0, clearMm / 2, 0], size: [10, clearMm, 10], matter: 'body' },
    ],
    centre: [0, clearMm, -40],
    rooms: [
      {
        kind: 'hand',
        shape: { kind: 'box', centre: [0, clearMm - 14, -50], size: [24, 28, 60] },
        lost: 'fingers do not fit',
      },
    ],
    mounts: [plug('foot', 'thread-1/4-pin')],
  })

const wide = (clearMm: number, cold: boolean) =>
  tinyRig([handle(clearMm)], [on('handle', 'foot', 'camera', 'pinned')], {
    brief: { conditions: cold ? ['cold'] : [] },
  })

testCheck(handRoom, {
  speaks: [
    {
      name: 'a grip 20 mm over the body: 8 mm are missing',
      message: 'pinched',
      level: 'risk',
      numbers: { lackMm: 8, wantedMm: 28 },
      parts: ['camera', 'handle'],
      ...wide(20, false),
    },
    {
      name: 'enough for fingers, not for gloves',
      message: 'pinched',
      numbers: { lackMm: 6, wantedMm: 36 },
      ...wide(30, true),
    },
  ],
  silent: [
    { name: 'exactly 28 mm', message: 'free', numbers: { lackMm: 0 }, ...wide(28, false) },
    { name: 'gloves have exactly their 36 mm', message: 'free', ...wide(36, true) },
  ],
})
