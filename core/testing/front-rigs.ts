import type { Joint } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import { disc, nd, seeingCamera, zoom } from './glass.ts'
import { on, plug, socket, tinyPart, tinyRig } from './index.ts'
import { emptyBrief } from '../brief/index.ts'

export const mounted = on('lens', 'bayonet', 'camera', 'lens')

/** All of the sensor is used: 50 mm across. */
export const whole = { light: { ...emptyBrief.light, aspect: 'full' as const } }

export const front = (parts: readonly Part[], joints: readonly Joint[], more: Parameters<typeof tinyRig>[2] = {}) =>
  tinyRig(parts, [mounted, ...joints], { brief: whole, ...more, extra: [seeingCamera(), ...(more.extra ?? [])] })

export const screwed = (id: string) => on(id, 'rear', 'lens', 'thread')

// Of 10 mm: f^2 / 5 - 30 f + 750 = 0, f = (30 - sqrt(300)) / 0.4 = 31.70. At 25 mm it needs 35, 5 more than it has.
export const standard = disc('standard', 10, nd(6))

// The teeth lie 40 mm from the axis, 50 mm ahead of the sensor. The wheel of the drive has a radius of 10 mm and swings
// 14.
export const drive = (y: number, z = -50): Part =>
  tinyPart({
    id: 'drive',
    role: 'follow-focus',
    mounts: [
      plug('foot', 'thread-1/4'),
      plug('gear', 'gear-0.8', { at: [0, y, z], out: [0, 1, 0], odMm: 20, carries: true }),
    ],
  })

export const held = on('drive', 'foot', 'camera', 'hole')

export const geared = zoom({ geared: true, optics: { throwDeg: 270 } })

// The lens's underside is 40 mm under the axis; the shelf stands 70 mm under it: 30 mm between them.
export const context = (z: number): Part => ({
  ...seeingCamera(),
  mounts: [...seeingCamera().mounts, socket('shelf', 'thread-1/4', [0, -70, z])],
})

export const cradle = (lowMm: number, highMm: number, id = 'cradle'): Part =>
  tinyPart({
    id,
    role: 'lens-support',
    solids: [{ kind: 'box', centre: [0, 5, 0], size: [10, 10, 10], matter: 'soft' }],
    mounts: [plug('foot', 'thread-1/4')],
    optics: { kind: 'support', lowMm, highMm },
  })

export const under = (
  low: number,
  high: number,
  more: { z?: number; extra?: readonly Part[]; upright?: boolean; massG?: number } = {},
) =>
  tinyRig(
    [{ ...zoom(), massG: more.massG ?? 100 }, cradle(low, high)],
    [mounted, on('cradle', 'foot', 'camera', 'shelf')],
    {
      extra: [context(more.z ?? -50), ...(more.extra ?? [])],
      setup: more.upright ? { orientation: 'upright' } : {},
    },
  )
