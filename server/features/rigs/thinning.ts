/** How long what is kept: every edit of the last days, then the last of each hour, then the last of each day. */
export const THINNING = { everyEditDays: 7, hourlyDays: 60 } as const

const DAY_MS = 86_400_000
const HOUR_MS = 3_600_000

/** What the rule looks at of a revision. */
export interface Aged {
  readonly revision: number
  readonly savedAt: Date
  /** It has a name, or something refers to it: it always stays. */
  readonly pinned: boolean
  /** The whole revision it is stored as a difference from. */
  readonly whole: number | null
}

/**
 * The revisions that may go: older than a week and not the last of their hour, older than two months and not the last
 * of their day. The first and the newest stay, and what has a name, and whole revisions that others which stay are
 * stored upon.
 */
export const thinnedOut = (revisions: readonly Aged[], now: Date): readonly number[] => {
  const newestFirst = [...revisions].sort((a, b) => b.revision - a.revision)
  const seen = new Set<string>()
  const stays = (one: Aged, i: number): boolean => {
    const ageMs = now.getTime() - one.savedAt.getTime()
    const time = one.savedAt.getTime()
    const slot =
      ageMs < THINNING.hourlyDays * DAY_MS ? `hour ${Math.floor(time / HOUR_MS)}` : `day ${Math.floor(time / DAY_MS)}`
    const first = !seen.has(slot)
    seen.add(slot)
    return i === 0 || i === newestFirst.length - 1 || one.pinned || ageMs < THINNING.everyEditDays * DAY_MS || first
  }
  const kept = newestFirst.filter(stays)
  const needed = new Set([
    ...kept.map(({ revision }) => revision),
    ...kept.flatMap(({ whole }) => (whole === null ? [] : [whole])),
  ])
  return newestFirst.filter(({ revision }) => !needed.has(revision)).map(({ revision }) => revision)
}
