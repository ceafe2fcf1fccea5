import type { PlacedPart } from '../assembly/index.ts'
import { diameterOf, type Glyph, type Mount, type Part, standardOf } from '../catalogue/index.ts'
import { add, cross, direction, point, type Point2, scale, type Vec3, flatMap } from '../kernel/index.ts'
import { FINE_PX, type Fit, flat, nearness, num, onSheet, type Projection } from './views.ts'

/** What is drawn on a face at a mount: closed shapes that are filled, and fine lines on them. */
export interface MountMark {
  readonly mount: string
  readonly look: string
  readonly outline: string
  readonly detail: string
  readonly depth: number
}

/** A face is looked at when it turns from the eye by less than this: cosine of some 25 degrees. */
const LOOKED_AT = 0.9
/** A mark lies on its face, over it by this much in the order of painting. mm */
const ON_FACE_MM = 0.4
const ROUND = 48

/** Sizes that every mount of its kind has, mm; they are those of the standards. */
const SCREW_MM = 6.35
const RIM_MM = 9.6
const PINS_MM = 7.5
const SHOE_MM = { wide: 18.6, tall: 18, slot: 12.5, lip: 2.2 }
const RAIL_MM = 21.2
const ROSETTE_MM = { wide: 31.8, teeth: 60 }
const THROAT_MM = 48
const ROD_MM = 15
const STUDS_MM: readonly Point2[] = [
  [-25, 28],
  [25, 28],
  [0, -28],
]
const WEDGE_MM = { wide: 46, narrow: 30, tall: 52 }

/** Points on the face of a mount, mm along its width and its height, as they fall on the sheet. */
type Face = (x: number, y: number) => Point2

const faceOf = (view: Projection, piece: PlacedPart, mount: Mount, fit: Fit): Face => {
  const at = point(piece.frame, mount.at)
  const up = direction(piece.frame, mount.up)
  const right = cross(up, direction(piece.frame, mount.out))
  return (x, y) => onSheet(fit, flat(view, add(at, add(scale(right, x), scale(up, y)) as Vec3)))
}

const path = (points: readonly Point2[], closed = true): string =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${num(x)} ${num(y)}`).join('') + (closed ? 'Z' : '')
const ring = (face: Face, radius: number, x = 0, y = 0, teeth = 0, deep = 0): string => {
  const count = teeth > 0 ? teeth * 2 : ROUND
  return path(
    Array.from({ length: count }, (_, i) => {
      const angle = (i / count) * 2 * Math.PI
      const r = teeth > 0 && i % 2 ? radius - deep : radius
      return face(x + r * Math.cos(angle), y + r * Math.sin(angle))
    }),
  )
}
const box = (face: Face, wide: number, tall: number): string =>
  path([face(-wide / 2, -tall / 2), face(wide / 2, -tall / 2), face(wide / 2, tall / 2), face(-wide / 2, tall / 2)])
const line = (face: Face, ...points: readonly Point2[]): string =>
  path(
    points.map(([x, y]) => face(x, y)),
    false,
  )

interface Drawn {
  readonly look: string
  readonly outline: string
  readonly detail?: string
}

/** Of a rail or plate only what it is marked by: its own solid has the shape. */
const alongRail = (face: Face, { lengthMm = 40, travel, up }: Mount, wide: number): string => {
  const upright = travel
    ? Math.abs(travel.along[0] * up[0] + travel.along[1] * up[1] + travel.along[2] * up[2]) > 0.7
    : false
  const half = lengthMm / 2 - 1
  const inset = wide / 2 - 3.4
  return [-inset, inset]
    .map((off) => (upright ? line(face, [off, -half], [off, half]) : line(face, [-half, off], [half, off])))
    .join('')
}

/** The sensor behind the throat of a camera. */
const sensorMark = (face: Face): readonly Drawn[] => [
  {
    look: 'sensor',
    outline: box(face, 30, 20),
    detail: line(face, [-9, -6], [-2, 6]) + line(face, [-4, -6], [3, 6]),
  },
]

const drawers: Readonly<Record<Glyph, (face: Face, mount: Mount, part: Part) => readonly Drawn[]>> = {
  ring: (face) => [
    { look: 'metal', outline: ring(face, RIM_MM / 2) },
    { look: 'hole', outline: ring(face, SCREW_MM / 2) },
  ],
  'ring-pins': (face) => [
    { look: 'metal', outline: ring(face, RIM_MM / 2) },
    { look: 'hole', outline: ring(face, SCREW_MM / 2) },
    { look: 'hole', outline: ring(face, 1.3, -PINS_MM) },
    { look: 'hole', outline: ring(face, 1.3, PINS_MM) },
  ],
  shoe: (face) => {
    const { wide, tall, slot, lip } = SHOE_MM
    const rails = [-1, 1].map((side) => line(face, [(side * slot) / 2, -tall / 2], [(side * slot) / 2, tall / 2 - lip]))
    return [{ look: 'metal', outline: box(face, wide, tall), detail: rails.join('') }]
  },
  rail: (face, mount) => [{ look: '', outline: '', detail: alongRail(face, mount, RAIL_MM) }],
  dovetail: (face, mount) => [{ look: '', outline: '', detail: alongRail(face, mount, 38) }],
  rods: (face, { side, lengthMm = 0, standard }) =>
    side === 'holds' && lengthMm > 0
      ? []
      : (standardOf(standard).boresMm ?? []).map((x) => ({ look: 'hole', outline: ring(face, ROD_MM / 2, x) })),
  rosette: (face) => [
    { look: 'metal', outline: ring(face, ROSETTE_MM.wide / 2, 0, 0, ROSETTE_MM.teeth / 2, 1.4) },
    { look: 'plain', outline: ring(face, ROSETTE_MM.wide / 2 - 4.5) },
    { look: 'hole', outline: ring(face, SCREW_MM / 2) },
  ],
  bayonet: (face, { side }, part) =>
    side === 'sits'
      ? []
      : [
          { look: 'metal', outline: ring(face, THROAT_MM / 2 + 7) },
          { look: 'detail', outline: ring(face, THROAT_MM / 2 + 4) },
          { look: 'hole', outline: ring(face, THROAT_MM / 2) },
          ...[90, 210, 330].map((deg) => {
            const angle = (deg * Math.PI) / 180
            const spread = 0.32
            const [inner, outer] = [THROAT_MM / 2 - 3, THROAT_MM / 2]
            return {
              look: 'metal',
              outline: path([
                face(outer * Math.cos(angle - spread), outer * Math.sin(angle - spread)),
                face(outer * Math.cos(angle + spread), outer * Math.sin(angle + spread)),
                face(inner * Math.cos(angle + spread), inner * Math.sin(angle + spread)),
                face(inner * Math.cos(angle - spread), inner * Math.sin(angle - spread)),
              ]),
            }
          }),
          ...(part.optics?.kind === 'sensor' ? sensorMark(face) : []),
          { look: 'mark', outline: ring(face, 1.5, 0, THROAT_MM / 2 + 5.5) },
        ],
  filter: (face, mount, part) => {
    const r = (diameterOf(mount.family) ?? 0) / 2
    // The thread of a filter or a ring is seen as its rim; glass behind a thread is a lens.
    if (mount.side === 'sits' || r < 10 || part.optics?.kind !== 'lens') return []
    return [
      { look: 'metal', outline: ring(face, r) },
      { look: 'hole', outline: ring(face, r - 2.5) },
      {
        look: 'glass',
        outline: ring(face, r - 5),
        detail: ring(face, (r - 5) * 0.62) + ring(face, (r - 5) * 0.3) + arcOn(face, (r - 5) * 0.8),
      },
    ]
  },
  wedge: (face, { side }) => {
    const { wide, narrow, tall } = WEDGE_MM
    const wedge = path([
      face(-wide / 2, tall / 2),
      face(wide / 2, tall / 2),
      face(narrow / 2, -tall / 2),
      face(-narrow / 2, -tall / 2),
    ])
    return [{ look: side === 'holds' ? 'hole' : 'metal', outline: wedge }]
  },
  brick: () => [],
  // Three keyholes that the studs of a pack hang in; the pack shows its studs.
  studs: (face, { side }) =>
    flatMap(STUDS_MM, ([x, y]) =>
      side === 'holds'
        ? [
            { look: 'hole', outline: ring(face, 4.2, x, y) },
            { look: 'hole', outline: ring(face, 2.4, x, y - 5.4) },
          ]
        : [
            { look: 'metal', outline: ring(face, 3.4, x, y) },
            { look: 'metal', outline: ring(face, 2, x, y) },
          ],
    ),
  pad: () => [],
  gear: () => [],
  seat: () => [],
}

/** Light on round glass: an arc in the upper left. */
const arcOn = (face: Face, r: number): string =>
  path(
    Array.from({ length: 7 }, (_, i) => {
      const angle = ((112 + i * 9) * Math.PI) / 180
      return face(r * Math.cos(angle), r * Math.sin(angle))
    }),
    false,
  )

/** What sits shows these; of all else the foot itself is seen. */
const shownOnGuests: ReadonlySet<Glyph> = new Set(['rosette', 'wedge', 'studs'])

/** A mark may stand out of its piece by this much, mm: what is larger than its part is not drawn. */
const OUT_MM = 2

const liesOn = (view: Projection, piece: PlacedPart, fit: Fit, outline: string): boolean => {
  const [a, b] = [piece.bounds.min, piece.bounds.max].map((corner) => onSheet(fit, flat(view, corner)))
  if (!a || !b) return false
  const out = OUT_MM * fit.scale
  return [...outline.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].every(
    ([, x, y]) =>
      Number(x) >= Math.min(a[0], b[0]) - out &&
      Number(x) <= Math.max(a[0], b[0]) + out &&
      Number(y) >= Math.min(a[1], b[1]) - out &&
      Number(y) <= Math.max(a[1], b[1]) + out,
  )
}

/**
 * What is seen of a piece's mounts in a view: every hole, shoe, rail and rosette at its mount and in its true size,
 * and nowhere else. A mount that turns away from the eye shows nothing.
 */
export const mountMarks = (view: Projection, piece: PlacedPart, fit: Fit): readonly MountMark[] =>
  flatMap(piece.part.mounts, (mount): MountMark[] => {
    const out = direction(piece.frame, mount.out)
    if (nearness(view, out) < LOOKED_AT || mount.carries) return []
    const { glyph } = standardOf(mount.standard)
    if (mount.side === 'sits' && !shownOnGuests.has(glyph)) return []
    const face = faceOf(view, piece, mount, fit)
    const depth = nearness(view, point(piece.frame, mount.at)) + ON_FACE_MM
    return drawers[glyph](face, mount, piece.part)
      .filter(({ outline }) => liesOn(view, piece, fit, outline))
      .map(({ look, outline, detail = '' }, i) => ({
        mount: `${mount.id}${i}`,
        look,
        outline,
        detail: fit.scale >= FINE_PX ? detail : '',
        depth: depth + i / 1000,
      }))
  })
