import type { Assembly, PlacedPart } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import {
  direction,
  identity,
  lengthOf,
  perThing,
  type Placed,
  placeShape,
  point,
  subtract,
  type Vec3,
  volumeOf,
  flatMap,
} from '../kernel/index.ts'

/** A place to take hold of the rig. */
export interface Grip {
  readonly piece: PlacedPart
  /** `body`: the camera's own grip, where no handle is meant. */
  readonly kind: Part['grips'][number]['kind'] | 'body'
  readonly at: Vec3
  /** Along the bar the fingers close round; undefined when the data does not say. */
  readonly axis: Vec3 | undefined
}

const gripsOn = perThing('grips of a piece', (piece: PlacedPart): readonly Grip[] =>
  piece.part.grips.map(({ kind, at, axis }): Grip => ({
    piece,
    kind,
    at: point(piece.frame, at),
    axis: axis && direction(piece.frame, axis),
  })),
)
const gripsIn = perThing('grips', (placed: Assembly['placed']): readonly Grip[] => flatMap(placed, gripsOn))
export const gripsOf = ({ placed }: Pick<Assembly, 'placed'>): readonly Grip[] => gripsIn(placed)

/** How far inside the end of a camera without a moulded grip the palm lies, mm. */
const PALM_IN_MM = 12

/**
 * Where the right hand holds the bare camera: round its moulded grip, or round its right end when it has none.
 * @returns undefined for a camera without a body
 */
export const camerasOwnGrip = ({ placed: [camera] }: Assembly): Grip | undefined => camera && ownGripOf(camera)

const ownGripOf = perThing('own grip', (camera: PlacedPart): Grip | undefined => {
  const body = camera.part.solids.filter(({ matter }) => matter === 'body')
  const moulded = body
    .filter(({ look, centre }) => look === 'grip' && centre[0] > 0)
    .sort((a, b) => b.centre[0] - a.centre[0])[0]
  const [largest] = body.sort((a, b) => volumeOf(b) - volumeOf(a))
  const solid = moulded ?? largest
  if (!solid) return undefined
  const half = solid.kind === 'box' ? solid.size[0] / 2 : solid.radius
  const at: Vec3 = moulded
    ? moulded.centre
    : [solid.centre[0] + Math.max(0, half - PALM_IN_MM), solid.centre[1], solid.centre[2]]
  return { piece: camera, kind: 'body', at: point(camera.frame, at), axis: undefined }
})

/**
 * Left before right; one over or behind the other by height, then by depth, so that the order in the kit says nothing.
 */
const fromLeft = (a: Grip, b: Grip): number => a.at[0] - b.at[0] || a.at[1] - b.at[1] || a.at[2] - b.at[2]

const farthestApart = (grips: readonly Grip[]): readonly [Grip, Grip] | undefined => {
  let best: readonly [Grip, Grip] | undefined
  let spreadMm = 0
  const sorted = [...grips].sort(fromLeft)
  sorted.forEach((a, i) =>
    sorted.slice(i + 1).forEach((b) => {
      const apart = lengthOf(subtract(a.at, b.at))
      if (apart > spreadMm + 1e-6) [best, spreadMm] = [[a, b], apart]
    }),
  )
  return best
}

const handles = (assembly: Assembly): readonly Grip[] =>
  gripsOf(assembly).filter(({ kind }) => kind === 'top' || kind === 'side')

/**
 * What two hands hold, from the left: the two handles that stand farthest apart, or the one there is and the camera's
 * own grip.
 */
export const handsOf = (assembly: Assembly): readonly Grip[] => {
  const known = handles(assembly)
  const pair = farthestApart(known)
  if (pair) return pair
  const own = camerasOwnGrip(assembly)
  return [...known.slice(0, 1), ...(own ? [own] : [])].sort(fromLeft)
}

/** Two hands on a rig by its two handles, and how far apart they are. */
export interface TwoHands {
  readonly left: Grip
  readonly right: Grip
  readonly spreadMm: number
}

/** Bearings that lie nearer to each other than the breadth of a palm act as one: they share alike. mm */
export const ONE_PALM_MM = 20

/**
 * The part of two bearings that the second takes: forces are upright, so only level levers count (`share = d . (c - p1)
 * / |d|^2` on the level plane). Clamped to 0..1, a half when they stand one over the other.
 * @example palms at 0 and 100 mm, the centre at 90 mm, however high: 0.9
 */
export const secondShare = (first: Vec3, second: Vec3, centre: Vec3): number => {
  const [x, z] = [second[0] - first[0], second[2] - first[2]]
  const apart = Math.hypot(x, z)
  if (apart < ONE_PALM_MM) return 0.5
  return Math.min(1, Math.max(0, (x * (centre[0] - first[0]) + z * (centre[2] - first[2])) / apart ** 2))
}

/**
 * The two handles that stand farthest apart.
 * @returns undefined with fewer than two handles.
 */
export const twoHandsOf = (assembly: Assembly): TwoHands | undefined => {
  const pair = farthestApart(handles(assembly))
  if (!pair) return undefined
  const [left, right] = pair
  return { left, right, spreadMm: lengthOf(subtract(left.at, right.at)) }
}

/** A palm this far over the optical axis is above, mm. */
const ABOVE_MM = 25

/**
 * The grip that serves as a handle on top, or as one beside, where the rig is turned on its side: then it is not what a
 * handle was made for that counts but where it is.
 * @returns undefined in a level rig, and for what is no matter of grips
 */
export const holdThat = (assembly: Assembly, capability: string): Grip | undefined => {
  if (assembly.setup.orientation !== 'upright' || (capability !== 'top-handle' && capability !== 'side-grip'))
    return undefined
  const axisMm = assembly.placed[0]?.frame.at[1] ?? 0
  const above = (grip: Grip) => grip.at[1] - axisMm > ABOVE_MM
  return handles(assembly).find((grip) => above(grip) === (capability === 'top-handle'))
}

/** A hand that is closed round a bar: so thick all round it, and so wide along it, mm (a large bare hand). */
const HAND_MM = { round: 34, along: 86 } as const
/** The right hand round a camera's body: before the middle of its grip, behind, inside, outside, and half its height. */
const BODY_HAND_MM = { ahead: 31, behind: 40, inside: 14, outside: 34, half: 36 } as const

/** A hand where it holds the rig. */
export interface Palm {
  readonly grip: Grip
  readonly shape: Placed
}

/**
 * Where hands are in this set-up: round the top handle when it hangs from one hand; else round what two hands hold. None
 * where a stand bears it.
 */
export const palmsOf = (assembly: Assembly): readonly Palm[] => {
  const { support } = assembly.setup
  if (support === 'tripod' || support === 'gimbal') return []
  const held = support === 'hand-low' ? gripsOf(assembly).filter(({ kind }) => kind === 'top') : handsOf(assembly)
  return held.map(palmOf)
}

const palmOf = perThing('palm', (grip: Grip): Palm => {
  const frame = { ...grip.piece.frame, at: grip.at }
  if (grip.kind === 'body') {
    const { ahead, behind, inside, outside, half } = BODY_HAND_MM
    return {
      grip,
      shape: placeShape(
        {
          kind: 'box',
          centre: [(outside - inside) / 2, 0, (behind - ahead) / 2],
          size: [outside + inside, 2 * half, ahead + behind],
        },
        frame,
      ),
    }
  }
  return {
    grip,
    shape: placeShape(
      {
        kind: 'cylinder',
        centre: [0, 0, 0],
        axis: grip.axis ?? [0, 1, 0],
        radius: HAND_MM.round,
        length: HAND_MM.along,
      },
      { ...identity, at: grip.at },
    ),
  }
})
