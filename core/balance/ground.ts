import { type Assembly, pathToRoot, type PlacedPart } from '../assembly/index.ts'
import { mountOf } from '../catalogue/index.ts'
import {
  add,
  cross,
  direction,
  dot,
  GRAVITY,
  lengthOf,
  perThing,
  point,
  scale,
  subtract,
  type Vec3,
  zero,
  flatMap,
} from '../kernel/index.ts'
import { camerasOwnGrip, type Grip, gripsOf, handsOf, ONE_PALM_MM, secondShare } from './grips.ts'
import { hangOf } from './hang.ts'
import { inHand, type Mass, type Weight } from './mass.ts'
import { standOf } from './stand.ts'

/** A place where something bears the rig, and its part of the whole weight. */
export interface Bearing {
  readonly piece: PlacedPart
  readonly at: Vec3
  readonly by: 'hand' | 'pad' | 'stand' | 'knees'
  /** 0 to 1; those of all bearings make 1. */
  readonly share: number
}

/**
 * What bears a set-up: one hand, two, a pad and a hand, a stand, the knees. Forces of bearings that stand apart follow
 * from the lever rule over the level plane; what they leave is a moment that the bearings have to hold besides.
 */
export interface Ground {
  readonly bearings: readonly Bearing[]
  /** What is borne, g: with a stand all that stands on the ground, else what is in the hand. */
  readonly massG: number
  /**
   * First moment that the bearings' forces leave over, g mm: the mass times the way from where they act together to the
   * centre.
   */
  readonly left: Vec3
}

const palm = ({ piece, at }: Grip, share: number): Bearing => ({ piece, at, by: 'hand', share })

const onHands = (assembly: Assembly, centre: Vec3): readonly Bearing[] => {
  const [left, right] = handsOf(assembly)
  if (!left) return []
  if (!right) return [palm(left, 1)]
  const share = secondShare(left.at, right.at, centre)
  return [palm(left, 1 - share), palm(right, share)]
}

const onOneHand = (assembly: Assembly, mass: Mass): readonly Bearing[] => {
  const hang = hangOf(assembly, mass)
  if (hang) return [{ piece: hang.handle, at: hang.grip, by: 'hand', share: 1 }]
  const near = (grip: Grip) => lengthOf(subtract(grip.at, mass.centre))
  const own = gripsOf(assembly).filter(({ kind }) => kind === 'side' || kind === 'top')
  const grip = own.sort((a, b) => near(a) - near(b))[0] ?? camerasOwnGrip(assembly)
  return grip ? [palm(grip, 1)] : []
}

/** A pad takes its part by the lever rule against the hand that steadies it; alone it takes everything. */
const onPad = (assembly: Assembly, kind: 'shoulder' | 'chest', centre: Vec3): readonly Bearing[] => {
  const grips = gripsOf(assembly)
  const pad = grips.find((grip) => grip.kind === kind)
  if (!pad) return onHands(assembly, centre)
  const ahead = [...grips, ...flatMap([camerasOwnGrip(assembly)], (grip) => grip ?? [])].filter(
    (grip) =>
      (grip.kind === 'side' || grip.kind === 'top' || grip.kind === 'body') && pad.at[2] - grip.at[2] > ONE_PALM_MM,
  )
  const near = (grip: Grip) => lengthOf(subtract(grip.at, pad.at))
  const hand = ahead.sort((a, b) => near(a) - near(b))[0]
  const share = hand ? secondShare(pad.at, hand.at, centre) : 0
  return [{ piece: pad.piece, at: pad.at, by: 'pad', share: 1 - share }, ...(hand ? [palm(hand, share)] : [])]
}

/** The piece of a stand that touches the ground: the one farthest down the chain of joints. */
const footOf = (assembly: Assembly): PlacedPart | undefined => {
  const stands = assembly.placed.filter((piece) => !inHand(piece))
  return (
    stands.find((piece) => piece.part.under?.kind === 'legs') ??
    stands.find((piece) => !stands.some(({ host }) => host === piece))
  )
}

/** Without a stand in the kit the rig is borne by what lies lowest: there the plate goes. */
const onStand = (assembly: Assembly, mass: Mass, by: 'stand' | 'knees'): readonly Bearing[] => {
  const foot = by === 'stand' ? footOf(assembly) : undefined
  if (foot) return [{ piece: foot, at: point(foot.frame, [0, 0, 0]), by, share: 1 }]
  const [lowest] = [...standOf(assembly, mass).on].sort((a, b) => b.part.massG - a.part.massG)
  return lowest ? [{ piece: lowest, at: [lowest.centre[0], lowest.bounds.min[1], lowest.centre[2]], by, share: 1 }] : []
}

const bearingsOf = (assembly: Assembly, mass: Mass): readonly Bearing[] => {
  switch (assembly.setup.support) {
    case 'tripod':
    case 'gimbal':
      return onStand(assembly, mass, 'stand')
    case 'lap':
      return onStand(assembly, mass, 'knees')
    case 'shoulder':
    case 'chest':
      return onPad(assembly, assembly.setup.support, mass.centre)
    case 'two-hand':
      return onHands(assembly, mass.centre)
    case 'hand-low':
      return onOneHand(assembly, mass)
  }
}

/** What a lead weighs on the pieces it is plugged into, half on either. */
export interface LeadWeight extends Weight {
  readonly ends: readonly [PlacedPart, PlacedPart]
}

/** Mass and first moment about the origin of some pieces, with their part of the leads, g and g mm. */
const momentOf = (
  pieces: readonly PlacedPart[],
  leads: readonly LeadWeight[],
): { readonly massG: number; readonly first: Vec3 } => {
  const within = new Set(pieces)
  let massG = 0
  let first: Vec3 = zero
  const put = (grams: number, at: Vec3) => {
    massG += grams
    first = add(first, scale(at, grams))
  }
  for (const piece of pieces) put(piece.part.massG, piece.centre)
  for (const lead of leads) for (const end of lead.ends) if (within.has(end)) put(lead.massG / 2, lead.at)
  return { massG, first }
}

const borneBy = (assembly: Assembly, bearings: readonly Bearing[]): readonly PlacedPart[] =>
  bearings.some(({ by, piece }) => by === 'stand' && !inHand(piece)) ? assembly.placed : assembly.placed.filter(inHand)

/**
 * What bears this set-up, and how much each takes.
 * @example 1,000 g whose centre lies 90 mm from the left and 10 mm from the right palm, both level: 0.1 and 0.9
 */
export const groundOf = (assembly: Assembly, mass: Mass, leads: readonly LeadWeight[]): Ground => {
  const bearings = bearingsOf(assembly, mass)
  const { massG, first } = momentOf(borneBy(assembly, bearings), leads)
  const together = bearings.reduce<Vec3>((sum, { at, share }) => add(sum, scale(at, share)), zero)
  return { bearings, massG, left: bearings.length > 0 ? subtract(first, scale(together, massG)) : zero }
}

const newtonMetres = (gmm: number): number => (gmm * GRAVITY) / 1e6

/**
 * The moment a bearing has to hold besides its part of the weight, N m: about the level axis through it. Hands: the
 * wrist's.
 */
export const wristNm = ({ left }: Ground, { share }: Bearing): number =>
  newtonMetres(Math.hypot(left[0], left[2]) * share)

/** What passes through the joint of a piece. */
export interface JointLoad {
  /** The side that bears less of the rig: it hangs from the joint or stands on it. */
  readonly far: 'guest' | 'host'
  readonly massG: number
  /** First moment about the mating face, g mm, for this one hold. */
  readonly first: Vec3
  /** Bending moment when the rig is level, N m: `g |first|` over the level plane. */
  readonly momentNm: number
  /**
   * The moment that tries to turn the joint about its screw, N m. In the hand the rig is swung until its weight pulls
   * square to the screw, the worst attitude, which a tilting head reaches as well; what stands under the rig itself
   * stays level. A clamp turns about the rod it runs along.
   */
  readonly twistNm: number
  /** How many holds share it: the joint and the braces across the same cut. */
  readonly holds: number
}

const mountPoint = (piece: PlacedPart, mountId: string): Vec3 | undefined => {
  const mount = mountOf(piece.part, mountId)
  return mount && point(piece.frame, mount.at)
}

const turningAxis = (host: PlacedPart, { mate }: PlacedPart, mountId: string): Vec3 => {
  const mount = mountOf(host.part, mountId)
  if (!mount) return zero
  return direction(host.frame, mate?.ok && mate.value.along && mount.travel ? mount.travel.along : mount.out)
}

/** Where a piece meets its host, the axis about which it would turn there, and whether it stands under the rig. */
const jointOf = perThing('joint of a piece', (piece: PlacedPart) => {
  const { host, joint } = piece
  const face = host && joint && mountPoint(host, joint.hostMount)
  if (!host || !face) return undefined
  return { face, axis: turningAxis(host, piece, joint.hostMount), level: !inHand(piece) }
})

/** First moment about an axis: of weight pulling down, or of weight pulling the worst way, g mm. */
const turning = (first: Vec3, axis: Vec3, level: boolean): number =>
  level ? Math.abs(dot(cross(first, [0, -1, 0]), axis)) : lengthOf(cross(first, axis))

/** The part of a load that the joint itself takes when braces help: the lever rule for one brace, alike for more. */
const partOfJoint = (face: Vec3, at: Vec3, braces: readonly Vec3[]): number => {
  const [brace] = braces
  if (!brace) return 1
  return braces.length > 1 ? 1 / (braces.length + 1) : 1 - secondShare(face, brace, at)
}

/** Mass and first moment about the origin, g and g mm, as they are summed up towards the camera. */
interface Sum {
  massG: number
  first: Vec3
}

/**
 * What lies on each piece's side of its joint: its own mass and that of all it carries, with their part of the leads.
 * One walk from the tips to the camera.
 * @param counted a piece that stands beside what bears weighs nothing here
 */
const sidesOf = (
  { placed }: Assembly,
  leads: readonly LeadWeight[],
  counted: (piece: PlacedPart) => boolean,
): ReadonlyMap<PlacedPart, Sum> => {
  const sums = new Map<PlacedPart, Sum>()
  for (const piece of placed) {
    const massG = counted(piece) ? piece.part.massG : 0
    sums.set(piece, { massG, first: scale(piece.centre, massG) })
  }
  const put = (piece: PlacedPart, massG: number, first: Vec3): void => {
    const sum = sums.get(piece)
    if (!sum) return
    sum.massG += massG
    sum.first = add(sum.first, first)
  }
  for (const lead of leads)
    for (const end of lead.ends) if (counted(end)) put(end, lead.massG / 2, scale(lead.at, lead.massG / 2))
  // Hosts stand before their guests.
  for (let i = placed.length - 1; i > 0; i--) {
    const piece = placed[i]
    const sum = piece && sums.get(piece)
    if (sum && piece.host) put(piece.host, sum.massG, sum.first)
  }
  return sums
}

/**
 * The load of a joint is what lies on the side away from what bears the rig: cut the tree at the joint and take all
 * forces on the guest's side, its weight down and its bearings up (statics of a rigid body). Which side is taken
 * changes only the sign.
 * @param braces the second holds that fit: those between both sides share the load
 * @returns by instance, for every piece that sits on something
 * @example a camera and cage of 1,000 g standing on a 300 g head: its joint carries 1,000 g, though the head is the
 * guest
 */
export const jointLoadsOf = (
  assembly: Assembly,
  ground: Ground,
  leads: readonly LeadWeight[],
  braces: Assembly['braces'],
): ReadonlyMap<string, JointLoad> => {
  const standing = ground.bearings.some((bearing) => bearing.by === 'stand' && !inHand(bearing.piece))
  const sides = sidesOf(assembly, leads, (piece) => standing || inHand(piece))
  const bearings = ground.bearings.map((bearing) => {
    const heldG = bearing.share * ground.massG
    return {
      heldG,
      first: add(scale(bearing.at, heldG), scale(ground.left, bearing.share)),
      under: pathOf(bearing.piece),
    }
  })
  const across = braces.map(({ guest, host, joint }) => ({
    guest: pathOf(guest),
    host: pathOf(host),
    at: mountPoint(host, joint.hostMount),
  }))
  const loads = new Map<string, JointLoad>()
  for (const piece of assembly.placed) {
    const joint = jointOf(piece)
    const side = sides.get(piece)
    if (!joint || !side) continue
    const { face, axis, level } = joint
    let netG = side.massG
    let first = side.first
    for (const { heldG, first: held, under } of bearings)
      if (under.has(piece)) {
        netG -= heldG
        first = subtract(first, held)
      }
    const net = subtract(first, scale(face, netG))
    const places: Vec3[] = []
    for (const { at, guest, host } of across) if (at && guest.has(piece) !== host.has(piece)) places.push(at)
    const acting = Math.abs(netG) < 1e-9 ? face : add(face, scale(net, 1 / netG))
    const holds = places.length + 1
    const own = scale(net, 1 / holds)
    loads.set(piece.instance.id, {
      far: netG < 0 ? 'host' : 'guest',
      massG: Math.abs(netG) * partOfJoint(face, acting, places),
      first: own,
      momentNm: newtonMetres(Math.hypot(own[0], own[2])),
      twistNm: newtonMetres(turning(own, axis, level)),
      holds,
    })
  }
  return loads
}

/** A piece and all it hangs on. */
const pathOf = (piece: PlacedPart): ReadonlySet<PlacedPart> => new Set(pathToRoot(piece))
