const DAY_MS = 86_400_000

/** Thousands of pieces share a few hundred dates; so many are kept. */
const MOST_KEPT = 4096
const kept = new Map<string, number>()

/** Days since 1 January 1970 of a date, `YYYY-MM-DD`. */
export const daysOf = (date: string): number => {
  const known = kept.get(date)
  if (known !== undefined) return known
  const [year = Number.NaN, month = Number.NaN, day = Number.NaN] = date.split('-').map(Number)
  const days = Math.round(Date.UTC(year, month - 1, day) / DAY_MS)
  if (kept.size >= MOST_KEPT) kept.clear()
  kept.set(date, days)
  return days
}

/** The date of a day since 1970, by years that begin in March and cycles of four hundred of them. */
const dateOf = (days: number): string => {
  const sinceZero = days + 719_468
  const cycle = Math.floor(sinceZero / 146_097)
  const ofCycle = sinceZero - cycle * 146_097
  const yearOf = Math.floor(
    (ofCycle - Math.floor(ofCycle / 1460) + Math.floor(ofCycle / 36_524) - Math.floor(ofCycle / 146_096)) / 365,
  )
  const ofYear = ofCycle - (365 * yearOf + Math.floor(yearOf / 4) - Math.floor(yearOf / 100))
  const fromMarch = Math.floor((5 * ofYear + 2) / 153)
  const day = ofYear - Math.floor((153 * fromMarch + 2) / 5) + 1
  const month = fromMarch < 10 ? fromMarch + 3 : fromMarch - 9
  const year = yearOf + cycle * 400 + (month <= 2 ? 1 : 0)
  return `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`
}

/** Days from one date to another, `YYYY-MM-DD` each. @example 2026-11-01 to 2026-11-25: 24 */
export const daysBetween = (from: string, to: string): number => daysOf(to) - daysOf(from)

/** A date so many days later. @example 2026-11-25 and 7: 2026-12-02 */
export const addDays = (date: string, days: number): string => dateOf(daysOf(date) + days)

/** Is this the date of a day there is? @example 2026-02-30: no */
export const isDate = (text: string): boolean => /^\d{4}-\d\d-\d\d$/.test(text) && dateOf(daysOf(text)) === text

/** The month so many months after that of a date, `YYYY-MM`. @example 2026-11-25 and 2: 2027-01 */
export const addMonths = (date: string, months: number): string => {
  const [year = 0, month = 1] = date.split('-').map(Number)
  const total = year * 12 + month - 1 + months
  return `${Math.floor(total / 12)}-${String((total % 12) + 1).padStart(2, '0')}`
}
