import { GRAVITY } from '../kernel/index.ts'

/** The operator's arm, as far as holding goes. */
export interface Operator {
  /** The most the shoulder can hold for a moment, N m. 60 is an average adult; calibrated by one timed hold. */
  readonly strengthNm: number
  readonly armMassG: number
}

export const averageOperator: Operator = { strengthNm: 60, armMassG: 3500 }

/** How far in front of the shoulder the hand holds the rig, mm, how many arms share it, and how much of it they bear. */
export const postures = {
  'hand-low': { reachMm: 120, arms: 1, share: 1 },
  'two-hand': { reachMm: 320, arms: 2, share: 1 },
  // Elbows in, the rig leaning on the breastbone.
  chest: { reachMm: 200, arms: 2, share: 0.7 },
  // The pad bears most of it; the hands steady the rest.
  shoulder: { reachMm: 180, arms: 2, share: 0.3 },
  // Sitting, the rig on the knees: the hands only guide it.
  lap: { reachMm: 250, arms: 2, share: 0.15 },
} as const
export type Posture = keyof typeof postures

/** Is this way of holding one that tires the arms? */
export const isPosture = (support: string): support is Posture => support in postures

/** The share of its strength below which a muscle goes on for long (Rohmert 1960). */
export const LONG_SHARE = 0.15

/** Shoulder moment of one arm, N m: its part of the rig at the hand, its own mass half way. */
export const shoulderNm = (rigG: number, posture: Posture, operator: Operator = averageOperator): number => {
  const { reachMm, arms, share } = postures[posture]
  return (((rigG * share) / 1000 / arms) * GRAVITY * reachMm) / 1000 + ((operator.armMassG / 1000) * GRAVITY * (reachMm / 2)) / 1000
}

/**
 * How long a share `f` of full strength can be held, minutes (Rohmert 1960): `-1.5 + 2.1/f - 0.6/f^2 + 0.1/f^3`.
 * At 15 % or less: Infinity, "long". At full strength or more: 0. An estimate, not medical advice.
 * @example half of full strength: 1.1 minutes
 */
export const rohmertMinutes = (f: number): number => {
  if (f <= LONG_SHARE) return Infinity
  if (f >= 1) return 0
  return Math.max(0, -1.5 + 2.1 / f - 0.6 / f ** 2 + 0.1 / f ** 3)
}

/** How long a rig can be held still in a posture, minutes; Infinity for "long". */
export const holdMinutes = (rigG: number, posture: Posture, operator: Operator = averageOperator): number =>
  rohmertMinutes(shoulderNm(rigG, posture, operator) / operator.strengthNm)

/**
 * The strength an operator must have who held `rigG` for `minutes` before it hurt, N m: Rohmert's curve read backwards.
 * @returns undefined for times too short (under 6 s) or too long (over 20 min) to tell anything.
 */
export const strengthFrom = (rigG: number, posture: Posture, minutes: number): number | undefined => {
  if (!(minutes >= 0.1 && minutes <= 20)) return undefined
  let [low, high] = [LONG_SHARE + 1e-6, 1 - 1e-6]
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (rohmertMinutes(middle) > minutes) low = middle
    else high = middle
  }
  return shoulderNm(rigG, posture) / ((low + high) / 2)
}
