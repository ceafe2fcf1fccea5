const DAY_MS = 86_400_000

const noon = (date: string): number => {
  const [year = Number.NaN, month = Number.NaN, day = Number.NaN] = date.split('-').map(Number)
  return Date.UTC(year, month - 1, day, 12)
}

/** Days from one date to another, `YYYY-MM-DD` each. @example 2026-11-01 to 2026-11-25: 24 */
export const daysBetween = (from: string, to: string): number => Math.round((noon(to) - noon(from)) / DAY_MS)

/** A date so many days later. @example 2026-11-25 and 7: 2026-12-02 */
export const addDays = (date: string, days: number): string => new Date(noon(date) + days * DAY_MS).toISOString().slice(0, 10)

/** The month so many months after that of a date, `YYYY-MM`. @example 2026-11-25 and 2: 2027-01 */
export const addMonths = (date: string, months: number): string => {
  const [year = 0, month = 1] = date.split('-').map(Number)
  const total = year * 12 + month - 1 + months
  return `${Math.floor(total / 12)}-${String((total % 12) + 1).padStart(2, '0')}`
}
