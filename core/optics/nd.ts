import { flatMap } from '../kernel/index.ts'
/** What a filter takes, in stops: one figure twice for a fixed one, a range for a variable one. */
export interface Nd {
  readonly id: string
  readonly minStops: number
  readonly maxStops: number
  /** A variable ND is a pair of polarisers: it can not be stacked with another without crosses and colour. */
  readonly variable: boolean
  /** Built into the camera: one of its steps at a time, whatever is screwed on. */
  readonly inside?: boolean
  /** 0 for what is owned. Minor money units. */
  readonly costMinor: number
}

/** One filter or a stack of two on the lens, and what it takes. */
export interface NdChoice {
  readonly ids: readonly string[]
  readonly minStops: number
  readonly maxStops: number
  readonly costMinor: number
}

const nothing: NdChoice = { ids: [], minStops: 0, maxStops: 0, costMinor: 0 }
const together = (a: NdChoice, b: NdChoice): NdChoice => ({
  ids: [...a.ids, ...b.ids],
  minStops: a.minStops + b.minStops,
  maxStops: a.maxStops + b.maxStops,
  costMinor: a.costMinor + b.costMinor,
})
const alone = ({ id, minStops, maxStops, costMinor }: Nd): NdChoice => ({ ids: [id], minStops, maxStops, costMinor })

/**
 * No filter, every filter alone, every pair that may be stacked; each also with every step of what the camera has
 * inside.
 */
export const choicesOf = (filters: readonly Nd[]): readonly NdChoice[] => {
  const onLens = filters.filter(({ inside }) => !inside)
  const inside = filters.filter((filter) => filter.inside).map(alone)
  const screwedOn = [
    nothing,
    ...onLens.map(alone),
    ...flatMap(onLens, (a, i) =>
      onLens
        .slice(i + 1)
        .filter((b) => !(a.variable && b.variable))
        .map((b) => together(alone(a), alone(b))),
    ),
  ]
  return [...screwedOn, ...flatMap(inside, (step) => screwedOn.map((choice) => together(step, choice)))]
}

/** How far a filter may be from what is wanted before it shows: a third of a stop, made up by the iris. */
export const ND_SLACK = 1 / 3

export const suitsNd = ({ minStops, maxStops }: Pick<NdChoice, 'minStops' | 'maxStops'>, wanted: number): boolean =>
  wanted >= minStops - ND_SLACK && wanted <= maxStops + ND_SLACK

/** What a day asks for, and what answers it. */
export interface NdAnswer {
  readonly wantedStops: number
  /** The choices that do, the fewest filters and least money first. */
  readonly by: readonly NdChoice[]
  /** Nothing does: by how many stops the nearest choice misses it. */
  readonly missesBy: number
}

const off = ({ minStops, maxStops }: NdChoice, wanted: number): number =>
  Math.max(0, minStops - wanted, wanted - maxStops)

/** For each scene of a day, what takes the light it has too much of. A scene too dark wants no filter. */
export const answerDay = (wanted: readonly number[], filters: readonly Nd[]): readonly NdAnswer[] => {
  const choices = choicesOf(filters)
  return wanted.map((stops) => {
    const wantedStops = Math.max(0, stops)
    const by = choices
      .filter((choice) => suitsNd(choice, wantedStops))
      .sort(
        (a, b) => a.ids.length - b.ids.length || a.costMinor - b.costMinor || a.ids.join().localeCompare(b.ids.join()),
      )
    return {
      wantedStops,
      by,
      missesBy: by.length > 0 ? 0 : Math.min(...choices.map((choice) => off(choice, wantedStops))),
    }
  })
}

/** The parts of a range of stops that no choice reaches: where the picture clips or the iris has to give. */
export const gapsOf = (
  fromStops: number,
  toStops: number,
  choices: readonly NdChoice[],
): readonly (readonly [from: number, to: number])[] => {
  const spans = choices
    .map(({ minStops, maxStops }) => [minStops - ND_SLACK, maxStops + ND_SLACK] as const)
    .sort((a, b) => a[0] - b[0])
  const gaps: [number, number][] = []
  let reached = fromStops
  for (const [low, high] of spans) {
    if (low > reached) gaps.push([reached, Math.min(low, toStops)])
    reached = Math.max(reached, high)
    if (reached >= toStops) break
  }
  if (reached < toStops) gaps.push([reached, toStops])
  return gaps.filter(([low, high]) => high - low > 1e-9)
}
