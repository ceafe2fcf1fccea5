import { daysBetween } from '../kernel/index.ts'
import { isOwned, type LockerPiece } from './piece.ts'

/** What a piece keeps of its worth in a year, by its condition: camera gear loses about a fifth. */
const KEEPS = { new: 0.82, good: 0.8, worn: 0.72, faulty: 0.5 } as const
/** It never falls under this share of what was paid. */
const LEAST = { new: 0.15, good: 0.12, worn: 0.06, faulty: 0.02 } as const
const YEAR = 365.25

/**
 * An estimate of what a piece would fetch on a day: `paid x kept^years`, not under a floor; nil before it was bought and after it went.
 * @returns undefined when nobody wrote down what was paid, or when
 * @example 1000.00 paid, in good condition, after two years: 640.00
 */
export const valueOn = (piece: LockerPiece, day: string): number | undefined => {
  if (piece.paidMinor === null || piece.boughtOn === null) return undefined
  if (day < piece.boughtOn || (!isOwned(piece) && piece.endedOn !== null && day >= piece.endedOn)) return 0
  const years = daysBetween(piece.boughtOn, day) / YEAR
  const share = Math.max(LEAST[piece.condition], KEEPS[piece.condition] ** years)
  return Math.round(piece.paidMinor * share)
}

/** What a locker is worth on some days, in one currency; pieces whose price is unknown are counted, not guessed. */
export const valueOver = (
  pieces: readonly LockerPiece[],
  days: readonly string[],
): readonly { readonly day: string; readonly valueMinor: number; readonly unknown: number }[] =>
  days.map((day) => {
    const values = pieces.map((piece) => valueOn(piece, day))
    return {
      day,
      valueMinor: values.reduce<number>((sum, value) => sum + (value ?? 0), 0),
      unknown: values.filter((value) => value === undefined).length,
    }
  })
