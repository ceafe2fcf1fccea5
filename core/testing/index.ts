import { type Learnt, nothingLearnt } from '../log/index.ts'
import {
  emptySetup,
  type Instance,
  type Joint,
  type Rig,
  RIG_FORMAT,
  RIG_VERSION,
  type Setup,
} from '../assembly/index.ts'
import { type Brief, emptyBrief } from '../brief/index.ts'
import { catalogueOf, type Mount, type Part } from '../catalogue/index.ts'
import type { Context } from '../context/index.ts'
import type { Vec3 } from '../kernel/index.ts'

// Tiny parts and rigs with round numbers, so that a test's figures can be worked out in the head.

/** A 20 mm cube of 100 g standing on the origin, with whatever else the test gives it. */
export const tinyPart = (given: Partial<Part> & { id: string }): Part => ({
  role: 'adapter',
  name: given.id,
  maker: 'Tiny',
  massG: 100,
  centre: [0, 10, 0],
  solids: [{ kind: 'box', centre: [0, 10, 0], size: [20, 20, 20], matter: 'body' }],
  rooms: [],
  mounts: [],
  grips: [],
  provides: [],
  fits: [],
  price: { low: 800, usual: 1000, high: 1200 },
  ...given,
})

export const socket = (
  id: string,
  standard: string,
  at: Vec3,
  out: Vec3 = [0, 1, 0],
  more: Partial<Mount> = {},
): Mount => ({
  id,
  standard,
  side: 'holds',
  at,
  out,
  up: Math.abs(out[1]) > 0.5 ? [0, 0, -1] : [0, 1, 0],
  ...more,
})
export const plug = (id: string, standard: string, more: Partial<Mount> = {}): Mount => ({
  id,
  standard,
  side: 'sits',
  at: [0, 0, 0],
  out: [0, -1, 0],
  up: [0, 0, -1],
  ...more,
})

/** A 100 x 80 x 60 mm camera of 1 kg centred on the origin, with one of every kind of point. */
export const tinyCamera: Part = tinyPart({
  id: 'tiny-camera',
  role: 'camera',
  massG: 1000,
  centre: [0, 0, 0],
  solids: [{ kind: 'box', centre: [0, 0, 0], size: [100, 80, 60], matter: 'body' }],
  mounts: [
    socket('hole', 'thread-1/4', [0, 40, 0]),
    socket('pinned', 'thread-1/4-pin', [25, 40, 0]),
    socket('shoe', 'shoe-cold', [-25, 40, 0]),
    socket('rail', 'nato', [-50, 0, 0], [-1, 0, 0], {
      lengthMm: 60,
      travel: { along: [0, 0, 1], minMm: -20, maxMm: 20, stepMm: 1 },
    }),
    socket('seat', 'body', [0, -40, 0], [0, -1, 0], { family: 'tiny' }),
    socket('lens', 'lens-mount', [0, 0, -30], [0, 0, -1], { family: 'stem' }),
  ],
})

/** No wishes, no conditions, no caps: a brief that asks for nothing but a scratch track. */
export const quietBrief: Brief = {
  ...emptyBrief,
  kind: 'desk',
  budgetMinor: 0,
  inHandG: 0,
  tallMm: 0,
  wideMm: 0,
  light: { ...emptyBrief.light, aspect: 'full' },
  wishes: { 'scratch-sound': 'skip' },
}

export interface TinyRig {
  readonly rig: Rig
  readonly context: Context
}

/** `on('cube', 'screw', 'camera', 'hole')`: the joint of two mounts, unmoved and unturned. */
export const on = (
  guest: string,
  guestMount: string,
  host: string,
  hostMount: string,
  more: Partial<Joint> = {},
): Joint => ({
  guest,
  guestMount,
  host,
  hostMount,
  slideMm: 0,
  turnDeg: 0,
  ...more,
})

/** A rig around the tiny camera. Each part becomes an instance of its own id, or of the ids given for it. */
export const tinyRig = (
  parts: readonly Part[],
  joints: readonly Joint[],
  more: {
    brief?: Partial<Brief>
    owned?: Record<string, number>
    kit?: readonly Instance[]
    setup?: Partial<Setup>
    extra?: readonly Part[]
    learnt?: Partial<Learnt>
  } = {},
): TinyRig => {
  const known = [tinyCamera, ...parts, ...(more.extra ?? [])]
  const kit = more.kit ?? parts.map((part): Instance => ({ id: part.id, partId: part.id, status: 'in' }))
  return {
    rig: {
      format: RIG_FORMAT,
      version: RIG_VERSION,
      id: 'tiny',
      name: 'tiny',
      brief: { ...quietBrief, ...more.brief },
      kit: [{ id: 'camera', partId: 'tiny-camera', status: 'in' }, ...kit],
      setups: [{ ...emptySetup, joints, ...more.setup }],
    },
    context: {
      catalogue: catalogueOf(known),
      owned: new Map(Object.entries({ 'tiny-camera': 1, ...more.owned })),
      ...(more.learnt ? { learnt: { ...nothingLearnt, ...more.learnt } } : {}),
    },
  }
}
