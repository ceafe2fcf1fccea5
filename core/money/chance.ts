import { perKey, flatMap } from '../kernel/index.ts'
import type { PriceView } from './prices.ts'

/**
 * A price as three figures, and what they are. `range`: the least, the most likely, the most, as a datasheet or a shop
 * gives them. `seen`: of the prices that were seen a tenth lies under the first, half under the second, nine tenths
 * under the third.
 */
export interface PriceSpread {
  readonly low: number
  readonly usual: number
  readonly high: number
  readonly kind: 'range' | 'seen'
}

/** Standard normal quantile of nine tenths. */
const Z90 = 1.2815515655446004

/**
 * How much of what moves a price moves all prices together: what money is worth, the season, a strike at the port. A
 * part of their variance.
 */
export const COMMON_PART = 0.25

/** The share of a standard normal distribution under z (Abramowitz and Stegun 7.1.26; off by less than 2e-7). */
export const normalBelow = (z: number): number => shareBelow(z, Math.exp((-z * z) / 2))

/** The same for who has the bell curve at z already, `exp(-z^2 / 2)`. */
const shareBelow = (z: number, bell: number): number => {
  const t = 1 / (1 + 0.3275911 * (Math.abs(z) / Math.SQRT2))
  const beyond = ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * bell
  return z < 0 ? beyond / 2 : 1 - beyond / 2
}

/** What the bell curve is divided by to have the area 1. */
const ROOT = 1 / Math.sqrt(2 * Math.PI)
const density = (z: number): number => Math.exp((-z * z) / 2) * ROOT

/** How likely one price stays within a cap, exactly. */
const oneWithin = ({ low, usual, high, kind }: PriceSpread, cap: number): number => {
  if (kind === 'seen') {
    const width = (cap < usual ? usual - low : high - usual) / Z90
    return width > 0 ? normalBelow((cap - usual) / width) : cap >= usual ? 1 : 0
  }
  if (cap <= low) return cap === high ? 1 : 0
  if (cap >= high) return 1
  return cap <= usual
    ? (cap - low) ** 2 / ((high - low) * (usual - low))
    : 1 - (high - cap) ** 2 / ((high - low) * (high - usual))
}

/**
 * The price that a standard normal figure stands for: two half normals joined at the median, or the triangle's price of
 * the same rank.
 */
const priceAt = ({ low, usual, high, kind }: PriceSpread, z: number): number => {
  if (kind === 'seen') return usual + (z / Z90) * (z < 0 ? usual - low : high - usual)
  if (high <= low) return usual
  const rank = normalBelow(z)
  return rank < (usual - low) / (high - low)
    ? low + Math.sqrt(rank * (high - low) * (usual - low))
    : high - Math.sqrt((1 - rank) * (high - low) * (high - usual))
}

/** A standard normal figure in steps, with the weight of each: sums over these are integrals (trapezoidal rule). */
const STEP = 1
const steps = Array.from({ length: 7 }, (_, i) => {
  const z = (i - 3) * STEP
  return { z, weight: density(z) * STEP }
})

/** Mean, variance and third central moment of a price whose figure is `at` and, by itself, so wide. */
const momentsAt = (
  price: PriceSpread,
  at: number,
  width: number,
): readonly [mean: number, variance: number, third: number] => {
  const values = steps.map(({ z, weight }) => ({ value: priceAt(price, at + width * z), weight }))
  const total = values.reduce((sum, { weight }) => sum + weight, 0)
  const mean = values.reduce((sum, { value, weight }) => sum + value * weight, 0) / total
  const power = (n: number) => values.reduce((sum, { value, weight }) => sum + (value - mean) ** n * weight, 0) / total
  return [mean, power(2), power(3)]
}

/**
 * The standard normal figure that stands for a price: `priceAt` turned round; far out beyond the ends of a triangle.
 */
const figureAt = (price: PriceSpread, value: number): number => {
  let [below, above] = [-8, 8]
  if (priceAt(price, below) > value) return below
  if (priceAt(price, above) < value) return above
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (below + above) / 2
    if (priceAt(price, middle) <= value) below = middle
    else above = middle
  }
  return below
}
/** Enough to find a figure to a ten-thousandth. */
const HALVINGS = 18

const allSteps = steps.reduce((sum, { weight }) => sum + weight, 0)

const integral = (of: (z: number, step: number) => number): number => {
  let sum = 0
  for (let i = 0; i < steps.length; i++) {
    const step = steps[i]
    if (step) sum += step.weight * of(step.z, i)
  }
  return sum / allSteps
}

/** Mean, variance and third moment, those of each step of the shared figure one after the other. */
type Moments = ArrayLike<number>
const keptMoments = perKey<PriceSpread, Moments>('moments of a price')

/** A price's moments at each step of the shared figure. */
const momentsOf = (price: PriceSpread, shared: number, own: number): Moments =>
  keptMoments(price, String(shared), () => flatMap(steps, ({ z }) => momentsAt(price, shared * z, own)))

/** Independent sums: their means, variances and third central moments add. */
const summed = (all: readonly PriceSpread[], shared: number, own: number): Moments => {
  const sums = new Float64Array(3 * steps.length)
  for (const price of all) {
    const moments = momentsOf(price, shared, own)
    for (let i = 0; i < sums.length; i++) sums[i] = (sums[i] as number) + (moments[i] as number)
  }
  return sums
}

const keptPrices = perKey<PriceSpread, readonly (readonly number[])[]>('prices at each step')
/** What a price is at each step of the shared figure, at each step of its own. */
const pricesOf = (price: PriceSpread, shared: number, own: number): readonly (readonly number[])[] =>
  keptPrices(price, String(shared), () =>
    steps.map(({ z }) => steps.map((one) => priceAt(price, shared * z + own * one.z))),
  )

const priceIn = (prices: readonly (readonly number[])[], step: number, own: number): number => prices[step]?.[own] ?? 0

/** So many deviations from the middle there is nothing left: the share beyond is under 1e-14. */
const FAR_OUT = 8

/**
 * The share under a cap of a sum of which only three moments are known: Edgeworth's first correction, `P(z) - p(z) g
 * (z^2 - 1) / 6`.
 */
const underBy = (moments: Moments, step: number): ((cap: number) => number) => {
  const [mean = 0, variance = 0, third = 0] = [moments[3 * step], moments[3 * step + 1], moments[3 * step + 2]]
  const deviation = Math.sqrt(variance)
  if (deviation < 1e-9) return (cap) => (mean <= cap + 1e-9 ? 1 : 0)
  const skew = third / variance ** 1.5
  return (cap) => {
    const z = (cap - mean) / deviation
    // Far out the share is 0 or 1 to more digits than the formula has.
    if (z > FAR_OUT || z < -FAR_OUT) return z > 0 ? 1 : 0
    const bell = Math.exp((-z * z) / 2)
    return Math.min(1, Math.max(0, shareBelow(z, bell) - (bell * ROOT * skew * (z * z - 1)) / 6))
  }
}

/**
 * How likely a sum of prices stays within a cap. Each price is a standard normal figure made of one that all share and
 * one of its own (`COMMON_PART` of the variance is shared). For each value of the shared one the two widest prices are
 * gone through one by one, and the rest is taken by its moments; one and two prices are taken exactly. Held to 3 points
 * of a simulation.
 * @returns 0 to 1; for prices that are certain 0 or 1
 * @example one price between 8 and 12, most likely 10, and a cap of 10: 0.5
 */
export const chanceWithin = (prices: readonly PriceSpread[], capMinor: number, commonPart = COMMON_PART): number => {
  const sure = prices.filter(({ low, high }) => high <= low).reduce((sum, { usual }) => sum + usual, 0)
  const cap = capMinor - sure
  const [first, second, ...rest] = prices
    .filter(({ low, high }) => high > low)
    .sort((a, b) => b.high - b.low - (a.high - a.low))
  if (!first) return cap >= 0 ? 1 : 0
  const all = [first, ...(second ? [second] : []), ...rest]
  if (all.every(({ kind }) => kind === 'range')) {
    // Ranges end: at all the highest prices it is certain, below all the lowest out of the question.
    if (cap >= all.reduce((sum, { high }) => sum + high, 0)) return 1
    if (cap <= all.reduce((sum, { low }) => sum + low, 0)) return 0
  }
  if (!second) return oneWithin(first, cap)
  const [shared, own] = [Math.sqrt(commonPart), Math.sqrt(1 - commonPart)]
  const others = pricesOf(second, shared, own)
  if (rest.length === 0)
    return integral((z, step) =>
      integral((_, k) => normalBelow((figureAt(first, cap - priceIn(others, step, k)) - shared * z) / own)),
    )
  const widest = pricesOf(first, shared, own)
  const moments = summed(rest, shared, own)
  return integral((_, step) => {
    const under = underBy(moments, step)
    return integral((_own, k) => {
      const left = cap - priceIn(widest, step, k)
      let sum = 0
      for (let i = 0; i < steps.length; i++) sum += (steps[i]?.weight ?? 0) * under(left - priceIn(others, step, i))
      return sum
    })
  })
}

/** Fewer prices of a part than this say nothing of how far they spread. */
export const LEAST_SEEN = 3

type Line = Parameters<typeof spreadsOf>[0][number]
const spreadKinds = perKey<Line['part'], PriceSpread>('spread of a part')

/** The same part at the same price has the same spread, so that what is known of it is found again. */
const spreadOf = ({ part, low, usual, high }: Line, kind: PriceSpread['kind']): PriceSpread => {
  const known = spreadKinds(part, kind, () => ({ low, usual, high, kind }))
  return known.low === low && known.usual === usual && known.high === high ? known : { low, usual, high, kind }
}

/**
 * What is known of how far the prices of some lines spread; parts with a price or two in the ledger are too thin to
 * tell by.
 */
export const spreadsOf = (
  lines: readonly {
    readonly part: { readonly id: string; readonly name: string }
    readonly low: number
    readonly usual: number
    readonly high: number
  }[],
  views: ReadonlyMap<string, Pick<PriceView, 'points'>>,
): { readonly spreads: readonly PriceSpread[]; readonly thin: readonly string[] } => ({
  spreads: lines.map((line) => spreadOf(line, views.has(line.part.id) ? 'seen' : 'range')),
  thin: flatMap(lines, ({ part }) => {
    const view = views.get(part.id)
    return view && view.points < LEAST_SEEN ? [part.name] : []
  }),
})
