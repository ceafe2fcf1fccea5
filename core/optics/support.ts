import type { Assembly, PlacedPart } from '../assembly/index.ts'
import { standardOf } from '../catalogue/index.ts'
import { dot, lengthOf, point, scale, subtract, type Vec3, flatMap } from '../kernel/index.ts'
import { lensOf } from './front.ts'
import { mountsOf } from './kit.ts'

/** A lens support under the lens, and whether its cradle gets there. */
export interface SupportReach {
  readonly piece: PlacedPart
  readonly lens: PlacedPart
  /** From the rods up to the underside of the lens above it; undefined when the lens does not reach over it. mm */
  readonly neededMm: number | undefined
  readonly lowMm: number
  readonly highMm: number
  /** It stands beside the lens as the rig is held now, not under it: it carries nothing. */
  readonly beside: boolean
  /** It carries the lens. */
  readonly holds: boolean
}

/** A cradle presses by this much more or less without harm. mm */
export const CRADLE_MM = 1

/** The radius of the lens where it passes over a support, by its round solids; undefined when it does not. */
const radiusOver = (lens: PlacedPart, at: Vec3): number | undefined => {
  const radii = flatMap(lens.solids, ({ shape, solid }) => {
    if (shape.kind !== 'cylinder' || solid.matter !== 'body') return []
    const half = lengthOf(shape.half)
    const along = dot(subtract(at, shape.centre), scale(shape.half, 1 / half))
    return Math.abs(dot(scale(shape.half, 1 / half), lens.frame.z)) > 0.99 && Math.abs(along) <= half
      ? [shape.radius]
      : []
  })
  return radii.length > 0 ? Math.max(...radii) : undefined
}

/** Every lens support of a set-up against the lens over it. */
export const supportsOf = (assembly: Assembly): readonly SupportReach[] => {
  const lens = lensOf(assembly)?.lens
  if (!lens) return []
  return flatMap(assembly.placed, (piece): SupportReach[] => {
    const { optics } = piece.part
    if (optics?.kind !== 'support') return []
    const up = piece.frame.y
    const toLens = subtract(lens.frame.at, piece.frame.at)
    const sideways = subtract(toLens, scale(lens.frame.z, dot(toLens, lens.frame.z)))
    const radius = radiusOver(lens, piece.frame.at)
    const neededMm = radius === undefined ? undefined : dot(sideways, up) - radius
    const beside = up[1] < 0.7
    const { lowMm, highMm } = optics
    return [
      {
        piece,
        lens,
        neededMm,
        lowMm,
        highMm,
        beside,
        holds: !beside && neededMm !== undefined && neededMm >= lowMm - CRADLE_MM && neededMm <= highMm + CRADLE_MM,
      },
    ]
  })
}

/** A follow focus or motor against the teeth it is to drive. */
export interface Drive {
  readonly piece: PlacedPart
  readonly lens: PlacedPart
  /** What carries the teeth: the lens itself or a ring on it; undefined: nothing does. */
  readonly toothed: PlacedPart | undefined
  /**
   * From the drive's gear to the teeth across the axis, mm (less than nothing: they run into each other), and along it.
   */
  readonly acrossMm: number
  readonly alongMm: number
  /** How far its arm swings, and how far it can still slide. */
  readonly armMm: number
  readonly slideMm: number
  /** Turns of the drive from stop to stop, when the lens says how far its ring turns. */
  readonly turns: number | undefined
}

/** Arms of drives swing the gear this far to either side of the middle. mm */
const ARM_MM = 14
/** A drive on bare rods can be slid anywhere along them; this much is granted. mm */
const RODS_MM = 60
/** Half the diameter of a drive's gear that states none. mm */
const DRIVE_MM = 16

/** Every follow focus and motor of a set-up that has a lens. */
export const drivesOf = (assembly: Assembly): readonly Drive[] => {
  const found = lensOf(assembly)
  if (!found) return []
  const { lens, glass } = found
  const gears = flatMap(assembly.placed, (piece) =>
    piece.part.role === 'lens' || piece.part.role === 'gear-ring'
      ? mountsOf(piece.part, 'gear', 'holds').map(({ mount }) => ({ piece, mount }))
      : [],
  )
  return flatMap(assembly.placed, (piece): Drive[] => {
    const own = mountsOf(piece.part, 'gear', 'sits')[0]?.mount
    if (piece.part.role !== 'follow-focus' || !own) return []
    const at = point(piece.frame, own.at)
    const driveMm = (own.odMm ?? 2 * DRIVE_MM) / 2
    const ways = gears.map(({ piece: toothed, mount }) => {
      const teeth = point(toothed.frame, mount.at)
      const spoke = subtract(teeth, lens.frame.at)
      const radius = lengthOf(subtract(spoke, scale(lens.frame.z, dot(spoke, lens.frame.z))))
      const way = subtract(at, lens.frame.at)
      const off = lengthOf(subtract(way, scale(lens.frame.z, dot(way, lens.frame.z))))
      return {
        toothed,
        radius,
        acrossMm: off - radius - driveMm,
        alongMm: Math.abs(dot(subtract(at, teeth), lens.frame.z)),
      }
    })
    const best = ways.sort((a, b) => a.alongMm - b.alongMm)[0]
    const clamped = piece.part.mounts.find(({ id }) => id === piece.joint?.guestMount)
    const turns = best && glass.throwDeg !== undefined ? ((glass.throwDeg / 360) * best.radius) / driveMm : undefined
    return [
      {
        piece,
        lens,
        toothed: best?.toothed,
        acrossMm: best?.acrossMm ?? 0,
        alongMm: best?.alongMm ?? 0,
        armMm: own.travel?.maxMm ?? ARM_MM,
        slideMm: clamped && standardOf(clamped.standard).kind === 'rods' ? RODS_MM : 0,
        turns,
      },
    ]
  })
}
