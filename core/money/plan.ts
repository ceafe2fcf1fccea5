import { addMonths } from '../kernel/index.ts'

/** A piece still to buy, and the set-ups that do not work without it. */
export interface PlanPiece {
  readonly id: string
  readonly costMinor: number
  readonly setups: readonly string[]
}

/** A set-up that is to work, how much it matters, and from which month on it is needed. */
export interface PlanSetup {
  readonly id: string
  readonly weight: number
  /** `YYYY-MM`; undefined: the sooner the better. */
  readonly neededBy: string | undefined
}

export interface PlanMonth {
  readonly month: string
  /** Bought in it, and what is spent till its end. */
  readonly buys: readonly string[]
  readonly spentMinor: number
  readonly leftMinor: number
  /** The set-ups that work at its end. */
  readonly works: readonly string[]
}

export interface BuyPlan {
  readonly months: readonly PlanMonth[]
  /** The set-ups in the order they come to work, each with its month; undefined: not within the plan's horizon. */
  readonly order: readonly { readonly setup: string; readonly month: string | undefined; readonly late: boolean }[]
  /** Pieces of no set-up, or beyond the horizon. */
  readonly unbought: readonly string[]
}

/** A plan looks this far ahead. months */
export const HORIZON_MONTHS = 60
/** More set-ups than this are planned in order of need alone. */
export const MOST_SETUPS = 12

/** The month, counted from 0, at whose beginning so much can have been spent; Infinity when never. */
export const monthFor = (spentMinor: number, startMinor: number, monthlyMinor: number): number => {
  if (spentMinor <= startMinor) return 0
  if (monthlyMinor <= 0) return Infinity
  const month = Math.ceil((spentMinor - startMinor) / monthlyMinor)
  return month > HORIZON_MONTHS ? Infinity : month
}

/** Being late weighs as much as all waiting together. */
const LATE = 1e6
/** What never works waits this long. */
const NEVER = HORIZON_MONTHS * 10

/** What it costs that a set-up works from a month on: waiting, by its weight, and above all being late. */
export const hardship = (setup: PlanSetup, month: number, from: string): number => {
  const waited = Number.isFinite(month) ? month : NEVER
  const late = setup.neededBy !== undefined && (!Number.isFinite(month) || addMonths(from, month) > setup.neededBy)
  return (late ? LATE : 0) + waited * setup.weight
}

const orderByNeed = (setups: readonly PlanSetup[]): readonly PlanSetup[] =>
  [...setups].sort(
    (a, b) =>
      (a.neededBy ?? '9999-12').localeCompare(b.neededBy ?? '9999-12') || b.weight - a.weight || (a.id < b.id ? -1 : 1),
  )

/**
 * The order in which set-ups come to work with the least hardship, exactly: when one set-up after another is completed,
 * the month of each depends only on which are done by then, so the best order of each set of them is built from those
 * of smaller sets.
 */
const bestOrder = (
  pieces: readonly PlanPiece[],
  setups: readonly PlanSetup[],
  startMinor: number,
  monthlyMinor: number,
  from: string,
): readonly PlanSetup[] => {
  if (setups.length > MOST_SETUPS) return orderByNeed(setups)
  const sorted = orderByNeed(setups)
  const masks = pieces.map(({ setups: own, costMinor }) => ({
    costMinor,
    mask: sorted.reduce((bits, { id }, i) => (own.includes(id) ? bits | (1 << i) : bits), 0),
  }))
  const costOfMask = (mask: number) =>
    masks.reduce((sum, piece) => ((piece.mask & mask) !== 0 ? sum + piece.costMinor : sum), 0)
  const all = (1 << sorted.length) - 1
  const best: { cost: number; last: number }[] = [{ cost: 0, last: -1 }]
  for (let mask = 1; mask <= all; mask++) {
    const month = monthFor(costOfMask(mask), startMinor, monthlyMinor)
    let found = { cost: Infinity, last: -1 }
    sorted.forEach((setup, i) => {
      if ((mask & (1 << i)) === 0) return
      const before = best[mask & ~(1 << i)]?.cost ?? Infinity
      const cost = before + hardship(setup, month, from)
      if (cost < found.cost - 1e-9) found = { cost, last: i }
    })
    best[mask] = found
  }
  const order: PlanSetup[] = []
  for (let mask = all; mask > 0;) {
    const last = best[mask]?.last ?? -1
    const setup = sorted[last]
    if (!setup) break
    order.unshift(setup)
    mask &= ~(1 << last)
  }
  return order
}

/**
 * Spends money month by month so that the set-ups that are needed come to work with the least waiting, none late that
 * need not be.
 * @param startMinor what there is at the start; @param monthlyMinor what comes each month; unspent money is kept
 * @param from the first month, `YYYY-MM`
 */
export const buyPlan = (
  pieces: readonly PlanPiece[],
  setups: readonly PlanSetup[],
  startMinor: number,
  monthlyMinor: number,
  from: string,
): BuyPlan => {
  const order = bestOrder(pieces, setups, startMinor, monthlyMinor, from)
  const bought = new Set<string>()
  const months = new Map<number, string[]>()
  let spentMinor = 0
  const done: { setup: string; month: string | undefined; late: boolean }[] = []
  for (const setup of order) {
    const needed = pieces
      .filter((piece) => piece.setups.includes(setup.id) && !bought.has(piece.id))
      .sort((a, b) => a.costMinor - b.costMinor)
    const total = spentMinor + needed.reduce((sum, piece) => sum + piece.costMinor, 0)
    const ready = monthFor(total, startMinor, monthlyMinor)
    done.push({
      setup: setup.id,
      month: Number.isFinite(ready) ? addMonths(from, ready) : undefined,
      late: setup.neededBy !== undefined && (!Number.isFinite(ready) || addMonths(from, ready) > setup.neededBy),
    })
    if (!Number.isFinite(ready)) continue
    for (const piece of needed) {
      spentMinor += piece.costMinor
      bought.add(piece.id)
      const month = monthFor(spentMinor, startMinor, monthlyMinor)
      months.set(month, [...(months.get(month) ?? []), piece.id])
    }
  }
  const last = Math.max(0, ...months.keys())
  let spent = 0
  const costOf = new Map(pieces.map(({ id, costMinor }) => [id, costMinor]))
  const owned = new Set<string>()
  return {
    order: done,
    unbought: pieces.filter(({ id }) => !bought.has(id)).map(({ id }) => id),
    months: Array.from({ length: last + 1 }, (_, i): PlanMonth => {
      const buys = months.get(i) ?? []
      for (const id of buys) {
        spent += costOf.get(id) ?? 0
        owned.add(id)
      }
      return {
        month: addMonths(from, i),
        buys,
        spentMinor: spent,
        leftMinor: startMinor + i * monthlyMinor - spent,
        works: setups
          .filter((setup) => pieces.every((piece) => !piece.setups.includes(setup.id) || owned.has(piece.id)))
          .map(({ id }) => id),
      }
    }),
  }
}
