import { type Bounds, perThing } from '../kernel/index.ts'
import type { PlacedPart } from './place.ts'

/** Numbers of a box: where it begins and ends along x, y and z. */
const WIDE = 6
const axes = [0, 1, 2] as const

/** The boxes round some pieces in one row of numbers, mm: many are looked along soon. */
const boxesOf = perThing('boxes of pieces', (placed: readonly PlacedPart[]): Float64Array => {
  const row = new Float64Array(placed.length * WIDE)
  let at = 0
  for (const { bounds } of placed)
    for (const axis of axes) {
      row[at++] = bounds.min[axis]
      row[at++] = bounds.max[axis]
    }
  return row
})

/**
 * The pieces whose box shares more than so much with another box along every axis, in their order: what may touch it.
 * @param slackMm below 0: so far away counts as near
 * @param from pieces before this index are left out
 */
export const near = (
  placed: readonly PlacedPart[],
  { min, max }: Bounds,
  slackMm = 0,
  from = 0,
): readonly PlacedPart[] => {
  const row = boxesOf(placed)
  const [x, y, z] = [min[0] + slackMm, min[1] + slackMm, min[2] + slackMm]
  let found: PlacedPart[] | undefined
  for (let i = from, at = from * WIDE; i < placed.length; i++, at += WIDE)
    if (
      x < (row[at + 1] as number) &&
      (row[at] as number) + slackMm < max[0] &&
      y < (row[at + 3] as number) &&
      (row[at + 2] as number) + slackMm < max[1] &&
      z < (row[at + 5] as number) &&
      (row[at + 4] as number) + slackMm < max[2]
    )
      (found ??= []).push(placed[i] as PlacedPart)
  return found ?? nobody
}
const nobody: readonly PlacedPart[] = []
