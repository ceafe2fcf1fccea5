import type { Assembly, PlacedPart, PlacedSolid } from '../assembly/index.ts'
import { inHand } from '../balance/index.ts'
import type { Part } from '../catalogue/index.ts'
import {
  add,
  type Bounds,
  convexHull,
  cross,
  dot,
  type Frame,
  lengthOf,
  perThing,
  type Placed,
  type Point2,
  reach,
  scale,
  unit,
  type Vec3,
  flatMap,
} from '../kernel/index.ts'
import { figureOf } from './figures/index.ts'
import { formDrawn, type Said } from './forms-drawn.ts'
import { mountMarks, type MountMark } from './mount-marks.ts'
import { roundedPath } from './paths.ts'
import {
  type DeepId,
  type Extent,
  faceOnOf,
  FINE_PX,
  type Fit,
  flat,
  isDeep,
  nearness,
  num,
  onSheet,
  type Projection,
  towardsEye,
  type ViewId,
  views,
} from './views.ts'

/** One solid as it is drawn on a sheet: an outline path, finer lines within it, and how it is filled. */
export interface Stroke {
  readonly key: string
  readonly instance: string
  readonly look: string
  readonly outline: string
  readonly detail: string
  readonly depth: number
  /** Something on a face: it is drawn finer than what it lies on. */
  readonly onFace?: boolean
  readonly said?: readonly Said[]
  /** It is to be painted so far to the right and down of where its paths are, px. */
  readonly by?: Point2
}

/** A screen lies on the body it belongs to, also when both are tilted and the body reaches farther out. */
const ON_TOP_MM = 6
const SIDE_ON = 0.02
const ROUND_SAMPLES = 28

const at = (p: Point2): string => `${num(p[0])} ${num(p[1])}`

const corners = (shape: Placed & { kind: 'box' }): Vec3[] =>
  flatMap([-1, 1], (a) =>
    flatMap([-1, 1], (b) =>
      [-1, 1].map((c) =>
        add(add(add(shape.centre, scale(shape.edges[0], a)), scale(shape.edges[1], b)), scale(shape.edges[2], c)),
      ),
    ),
  )

const rim = (centre: Vec3, axis: Vec3, radius: number): Vec3[] => {
  const side = unit(cross(axis, Math.abs(axis[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0]))
  const other = cross(axis, side)
  return Array.from({ length: ROUND_SAMPLES }, (_, i) => {
    const angle = (i / ROUND_SAMPLES) * 2 * Math.PI
    return add(centre, add(scale(side, radius * Math.cos(angle)), scale(other, radius * Math.sin(angle))))
  })
}

/** The outline of a placed solid on the drawing plane, mm. */
export const silhouette = (view: Projection, shape: Placed): Point2[] => {
  if (shape.kind === 'box') return convexHull(corners(shape).map((p) => flat(view, p)))
  const axis = unit(shape.half)
  const ends = [add(shape.centre, shape.half), add(shape.centre, scale(shape.half, -1))]
  return convexHull(flatMap(ends, (end) => rim(end, axis, shape.radius)).map((p) => flat(view, p)))
}

const circle = (centre: Point2, r: number): string =>
  `M${num(centre[0] - r)} ${num(centre[1])}a${num(r)} ${num(r)} 0 1 0 ${num(2 * r)} 0a${num(r)} ${num(r)} 0 1 0 ${num(-2 * r)} 0Z`

const line = (a: Point2, b: Point2): string => `M${at(a)}L${at(b)}`

const sideOnLines = (view: Projection, shape: Placed & { kind: 'cylinder' }, fit: Fit, look: string): string => {
  const [px, py] = flat(view, shape.centre)
  const along = flat(view, shape.half)
  const half = Math.hypot(...along)
  const d: Point2 = [along[0] / half, along[1] / half]
  const n: Point2 = [-d[1], d[0]]
  const tick = (t: number, from: number, to: number) =>
    line(
      onSheet(fit, [px + d[0] * t + n[0] * from, py + d[1] * t + n[1] * from]),
      onSheet(fit, [px + d[0] * t + n[0] * to, py + d[1] * t + n[1] * to]),
    )
  const r = shape.radius
  if (look === 'metal' && half > 3) return tick(-half + 1.2, -r, r) + tick(half - 1.2, -r, r)
  return ''
}

const endOnLines = (centre: Point2, shape: Placed & { kind: 'cylinder' }, fit: Fit, look: string): string => {
  const c = onSheet(fit, centre)
  const r = shape.radius * fit.scale
  if (look === 'metal' || look === 'plain') return circle(c, r * 0.86)
  return ''
}

/** Does an outline stand square to the sheet, so that lines within it may run along its box? */
const isSquare = (outline: readonly Point2[]): boolean =>
  outline.every((a, i) => {
    const b = outline[(i + 1) % outline.length] ?? a
    return Math.abs(a[0] - b[0]) < 0.5 || Math.abs(a[1] - b[1]) < 0.5
  })

const boxLines = (view: Projection, placed: PlacedSolid, outline: readonly Point2[], fit: Fit): string => {
  const { look } = placed.solid
  if (!isSquare(outline)) return ''
  const xs = outline.map((p) => p[0])
  const ys = outline.map((p) => p[1])
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  if (look === 'screen' && right - left > 14 && bottom - top > 14) {
    const inset = 1.6 * fit.scale
    return (
      `M${num(left + inset)} ${num(top + inset)}H${num(right - inset)}V${num(bottom - inset)}H${num(left + inset)}Z` +
      line([left + inset * 2.5, bottom - inset * 2.5], [left + (right - left) * 0.36, top + inset * 2.5])
    )
  }
  return ''
}

/** What a stroke of a solid says of it, however it is drawn: whose it is, and how near its nearest face lies. */
const baseOf = (view: Projection, { instance }: PlacedPart, { shape, solid }: PlacedSolid, index: number) => ({
  key: `${instance.id}:${index}`,
  instance: instance.id,
  look: solid.look ?? 'plain',
  depth: nearness(view, shape.centre) + reach(shape, towardsEye(view)) + (solid.look === 'screen' ? ON_TOP_MM : 0),
})

/** How a placed solid is drawn that has no form: by its own shape and look. */
const strokeOf = (view: Projection, piece: PlacedPart, placed: PlacedSolid, index: number, fit: Fit): Stroke => {
  const { shape, solid } = placed
  const base = baseOf(view, piece, placed, index)
  const { look } = base
  if (shape.kind === 'cylinder') {
    const axis = unit(shape.half)
    const facing = Math.abs(nearness(view, axis))
    if (facing > 1 - SIDE_ON) {
      const centre = flat(view, shape.centre)
      return {
        ...base,
        outline: circle(onSheet(fit, centre), shape.radius * fit.scale),
        detail: endOnLines(centre, shape, fit, look),
      }
    }
    const round = look === 'foam' || look === 'grip' ? Math.min(shape.radius, lengthOf(shape.half)) * 0.9 : 1.2
    const outline = roundedPath(
      silhouette(view, shape).map((p) => onSheet(fit, p)),
      round * fit.scale,
    )
    return {
      ...base,
      outline,
      detail: facing < SIDE_ON && fit.scale >= FINE_PX ? sideOnLines(view, shape, fit, look) : '',
    }
  }
  const outline = silhouette(view, shape).map((p) => onSheet(fit, p))
  return {
    ...base,
    outline: roundedPath(outline, (solid.roundMm ?? 1) * fit.scale),
    detail: boxLines(view, placed, outline, fit),
  }
}

const strokeOfMark = ({ instance }: PlacedPart, { mount, ...drawn }: MountMark): Stroke => ({
  ...drawn,
  key: `${instance.id}:${mount}`,
  instance: instance.id,
})

/** A piece that stands out of its host by no more than this lies inside it. mm */
const INSIDE_MM = 2
const BEHIND_MM = 10_000

/** What is let into its host is painted first, and its host over it, if it stands out nowhere. */
const inside = ({ bounds, host, mate }: PlacedPart, strokes: readonly Stroke[]): readonly Stroke[] =>
  host &&
  mate?.ok &&
  mate.value.standard.inside === true &&
  bounds.min.every((value, i) => value >= (host.bounds.min[i] ?? 0) - INSIDE_MM) &&
  bounds.max.every((value, i) => value <= (host.bounds.max[i] ?? 0) + INSIDE_MM)
    ? strokes.map((stroke) => ({ ...stroke, depth: stroke.depth - BEHIND_MM }))
    : strokes

/** What lies on a face is painted over it by so much, mm, each thing over the one before. */
const OVER_MM = 0.01

/** The windows of a face: every loop of its path but the first. */
const windowsOf = (path: string): string => path.split(/(?=M)/).slice(1).join('')

/** A round bar is looked at from its end rather than from beside: the square of a cosine. */
const END_ON = 0.25

/** What a picture shows of a solid behind its face: all it sweeps, and the edge where its two flanks meet. */
const flankDrawn = (
  view: DeepId,
  { shape, solid }: PlacedSolid,
  look: string,
  hull: readonly Point2[],
  windows: string,
  fit: Fit,
): Pick<Stroke, 'look' | 'outline' | 'detail'> => {
  const round = Math.min(solid.roundMm ?? 1, 2) * fit.scale
  const outline =
    roundedPath(
      hull.map((p) => onSheet(fit, p)),
      round,
    ) + windows
  if (shape.kind !== 'box') return { look, outline, detail: '' }
  const { right, up, towards } = views[faceOnOf(view)]
  // The upper right corner, at the face and behind it.
  const corner = (way: Vec3) =>
    shape.edges.reduce<Vec3>((sum, edge) => add(sum, scale(edge, dot(edge, way) >= 0 ? 1 : -1)), shape.centre)
  const lean = add(add(right, up), towards)
  const front = corner(lean)
  const back = corner(add(lean, scale(towards, -2)))
  const [a, b] = [front, back].map((p) => onSheet(fit, flat(view, p))) as [Point2, Point2]
  return { look, outline, detail: line(a, b) }
}

/** Everything that is drawn of one placed solid: by its form, or as it is. */
const solidStrokes = (
  view: Projection,
  piece: PlacedPart,
  placed: PlacedSolid,
  index: number,
  fit: Fit,
): readonly Stroke[] => {
  const deep = isDeep(view)
  const form = figureOf(piece.part)[index] ?? (deep ? {} : undefined)
  if (!form) return [strokeOf(view, piece, placed, index, fit)]
  const base = baseOf(view, piece, placed, index)
  const hull = () => silhouette(view, placed.shape)
  const face = formDrawn(view, piece, placed, form, fit, hull)
  // Fur, and what is round and seen from beside, has no flank of its own.
  const { shape } = placed
  const flank = deep && !form.fur && (shape.kind === 'box' || nearness(view, unit(shape.half)) ** 2 > END_ON)
  const drawn = flank
    ? [flankDrawn(view, placed, form.look ?? base.look, hull(), windowsOf(face[0]?.outline ?? ''), fit), ...face]
    : face
  return drawn.map((one, i) => ({
    ...one,
    key: i === 0 ? base.key : `${base.key}.${i}`,
    instance: base.instance,
    depth: base.depth + i * OVER_MM,
    ...(i > (flank ? 1 : 0) ? { onFace: true } : {}),
  }))
}

const ownStrokes = (view: Projection, piece: PlacedPart, fit: Fit, marks: boolean): readonly Stroke[] => [
  ...flatMap(piece.solids, (solid, i) => solidStrokes(view, piece, solid, i, fit)),
  ...(marks ? mountMarks(view, piece, fit).map((mark) => strokeOfMark(piece, mark)) : []),
]

type Draw = (view: Projection, piece: PlacedPart, fit: Fit, marks: boolean) => readonly Stroke[]

/** What was drawn of a piece last, in each view: an edit leaves most pieces and the scale as they were. */
const lastDrawn = perThing(
  'strokes of a piece',
  (_: PlacedPart) => new Map<string, { fit: Fit; strokes: readonly Stroke[] }>(),
)

const sameFit = (a: Fit, b: Fit): boolean => a.scale === b.scale && a.x === b.x && a.y === b.y

/** How a part was drawn, turned as it is, somewhere on the sheet. */
interface Pattern {
  readonly frame: Frame
  readonly fit: Fit
  readonly strokes: readonly Stroke[]
}
const patternsOf = perThing('drawn patterns of a part', (_: Part) => new Map<string, Pattern>())
/** So many are kept of one part: in a few views, turned in a few ways, for a few pieces of a rig. */
const MOST_PATTERNS = 60

const sameTurn = (a: Frame, b: Frame): boolean => same(a.x, b.x) && same(a.y, b.y) && same(a.z, b.z)
const same = (a: Vec3, b: Vec3): boolean => a[0] === b[0] && a[1] === b[1] && a[2] === b[2]

/** What goes along together goes by the very same. px */
const hundredths = (px: number): number => Math.round(px * 100) / 100

/**
 * A piece by the pattern it was drawn by before: while it slides, and while the sheet is moved, nothing of it is another
 * but where it lies.
 */
const slidOver: Draw = (view, piece, fit, marks) => {
  const patterns = patternsOf(piece.part)
  const key = `${view} ${marks} ${fit.scale} ${piece.instance.id}`
  let pattern = patterns.get(key)
  if (!pattern || !sameTurn(pattern.frame, piece.frame)) {
    if (patterns.size >= MOST_PATTERNS) patterns.clear()
    pattern = { frame: piece.frame, fit, strokes: ownStrokes(view, piece, fit, marks) }
    patterns.set(key, pattern)
  }
  const from = onSheet(pattern.fit, flat(view, pattern.frame.at))
  const to = onSheet(fit, flat(view, piece.frame.at))
  const by: Point2 = [hundredths(to[0] - from[0]), hundredths(to[1] - from[1])]
  const nearer = nearness(view, piece.frame.at) - nearness(view, pattern.frame.at)
  return by[0] === 0 && by[1] === 0 && nearer === 0
    ? pattern.strokes
    : pattern.strokes.map((stroke) => ({ ...stroke, depth: stroke.depth + nearer, by }))
}

/** Rounding puts nothing before or behind another. */
const nearAs = ({ depth }: Stroke): number => Math.round(depth * 1e6)

const drawnBy = (
  draw: Draw,
  how: string,
  view: Projection,
  { placed }: Pick<Assembly, 'placed'>,
  fit: Fit,
  marks: boolean,
): readonly Stroke[] =>
  flatMap(placed, (piece) => {
    const drawn = lastDrawn(piece)
    const key = `${how} ${view} ${marks}`
    const known = drawn.get(key)
    if (known && sameFit(known.fit, fit)) return known.strokes
    const strokes = inside(piece, draw(view, piece, fit, marks))
    drawn.set(key, { fit, strokes })
    return strokes
  }).sort((a, b) => nearAs(a) - nearAs(b) || (a.key < b.key ? -1 : 1))

/**
 * Everything that is drawn of an assembly in one view, the farthest first. Strokes of a piece that stands where it stood
 * are the same objects as before.
 * @param marks with what is seen of the mounts; a small card does without
 */
export const strokesOf = (
  view: Projection,
  assembly: Pick<Assembly, 'placed'>,
  fit: Fit,
  marks = true,
): readonly Stroke[] => drawnBy(ownStrokes, 'own', view, assembly, fit, marks)

/**
 * The same for a drawing that is edited: what only slid has the paths it had, and is painted beside them (`by`). Whoever
 * paints it has to heed that.
 */
export const slidStrokesOf = (
  view: Projection,
  assembly: Pick<Assembly, 'placed'>,
  fit: Fit,
  marks = true,
): readonly Stroke[] => drawnBy(slidOver, 'slid', view, assembly, fit, marks)

/** What a box takes up on a drawing, in any projection. */
export const extentOfBounds = (view: Projection, { min, max }: Bounds): Extent => {
  const points = [0, 1, 2, 3, 4, 5, 6, 7].map((i) =>
    flat(view, [(i & 1 ? max : min)[0], (i & 2 ? max : min)[1], (i & 4 ? max : min)[2]]),
  )
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  return { left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...ys), top: Math.max(...ys) }
}

/** What the drawing has to show whole: all that is in the hand. Stands may run off the sheet. */
export const extentOfRig = (view: Projection, assembly: Assembly): Extent => {
  const points = flatMap(assembly.placed.filter(inHand), (piece) => {
    const { min, max } = piece.bounds
    return [flat(view, min), flat(view, max)]
  })
  return {
    left: Math.min(...points.map((p) => p[0])),
    right: Math.max(...points.map((p) => p[0])),
    bottom: Math.min(...points.map((p) => p[1])),
    top: Math.max(...points.map((p) => p[1])),
  }
}

/** So much of a stand is shown under a rig before it is cut, mm. */
const STAND_MM = 46

/** What a small picture of a rig shows: all that is in the hand, and of a stand its top, which is cut. */
export const sketchOf = (
  view: ViewId,
  assembly: Assembly,
  within: Extent = extentOfRig(view, assembly),
): { readonly extent: Extent; readonly cut: boolean } => {
  const cut = view !== 'top' && assembly.placed.some((piece) => !inHand(piece))
  return { extent: cut ? { ...within, bottom: within.bottom - STAND_MM } : within, cut }
}
