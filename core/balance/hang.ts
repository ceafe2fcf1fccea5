import { type Assembly, carriedBy, type PlacedPart, slideWay, travelOf } from '../assembly/index.ts'
import { direction, point, subtract, type Vec3, flatMap } from '../kernel/index.ts'
import { centreOfMass, inHand, type Mass } from './mass.ts'

/** How the rig hangs from a handle whose palm can roll freely. */
export interface Hang {
  readonly handle: PlacedPart
  readonly grip: Vec3
  /** Positive: the nose goes down. Degrees. */
  readonly tiltDeg: number
  /** Positive: it leans to the operator's right. Degrees. */
  readonly rollDeg: number
  /** How far the centre of mass lies ahead of the palm, mm. */
  readonly aheadMm: number
  /** How far the centre lies under the palm, mm; below zero the rig would turn over. */
  readonly underMm: number
}

/** Cosine of how far a top handle may be leaned over and still be hung from: 60 degrees. */
const UPRIGHT = 0.5

const degrees = (radians: number): number => (radians * 180) / Math.PI

/**
 * Tilt and roll of the rig hung from each of its top handles: `tilt = atan2(dz, dy)`, `roll = atan2(dx, dy)` with `dy`
 * the height of the palm over the centre of mass (statics: the centre comes to rest under the hand).
 * @returns the one that is nearest to level first; nothing without a top handle.
 * @example centre 100 mm under and 10 mm ahead of the palm: tilt 5.71 degrees, nose down
 */
export const hangsOf = (assembly: Assembly, mass: Mass): readonly Hang[] => {
  const all = flatMap(assembly.placed, (handle): Hang[] => {
    const grip = handle.part.grips.find(({ kind }) => kind === 'top')
    // A handle that lies on its side, as in an upright set-up, is nothing to hang from.
    if (!grip || direction(handle.frame, [0, 1, 0])[1] < UPRIGHT) return []
    const at = point(handle.frame, grip.at)
    const off = subtract(mass.centre, at)
    const [aheadMm, underMm] = [-off[2], -off[1]]
    return [
      {
        handle,
        grip: at,
        aheadMm,
        underMm,
        tiltDeg: degrees(Math.atan2(aheadMm, underMm)),
        rollDeg: degrees(Math.atan2(off[0], underMm)),
      },
    ]
  })
  // Whoever has two takes the one by which it hangs best; of two alike the order of the pieces tells.
  const leans = ({ tiltDeg, rollDeg }: Hang) => Math.round(Math.hypot(tiltDeg, rollDeg) * 1e6)
  return all.sort((a, b) => leans(a) - leans(b))
}

/** How the rig hangs from the handle by which it hangs best; undefined without a top handle. */
export const hangOf = (assembly: Assembly, mass: Mass): Hang | undefined => hangsOf(assembly, mass)[0]

/** A setting of one sliding piece and the tilt it leaves. */
export interface Cure {
  readonly piece: PlacedPart
  readonly slideMm: number
  readonly byMm: number
  readonly tiltDeg: number
}

/**
 * The slide of a single piece that brings the rig nearest to level. Moving the piece and all it carries (mass m of M)
 * by s shifts the centre by `s m / M`; if the palm rides along it shifts by s as well. Clamped to the travel, on its
 * step.
 * @returns undefined when nothing that can slide helps by at least half a degree; else the best, the handle preferred.
 */
export const hangCure = (assembly: Assembly, mass: Mass, hang: Hang): Cure | undefined => {
  const cures = flatMap(assembly.placed, (piece): Cure[] => {
    const travel = travelOf(piece)
    if (!travel || !piece.joint || !piece.host) return []
    const carried = carriedBy(assembly, piece)
    const movesPalm = carried.includes(hang.handle)
    const share = centreOfMass(carried.filter(inHand)).massG / mass.inHandG
    const way = slideWay(piece)
    if (!way) return []
    const forward = -way[2]
    const gain = forward * (movesPalm ? 1 - share : -share)
    if (Math.abs(gain) < 1e-3) return []
    const wanted = piece.joint.slideMm + hang.aheadMm / gain
    const stepped = Math.round((wanted - travel.minMm) / travel.stepMm) * travel.stepMm + travel.minMm
    const slideMm = Math.min(travel.maxMm, Math.max(travel.minMm, stepped))
    const aheadMm = hang.aheadMm - gain * (slideMm - piece.joint.slideMm)
    return [
      { piece, slideMm, byMm: slideMm - piece.joint.slideMm, tiltDeg: degrees(Math.atan2(aheadMm, hang.underMm)) },
    ]
  })
  const before = Math.abs(hang.tiltDeg)
  const helpful = cures.filter((cure) => before - Math.abs(cure.tiltDeg) >= 0.5)
  const rank = (cure: Cure) => Math.abs(cure.tiltDeg) + (cure.piece === hang.handle ? -0.5 : 0)
  return helpful.sort((a, b) => rank(a) - rank(b))[0]
}
