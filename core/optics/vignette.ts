/** A hole the light has to pass, ahead of the entrance pupil, in one direction. */
export interface Ring {
  readonly id: string
  /** From the entrance pupil to the front of the ring, mm; behind it, less than nothing. */
  readonly depthMm: number
  /** Half its clear width, mm. */
  readonly clearMm: number
  /**
   * How much of the sensor it has to let through: the diagonal for a round hole, the width or height for one with
   * corners. mm
   */
  readonly acrossMm: number
}

/** What a ring at some depth must leave clear: `L tan(theta) + f / 2T`, with `tan(theta) = across / 2f`. mm */
export const neededMm = (
  { depthMm, acrossMm }: Pick<Ring, 'depthMm' | 'acrossMm'>,
  focalMm: number,
  stop: number,
): number => (Math.max(0, depthMm) * acrossMm) / (2 * focalMm) + focalMm / (2 * stop)

/** The rings that stand in the corner of the picture at a focal length, the worst first. */
export const clipping = (
  rings: readonly Ring[],
  focalMm: number,
  stop: number,
): readonly (Ring & { readonly overMm: number })[] =>
  rings
    .map((ring) => ({ ...ring, overMm: neededMm(ring, focalMm, stop) - ring.clearMm }))
    .filter(({ overMm }) => overMm > 1e-9)
    .sort((a, b) => b.overMm - a.overMm)

/**
 * The shortest focal length of a zoom at which no ring clips; undefined when it clips to the long end. A ring of clear
 * radius r at depth L asks `f^2 / 2T - r f + L d / 2 <= 0`: f lies between the two roots, if there are any. The
 * entrance pupil is taken to stay where it is at the short end, and the whole of it to be used.
 * @param stop the widest the lens opens, as an f-number
 * @example r = 40, L = 40, d = 43.27, f/4: from 23.34 mm on
 */
export const shortestClean = (
  rings: readonly Ring[],
  focalMinMm: number,
  focalMaxMm: number,
  stop: number,
): number | undefined => {
  let shortest = focalMinMm
  let longest = focalMaxMm
  for (const { depthMm, clearMm, acrossMm } of rings) {
    const [a, b, c] = [1 / (2 * stop), -clearMm, (Math.max(0, depthMm) * acrossMm) / 2]
    const disc = b * b - 4 * a * c
    if (disc < 0) return undefined
    shortest = Math.max(shortest, (-b - Math.sqrt(disc)) / (2 * a))
    longest = Math.min(longest, (-b + Math.sqrt(disc)) / (2 * a))
  }
  return shortest <= longest + 1e-9 ? shortest : undefined
}
