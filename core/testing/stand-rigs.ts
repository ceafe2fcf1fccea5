import { on, plug, socket, tinyCamera, tinyPart, tinyRig } from './index.ts'

/** The tiny camera, 1 kg about the origin, with a tripod hole in its base `backMm` behind the sensor. */
export const onBase = (backMm: number) => ({
  ...tinyCamera,
  mounts: [...tinyCamera.mounts, socket('tripod', 'thread-1/4', [0, -40, backMm], [0, -1, 0])],
})

export const upward = { out: [0, 1, 0] as const }

export const head = (more = {}, id = 'head') =>
  tinyPart({
    id,
    role: 'head',
    centre: [0, -10, 0],
    solids: [{ kind: 'box', centre: [0, -10, 0], size: [20, 20, 20], matter: 'body' }],
    mounts: [plug('clamp', 'thread-1/4', { ...upward, ...more })],
  })

export const standing = (
  part: ReturnType<typeof tinyPart>,
  backMm: number,
  extra: ReturnType<typeof tinyPart>[] = [],
) =>
  tinyRig([part], [on(part.id, 'clamp', 'camera', 'tripod')], {
    setup: { support: 'tripod' },
    extra: [onBase(backMm), ...extra],
  })

export const lens = (aheadMm: number) =>
  tinyPart({
    id: 'lens',
    role: 'lens',
    massG: 1000,
    centre: [0, 0, -aheadMm],
    mounts: [
      plug('rear', 'lens-mount', { out: [0, 0, 1], up: [0, 1, 0], family: 'bud' }),
      plug('stay', 'thread-1/4', { at: [25, 40, 50] }),
    ],
  })

export const rad = (deg: number) => (deg * Math.PI) / 180
