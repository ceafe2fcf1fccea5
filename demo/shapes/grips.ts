import type { Capability, Hinge, Mount, Part, Solid } from '@zucchini/core/catalogue'
import { ahead, back, bar, block, down, holds, left, part, type Price, right, sits, slot, up } from './solids.ts'

interface Piece {
  readonly id: string
  readonly name: string
  readonly maker: string
  readonly massG: number
  readonly price: Price
}

export interface TopHandleFacts extends Piece {
  readonly foot: 'thread-1/4' | 'thread-1/4-pin' | 'thread-3/8-pin' | 'shoe-cold' | 'nato'
  readonly lengthMm: number
  readonly clearMm: number
  /** Slot in the foot: how far the handle slides to either side, mm. */
  readonly slideMm: number
  readonly frontShoe: boolean
  readonly frontRail: boolean
  readonly rearHole: boolean
}

const GRIP_MM = 24
/** Four fingers under a grip, without gloves. */
const FINGERS_MM = 28

/** A handle on one post near its rear, the palm ahead of it. Origin: the middle of its foot. */
export const topHandle = (h: TopHandleFacts): Part => {
  const front = -h.lengthMm * 0.74
  const rear = front + h.lengthMm
  const top = h.clearMm + GRIP_MM
  const solids: Solid[] = [
    block([-11, 0, -16 - h.slideMm / 2], [11, 6, 16 + h.slideMm / 2], 'metal', 2),
    block([-8, 6, -12], [8, h.clearMm + 2, 10], 'plain', 3),
    block([-11, h.clearMm + 2, front], [11, top, rear], 'grip', 9),
  ]
  const footTravel = h.slideMm > 0 ? { travel: slot(ahead, h.slideMm) } : {}
  const mounts: Mount[] = [
    sits('foot', h.foot, [0, 0, 0], down, h.foot === 'nato' ? { lengthMm: 30 } : footTravel),
    holds('front', 'thread-1/4-pin', [0, h.clearMm + 13, front], ahead, { label: 'handle front, pinned 1/4"' }),
  ]
  if (h.frontShoe)
    mounts.push(holds('shoe', 'shoe-cold', [0, top, front + 14], up, { label: 'handle top, cold shoe', limitG: 400 }))
  if (h.frontRail) {
    solids.push(block([-10.6, top, front + 30], [10.6, top + 4, front + 74], 'metal', 1))
    mounts.push(
      holds('rail', 'nato', [0, top + 4, front + 52], up, {
        lengthMm: 44,
        travel: slot(ahead, 7),
        label: 'handle top, NATO rail',
      }),
    )
  }
  if (h.rearHole) mounts.push(holds('rear', 'thread-1/4', [0, top, rear - 12], up, { label: 'handle top, rear, 1/4"' }))
  const palm = (rear - 16 + front + 30) / 2
  return part({
    id: h.id,
    role: 'top-handle',
    name: h.name,
    maker: h.maker,
    massG: h.massG,
    price: h.price,
    solids,
    mounts,
    rooms: [
      {
        kind: 'hand',
        shape: { kind: 'box', centre: [0, h.clearMm + 2 - FINGERS_MM / 2, palm - 8], size: [GRIP_MM, FINGERS_MM, 70] },
        lost: 'fingers do not fit under the handle',
      },
    ],
    grips: [{ kind: 'top', at: [0, h.clearMm + 10, palm], axis: ahead }],
    provides: ['top-handle'],
    facts: { 'clear under the grip': `${h.clearMm} mm` },
  })
}

export interface SideHandleFacts extends Piece {
  readonly foot: 'nato' | 'thread-1/4' | 'thread-1/4-pin'
  readonly tallMm: number
}

/** An upright grip beside the rig, drawn for the left side. Origin: the middle of its foot. */
export const sideHandle = (h: SideHandleFacts): Part => {
  const solids: Solid[] = [
    block([-14, -14, -15], [0, 14, 15], 'metal', 3),
    bar([-30, -h.tallMm * 0.62, 0], up, h.tallMm, 16, 'grip'),
    bar([-7, 0, 15], back, 9, 7, 'knob'),
  ]
  return part({
    id: h.id,
    role: 'side-handle',
    name: h.name,
    maker: h.maker,
    massG: h.massG,
    price: h.price,
    solids,
    mounts: [
      sits('foot', h.foot, [0, 0, 0], right, h.foot === 'nato' ? { lengthMm: 28 } : {}),
      holds('top', 'thread-1/4', [-30, h.tallMm * 0.38, 0], up, { label: 'side grip top, 1/4"' }),
    ],
    grips: [{ kind: 'side', at: [-30, -h.tallMm * 0.12, 0], axis: up }],
    rooms: [
      {
        kind: 'lever',
        shape: { kind: 'cylinder', centre: [-7, 0, 35], axis: back, radius: 10, length: 18 },
        lost: 'the clamp can not be loosened by hand',
      },
    ],
    provides: ['side-grip'],
  })
}

export interface MountArmFacts extends Piece {
  readonly role: 'monitor-mount' | 'arm'
  readonly foot: 'shoe-cold' | 'nato' | 'thread-1/4' | 'thread-1/4-pin'
  readonly tallMm: number
  readonly aheadMm: number
  readonly leanDeg: number
  readonly limitG: number
  /** A ball or swivel turns about its post as well as tilting. */
  readonly turns?: boolean
  readonly tiltDeg?: number
}

/** How far a joint is set from where it is drawn; drawn first, then by steps either way. */
const stepsOf = (most: number, step: number, [less, more]: readonly [string, string]): Hinge['positions'] => [
  { id: 'as-drawn', label: 'as it comes', deg: 0 },
  ...Array.from({ length: most / step }, (_, i) => step * (i + 1)).flatMap((deg) => [
    { id: `${less}-${deg}`, label: `${deg}° ${less}`, deg },
    { id: `${more}-${deg}`, label: `${deg}° ${more}`, deg: -deg },
  ]),
]

/** The joint at the tip: it tilts about the knob; a ball or swivel turns about its post as well. */
const tipHinges = ({ aheadMm, turns, tiltDeg = 90 }: MountArmFacts, pivotMm: number, count: number): Hinge[] => {
  const at = [0, pivotMm, 0 - aheadMm] as const
  const moved = { at, solids: [count - 3, count - 1], mounts: ['stud'] }
  return [
    ...(turns
      ? [{ id: 'turn', label: 'turns', axis: up, positions: stepsOf(90, 30, ['left', 'right']), ...moved }]
      : []),
    { id: 'tilt', label: 'tilts', axis: right, positions: stepsOf(tiltDeg, 15, ['back', 'ahead']), ...moved },
  ]
}

/** Carries a monitor on a 1/4" screw, leaning back as it comes and tilting from there. Origin: the middle of its foot. */
export const mountArm = (a: MountArmFacts): Part => {
  const lean = (a.leanDeg * Math.PI) / 180
  const solids: Solid[] = [block([-10, 0, -10], [10, 9, 10], 'metal', 2)]
  if (a.aheadMm > 0) solids.push(block([-6, 9, -a.aheadMm - 6], [6, 19, 8], 'plain', 4))
  const base = a.aheadMm > 0 ? 19 : 9
  solids.push(bar([0, base, -a.aheadMm], up, a.tallMm - base - 3, 9, 'plain'))
  solids.push(bar([9, base + 8, -a.aheadMm], right, 13, 8, 'knob'))
  const out = [0, Math.cos(lean), 0 - Math.sin(lean)] as const
  const head = [0, a.tallMm, 0 - a.aheadMm] as const
  solids.push({
    kind: 'cylinder',
    centre: [0, a.tallMm - Math.cos(lean) * 2, -a.aheadMm + Math.sin(lean) * 2],
    axis: out,
    radius: 12,
    length: 4,
    matter: 'body',
    look: 'knob',
  })
  return part({
    id: a.id,
    role: a.role,
    name: a.name,
    maker: a.maker,
    massG: a.massG,
    price: a.price,
    solids,
    // Two fingers go round the knob of its joint, and off its end.
    rooms: [
      {
        kind: 'lever',
        shape: { kind: 'cylinder', centre: [16.5, base + 8, 0 - a.aheadMm], axis: right, radius: 8.5, length: 15 },
        lost: 'the knob of its joint can not be turned',
      },
    ],
    mounts: [
      sits('foot', a.foot, [0, 0, 0], down, a.foot === 'nato' ? { lengthMm: 26 } : {}),
      {
        id: 'stud',
        standard: 'thread-1/4',
        side: 'sits',
        at: head,
        out,
        up: [0, 0 - Math.sin(lean), 0 - Math.cos(lean)],
        limitG: a.limitG,
        antiTwist: true,
        carries: true,
        label: `${a.name}, 1/4" screw`,
      },
    ],
    hinges: tipHinges(a, base + 8, solids.length),
    facts: { leans: `${a.leanDeg} degrees back` },
  })
}

export interface MonitorFacts extends Piece {
  readonly inches: number
  readonly nits: number
  readonly deepMm: number
  readonly provides: readonly Capability[]
}

/** A 16:9 monitor facing the operator, standing on its 1/4" hole. Origin: that hole. */
export const monitor = (m: MonitorFacts): Part => {
  const wide = m.inches * 25.4 * 0.872 + 16
  const tall = m.inches * 25.4 * 0.49 + 18
  const solids: Solid[] = [
    block([-wide / 2, 0, -m.deepMm], [wide / 2, tall, 0], 'plain', 4),
    block([-wide / 2 + 6, 7, 0], [wide / 2 - 6, tall - 7, 1], 'screen', 1),
    block([-28, 12, -m.deepMm - 8], [28, Math.min(tall - 6, 66), -m.deepMm], 'detail', 2),
  ]
  return part({
    id: m.id,
    role: 'monitor',
    name: m.name,
    maker: m.maker,
    massG: m.massG,
    price: m.price,
    solids,
    mounts: [
      holds('bottom', 'thread-1/4', [0, 0, -m.deepMm / 2], down, { label: 'monitor base, 1/4"' }),
      holds('top', 'thread-1/4', [0, tall, -m.deepMm / 2], up, { label: 'monitor top, 1/4"' }),
      holds('left', 'thread-1/4', [-wide / 2, tall * 0.7, -m.deepMm / 2], left, { label: 'monitor side, 1/4"' }),
      holds('slab', 'slab-l', [0, Math.min(tall - 6, 66) / 2 + 6, -m.deepMm - 8], ahead, {
        family: 'l',
        almost: ['l-long'],
        label: 'monitor back, slab',
      }),
    ],
    sockets: [
      {
        id: 'hdmi-in',
        connector: 'hdmi-a',
        direction: 'in',
        at: [-wide / 2, tall * 0.25, -m.deepMm / 2],
        out: left,
        label: 'HDMI in',
      },
    ],
    optics: {
      kind: 'screen',
      at: [0, tall / 2, 1],
      out: back,
      up,
      wideMm: Math.round(m.inches * 22.1),
      tallMm: Math.round(m.inches * 12.45),
      nits: m.nits,
    },
    provides: m.provides,
    facts: { inches: m.inches, nits: m.nits },
  })
}
