import { type Assembly, type PlacedPart, ridesOn } from '../assembly/index.ts'
import { direction, perPair, perPairKey, point, type Pyramid, reachInto, unit, type Vec3 } from '../kernel/index.ts'

/** The part of the sensor that makes the picture. */
export interface Picture {
  readonly wideMm: number
  readonly tallMm: number
}

/** What the lens sees at its widest: where the picture opens and how wide. */
export interface Sight {
  readonly lens: PlacedPart
  readonly focalMm: number
  readonly pyramid: Pyramid
}

/** Standing into the picture by less than this goes unnoticed at the very edge. mm */
const EDGE_MM = 0.5

/**
 * The view of the lens on the camera at its shortest focal length: half angles `atan(wide / 2f)` and `atan(tall / 2f)`
 * from the entrance pupil (pinhole model; distortion is not counted).
 * @param picture the part of the sensor that is used, mm; all of it when left out
 * @returns undefined when the sensor or the lens has no optical data.
 */
export const sightOf = (assembly: Assembly, picture?: Picture): Sight | undefined => {
  const [camera] = assembly.placed
  const sensor = camera?.part.optics
  const lens = assembly.placed.find(({ part }) => part.optics?.kind === 'lens')
  const glass = lens?.part.optics
  if (!camera || !lens || sensor?.kind !== 'sensor' || glass?.kind !== 'lens') return undefined
  return sights(camera, lens, picture ? `${picture.wideMm} ${picture.tallMm}` : '', () =>
    sightThrough(lens, glass, picture ?? sensor),
  )
}
const sights = perPairKey<PlacedPart, PlacedPart, Sight>('sights of a lens')

type Glass = Extract<NonNullable<PlacedPart['part']['optics']>, { readonly kind: 'lens' }>
const sightThrough = (lens: PlacedPart, glass: Glass, { wideMm, tallMm }: Picture): Sight => {
  const [w, h] = [wideMm / (2 * glass.focalMinMm), tallMm / (2 * glass.focalMinMm)]
  const { frame } = lens
  const edge = (x: number, y: number): Vec3 => unit(direction(frame, [x * w, y * h, -1]))
  return {
    lens,
    focalMm: glass.focalMinMm,
    pyramid: {
      apex: point(frame, [0, 0, -glass.pupilMm]),
      edges: [edge(-1, -1), edge(1, -1), edge(1, 1), edge(-1, 1)],
    },
  }
}

/** A piece that stands into the picture, and how far. */
export interface Intruder {
  readonly piece: PlacedPart
  readonly intoMm: number
}

/** Is a piece part of the light's own way: the lens, what it sits in, and what is screwed or clamped on its front? */
export const inTheWayOfLight = (piece: PlacedPart, lens: PlacedPart): boolean =>
  ridesOn(piece, lens) ||
  ridesOn(lens, piece) ||
  piece.part.role === 'matte-box' ||
  piece.host?.part.role === 'matte-box'

const intoOf = perPair('into the picture', ({ pyramid }: Sight, piece: PlacedPart): number =>
  Math.max(...piece.solids.map(({ shape }) => reachInto(pyramid, shape, EDGE_MM))),
)

/** Does a piece stand in what is seen? Not what the light goes through, nor what only touches the very edge. */
const isIn = (sight: Sight, piece: PlacedPart): boolean =>
  intoOf(sight, piece) > EDGE_MM && !inTheWayOfLight(piece, sight.lens)

/**
 * Everything solid in the picture at the widest focal length, the deepest first; filters and hoods on the lens are
 * vignetting, not this.
 */
export const inShotOf = (assembly: Assembly, picture?: Picture): readonly Intruder[] => {
  const sight = sightOf(assembly, picture)
  if (!sight) return []
  return assembly.placed
    .filter((piece) => isIn(sight, piece))
    .map((piece) => ({ piece, intoMm: intoOf(sight, piece) }))
    .sort((a, b) => b.intoMm - a.intoMm)
}

/** Could a piece that comes or goes change what is in a picture? It stands in it, or the picture is taken by it. */
export const touchesPicture = (piece: PlacedPart, assembly: Assembly, picture?: Picture): boolean => {
  if (piece.host === undefined || piece.part.optics?.kind === 'lens') return true
  const sight = sightOf(assembly, picture)
  return sight !== undefined && isIn(sight, piece)
}
