/** A point on a drawing, mm. */
export type Point2 = readonly [number, number]

const turn = (o: Point2, a: Point2, b: Point2): number => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0])

/**
 * The convex outline around points, anticlockwise from the leftmost, without points on its edges (monotone chain,
 * Andrew 1979). Fewer than three points, or points on one line, give those that span them.
 */
export const convexHull = (points: readonly Point2[]): Point2[] => {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1])
  if (sorted.length < 3) return sorted
  const half = (list: readonly Point2[]): Point2[] => {
    const chain: Point2[] = []
    for (const p of list) {
      for (let n = chain.length; n > 1 && turn(chain[n - 2] as Point2, chain[n - 1] as Point2, p) <= 1e-9; n--)
        chain.pop()
      chain.push(p)
    }
    chain.pop()
    return chain
  }
  return [...half(sorted), ...half([...sorted].reverse())]
}
