import type { Joint } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from './index.ts'

export const foot = plug('foot', 'thread-1/4')

export const clamp = (lengthMm: number, more = {}) =>
  tinyPart({ id: 'clamp', mounts: [plug('foot', 'nato', { lengthMm, ...more })] })

/** A block 15 mm beyond an end of the camera's left rail; it stands on a hole of the camera's top. */
export const cheek = (id: string, at: readonly [number, number, number]) =>
  tinyPart({
    id,
    centre: at,
    solids: [{ kind: 'box', centre: at, size: [20, 20, 20], matter: 'body' }],
    mounts: [foot],
  })

export const cheeks = [cheek('front', [-56, -40, -45]), cheek('rear', [-81, -40, 45])]

export const cheekJoints = [on('front', 'foot', 'camera', 'hole'), on('rear', 'foot', 'camera', 'pinned')]

export const onClamp = on('clamp', 'foot', 'camera', 'rail')

export const rod = tinyPart({
  id: 'rod',
  role: 'rods',
  mounts: [
    plug('end', 'thread-1/4-pin'),
    plug('along', 'rod-15', {
      at: [0, 10, -10],
      out: [0, 0, -1],
      up: [0, 1, 0],
      carries: true,
      lengthMm: 100,
      travel: { along: [0, 1, 0], minMm: -40, maxMm: 40, stepMm: 1 },
    }),
  ],
})

/** 100 g whose centre lies `offMm` from the rod's mark, square to the rod. */
export const swinger = (offMm: number) =>
  tinyPart({
    id: 'swinger',
    centre: [0, offMm, 0],
    mounts: [socket('hold', 'rod-15', [0, 0, 0], [0, -1, 0], { lengthMm: 20 })],
  })

export const context = tinyPart({ id: 'shelf', mounts: [foot, socket('pad', 'pad', [0, 20, 0])] })

export const box = (massG: number) =>
  tinyPart({ id: 'box', massG, mounts: [plug('back', 'pad'), plug('stay', 'thread-1/4', { at: [25, -20, 0] })] })

export const padded = (massG: number, braces: ReturnType<typeof on>[] = []) =>
  tinyRig([context, box(massG)], [on('shelf', 'foot', 'camera', 'hole'), on('box', 'back', 'shelf', 'pad')], {
    brief: { conditions: ['running'] },
    setup: { braces },
  })

export const tether = tinyPart({ id: 'tether', role: 'tether', provides: ['tether'], mounts: [foot] })

export const over = { brief: { conditions: ['overhead' as const] }, extra: [tether] }

/** A post with a roof over its neighbour's, `heightMm` up: of two that reach over each other none can be screwed in last. */
export const roofed = (id: string, towards: 1 | -1, heightMm: number, longMm = 50): Part =>
  tinyPart({
    id,
    solids: [
      { kind: 'box', centre: [0, 10, 0], size: [20, 20, 20], matter: 'body' },
      { kind: 'box', centre: [(towards * longMm) / 2, heightMm, 0], size: [longMm, 3, 400], matter: 'body' },
    ],
    mounts: [plug('foot', 'thread-1/4')],
  })
/** Two such posts that lock each other, and where they stand. */
export const roofs: readonly Part[] = [roofed('left', 1, 23), roofed('right', -1, 27)]
export const underRoofs: readonly Joint[] = [
  on('left', 'foot', 'camera', 'hole'),
  on('right', 'foot', 'camera', 'pinned'),
]
