import { type Point2, seeded } from '../kernel/index.ts'

/** A number that stands for a word. */
const numberFrom = (word: string): number =>
  word.split('').reduce((sum, letter) => (Math.imul(sum, 31) + letter.charCodeAt(0)) | 0, 7)

/** A hair for so many square millimetres, so long, standing out of the outline by no more than so much. mm */
const HAIR = { each: 17, long: 5.4, out: 1.6 } as const
const EDGE_STEP_MM = 3.2

/** Fur as it is drawn: a ragged outline, and hairs that all lean one way. Places are mm, u across and v along. */
export interface Fur {
  readonly outline: readonly Point2[]
  readonly hairs: readonly (readonly Point2[])[]
}

/** A line round a capsule of this radius and length. */
const capsule = (radius: number, long: number): readonly Point2[] => {
  const straight = Math.max(0, long / 2 - radius)
  const length = 4 * straight + 2 * Math.PI * radius
  const count = Math.max(16, Math.round(length / EDGE_STEP_MM))
  return Array.from({ length: count }, (_, i): Point2 => {
    const s = (i / count) * length
    const bend = Math.PI * radius
    if (s < bend) return [radius * Math.cos(s / radius), straight + radius * Math.sin(s / radius)]
    if (s < bend + 2 * straight) return [-radius, straight - (s - bend)]
    if (s < 2 * bend + 2 * straight) {
      const a = Math.PI + (s - bend - 2 * straight) / radius
      return [radius * Math.cos(a), -straight + radius * Math.sin(a)]
    }
    return [radius, -straight + (s - 2 * bend - 2 * straight)]
  })
}

/**
 * The fur of a capsule, along v, its hairs leaning back along v.
 * @param long equal to twice the radius: a ball, or a capsule seen from its end
 */
export const furOf = (word: string, radius: number, long: number): Fur => {
  const next = seeded(numberFrom(word))
  const inner = capsule(radius - HAIR.out * 0.6, long - HAIR.out * 1.2)
  const outline = inner.map(([u, v], i): Point2 => {
    const out = (i % 2 === 0 ? 1 : -0.35) * HAIR.out * (0.5 + next() * 0.5)
    const r = Math.hypot(u, Math.max(0, Math.abs(v) - Math.max(0, long / 2 - radius))) || 1
    const nu = u / r
    const nv = (Math.sign(v) * Math.max(0, Math.abs(v) - Math.max(0, long / 2 - radius))) / r
    return [u + nu * out, v + nv * out - Math.abs(out) * 0.5]
  })
  const straight = Math.max(0, long / 2 - radius)
  const count = Math.round((2 * radius * long * 0.86) / HAIR.each)
  const hairs = Array.from({ length: count }, () => {
    const u = (next() * 2 - 1) * radius * 0.9
    const v = (next() * 2 - 1) * (long / 2 - 2)
    const ahead = Math.max(0, Math.abs(v) - straight)
    if (u * u + ahead * ahead > (radius * 0.88) ** 2) return []
    const side = (u / radius) * 1.6 + (next() - 0.5) * 2.2
    const back = HAIR.long * (0.55 + next() * 0.5)
    return [
      [u, v],
      [u + side * 0.4, v - back * 0.6],
      [u + side, v - back],
    ] as const
  })
  return { outline, hairs: hairs.filter((hair) => hair.length > 0) }
}
