import type { FilterOptics, Part } from '@zucchini/core/catalogue'
import {
  ahead,
  back,
  bar,
  block,
  down,
  holds,
  left,
  part,
  type Price,
  right,
  ring,
  sits,
  slot,
  soft,
  up,
} from './solids.ts'

type RodMatter = NonNullable<Part['rod']>['matter']

interface Piece {
  readonly id: string
  readonly name: string
  readonly maker: string
  readonly massG: number
  readonly price: Price
}

const HALF_GAP_MM = 30
const ROD_MM = 7.5

/** A pair of 15 mm rods, 60 mm apart, running ahead from the end that is clamped. Origin: between them at that end. */
export const rods = (r: Piece & { readonly lengthMm: number; readonly matter: RodMatter }): Part =>
  part({
    id: r.id,
    role: 'rods',
    name: r.name,
    maker: r.maker,
    massG: r.massG,
    price: r.price,
    solids: [
      bar([-HALF_GAP_MM, 0, 0], ahead, r.lengthMm, ROD_MM, 'metal'),
      bar([HALF_GAP_MM, 0, 0], ahead, r.lengthMm, ROD_MM, 'metal'),
    ],
    mounts: [
      sits('end', 'rod-15-pair', [0, 0, 0], back),
      sits('above', 'rod-15-pair', [0, ROD_MM, -r.lengthMm / 2], up, {
        lengthMm: r.lengthMm,
        travel: slot(ahead, r.lengthMm / 2 - 12),
        carries: true,
        label: `${r.name}, above`,
      }),
      sits('below', 'rod-15-pair', [0, -ROD_MM, -r.lengthMm / 2], down, {
        lengthMm: r.lengthMm,
        travel: slot(ahead, r.lengthMm / 2 - 12),
        carries: true,
        label: `${r.name}, below`,
      }),
    ],
    rod: { count: 2, acrossMm: 2 * ROD_MM, wallMm: 1.5, matter: r.matter },
    facts: { length: `${r.lengthMm} mm` },
  })

/** A plate under the cage that clamps rods in front and behind. Origin: its screws. */
export const rodBase = (p: Piece & { readonly dovetail: boolean }): Part =>
  part({
    id: p.id,
    role: 'base-plate',
    name: p.name,
    maker: p.maker,
    massG: p.massG,
    price: p.price,
    solids: [block([-44, -19, -42], [44, 0, 42], 'metal', 2)],
    mounts: [
      sits('screw', 'thread-1/4', [0, 0, 0], up, { screws: 2, travel: slot(ahead, 14) }),
      holds('rods-front', 'rod-15-pair', [0, -9.5, -42], ahead, { label: `${p.name}, rods ahead` }),
      holds('rods-rear', 'rod-15-pair', [0, -9.5, 42], back, { label: `${p.name}, rods behind` }),
      p.dovetail
        ? holds('foot', 'dovetail-38', [0, -19, 0], down, {
            lengthMm: 84,
            travel: slot(ahead, 20),
            label: `${p.name}, 38 mm dovetail`,
          })
        : holds('foot', 'thread-3/8', [0, -19, 0], down, { label: `${p.name}, 3/8" below` }),
    ],
    provides: p.dovetail ? ['quick-plate'] : [],
  })

/** A clamp on both rods that offers something above it. Origin: between the rods, at their top. */
export const rodClamp = (
  c: Piece & {
    readonly role: 'rod-clamp' | 'lens-support'
    readonly tallMm: number
    readonly thickMm: number
    readonly top: 'thread-1/4' | 'rosette-m6' | 'pad' | 'none'
    /** How high over the rods the cradle of a lens support can be set. */
    readonly cradleMm?: readonly [lowMm: number, highMm: number]
  },
): Part =>
  part({
    id: c.id,
    role: c.role,
    name: c.name,
    maker: c.maker,
    massG: c.massG,
    price: c.price,
    solids: [
      block([-42, 0, -c.thickMm / 2], [42, 9, c.thickMm / 2], 'metal', 2),
      ...(c.tallMm > 9 ? [block([-11, 9, -c.thickMm / 2], [11, c.tallMm, c.thickMm / 2], 'plain', 3)] : []),
      ...(c.role === 'lens-support'
        ? [soft(block([-16, c.tallMm, -c.thickMm / 2], [16, c.tallMm + 4, c.thickMm / 2], 'foam', 2))]
        : []),
    ],
    mounts: [
      holds('clamp', 'rod-15-pair', [0, 0, 0], down, { lengthMm: c.thickMm }),
      ...(c.top === 'none' ? [] : [holds('top', c.top, [0, c.tallMm, 0], up, { label: `${c.name}, top` })]),
      holds('left', 'rosette-m6', [-42, 4.5, 0], left, { label: `${c.name}, left rosette` }),
      holds('right', 'rosette-m6', [42, 4.5, 0], right, { label: `${c.name}, right rosette` }),
    ],
    ...(c.cradleMm ? { optics: { kind: 'support', lowMm: c.cradleMm[0], highMm: c.cradleMm[1] } } : {}),
  })

/** A frame in front of the lens with a drop-in tray. Origin: the middle of its rear ring. */
export const matteBox = (m: Piece & { readonly by: 'clamp-on' | 'rods'; readonly odMm?: number }): Part =>
  part({
    id: m.id,
    role: 'matte-box',
    name: m.name,
    maker: m.maker,
    massG: m.massG,
    price: m.price,
    solids: [
      block([-75, 52, -46], [75, 56, 0], 'plain', 2),
      block([-75, -56, -46], [75, -52, 0], 'plain', 2),
      block([-75, -52, -46], [-71, 52, 0], 'plain', 2),
      block([71, -52, -46], [75, 52, 0], 'plain', 2),
      ...(m.by === 'rods'
        ? [block([-42, -78, -16], [42, -56, 0], 'metal', 2)]
        : [ring(bar([0, 0, 0], back, 7, (m.odMm ?? 95) / 2 + 7, 'ribs'), (m.odMm ?? 95) / 2)]),
    ],
    centre: [0, 0, -22],
    opening: { at: [0, 0, -46], wideMm: 142, tallMm: 104 },
    mounts: [
      ...(m.by === 'rods'
        ? [holds('clamp', 'rod-15-pair', [0, -78, -8], down, { lengthMm: 16 })]
        : [sits('ring', 'clamp-on', [0, 0, 7], back, { family: String(m.odMm ?? 95) })]),
      holds('tray', 'tray', [0, -52, -20], up, { family: '4x5.65', label: `${m.name}, tray` }),
      holds('hood', 'thread-1/4', [0, 56, -30], up, { label: `${m.name}, top 1/4"` }),
    ],
  })

/** A tray covers this much of each edge of its filter. mm */
const EDGE_MM = 3

/** A drop-in filter standing in its tray. Origin: the middle of its lower edge. */
export const dropIn = (
  f: Piece & { readonly family: '4x5.65' | '4x4'; readonly effect: FilterOptics['effect']; readonly stops: number },
): Part => {
  const [wide, tall] = f.family === '4x4' ? [101, 101] : [141, 101]
  return part({
    id: f.id,
    role: 'filter',
    name: f.name,
    maker: f.maker,
    massG: f.massG,
    price: f.price,
    solids: [block([-wide / 2, 0, -2], [wide / 2, tall, 2], 'glass', 1)],
    mounts: [
      sits('edge', 'tray', [0, 0, 0], down, { family: f.family }),
      // A graduated one can be put in upside down; any other looks the same.
      ...(f.effect === 'graduated' ? [sits('upper', 'tray', [0, tall, 0], up, { family: f.family })] : []),
    ],
    optics: { kind: 'filter', effect: f.effect, minStops: f.stops, maxStops: f.stops },
    opening: { at: [0, tall / 2, -2], wideMm: wide - 2 * EDGE_MM, tallMm: tall - 2 * EDGE_MM },
    order: { faceUp: f.effect === 'graduated' ? 'the dark end' : 'the mark on its edge' },
    provides: f.effect === 'nd' ? ['nd'] : [],
  })
}

/** A plate for a brick, clamped on the rods or screwed on. Origin: its foot. */
export const brickPlate = (
  b: Piece & { readonly standard: 'v-lock' | 'three-stud' | 'slab-l'; readonly by: 'rods' | 'thread-1/4' },
): Part => {
  const [wide, tall] = b.standard === 'slab-l' ? [42, 70] : [92, 104]
  return part({
    id: b.id,
    role: 'battery-plate',
    name: b.name,
    maker: b.maker,
    massG: b.massG,
    price: b.price,
    solids: [block([-wide / 2, 0, -9], [wide / 2, tall, 9], 'plain', 3)],
    mounts: [
      b.by === 'rods'
        ? holds('clamp', 'rod-15-pair', [0, 0, 0], down, { lengthMm: 18 })
        : sits('screw', 'thread-1/4', [0, 0, 0], down, { antiTwist: false }),
      holds(
        'plate',
        b.standard,
        [0, tall / 2, 9],
        back,
        b.standard === 'slab-l'
          ? { family: 'l', almost: ['l-long'], label: `${b.name}, slab` }
          : { label: `${b.name}, brick` },
      ),
      holds('side', 'thread-1/4', [-wide / 2, tall / 2, 0], left, { label: `${b.name}, side 1/4"` }),
    ],
  })
}

/** A battery on its plate. Origin: the middle of its contact face. */
export const brick = (
  b: Piece & {
    readonly standard: 'v-lock' | 'three-stud' | 'slab-l'
    readonly family?: string
    readonly size: readonly [number, number, number]
    readonly wh: number
  },
): Part => {
  const [w, h, d] = b.size
  return part({
    id: b.id,
    role: 'battery',
    name: b.name,
    maker: b.maker,
    massG: b.massG,
    price: b.price,
    solids: [
      block([-w / 2, -h / 2, 0], [w / 2, h / 2, d], 'plain', 4),
      block([-w / 2 + 8, -h / 2 + 8, d], [w / 2 - 8, h / 2 - 8, d + 1], 'detail', 2),
    ],
    mounts: [
      sits('back', b.standard, [0, 0, 0], ahead, b.family ? { family: b.family } : {}),
      // A slab is too narrow for anything to stick to.
      ...(b.standard === 'slab-l'
        ? []
        : [holds('face', 'face', [0, 0, d + 1], back, { faceMm: [w - 20, h - 20], label: `${b.name}, flat side` })]),
    ],
    facts: { Wh: b.wh },
  })
}

/** A light thing on a hook-and-loop back. Origin: the middle of that back. */
export const padded = (
  p: Piece & { readonly role: Part['role']; readonly size: readonly [number, number, number] },
): Part => {
  const [w, h, d] = p.size
  return part({
    id: p.id,
    role: p.role,
    name: p.name,
    maker: p.maker,
    massG: p.massG,
    price: p.price,
    solids: [block([-w / 2, 0, -d / 2], [w / 2, h, d / 2], 'plain', 3)],
    mounts: [sits('back', 'pad', [0, 0, 0], down)],
  })
}
