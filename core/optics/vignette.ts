/** A ring the light has to pass, ahead of the entrance pupil. */
export interface Ring {
  readonly id: string
  /** From the entrance pupil to the front of the ring, mm; behind it, less than nothing. */
  readonly depthMm: number
  /** Half its clear width, mm. */
  readonly clearMm: number
}

/** What a ring at some depth must leave clear for the whole diagonal: `L tan(theta) + f / 2T`, with `tan(theta) = diagonal / 2f`. mm */
export const neededMm = (depthMm: number, focalMm: number, diagonalMm: number, stop: number): number =>
  (Math.max(0, depthMm) * diagonalMm) / (2 * focalMm) + focalMm / (2 * stop)

/** The rings that stand in the corner of the picture at a focal length, the worst first. */
export const clipping = (
  rings: readonly Ring[],
  focalMm: number,
  diagonalMm: number,
  stop: number,
): readonly (Ring & { readonly overMm: number })[] =>
  rings
    .map((ring) => ({ ...ring, overMm: neededMm(ring.depthMm, focalMm, diagonalMm, stop) - ring.clearMm }))
    .filter(({ overMm }) => overMm > 1e-9)
    .sort((a, b) => b.overMm - a.overMm)

/**
 * The shortest focal length of a zoom at which no ring clips; undefined when it clips to the long end.
 * A ring of clear radius r at depth L asks `f^2 / 2T - r f + L d / 2 <= 0`: f lies between the two roots, if there are any.
 * @param stop the widest the lens opens, as an f-number
 * @example r = 40, L = 40, d = 43.27, f/4: from 23.34 mm on
 */
export const shortestClean = (
  rings: readonly Ring[],
  focalMinMm: number,
  focalMaxMm: number,
  diagonalMm: number,
  stop: number,
): number | undefined => {
  let shortest = focalMinMm
  let longest = focalMaxMm
  for (const { depthMm, clearMm } of rings) {
    const [a, b, c] = [1 / (2 * stop), -clearMm, (Math.max(0, depthMm) * diagonalMm) / 2]
    const disc = b * b - 4 * a * c
    if (disc < 0) return undefined
    shortest = Math.max(shortest, (-b - Math.sqrt(disc)) / (2 * a))
    longest = Math.min(longest, (-b + Math.sqrt(disc)) / (2 * a))
  }
  return shortest <= longest + 1e-9 ? shortest : undefined
}
