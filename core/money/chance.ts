/** A price as three figures: the least, the most likely, the most. */
export interface Triangle {
  readonly low: number
  readonly usual: number
  readonly high: number
}

/** The mean of a triangular distribution: `(a + b + c) / 3`. */
export const meanOf = ({ low, usual, high }: Triangle): number => (low + usual + high) / 3

/** Its variance: `(a^2 + b^2 + c^2 - ab - ac - bc) / 18`. */
export const varianceOf = ({ low: a, usual: b, high: c }: Triangle): number => (a * a + b * b + c * c - a * b - a * c - b * c) / 18

/** The share of a standard normal distribution under z (Abramowitz and Stegun 7.1.26; off by less than 2e-7). */
export const normalBelow = (z: number): number => {
  const x = Math.abs(z) / Math.SQRT2
  const t = 1 / (1 + 0.3275911 * x)
  const erf = 1 - ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * Math.exp(-x * x)
  return z < 0 ? (1 - erf) / 2 : (1 + erf) / 2
}

/**
 * How likely a sum of prices stays within a cap: each price triangular between its low, usual and high, independent; their sum is taken
 * as normal. @returns 0 to 1; for prices that are certain 0 or 1
 * @example one price of 8, 10, 12 and a cap of 10: 0.5
 */
export const chanceWithin = (prices: readonly Triangle[], capMinor: number): number => {
  const mean = prices.reduce((sum, price) => sum + meanOf(price), 0)
  const variance = prices.reduce((sum, price) => sum + varianceOf(price), 0)
  if (variance < 1e-9) return mean <= capMinor + 1e-9 ? 1 : 0
  return normalBelow((capMinor - mean) / Math.sqrt(variance))
}
