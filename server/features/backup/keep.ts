import { mkdir, readdir, rename, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'

const NAME = /^zucchini-(\d{4}-\d\d-\d\d)\.json$/
export const nameOf = (day: string): string => `zucchini-${day}.json`

/** How many are kept: the last days, then the last of a week, then the last of a month. */
export const KEPT = { days: 7, weeks: 5, months: 12 } as const

const weekOf = (day: string): string => {
  const date = new Date(`${day}T12:00:00Z`)
  const thursday = new Date(date.getTime() + (4 - (date.getUTCDay() || 7)) * 86_400_000)
  return `${thursday.getUTCFullYear()} ${Math.floor((thursday.getTime() - Date.UTC(thursday.getUTCFullYear(), 0, 1)) / 604_800_000)}`
}

/** Of dated backups those that stay: the newest seven, the newest of each of five weeks, the newest of each of twelve months. */
export const keptOf = (days: readonly string[]): ReadonlySet<string> => {
  const newestFirst = [...days].sort().reverse()
  const firstOf = (key: (day: string) => string, most: number): string[] => {
    const found = new Map<string, string>()
    for (const day of newestFirst) if (!found.has(key(day))) found.set(key(day), day)
    return [...found.values()].slice(0, most)
  }
  return new Set([...newestFirst.slice(0, KEPT.days), ...firstOf(weekOf, KEPT.weeks), ...firstOf((day) => day.slice(0, 7), KEPT.months)])
}

/** Writes a dated backup beside the others: first whole under another name, then renamed, so that half a file never stands there; then old ones go. */
export const keepBackup = async (dir: string, day: string, text: string): Promise<readonly string[]> => {
  await mkdir(dir, { recursive: true })
  const half = join(dir, `${nameOf(day)}.part`)
  await writeFile(half, text, { flush: true })
  await rename(half, join(dir, nameOf(day)))
  const days = (await readdir(dir)).flatMap((name) => NAME.exec(name)?.[1] ?? [])
  const kept = keptOf(days)
  for (const old of days) if (!kept.has(old)) await rm(join(dir, nameOf(old)), { force: true })
  return [...kept].sort()
}
