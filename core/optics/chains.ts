/** A ring that goes from one thread to another. */
export interface Step {
  readonly id: string
  readonly fromMm: number
  readonly toMm: number
  /** 0 for what is owned. Minor money units. */
  readonly costMinor: number
  readonly massG: number
}

/** Rings on each other, from the lens's thread to the filter's. */
export interface StepChain {
  readonly ids: readonly string[]
  readonly costMinor: number
  readonly massG: number
}

/** More rings than this on each other cross-thread and vignette. */
export const MOST_RINGS = 3

const better = (a: StepChain, b: StepChain): number =>
  a.ids.length - b.ids.length ||
  a.costMinor - b.costMinor ||
  a.massG - b.massG ||
  a.ids.join().localeCompare(b.ids.join())

/**
 * The best rings from one thread to another: the fewest, then the cheapest, then the lightest. Empty when the threads
 * are the same; undefined when there is no way in three rings.
 */
export const stepChain = (
  fromMm: number,
  toMm: number,
  rings: readonly Step[],
  most = MOST_RINGS,
): StepChain | undefined => {
  let ends = new Map<number, StepChain>([[fromMm, { ids: [], costMinor: 0, massG: 0 }]])
  for (let count = 0; count <= most; count++) {
    const found = ends.get(toMm)
    if (found) return found
    const next = new Map<number, StepChain>()
    for (const [at, chain] of ends)
      for (const ring of rings) {
        if (ring.fromMm !== at || chain.ids.includes(ring.id)) continue
        const longer = {
          ids: [...chain.ids, ring.id],
          costMinor: chain.costMinor + ring.costMinor,
          massG: chain.massG + ring.massG,
        }
        const known = next.get(ring.toMm)
        if (!known || better(longer, known) < 0) next.set(ring.toMm, longer)
      }
    ends = next
  }
  return undefined
}

/** One way to have a filter on every lens. */
export interface FilterEconomy {
  readonly way: 'one-with-rings' | 'one-each'
  readonly costMinor: number
  readonly massG: number
  /** Seconds that a change of lens takes for the filter alone. */
  readonly secondsPerChange: number
  /** Lenses that are left without. */
  readonly without: readonly number[]
}

/** Screwing a filter or a ring off one lens and on another, s. */
export const SCREW_SECONDS = 15

interface Sized {
  readonly threadMm: number
  readonly costMinor: number
  readonly massG: number
}

const cheapest = (filters: readonly Sized[], threadMm: number): Sized | undefined =>
  filters
    .filter((filter) => filter.threadMm === threadMm)
    .sort((a, b) => a.costMinor - b.costMinor || a.massG - b.massG)[0]

/**
 * One large filter and rings for the smaller threads, against a filter for each thread: money, grams, and seconds a
 * change of lens takes. With one filter it moves from lens to lens, its rings stay on; with one each nothing is done.
 */
export const filterEconomy = (
  threadsMm: readonly number[],
  filters: readonly Sized[],
  rings: readonly Step[],
): readonly FilterEconomy[] => {
  const threads = [...new Set(threadsMm)].sort((a, b) => a - b)
  const largest = threads.at(-1)
  const each = threads.map((threadMm) => ({ threadMm, filter: cheapest(filters, threadMm) }))
  const oneEach: FilterEconomy = {
    way: 'one-each',
    costMinor: each.reduce((sum, { filter }) => sum + (filter?.costMinor ?? 0), 0),
    massG: each.reduce((sum, { filter }) => sum + (filter?.massG ?? 0), 0),
    secondsPerChange: 0,
    without: each.filter(({ filter }) => !filter).map(({ threadMm }) => threadMm),
  }
  if (largest === undefined) return [oneEach]
  const large = cheapest(filters, largest)
  const chains = threads.map((threadMm) => ({ threadMm, chain: stepChain(threadMm, largest, rings) }))
  return [
    {
      way: 'one-with-rings',
      costMinor: (large?.costMinor ?? 0) + chains.reduce((sum, { chain }) => sum + (chain?.costMinor ?? 0), 0),
      massG: (large?.massG ?? 0) + chains.reduce((sum, { chain }) => sum + (chain?.massG ?? 0), 0),
      secondsPerChange: threads.length > 1 ? 2 * SCREW_SECONDS : 0,
      without: large ? chains.filter(({ chain }) => !chain).map(({ threadMm }) => threadMm) : threads,
    },
    oneEach,
  ]
}
