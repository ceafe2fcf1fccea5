import { type Assembly, near, type PlacedPart, type Support } from '../assembly/index.ts'
import {
  add,
  type Bounds,
  cross,
  crosses,
  direction,
  dot,
  emptyBounds,
  isBeside,
  lengthOf,
  overlap,
  perKey,
  perPair,
  perPairKey,
  point,
  type Pyramid,
  scale,
  subtract,
  unit,
  unite,
  type Vec3,
  zero,
  flatMap,
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

/**
 * From the middle of a shoulder pad to the eye, mm: 90 towards the head, 190 over the shoulder, 100 ahead of it (usual
 * sitting heights: eye 790, shoulder 600).
 */
const FROM_PAD: Vec3 = [-90, 190, -100]
/** Nothing is read nearer to the eye without a loupe, mm: the head goes back. */
const NEAREST_MM = 250

/** Where the operator's eye is in this set-up: over the pad the rig lies with, else where this way of holding puts it. */
const eyeOf = (assembly: Assembly): Vec3 => {
  const { support } = assembly.setup
  const pad = support === 'shoulder' ? assembly.placed.find(({ part }) => part.grips.some(onShoulder)) : undefined
  const grip = pad?.part.grips.find(onShoulder)
  const [camera] = assembly.placed
  if (pad && grip) return eyePlaces(pad, 'pad', () => add(point(pad.frame, grip.at), FROM_PAD))
  return camera ? eyePlaces(camera, support, () => add(camera.frame.at, eyes[support])) : eyes[support]
}
/** One eye for each piece that it goes by: who looks from there finds what was seen from there. */
const eyePlaces = perKey<PlacedPart, Vec3>('eyes')
const onShoulder = ({ kind }: PlacedPart['part']['grips'][number]): boolean => kind === 'shoulder'

/** The eye before one screen: as far back from it as it has to be to read it. */
const eyeBefore = (eye: Vec3, at: Vec3): Vec3 => {
  const way = subtract(eye, at)
  return lengthOf(way) >= NEAREST_MM ? eye : add(at, scale(unit(way), NEAREST_MM))
}

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
/** The fields at the corners, in order round the picture. */
const corners = [0, FIELDS.across - 1, fieldsOf.length - 1, fieldsOf.length - FIELDS.across]
/** Lines of sight start this far off the glass, so that the screen's own frame does not cut them. mm */
const OFF_GLASS_MM = 2

/** The upright box around a line of sight. */
const between = (a: Vec3, b: Vec3): Bounds => ({
  min: [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.min(a[2], b[2])],
  max: [Math.max(a[0], b[0]), Math.max(a[1], b[1]), Math.max(a[2], b[2])],
})

interface Picture {
  readonly at: Vec3
  readonly out: Vec3
  readonly up: Vec3
  readonly wideMm: number
  readonly tallMm: number
  readonly nits: number
}

/** How far a picture on a piece, wherever it would sit, is turned off the operator's eye, degrees. */
export const offEyeDeg = (assembly: Assembly, { frame }: PlacedPart, picture: Pick<Picture, 'at' | 'out'>): number => {
  const at = point(frame, picture.at)
  const toEye = unit(subtract(eyeBefore(eyeOf(assembly), at), at))
  return (Math.acos(Math.max(-1, Math.min(1, dot(direction(frame, picture.out), toEye)))) * 180) / Math.PI
}

/** Where a picture is, and the lines of sight to its fields. */
interface Sight {
  readonly at: Vec3
  readonly eye: Vec3
  readonly out: Vec3
  readonly up: Vec3
  readonly right: Vec3
  readonly spots: readonly Vec3[]
  readonly around: readonly Bounds[]
  readonly reach: Bounds
  /** All the lines lie in it. */
  readonly pyramid: Pyramid
}
const sights = perPairKey<PlacedPart, Vec3, Sight>('sights of a picture')

/** From an eye to a picture on a piece; a piece has one at most. */
const sightOn = (piece: PlacedPart, picture: Picture, from: Vec3): Sight =>
  sights(piece, from, '', () => {
    const at = point(piece.frame, picture.at)
    const eye = eyeBefore(from, at)
    const [out, up] = [direction(piece.frame, picture.out), direction(piece.frame, picture.up)]
    const right = cross(up, out)
    const spots = fieldsOf.map(([x, y]) =>
      add(add(at, scale(out, OFF_GLASS_MM)), add(scale(right, x * picture.wideMm), scale(up, y * picture.tallMm))),
    )
    const around = spots.map((spot) => between(spot, eye))
    const [a = at, b = at, c = at, d = at] = corners.map((field) => spots[field])
    const edges = [subtract(a, eye), subtract(b, eye), subtract(c, eye), subtract(d, eye)] as const
    const reach = around.reduce(unite, emptyBounds)
    return { at, eye, out, up, right, spots, around, reach, pyramid: { apex: eye, edges } }
  })

const cutsNone: readonly boolean[] = []
/** Which of the lines of sight another piece cuts; an empty list when none. */
const cutsOf = perPair(
  'sight lines',
  ({ eye, spots, around, pyramid }: Sight, other: PlacedPart): readonly boolean[] => {
    const inTheWay = other.solids.filter(({ solid, shape }) => solid.matter === 'body' && !isBeside(pyramid, shape))
    if (inTheWay.length === 0) return cutsNone
    const cuts = spots.map((spot, i) => {
      const box = around[i]
      return (
        box !== undefined &&
        overlap(box, other.bounds) &&
        inTheWay.some(({ shape, bounds }) => overlap(box, bounds) && crosses(spot, eye, shape))
      )
    })
    return cuts.some(Boolean) ? cuts : cutsNone
  },
)

/** A picture on a piece, as it is seen from where the operator's eye is in this set-up. */
const watched = (assembly: Assembly, piece: PlacedPart, picture: Picture): Watched => {
  const axis = axisOf(assembly)
  const sight = sightOn(piece, picture, eyeOf(assembly))
  const { at, out, up, right, spots, reach } = sight
  const hiding = near(assembly.placed, reach)
    .filter((other) => other !== piece)
    .map((other) => ({ other, cuts: cutsOf(sight, other) }))
    .filter(({ cuts }) => cuts !== cutsNone)
    .sort((a, b) => b.cuts.filter(Boolean).length - a.cuts.filter(Boolean).length)
  const lost = spots.filter((_, i) => hiding.some(({ cuts }) => cuts[i])).length
  // What counts as upright for a screen that lies flat is the way the operator looks.
  const upright: Vec3 = Math.abs(out[1]) < 0.9 ? [0, 1, 0] : [0, 0, -1]
  const standsUp = Math.abs(dot(up, upright)) >= Math.abs(dot(right, upright))
  return {
    piece,
    at,
    offDeg: offEyeDeg(assembly, piece, picture),
    aboveMm: at[1] - axis[1],
    aheadMm: axis[2] - at[2],
    besideMm: Math.abs(at[0] - axis[0]),
    hidden: lost / spots.length,
    by: hiding[0]?.other,
    portrait: standsUp ? picture.tallMm > picture.wideMm : picture.wideMm > picture.tallMm,
    nits: picture.nits,
  }
}

/** From where the operator's eye is to a picture on a piece. */
const pictureOn = ({ part }: PlacedPart): Picture | undefined =>
  part.optics?.kind === 'screen' ? part.optics : part.screen

/**
 * Could a piece that comes or goes change how screens are seen? It stands before one of them, or the eye goes by it.
 * @param screens the pieces that are looked at
 */
export const touchesSights = (piece: PlacedPart, screens: readonly PlacedPart[], assembly: Assembly): boolean => {
  if (piece.host === undefined || piece.part.grips.some(onShoulder)) return true
  const from = eyeOf(assembly)
  return screens.some((screen) => {
    const picture = pictureOn(screen)
    if (!picture || screen === piece) return screen === piece
    const sight = sightOn(screen, picture, from)
    return overlap(sight.reach, piece.bounds) && cutsOf(sight, piece) !== cutsNone
  })
}

/** Every monitor of the rig that carries its own data, as seen from where the operator's eye is in this set-up. */
export const watchedScreens = (assembly: Assembly): readonly Watched[] =>
  flatMap(assembly.placed, (piece) =>
    piece.part.optics?.kind === 'screen' ? [watched(assembly, piece, piece.part.optics)] : [],
  )

/** The camera's own screen, seen likewise; where its data does not tell of one, none. */
export const ownScreenOf = (assembly: Assembly): Watched | undefined => {
  const [camera] = assembly.placed
  return camera?.part.screen && watched(assembly, camera, camera.part.screen)
}

/** Distance from the eye to a screen, mm. */
export const eyeDistanceMm = (assembly: Assembly, { at }: Watched): number =>
  lengthOf(subtract(eyeBefore(eyeOf(assembly), at), at))
