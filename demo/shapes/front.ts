import type { Capability, FilterOptics, Look, Mount, Part, Room, Solid } from '@zucchini/core/catalogue'
import { ahead, back, bar, block, down, holds, part, type Price, ring, sits, slot, soft, up } from './solids.ts'

interface Piece {
  readonly id: string
  readonly name: string
  readonly maker: string
  readonly massG: number
  readonly price: Price
}

export interface LensFacts extends Piece {
  readonly family: string
  readonly threadMm: number
  /** Sections from the flange to the front: length, radius, look. */
  readonly sections: readonly (readonly [lengthMm: number, radiusMm: number, look: Look])[]
  readonly provides: readonly Capability[]
  readonly facts: Readonly<Record<string, string | number | boolean>>
  readonly footAtMm?: number
  /** Focal lengths, mm: the same twice for a prime; and the widest stop. */
  readonly focal: readonly [number, number]
  readonly stop: number
  readonly circleMm?: number
  readonly turnsFront?: boolean
  readonly throwDeg?: number
  /** Printed teeth for a follow focus. */
  readonly geared?: boolean
  /** Outer diameter of the front, when a matte box can clamp on it. */
  readonly frontMm?: number
}

/** Two fingers round a ring want this much beside it. mm */
const RING_FINGERS_MM = 7
/** Where the entrance pupil of a usual lens lies at most, as a share of its length from the front. */
const PUPIL_BEHIND = 0.4
/** Makers cut the thread so that a filter of this thickness still clears the corners at the short end. mm */
const FILTER_ROOM_MM = 10

/** From the front back to the entrance pupil: as deep as the thread lets it lie. */
const pupilBehindMm = (l: LensFacts, longMm: number): number => {
  const [focal] = l.focal
  const slope = (l.circleMm ?? 43.3) / 2 / focal
  return Math.max(2, Math.min(longMm * PUPIL_BEHIND, (l.threadMm / 2 - focal / (2 * l.stop)) / slope - FILTER_ROOM_MM))
}

/** From the sensor to the flange of each family of mounts. mm */
export const flangesMm: Readonly<Record<string, number>> = { tendril: 18, bine: 20, bud: 44, pip: 45.5 }

/** A lens as a stack of round sections. Origin: the middle of its flange. */
export const lens = (l: LensFacts): Part => {
  let z = 0
  const solids = l.sections.map(([length, radius, look]): Solid => {
    const solid = bar([0, 0, z], ahead, length, radius, look)
    z -= length
    return solid
  })
  const front = l.sections.at(-1)?.[1] ?? 0
  solids.push(bar([0, 0, z + 0.4], ahead, 0.4, Math.min(front - 2, l.threadMm / 2 - 2), 'glass'))
  const mounts: Mount[] = [
    sits('bayonet', 'lens-mount', [0, 0, 0], back, { family: l.family, flangeMm: flangesMm[l.family] }),
    holds('thread', 'filter-thread', [0, 0, z], ahead, {
      family: String(l.threadMm),
      label: `lens front, ${l.threadMm} mm thread`,
    }),
  ]
  if (l.frontMm !== undefined)
    mounts.push(
      holds('front', 'clamp-on', [0, 0, z], ahead, {
        family: String(l.frontMm),
        label: `lens front, ${l.frontMm} mm outside`,
      }),
    )
  if (l.footAtMm !== undefined) {
    const radius = Math.max(...l.sections.map((section) => section[1]))
    solids.push(block([-12, -radius - 14, -l.footAtMm - 22], [12, -radius + 3, -l.footAtMm + 22], 'metal', 2))
    mounts.push(holds('foot', 'thread-1/4', [0, -radius - 14, -l.footAtMm], down, { label: 'lens foot, 1/4"' }))
  }
  let from = 0
  const rooms = l.sections.flatMap(([length, radius, look]): Room[] => {
    const middle = from - length / 2
    from -= length
    return look === 'ribs'
      ? [
          {
            kind: 'turn',
            shape: {
              kind: 'cylinder',
              centre: [0, 0, middle],
              axis: ahead,
              radius: radius + RING_FINGERS_MM,
              length: length - 6,
            },
            lost: 'fingers do not get round the ring',
          },
        ]
      : []
  })
  const [length = 0, radius = 0] = l.sections[2] ?? []
  const start = (l.sections[0]?.[0] ?? 0) + (l.sections[1]?.[0] ?? 0)
  const autofocus = l.facts['autofocus'] === true
  if (!l.geared && radius > 0)
    mounts.push(
      holds('ring', 'lens-ring', [0, radius, -start - length / 2], up, {
        odMm: 2 * radius,
        label: `focus ring, ${2 * radius} mm`,
      }),
    )
  if (l.geared) {
    mounts.push(holds('gear', 'gear-0.8', [0, radius, -start - length / 2], up, { label: 'focus ring, 0.8 gear' }))
  }
  return part({
    id: l.id,
    role: 'lens',
    name: l.name,
    maker: l.maker,
    massG: l.massG,
    price: l.price,
    solids,
    rooms,
    mounts,
    optics: {
      kind: 'lens',
      focalMinMm: l.focal[0],
      focalMaxMm: l.focal[1],
      stop: l.stop,
      pupilMm: Math.round(-z - pupilBehindMm(l, -z)),
      imageCircleMm: l.circleMm ?? 43.3,
      autofocus,
      ...(l.turnsFront ? { turnsFront: true } : {}),
      ...(l.throwDeg ? { throwDeg: l.throwDeg } : {}),
    },
    provides: l.provides,
    facts: l.facts,
  })
}

export interface FilterFacts extends Piece {
  readonly threadMm: number
  readonly thickMm: number
  readonly provides: readonly Capability[]
  /** A turning ring, as on a variable ND or polariser. */
  readonly turns?: boolean
  readonly effect: FilterOptics['effect']
  /** What it takes between its marks, stops. */
  readonly stops: readonly [number, number]
}

/** The rim of a filter or ring stands this far inside its thread. mm */
const RIM_MM = 1.25

/** A screw-in filter with a front thread of the same size. Origin: the middle of its rear face. */
export const filter = (f: FilterFacts): Part =>
  part({
    id: f.id,
    role: 'filter',
    name: f.name,
    maker: f.maker,
    massG: f.massG,
    price: f.price,
    solids: [bar([0, 0, 0], ahead, f.thickMm, f.threadMm / 2 + 2.5, 'ribs')],
    rooms: f.turns
      ? [
          {
            kind: 'turn',
            shape: {
              kind: 'cylinder',
              centre: [0, 0, -f.thickMm / 2],
              axis: ahead,
              radius: f.threadMm / 2 + 2.5 + RING_FINGERS_MM,
              length: f.thickMm,
            },
            lost: 'fingers do not get round the ring',
          },
        ]
      : [],
    mounts: [
      sits('rear', 'filter-thread', [0, 0, 0], back, { family: String(f.threadMm) }),
      holds('front', 'filter-thread', [0, 0, -f.thickMm], ahead, {
        family: String(f.threadMm),
        label: `filter front, ${f.threadMm} mm thread`,
      }),
    ],
    optics: { kind: 'filter', effect: f.effect, minStops: f.stops[0], maxStops: f.stops[1] },
    opening: { at: [0, 0, -f.thickMm], clearMm: f.threadMm - 2 * RIM_MM },
    provides: f.provides,
  })

/** A ring from one thread to a larger one. Origin: the middle of its rear face. */
export const stepRing = (r: Piece & { readonly fromMm: number; readonly toMm: number }): Part =>
  part({
    id: r.id,
    role: 'step-ring',
    name: r.name,
    maker: r.maker,
    massG: r.massG,
    price: r.price,
    solids: [ring(bar([0, 0, 0], ahead, 3, r.toMm / 2 + 1.5, 'ribs'), Math.min(r.fromMm, r.toMm) / 2 - 1.5)],
    mounts: [
      sits('rear', 'filter-thread', [0, 0, 0], back, { family: String(r.fromMm) }),
      holds('front', 'filter-thread', [0, 0, -3], ahead, {
        family: String(r.toMm),
        label: `ring front, ${r.toMm} mm thread`,
      }),
    ],
    opening: { at: [0, 0, -3], clearMm: r.toMm - 2 * RIM_MM },
  })

export interface MicFacts extends Piece {
  readonly tubeMm: number
  readonly radiusMm: number
  readonly foam: boolean
  readonly riseMm: number
  readonly provides: readonly Capability[]
}

/** A short shotgun microphone in a shock mount on a shoe foot. Origin: the foot. */
export const mic = (m: MicFacts): Part => {
  const y = m.riseMm + m.radiusMm
  const solids: Solid[] = [
    block([-9, 0, -9], [9, 4, 9], 'metal', 1),
    block([-5, 4, -6], [5, m.riseMm - 4, 6], 'plain', 2),
    block([-15, m.riseMm - 4, -14], [15, m.riseMm, 14], 'detail', 2),
  ]
  const tube = bar([0, y, m.tubeMm * 0.42], ahead, m.tubeMm, m.radiusMm, 'ribs')
  solids.push(tube)
  if (m.foam) solids.push(soft(bar([0, y, -m.tubeMm * 0.05], ahead, m.tubeMm * 0.66, m.radiusMm + 11, 'foam')))
  return part({
    id: m.id,
    role: 'mic',
    name: m.name,
    maker: m.maker,
    massG: m.massG,
    price: m.price,
    solids,
    mounts: [sits('foot', 'shoe-cold', [0, 0, 0], down)],
    provides: m.provides,
  })
}

export interface BoxFacts extends Piece {
  readonly role: Part['role']
  readonly size: readonly [number, number, number]
  readonly foot: 'shoe-cold' | 'thread-1/4'
  /** How many voices it takes at once. */
  readonly channels?: number
  readonly provides: readonly Capability[]
  readonly face?: Look
}

/** A small device on a foot: receiver, preamp, light. Origin: the foot. */
export const device = (d: BoxFacts): Part => {
  const [w, h, t] = d.size
  const solids = [
    block([-9, 0, -9], [9, 4, 9], 'metal', 1),
    block([-w / 2, 4, -t / 2], [w / 2, 4 + h, t / 2], 'plain', 3),
    block([-w / 2 + 4, 4 + h * 0.3, t / 2], [w / 2 - 4, 4 + h * 0.85, t / 2 + 1], d.face ?? 'screen', 1),
  ]
  return part({
    id: d.id,
    role: d.role,
    name: d.name,
    maker: d.maker,
    massG: d.massG,
    price: d.price,
    solids,
    mounts: [sits('foot', d.foot, [0, 0, 0], down)],
    ...(d.channels ? { channels: d.channels } : {}),
    provides: d.provides,
  })
}

export interface PlateFacts extends Piece {
  readonly role: 'plate' | 'base-plate' | 'riser'
  readonly size: readonly [number, number, number]
  readonly screws: 1 | 2
  readonly foot: 'dovetail-38' | 'thread-1/4' | 'thread-3/8'
  readonly slideMm: number
}

/** A plate under camera or cage: screw(s) above, its own foot below. Origin: the screw. */
export const plate = (p: PlateFacts): Part => {
  const [w, h, l] = p.size
  return part({
    id: p.id,
    role: p.role,
    name: p.name,
    maker: p.maker,
    massG: p.massG,
    price: p.price,
    solids: [block([-w / 2, -h, -l / 2], [w / 2, 0, l / 2], 'metal', 1)],
    mounts: [
      sits('screw', 'thread-1/4', [0, 0, 0], up, {
        screws: p.screws,
        ...(p.slideMm ? { travel: slot(ahead, p.slideMm) } : {}),
      }),
      holds(
        'foot',
        p.foot,
        [0, -h, 0],
        down,
        p.foot === 'dovetail-38'
          ? { lengthMm: l, travel: slot(ahead, l / 2 - 20), label: `${p.name}, 38 mm dovetail` }
          : { label: `${p.name}, foot` },
      ),
    ],
    provides: p.foot === 'dovetail-38' ? ['quick-plate'] : [],
  })
}
