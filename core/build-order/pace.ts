import type { Support } from '../assembly/index.ts'
import type { Cable, MountStandard } from '../catalogue/index.ts'

/** Swinging a hinge to where it has to be. */
export const POSE_SECONDS = 3
/** Plugging a lead in at both ends and laying it, or taking it out. */
export const LEAD_SECONDS = 8

/** How long the operator takes: for a joint by its mounting standard, and for a lead, both ends. Seconds */
export interface Pace {
  readonly joint: (standard: MountStandard) => number
  readonly lead: number
  /** Balancing it on what bears it; nothing in the hand. */
  readonly balance: (support: Support) => number
}
/** Under this name the seconds of a lead, both ends, are known. */
export const LEAD_KIND = 'lead'

/**
 * Balancing on a stand, by the support: the kind its seconds are known by, and the usual ones. A gimbal is balanced axis
 * by axis, a head by one slide and its drag. Our own guesses.
 */
const balances: Readonly<Partial<Record<Support, { readonly kind: string; readonly seconds: number }>>> = {
  tripod: { kind: 'balance-head', seconds: 25 },
  gimbal: { kind: 'balance-gimbal', seconds: 150 },
}
export const balanceOn = (support: Support) => balances[support]
export const usualPace: Pace = {
  joint: ({ seconds }) => seconds,
  lead: LEAD_SECONDS,
  balance: (support) => balanceOn(support)?.seconds ?? 0,
}

/** Power before picture, the picture last: in that order leads go in, and the other way round they come out. */
export const leadRank = ({ carries }: Pick<Cable, 'carries'>): number =>
  carries.includes('picture') ? 2 : carries.includes('power') ? 0 : 1
