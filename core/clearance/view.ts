import { type Assembly, type PlacedPart, type Support } from '../assembly/index.ts'
import {
  add,
  type Bounds,
  cross,
  crosses,
  direction,
  dot,
  emptyBounds,
  lengthOf,
  overlap,
  perPairKey,
  point,
  scale,
  subtract,
  unit,
  unite,
  type Vec3,
  zero,
} from '../kernel/index.ts'

/** Where the operator's eye is for each way of holding, mm from the sensor: right, up, towards the operator. */
const eyes: Readonly<Record<Support, Vec3>> = {
  'hand-low': [0, 420, 380],
  'two-hand': [0, 90, 420],
  chest: [0, 260, 330],
  shoulder: [-60, 60, 160],
  lap: [0, 420, 330],
  tripod: [0, 80, 480],
  gimbal: [0, 260, 480],
}

const axisOf = ({ placed: [camera] }: Assembly): Vec3 => camera?.frame.at ?? zero

/** Where the operator's eye is in this set-up. */
const eyeOf = (assembly: Assembly): Vec3 => add(axisOf(assembly), eyes[assembly.setup.support])

/** A screen as the eye meets it. */
export interface Watched {
  readonly piece: PlacedPart
  readonly at: Vec3
  /** Angle between where the screen faces and where the eye is, degrees. */
  readonly offDeg: number
  /** Height of its middle over the optical axis, mm; how far it stands ahead of the sensor and beside it. */
  readonly aboveMm: number
  readonly aheadMm: number
  readonly besideMm: number
  /** How much of its picture something solid hides from the eye, as a share, and what hides most of it. */
  readonly hidden: number
  readonly by: PlacedPart | undefined
  /** Is its picture taller than wide, as the rig stands now? */
  readonly portrait: boolean
  readonly nits: number
}

/** The picture is looked at in so many fields across and down, each by a line of sight to its middle. */
const FIELDS = { across: 9, down: 5 } as const
const fieldsOf: readonly (readonly [number, number])[] = Array.from({ length: FIELDS.across * FIELDS.down }, (_, i) => [
  ((2 * (i % FIELDS.across) + 1) / FIELDS.across - 1) / 2,
  ((2 * Math.floor(i / FIELDS.across) + 1) / FIELDS.down - 1) / 2,
])
/** Lines of sight start this far off the glass, so that the screen's own frame does not cut them. mm */
const OFF_GLASS_MM = 2

const remembered = perPairKey<PlacedPart, PlacedPart, readonly boolean[]>('sight lines')

/** The upright box around a line of sight. */
const between = (a: Vec3, b: Vec3): Bounds => ({
  min: [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.min(a[2], b[2])],
  max: [Math.max(a[0], b[0]), Math.max(a[1], b[1]), Math.max(a[2], b[2])],
})

/** Every screen of the rig that carries its own data, as seen from where the operator's eye is in this set-up. */
export const watchedScreens = (assembly: Assembly): readonly Watched[] => {
  const axis = axisOf(assembly)
  const eye = eyeOf(assembly)
  return assembly.placed.flatMap((piece): Watched[] => {
    const { optics } = piece.part
    if (optics?.kind !== 'screen') return []
    const at = point(piece.frame, optics.at)
    const [out, up] = [direction(piece.frame, optics.out), direction(piece.frame, optics.up)]
    const right = cross(up, out)
    const toEye = unit(subtract(eye, at))
    const spots = fieldsOf.map(([x, y]) =>
      add(add(at, scale(out, OFF_GLASS_MM)), add(scale(right, x * optics.wideMm), scale(up, y * optics.tallMm))),
    )
    const around = spots.map((spot) => between(spot, eye))
    const cutsOf = (other: PlacedPart): readonly boolean[] =>
      remembered(piece, other, assembly.setup.support, () =>
        spots.map((spot, i) => {
          const box = around[i]
          return (
            box !== undefined &&
            overlap(box, other.bounds) &&
            other.solids.some(
              ({ solid, shape, bounds }) =>
                solid.matter === 'body' && overlap(box, bounds) && crosses(spot, eye, shape),
            )
          )
        }),
      )
    const reach = around.reduce(unite, emptyBounds)
    const others = assembly.placed.filter((other) => other !== piece && overlap(reach, other.bounds))
    const hiding = others
      .map((other) => ({ other, cuts: cutsOf(other) }))
      .filter(({ cuts }) => cuts.some(Boolean))
      .sort((a, b) => b.cuts.filter(Boolean).length - a.cuts.filter(Boolean).length)
    const lost = spots.filter((_, i) => hiding.some(({ cuts }) => cuts[i])).length
    // What counts as upright for a screen that lies flat is the way the operator looks.
    const upright: Vec3 = Math.abs(out[1]) < 0.9 ? [0, 1, 0] : [0, 0, -1]
    const standsUp = Math.abs(dot(up, upright)) >= Math.abs(dot(right, upright))
    return [
      {
        piece,
        at,
        offDeg: (Math.acos(Math.max(-1, Math.min(1, dot(out, toEye)))) * 180) / Math.PI,
        aboveMm: at[1] - axis[1],
        aheadMm: axis[2] - at[2],
        besideMm: Math.abs(at[0] - axis[0]),
        hidden: lost / spots.length,
        by: hiding[0]?.other,
        portrait: standsUp ? optics.tallMm > optics.wideMm : optics.wideMm > optics.tallMm,
        nits: optics.nits,
      },
    ]
  })
}

/** Distance from the eye to a screen, mm. */
export const eyeDistanceMm = (assembly: Assembly, { at }: Watched): number => lengthOf(subtract(eyeOf(assembly), at))
