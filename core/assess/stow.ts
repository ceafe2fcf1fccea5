import type { Part } from '../catalogue/index.ts'
import { type Bounds, boundsOf, emptyBounds, identity, placeShape, unite, flatMap } from '../kernel/index.ts'

/** A box in three lengths, mm, the longest first. */
export type Dims = readonly [number, number, number]

export const dimsOf = (bounds: Bounds): Dims => {
  const span = ([0, 1, 2] as const).map((axis) => Math.max(0, bounds.max[axis] - bounds.min[axis]))
  const [long = 0, wide = 0, tall = 0] = span.sort((a, b) => b - a)
  return [long, wide, tall]
}
export const litresIn = (dims: Dims): number => (dims[0] * dims[1] * dims[2]) / 1e6

/** The upright box round a part as it comes. */
export const partDims = ({ solids }: Part): Dims =>
  dimsOf(solids.reduce<Bounds>((all, solid) => unite(all, boundsOf(placeShape(solid, identity))), emptyBounds))

/** Walls and padding of a bag or case, on every side, mm. */
const WALL_MM = 18
const insideOf = (part: Part): Dims => {
  const [box] = flatMap(part.solids, (solid) => (solid.kind === 'box' ? [solid.size] : []))
  const [long = 0, wide = 0, tall = 0] = (box ?? []).map((mm) => Math.max(0, mm - 2 * WALL_MM)).sort((a, b) => b - a)
  return [long, wide, tall]
}

/** Something to stow: all pieces of one line, each with the same box. */
export interface Stowing {
  readonly key: string
  readonly count: number
  readonly grams: number
  readonly dims: Dims
  /** Only in what stays with the traveller. */
  readonly byHand: boolean
}

/** A bag or case of the kit, and what goes into it. Litres are those of boxes: an estimate. */
export interface PackBag {
  readonly key: string
  readonly name: string
  /** Empty, and what goes in, g. */
  readonly ownG: number
  readonly grams: number
  readonly litres: number
  readonly filled: number
}

/**
 * Which thing goes into which bag: what is longer than a bag inside goes into none; the largest bag is filled first, as
 * far as boxes tell, then the next; what stays with the traveller goes into the smallest. Things come in their order: the
 * first is the rig.
 * @returns the bags, the largest first, and for each key that goes into one, into which
 */
export const stow = (
  things: readonly Stowing[],
  cases: readonly { readonly key: string; readonly part: Part }[],
): { readonly bags: readonly PackBag[]; readonly into: ReadonlyMap<string, string> } => {
  const inside = new Map(cases.map(({ key, part }) => [key, insideOf(part)]))
  const litresOf = (key: string) => litresIn(inside.get(key) ?? [0, 0, 0])
  const sorted = [...cases].sort((a, b) => litresOf(b.key) - litresOf(a.key))
  const filled = new Map(sorted.map(({ key }) => [key, { litres: 0, grams: 0 }]))
  const into = new Map<string, string>()
  for (const { key, count, grams, dims, byHand } of things) {
    const goes = sorted.filter((bag) => dims.every((mm, i) => mm <= (inside.get(bag.key)?.[i] ?? 0)))
    const litres = litresIn(dims) * count
    const room = (bag: { readonly key: string }) => litresOf(bag.key) - (filled.get(bag.key)?.litres ?? 0)
    const order = byHand ? goes.toReversed() : goes
    const bag = order.find((one) => room(one) >= litres) ?? [...order].sort((a, b) => room(b) - room(a))[0]
    const now = bag && filled.get(bag.key)
    if (!bag || !now) continue
    into.set(key, bag.key)
    filled.set(bag.key, { litres: now.litres + litres, grams: now.grams + grams })
  }
  const bags = sorted.map(({ key, part }): PackBag => {
    const { litres, grams } = filled.get(key) ?? { litres: 0, grams: 0 }
    return { key, name: part.name, ownG: part.massG, grams, litres: litresOf(key), filled: litres }
  })
  return { bags, into }
}
