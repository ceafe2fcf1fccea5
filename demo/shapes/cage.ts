import type { Mount, Part, Solid } from '@zucchini/core/catalogue'
import type { BodyShape } from './camera.ts'
import { ahead, block, down, holds, left, part, type Price, right, sits, slot, up } from './solids.ts'

const PLATE_MM = 8
const GAP_MM = 0.6
/** Dials and the record button stand this far over the top of a body. */
const DIAL_MM = 5

export interface CageFacts {
  readonly id: string
  readonly name: string
  readonly maker: string
  readonly massG: number
  readonly price: Price
  readonly kind: 'full' | 'half'
  readonly pinned38: boolean
  readonly leftRail: boolean
  readonly rightRail: boolean
  /** A 38 mm dovetail milled into the base. */
  readonly dovetail: boolean
  /** A lip along the base edge, or a second pin, stops the cage turning on its screw. */
  readonly lip: boolean
  /** Points whose screws go in from inside, before the cage is on the body. */
  readonly fromInside?: readonly string[]
  /** What comes in the same box. */
  readonly includes?: readonly string[]
}

const frame = (b: BodyShape) => {
  const half = b.wideMm / 2
  const roof = Math.max(b.humpMm, b.upMm + DIAL_MM) + GAP_MM
  return {
    l: -half - GAP_MM - PLATE_MM,
    r: half + 2 + GAP_MM + PLATE_MM,
    half,
    floor: -b.downMm - PLATE_MM,
    roof,
    top: roof + PLATE_MM,
    zFront: -b.frontMm - 8,
    zBack: b.backMm - 6,
  }
}

const cageSolids = (b: BodyShape, c: CageFacts): Solid[] => {
  const { l, r, half, floor, roof, top, zFront, zBack } = frame(b)
  const rightEnd = c.kind === 'full' ? r : half - 26
  const solids = [
    block([l, floor, zFront + 10], [c.kind === 'full' ? r : half - 20, -b.downMm, zBack], 'metal', 2),
    // Open behind: the camera's sockets are there.
    block([l, -b.downMm, zFront + 10], [l + PLATE_MM, top, 13], 'metal', 2),
    block([l + PLATE_MM, roof, zFront], [-13, top, zBack], 'metal', 2),
    block([13, roof, zFront], [rightEnd, top, zBack], 'metal', 2),
    block([-13, roof, zFront], [13, top, -8], 'metal', 1),
    block([-13, roof, 14], [13, top, zBack], 'metal', 1),
  ]
  if (c.kind === 'full') solids.push(block([r - PLATE_MM, -b.downMm, zBack - 14], [r, roof, zBack], 'metal', 2))
  if (c.leftRail) solids.push(block([l - 4, -12, -7], [l, 46, 14.2], 'metal', 1))
  if (c.rightRail) solids.push(block([r, -24, zBack - 14], [r + 4, 36, zBack], 'metal', 1))
  if (c.dovetail) solids.push(block([-24, floor - 7, -22], [24, floor, 28], 'metal', 1))
  return solids
}

const cageMounts = (b: BodyShape, c: CageFacts): Mount[] => {
  const { l, r, floor, top, zFront, zBack, half } = frame(b)
  const mid = (zFront + zBack) / 2
  const mounts = [
    sits('seat', 'body', [0, -b.downMm, 2], up, { screws: 1, antiTwist: c.lip }),
    holds('top-front', c.pinned38 ? 'thread-3/8-pin' : 'thread-1/4-pin', [0, top, zFront + 6], up, {
      label: c.pinned38 ? 'cage top, front, pinned 3/8"' : 'cage top, front, pinned 1/4"',
    }),
    holds('top-left', 'thread-1/4', [-30, top, mid], up, { label: 'cage top, left, 1/4"' }),
    holds('top-rear', 'thread-1/4', [0, top, zBack - 5], up, { label: 'cage top, rear, 1/4"' }),
    holds('shoe', 'shoe-cold', [-half + 10, top, mid - 2], up, { label: 'cage top, left, cold shoe' }),
    holds('left-low', 'thread-1/4-pin', [l, -b.downMm + 8, Math.min(mid - 10, 4)], left, {
      label: 'cage left, low, pinned 1/4"',
    }),
    holds('base-front', 'thread-1/4', [26, floor, mid - 6], down, { label: 'cage base, 1/4" by the edge' }),
  ]
  if (c.kind === 'full') {
    mounts.push(
      holds('top-right', 'thread-1/4-pin', [half - 12, top, mid], up, { label: 'cage top, right, pinned 1/4"' }),
    )
    mounts.push(
      holds('front-right', 'thread-1/4', [half - 40, top - 4, zFront], ahead, { label: 'cage front, right, 1/4"' }),
    )
  }
  if (c.leftRail)
    mounts.push(
      holds('rail-left', 'nato', [l - 4, 17, 3.6], left, {
        lengthMm: 58,
        travel: slot(up, 14),
        label: 'cage left, NATO rail',
      }),
    )
  if (c.rightRail)
    mounts.push(
      holds('rail-right', 'nato', [r + 4, 6, zBack - 7], right, {
        lengthMm: 60,
        travel: slot(up, 14),
        label: 'cage right, NATO rail',
      }),
    )
  if (c.dovetail)
    mounts.push(
      holds('dovetail', 'dovetail-38', [0, floor - 7, 3], down, {
        lengthMm: 50,
        travel: slot(ahead, 10),
        label: 'cage base, 38 mm dovetail',
      }),
    )
  else mounts.push(holds('base', 'thread-1/4', [0, floor, 2], down, { label: 'cage base, 1/4"' }))
  return mounts
}

/** A cage cut for one body, drawn in that body's own frame. */
export const cage = (body: BodyShape, c: CageFacts): Part =>
  part({
    id: c.id,
    role: 'cage',
    name: c.name,
    maker: c.maker,
    massG: c.massG,
    price: c.price,
    solids: cageSolids(body, c),
    mounts: cageMounts(body, c),
    fits: [body.family],
    ...(c.includes ? { includes: [...c.includes] } : {}),
    ...(c.fromInside ? { order: { joinedBefore: [...c.fromInside] } } : {}),
    provides: c.dovetail ? ['cage', 'quick-plate'] : ['cage'],
    facts: { kind: c.kind, 'holds by': c.lip ? 'one screw and a lip' : 'one screw' },
  })
