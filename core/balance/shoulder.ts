import type { Assembly, PlacedPart } from '../assembly/index.ts'
import { GRAVITY, lengthOf, subtract, type Vec3 } from '../kernel/index.ts'
import { gripsOf } from './grips.ts'
import { inHand, type Mass } from './mass.ts'

/** How the rig rests on a shoulder pad. */
export interface Shoulder {
  readonly pad: PlacedPart
  readonly at: Vec3
  /** Moment about the pad, N m; positive: the front wants down. */
  readonly momentNm: number
  readonly aheadMm: number
  /**
   * From the pad back to where a counterweight could hang: the rig's rear end, or 150 mm when nothing reaches that far.
   */
  readonly behindMm: number
  /** Grams there that would level it; 0 when it is not front-heavy. */
  readonly counterweightG: number
  /** What the hands must lift at the nearest grip in front of the pad, g; undefined without such a grip. */
  readonly handG: number | undefined
  readonly reachMm: number | undefined
}

/** Where a counterweight hangs when the rig has no tail, mm behind the pad. */
const TAIL_MM = 150

/**
 * The lever rule about the shoulder pad: `moment = m g d`, counterweight `= moment / (g d')`, hand load `= moment / (g
 * reach)`.
 * @returns undefined when no piece has a shoulder grip.
 * @example 3 kg with its centre 80 mm ahead of the pad: 2.35 N m, or 1,600 g hung 150 mm behind it
 */
export const shoulderOf = (assembly: Assembly, mass: Mass): Shoulder | undefined => {
  const grips = gripsOf(assembly)
  const pad = grips.find(({ kind }) => kind === 'shoulder')
  if (!pad) return undefined
  const aheadMm = pad.at[2] - mass.centre[2]
  const rearMm = Math.max(...assembly.placed.filter(inHand).map(({ bounds }) => bounds.max[2])) - pad.at[2]
  const behindMm = Math.max(TAIL_MM, rearMm)
  const ahead = grips.filter(({ kind, at }) => kind !== 'shoulder' && at[2] < pad.at[2] - 1)
  const nearest = ahead.sort((a, b) => lengthOf(subtract(a.at, pad.at)) - lengthOf(subtract(b.at, pad.at)))[0]
  const reachMm = nearest && pad.at[2] - nearest.at[2]
  const momentGmm = mass.inHandG * aheadMm
  return {
    pad: pad.piece,
    at: pad.at,
    aheadMm,
    behindMm,
    momentNm: ((momentGmm / 1000) * GRAVITY) / 1000,
    counterweightG: Math.max(0, momentGmm / behindMm),
    handG: reachMm === undefined ? undefined : Math.max(0, momentGmm / reachMm),
    reachMm,
  }
}
