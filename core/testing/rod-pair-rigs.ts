import { on, plug, socket, tinyPart, tinyRig } from './index.ts'

// The base's clamp stands 20 mm ahead of the sensor; from there the rods run ahead.
export const base = tinyPart({
  id: 'base',
  role: 'base-plate',
  fits: ['tiny'],
  mounts: [
    plug('seat', 'body', { out: [0, 1, 0] }),
    socket('pair', 'rod-15-pair', [0, -10, -20], [0, 0, -1]),
    socket('single', 'rod-15', [30, -10, -20], [0, 0, -1]),
  ],
})

export const pairOf = (id: string, lengthMm: number) =>
  tinyPart({
    id,
    role: 'rods',
    price: { low: lengthMm, usual: lengthMm, high: lengthMm },
    solids: [-30, 30].map((x) => ({
      kind: 'box' as const,
      centre: [x, 0, -lengthMm / 2] as const,
      size: [15, 15, lengthMm] as const,
      matter: 'body' as const,
    })),
    centre: [0, 0, -lengthMm / 2],
    mounts: [
      plug('end', 'rod-15-pair', { out: [0, 0, 1], up: [0, 1, 0] }),
      plug('above', 'rod-15-pair', {
        at: [0, 7.5, -lengthMm / 2],
        out: [0, 1, 0],
        carries: true,
        lengthMm,
        travel: { along: [0, 0, -1], minMm: 12 - lengthMm / 2, maxMm: lengthMm / 2 - 12, stepMm: 1 },
      }),
    ],
  })

export const box = tinyPart({
  id: 'box',
  role: 'matte-box',
  solids: [{ kind: 'box', centre: [0, 40, -10], size: [100, 80, 20], matter: 'body' }],
  centre: [0, 40, -10],
  mounts: [socket('clamp', 'rod-15-pair', [0, 0, 0], [0, -1, 0], { lengthMm: 16 })],
})

/** A lens whose front stands 30 mm and its own length ahead of the sensor. */
export const lens = (longMm: number) =>
  tinyPart({
    id: 'lens',
    role: 'lens',
    solids: [{ kind: 'box', centre: [0, 0, -longMm / 2], size: [40, 40, longMm], matter: 'body' }],
    mounts: [plug('bayonet', 'lens-mount', { out: [0, 0, 1], up: [0, 1, 0], family: 'stem' })],
  })

export const seat = on('base', 'seat', 'camera', 'seat')

export const boxed = (lensMm: number, rodsMm = 100, slideMm = 0, extra: ReturnType<typeof tinyPart>[] = []) =>
  tinyRig(
    [base, pairOf('pair', rodsMm), box, lens(lensMm)],
    [
      seat,
      on('pair', 'end', 'base', 'pair'),
      on('box', 'clamp', 'pair', 'above', { slideMm }),
      on('lens', 'bayonet', 'camera', 'lens'),
    ],
    { extra },
  )

export const single = tinyPart({
  id: 'single',
  role: 'rods',
  mounts: [plug('end', 'rod-15', { out: [0, 0, 1], up: [0, 1, 0] })],
})
