import { daysOf, flatMap } from '../kernel/index.ts'
import { isOwned, type LockerPiece } from './piece.ts'

/** What a piece keeps of its worth in a year, by its condition: camera gear loses about a fifth. */
const KEEPS = { new: 0.82, good: 0.8, worn: 0.72, faulty: 0.5 } as const
/** It never falls under this share of what was paid. */
const LEAST = { new: 0.15, good: 0.12, worn: 0.06, faulty: 0.02 } as const
const YEAR = 365.25

/** A piece with its days as numbers: reading dates thousands of times over takes longer than all the rest. */
interface Dated {
  readonly piece: LockerPiece
  readonly bought: number
  readonly ended: number
}
const datedOf = (piece: LockerPiece): Dated | undefined =>
  piece.paidMinor === null || piece.boughtOn === null
    ? undefined
    : {
        piece,
        bought: daysOf(piece.boughtOn),
        ended: isOwned(piece) || piece.endedOn === null ? Infinity : daysOf(piece.endedOn),
      }

const worthOf = ({ piece, bought, ended }: Dated, day: number): number => {
  if (day < bought || day >= ended) return 0
  const share = Math.max(LEAST[piece.condition], KEEPS[piece.condition] ** ((day - bought) / YEAR))
  return Math.round((piece.paidMinor ?? 0) * share)
}

/**
 * An estimate of what a piece would fetch on a day: `paid x kept^years`, not under a floor; nil before it was bought
 * and after it went.
 * @returns undefined when nobody wrote down what was paid, or when
 * @example 1000.00 paid, in good condition, after two years: 640.00
 */
export const valueOn = (piece: LockerPiece, day: string): number | undefined => {
  const dated = datedOf(piece)
  return dated && worthOf(dated, daysOf(day))
}

/** What a locker is worth on some days, in one currency; pieces whose price is unknown are counted, not guessed. */
export const valueOver = (
  pieces: readonly LockerPiece[],
  days: readonly string[],
): readonly { readonly day: string; readonly valueMinor: number; readonly unknown: number }[] => {
  const dated = flatMap(pieces, (piece) => datedOf(piece) ?? [])
  return days.map((day) => {
    const at = daysOf(day)
    return {
      day,
      valueMinor: dated.reduce((sum, one) => sum + worthOf(one, at), 0),
      unknown: pieces.length - dated.length,
    }
  })
}
