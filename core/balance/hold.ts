import { GRAVITY } from '../kernel/index.ts'

/** The operator's arm, as far as holding goes. */
export interface Operator {
  /** The most the shoulder can hold for a moment, N m. 60 is an average adult; calibrated by one timed hold. */
  readonly strengthNm: number
  readonly armMassG: number
}

export const averageOperator: Operator = { strengthNm: 60, armMassG: 3500 }

/**
 * How far in front of the shoulder the hand holds the rig, mm, how many arms share it, and how much of it they bear.
 */
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

/** Down to this share of its strength Rohmert's curve was measured (1960). */
export const LONG_SHARE = 0.15
/** At this share a muscle was found to last an hour (Bjorksten and Jonsson 1977). */
const HOUR_SHARE = 0.079
/** Longer than this nobody holds a take: it is called long. minutes */
export const LONG_MIN = 60

/** Shoulder moment of one arm, N m: its part of the rig at the hand, its own mass half way. */
export const shoulderNm = (rigG: number, posture: Posture, operator: Operator = averageOperator): number => {
  const { reachMm, arms, share } = postures[posture]
  return (
    (((rigG * share) / 1000 / arms) * GRAVITY * reachMm) / 1000 +
    ((operator.armMassG / 1000) * GRAVITY * (reachMm / 2)) / 1000
  )
}

const measuredMinutes = (f: number): number => -1.5 + 2.1 / f - 0.6 / f ** 2 + 0.1 / f ** 3
/** What goes on below the measured curve, evenly on logarithmic paper, through the hour at 7.9 %. */
const LOW_POWER = Math.log(LONG_MIN / measuredMinutes(LONG_SHARE)) / Math.log(LONG_SHARE / HOUR_SHARE)

/**
 * How long a share `f` of full strength can be held, minutes (Rohmert 1960): `-1.5 + 2.1/f - 0.6/f^2 + 0.1/f^3`; below
 * 15 % on through the hour at 7.9 % (Bjorksten and Jonsson 1977). Nothing to hold: Infinity. At full strength or more:
 * 0. An estimate, not medical advice.
 * @example half of full strength: 1.1 minutes; 7.9 %: 60
 */
export const rohmertMinutes = (f: number): number => {
  if (f <= 0) return Infinity
  if (f >= 1) return 0
  return f < LONG_SHARE ? measuredMinutes(LONG_SHARE) * (LONG_SHARE / f) ** LOW_POWER : Math.max(0, measuredMinutes(f))
}

/** How long a rig can be held still in a posture, minutes. */
export const holdMinutes = (rigG: number, posture: Posture, operator: Operator = averageOperator): number =>
  rohmertMinutes(shoulderNm(rigG, posture, operator) / operator.strengthNm)

/**
 * The strength an operator must have who held `rigG` for `minutes` before it hurt, N m: Rohmert's curve read backwards.
 * @returns undefined for times too short (under 6 s) or too long (over 20 min) to tell anything.
 */
export const strengthFrom = (rigG: number, posture: Posture, minutes: number): number | undefined => {
  if (!(minutes >= 0.1 && minutes <= 20)) return undefined
  let [low, high] = [HOUR_SHARE, 1 - 1e-6]
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (rohmertMinutes(middle) > minutes) low = middle
    else high = middle
  }
  return shoulderNm(rigG, posture) / ((low + high) / 2)
}
