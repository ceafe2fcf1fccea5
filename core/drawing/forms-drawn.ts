import type { PlacedPart, PlacedSolid } from '../assembly/index.ts'
import {
  add,
  cross,
  dot,
  lengthOf,
  type Placed,
  type Point2,
  scale,
  subtract,
  unit,
  type Vec3,
  flatMap,
} from '../kernel/index.ts'
import { disc, type Face, type Form, type Ink, rect } from './form.ts'
import { furOf } from './fur.ts'
import { polygonPath, roundedPath } from './paths.ts'
import { FINE_PX, type Fit, flat, num, onSheet, type Projection, towardsEye } from './views.ts'

/** Figures engraved in a face, as they fall on the sheet: middle, height of the letters in px. */
export interface Said {
  readonly x: number
  readonly y: number
  readonly size: number
  readonly text: string
}

/** What is drawn of one solid: its outline with windows, then what lies on it, in the order of painting. */
export interface Drawn {
  readonly look: string
  readonly outline: string
  readonly detail: string
  readonly said?: readonly Said[]
}

type AxisName = 'x' | 'y' | 'z'
const names: readonly AxisName[] = ['x', 'y', 'z']
/** Places on a face along x are (z, y), along y (x, z), along z (x, y). */
const spans = { x: [2, 1], y: [0, 2], z: [0, 1] } as const

/** A face is seen square on when it turns from the eye by less than this: cosine of some 8 degrees. */
const SQUARE_ON = 0.99
/** A face shows what lies on it when it turns from the eye by less than this: cosine of some 70 degrees. */
const SHOWS = 0.34

/** A solid's own frame: its middle, directions and half sizes. */
export interface Own {
  readonly centre: Vec3
  readonly axes: readonly [Vec3, Vec3, Vec3]
  readonly half: readonly [number, number, number]
}

const across = (axis: Vec3, wish: Vec3): Vec3 => {
  const off = subtract(wish, scale(axis, dot(axis, wish)))
  return lengthOf(off) > 1e-3 ? unit(off) : unit(cross(axis, Math.abs(axis[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0]))
}

/**
 * The frame that the places of a form are in.
 * @param towards where the eye is, for what is alike all round: its z turns there; left out: its z stays with the part
 */
export const ownOf = ({ frame }: PlacedPart, shape: Placed, towards?: Vec3): Own => {
  if (shape.kind === 'box') {
    const half = shape.edges.map(lengthOf) as [number, number, number]
    const axes = shape.edges.map((e, i) => scale(e, 1 / (half[i] || 1))) as [Vec3, Vec3, Vec3]
    return { centre: shape.centre, axes, half }
  }
  const y = unit(shape.half)
  // Of a bar along the part's z its up is taken.
  const z = across(y, towards ?? (Math.abs(dot(frame.z, y)) < 0.9 ? frame.z : frame.y))
  return { centre: shape.centre, axes: [cross(y, z), y, z], half: [shape.radius, lengthOf(shape.half), shape.radius] }
}

/**
 * Places on one face of a solid, on the side that looks this way, as they fall on the sheet; of a round bar seen from
 * beside, in the plane of its axis: there its outline is.
 */
const placer = (
  view: Projection,
  { centre, axes, half }: Own,
  name: AxisName,
  side: 1 | -1,
  fit: Fit,
  round = false,
) => {
  const k = names.indexOf(name) as 0 | 1 | 2
  const [u, v] = spans[name]
  const middle = round && name !== 'y' ? centre : add(centre, scale(axes[k], side * half[k]))
  return ([a, b]: Point2): Point2 => onSheet(fit, flat(view, add(middle, add(scale(axes[u], a), scale(axes[v], b)))))
}

const outlineOf = (face: Face | undefined, own: Own, name: AxisName, round: boolean): readonly Point2[] => {
  if (face?.outline) return face.outline
  const [u, v] = spans[name]
  return round && name === 'y' ? disc(own.half[0]) : rect(2 * own.half[u], 2 * own.half[v])
}

type Place = (p: Point2) => Point2

const inkDrawn = (
  { look, outline, roundMm = 0, lines = [], said = [] }: Ink,
  place: Place,
  fit: Fit,
  right: 1 | -1,
): Drawn => ({
  look,
  outline: outline ? roundedPath(outline.map(place), roundMm * fit.scale) : '',
  detail: lines.map((line) => polygonPath(line.map(place), false)).join(''),
  ...(said.length > 0
    ? {
        said: said.map(({ at: [u, v], text, highMm }) => {
          const [x, y] = place([u * right, v])
          return { x: Number(num(x)), y: Number(num(y)), size: Number(num(highMm * fit.scale)), text }
        }),
      }
    : {}),
})

const furDrawn = (
  id: string,
  { half }: Own,
  place: Place,
  endOn: boolean,
  look: string,
  fit: Fit,
): readonly Drawn[] => {
  const { outline, hairs } = furOf(id, half[0], endOn ? 2 * half[0] : 2 * half[1])
  const path = polygonPath(outline.map(place))
  const detail = fit.scale >= FINE_PX ? hairs.map((hair) => polygonPath(hair.map(place), false)).join('') : ''
  return [{ look: look === 'foam' ? 'fur' : look, outline: path, detail }]
}

/** Looks that are texture: they drop out when a part is small. */
const fine = new Set(['texture', 'sheen'])

/**
 * What is drawn of a solid that has a form: its outline from where one looks, true where it stands square to the eye, and
 * what lies on the faces that are seen.
 */
export const formDrawn = (
  view: Projection,
  piece: PlacedPart,
  { shape, solid }: PlacedSolid,
  form: Form,
  fit: Fit,
  hull: () => readonly Point2[],
): readonly Drawn[] => {
  const towards = towardsEye(view)
  const own = ownOf(piece, shape, form.turned ? towards : undefined)
  const bar = shape.kind === 'cylinder'
  const facing = own.axes.map((axis) => dot(axis, towards)) as [number, number, number]
  const look = form.look ?? solid.look ?? 'plain'
  const usual = solid.roundMm ?? (bar ? 1.2 : 1)
  const nearest = names.reduce(
    (best, name, i) => (Math.abs(facing[i] ?? 0) > Math.abs(facing[names.indexOf(best)] ?? 0) ? name : best),
    'x' as AxisName,
  )
  if (form.fur)
    return furDrawn(
      piece.part.id,
      own,
      placer(view, own, Math.abs(facing[1]) > 0.7 ? 'y' : 'z', 1, fit, true),
      Math.abs(facing[1]) > 0.7,
      look,
      fit,
    )
  const inks = (name: AxisName): readonly Drawn[] => {
    const turn = facing[names.indexOf(name)] ?? 0
    const side = turn > 0 ? 1 : -1
    const face = form[name]
    const place = placer(view, own, name, side, fit, bar)
    const on = [...(face?.on ?? []), ...((side > 0 ? face?.plus : face?.minus) ?? [])]
    // Figures read from left to right whichever way the bar lies.
    const right = place([1, 0])[0] >= place([0, 0])[0] ? 1 : -1
    return on
      .filter((ink) => fit.scale >= FINE_PX || (!fine.has(ink.look) && ink.outline !== undefined))
      .map((ink) => inkDrawn(ink, place, fit, right))
  }
  if (Math.abs(facing[names.indexOf(nearest)] ?? 0) >= SQUARE_ON) {
    const side = (facing[names.indexOf(nearest)] ?? 0) > 0 ? 1 : -1
    const face = form[nearest]
    const place = placer(view, own, nearest, side, fit, bar)
    const round = (face?.roundMm ?? (bar && nearest === 'y' ? 0 : usual)) * fit.scale
    const windows = (face?.holes ?? []).map(({ outline, roundMm = 0 }) =>
      roundedPath(outline.map(place), roundMm * fit.scale),
    )
    const outline = roundedPath(outlineOf(face, own, nearest, bar).map(place), round) + windows.join('')
    return [{ look, outline, detail: '' }, ...inks(nearest)]
  }
  const back: Drawn = {
    look,
    outline: roundedPath(
      hull().map((p) => onSheet(fit, p)),
      usual * fit.scale,
    ),
    detail: '',
  }
  const seen = names.filter((_, i) => Math.abs(facing[i] ?? 0) > SHOWS && !(bar && names[i] !== 'y'))
  return [back, ...flatMap(seen, inks)]
}
