import { createReadStream } from 'node:fs'
import { mkdir, open, readdir, rename, rm, stat } from 'node:fs/promises'
import { join } from 'node:path'

const DATED = /^zucchini-(\d{4}-\d\d-\d\d)(?:-(\d+))?\.(?:json|jsonl)$/
const SAFETY = /^before-[a-z]+-\d{4}-\d\d-\d\dT\d{6,}\.jsonl$/

export const nameOf = (day: string, more = 1): string =>
  more === 1 ? `zucchini-${day}.jsonl` : `zucchini-${day}-${more}.jsonl`

/** How many are kept: the last days, then the last of a week, then the last of a month; and safety copies. */
export const KEPT = { days: 7, weeks: 5, months: 12, safety: 12 } as const

const weekOf = (day: string): string => {
  const date = new Date(`${day}T12:00:00Z`)
  const thursday = new Date(date.getTime() + (4 - (date.getUTCDay() || 7)) * 86_400_000)
  return `${thursday.getUTCFullYear()} ${Math.floor((thursday.getTime() - Date.UTC(thursday.getUTCFullYear(), 0, 1)) / 604_800_000)}`
}

/**
 * Of dated backups those that stay: the newest seven, the newest of each of five weeks, the newest of each of twelve
 * months.
 */
export const keptOf = (days: readonly string[]): ReadonlySet<string> => {
  const newestFirst = [...days].sort().reverse()
  const firstOf = (key: (day: string) => string, most: number): string[] => {
    const found = new Map<string, string>()
    for (const day of newestFirst) if (!found.has(key(day))) found.set(key(day), day)
    return [...found.values()].slice(0, most)
  }
  return new Set([
    ...newestFirst.slice(0, KEPT.days),
    ...firstOf(weekOf, KEPT.weeks),
    ...firstOf((day) => day.slice(0, 7), KEPT.months),
  ])
}

type Source = string | AsyncIterable<Uint8Array>

/**
 * Writes a file so that it stands there whole or not at all: under another name first, flushed to the disk, then
 * renamed, and the folder flushed.
 */
export const writeWhole = async (dir: string, name: string, source: Source): Promise<void> => {
  await mkdir(dir, { recursive: true })
  const half = join(dir, `${name}.part`)
  try {
    const file = await open(half, 'w')
    try {
      if (typeof source === 'string') await file.write(source)
      else for await (const piece of source) await file.write(piece)
      await file.sync()
    } finally {
      await file.close()
    }
    await rename(half, join(dir, name))
  } catch (error) {
    await rm(half, { force: true })
    throw error
  }
  const folder = await open(dir, 'r')
  try {
    await folder.sync()
  } finally {
    await folder.close()
  }
}

const TAIL_BYTES = 4096
/**
 * How much a backup holds that somebody would miss: rigs, revisions, pieces and prices, by the counts in its last line.
 * Nothing for a file without.
 */
export const weightOf = async (path: string): Promise<number | undefined> => {
  try {
    const { size } = await stat(path)
    const pieces: Buffer[] = []
    for await (const piece of createReadStream(path, { start: Math.max(0, size - TAIL_BYTES) }))
      pieces.push(piece as Buffer)
    const last = Buffer.concat(pieces).toString('utf8').trimEnd().split('\n').at(-1) ?? ''
    const { rows } = JSON.parse(last) as { rows?: Record<string, number> }
    return (
      rows && ['rig', 'rig_revision', 'locker_piece', 'price_point'].reduce((sum, name) => sum + (rows[name] ?? 0), 0)
    )
  } catch {
    return undefined
  }
}

/**
 * Writes a dated backup beside the others, then old ones go. A backup of the same day that holds more than the new one
 * is not replaced: the new one stands beside it under a further number.
 * @returns the name it has
 */
export const keepBackup = async (dir: string, day: string, source: Source): Promise<string> => {
  const fresh = `zucchini-${day}.new`
  await writeWhole(dir, fresh, source)
  const weight = (await weightOf(join(dir, fresh))) ?? 0
  let more = 1
  while (((await weightOf(join(dir, nameOf(day, more)))) ?? 0) > weight) more++
  await rename(join(dir, fresh), join(dir, nameOf(day, more)))
  const names = (await readdir(dir)).filter((name) => DATED.test(name))
  const kept = keptOf([...new Set(names.flatMap((name) => DATED.exec(name)?.[1] ?? []))])
  for (const name of names) if (!kept.has(DATED.exec(name)?.[1] ?? '')) await rm(join(dir, name), { force: true })
  return nameOf(day, more)
}

const madeAt = (name: string): string => name.replace(/^before-[a-z]+-/, '')

/**
 * Writes a copy under a name of its own before something that can't be taken back: `restore`, `fresh` or `migration`.
 * @returns its path
 */
export const keepSafetyCopy = async (
  dir: string,
  before: 'restore' | 'fresh' | 'migration',
  now: Date,
  source: Source,
): Promise<string> => {
  const stamp = now.toISOString().slice(0, 19).replaceAll(':', '')
  let name = `before-${before}-${stamp}.jsonl`
  const there = new Set(await readdir(dir).catch(() => []))
  for (let n = 2; there.has(name); n++) name = `before-${before}-${stamp}${n}.jsonl`
  await writeWhole(dir, name, source)
  const copies = (await readdir(dir))
    .filter((found) => SAFETY.test(found))
    .sort((a, b) => (madeAt(a) < madeAt(b) ? 1 : -1))
  for (const old of copies.slice(KEPT.safety)) await rm(join(dir, old), { force: true })
  return join(dir, name)
}

/** The newest dated backup in a folder: its day and its path. */
export const newestBackup = async (
  dir: string,
): Promise<{ readonly day: string; readonly path: string } | undefined> => {
  const names = await readdir(dir).catch((): string[] => [])
  const days = names.flatMap((name) => (DATED.exec(name) ? [{ day: DATED.exec(name)?.[1] ?? '', name }] : []))
  const [newest] = days.sort((a, b) => (a.day < b.day ? 1 : a.day > b.day ? -1 : a.name < b.name ? 1 : -1))
  return newest && { day: newest.day, path: join(dir, newest.name) }
}
