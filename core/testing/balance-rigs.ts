import { plug, socket, tinyPart } from './index.ts'

/** A plate under the camera, `longMm` from front to back, with a block of 1 kg `aheadMm` in front. */
export const plate = (longMm: number) =>
  tinyPart({
    id: 'plate',
    massG: 1e-9,
    solids: [{ kind: 'box', centre: [0, -5, 0], size: [60, 10, longMm], matter: 'body' }],
    centre: [0, -5, 0],
    mounts: [plug('seat', 'body', { out: [0, 1, 0] })],
    fits: ['tiny'],
  })

export const lens = (massG: number, aheadMm: number, more = {}) =>
  tinyPart({
    id: 'lens',
    role: 'lens',
    massG,
    centre: [0, 0, -aheadMm],
    solids: [{ kind: 'box', centre: [0, 0, -20], size: [20, 20, 40], matter: 'body' }],
    mounts: [plug('bayonet', 'lens-mount', { out: [0, 0, 1], up: [0, 1, 0], family: 'stem' })],
    ...more,
  })

export const head = (id: string, limitG: number) =>
  tinyPart({
    id,
    role: 'head',
    massG: 900,
    solids: [{ kind: 'box', centre: [0, -10, 0], size: [20, 20, 20], matter: 'body' }],
    centre: [0, -10, 0],
    mounts: [plug('clamp', 'dovetail-38', { out: [0, 1, 0], limitG })],
  })

export const foot = tinyPart({
  id: 'foot',
  massG: 100,
  solids: [{ kind: 'box', centre: [0, -5, 0], size: [40, 10, 40], matter: 'body' }],
  centre: [0, -5, 0],
  fits: ['tiny'],
  mounts: [
    plug('seat', 'body', { out: [0, 1, 0] }),
    socket('dovetail', 'dovetail-38', [0, -10, 0], [0, -1, 0], { lengthMm: 40 }),
  ],
})
