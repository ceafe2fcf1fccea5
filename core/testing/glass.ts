import type { Brief, Phase, Scene } from '../brief/index.ts'
import { emptyBrief } from '../brief/index.ts'
import type { Part, SensorOptics } from '../catalogue/index.ts'
import { plug, socket as mountOn, tinyCamera, tinyPart } from './index.ts'

// A tiny camera that sees, and glass with round numbers before it.

/** The tiny camera with a sensor of 40 x 30 mm, 50 mm across, native at ISO 100, fit to show up to 1600. */
export const seeingCamera = (more: Partial<SensorOptics> = {}): Part => ({
  ...tinyCamera,
  optics: { kind: 'sensor', wideMm: 40, tallMm: 30, isos: [100], isoMax: 1600, ...more },
})

interface LensGiven {
  readonly id?: string
  readonly family?: string
  readonly threadMm?: number
  readonly frontMm?: number
  readonly geared?: boolean
  readonly ringMm?: number
  readonly optics?: Partial<Extract<Part['optics'], { kind: 'lens' }>>
}

/** 25 to 50 mm, f/2.5, a barrel of 80 x 40 mm whose entrance pupil lies 20 mm behind its front. */
export const zoom = ({
  id = 'lens',
  family = 'stem',
  threadMm = 82,
  frontMm,
  geared,
  ringMm,
  optics,
}: LensGiven = {}): Part =>
  tinyPart({
    id,
    role: 'lens',
    centre: [0, 0, -20],
    solids: [{ kind: 'cylinder', centre: [0, 0, -20], axis: [0, 0, -1], radius: 40, length: 40, matter: 'body' }],
    mounts: [
      plug('bayonet', 'lens-mount', { family, out: [0, 0, 1], up: [0, 1, 0] }),
      mountOn('thread', 'filter-thread', [0, 0, -40], [0, 0, -1], { family: String(threadMm) }),
      ...(frontMm ? [mountOn('front', 'clamp-on', [0, 0, -40], [0, 0, -1], { family: String(frontMm) })] : []),
      ...(geared ? [mountOn('gear', 'gear-0.8', [0, 40, -20])] : []),
      ...(ringMm ? [mountOn('ring', 'lens-ring', [0, 40, -20], [0, 1, 0], { odMm: ringMm })] : []),
    ],
    optics: {
      kind: 'lens',
      focalMinMm: 25,
      focalMaxMm: 50,
      stop: 2.5,
      pupilMm: 20,
      imageCircleMm: 52,
      autofocus: false,
      ...optics,
    },
  })

/** A disc that screws into a thread and offers it again. */
export const disc = (
  id: string,
  thickMm: number,
  optics: Part['optics'],
  more: Partial<Part> = {},
  threadMm = 82,
  clearMm = 60,
): Part =>
  tinyPart({
    id,
    role: 'filter',
    centre: [0, 0, -thickMm / 2],
    solids: [
      {
        kind: 'cylinder',
        centre: [0, 0, -thickMm / 2],
        axis: [0, 0, -1],
        radius: threadMm / 2,
        length: thickMm,
        matter: 'body',
      },
    ],
    mounts: [
      plug('rear', 'filter-thread', { family: String(threadMm), out: [0, 0, 1], up: [0, 1, 0] }),
      mountOn('front', 'filter-thread', [0, 0, -thickMm], [0, 0, -1], { family: String(threadMm) }),
    ],
    opening: { at: [0, 0, -thickMm], clearMm },
    ...(optics ? { optics } : {}),
    ...more,
  })

export const nd = (minStops: number, maxStops = minStops): Part['optics'] => ({
  kind: 'filter',
  effect: minStops === maxStops ? 'nd' : 'variable-nd',
  minStops,
  maxStops,
})

/** A ring from one thread to a larger one. */
export const stepUp = (fromMm: number, toMm: number): Part =>
  tinyPart({
    id: `ring-${fromMm}-${toMm}`,
    role: 'step-ring',
    mounts: [
      plug('rear', 'filter-thread', { family: String(fromMm), out: [0, 0, 1], up: [0, 1, 0] }),
      mountOn('front', 'filter-thread', [0, 0, -3], [0, 0, -1], { family: String(toMm) }),
    ],
  })

export const adapterTo = (family: string, contacts: boolean, id = `to-${family}`): Part =>
  tinyPart({
    id,
    role: 'lens-adapter',
    mounts: [
      plug('rear', 'lens-mount', { family: 'stem', out: [0, 0, 1], up: [0, 1, 0] }),
      mountOn('front', 'lens-mount', [0, 0, -10], [0, 0, -1], { family }),
    ],
    optics: { kind: 'adapter', contacts },
  })

/**
 * A day of ten-minute scenes at noon in June, exposed at f/4 and 1/64 s: EV 10 at ISO 100, so a scene of EV 12 wants
 * two stops.
 */
export const dayOfScenes = (scenes: readonly Scene[], more: Partial<Brief> = {}): Partial<Brief> => ({
  phases: scenes.map((scene): Phase => ({ name: scene, kind: 'roll', minutes: 10, mains: false, scene })),
  light: { ...emptyBrief.light, fps: 32, stop: 4, aspect: 'full', startMin: 720 },
  ...more,
})
