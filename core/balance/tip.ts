import type { Assembly, PlacedPart } from '../assembly/index.ts'
import { centreWith, type Weight } from './mass.ts'

/** How near a rig on legs is to falling over. */
export interface Tip {
  readonly legs: PlacedPart
  /** From under the whole centre of mass to the nearest line between two feet, mm; below zero it falls. */
  readonly marginMm: number
  /** How high the centre stands over the ground, mm. */
  readonly heightMm: number
  /** The lean at which it goes over, degrees. */
  readonly tipDeg: number
}

/**
 * Three feet on a circle of radius R: the line between two of them passes R/2 from the middle, so a centre d off the
 * middle keeps at least R/2 - d, and goes over at `atan(margin / height)`.
 * @returns undefined without legs whose spread is known.
 * @example feet 500 mm out, the centre 20 mm off the middle and 1,000 mm high: 230 mm, 13 degrees
 */
export const tipOf = (assembly: Assembly, leads: readonly Weight[] = []): Tip | undefined => {
  const legs = assembly.placed.find(({ part }) => part.under?.kind === 'legs')
  const under = legs?.part.under
  if (!legs || under?.kind !== 'legs') return undefined
  const { centre } = centreWith(assembly.placed, leads)
  const off = Math.hypot(centre[0] - legs.frame.at[0], centre[2] - legs.frame.at[2])
  const marginMm = under.feetMm / 2 - off
  const heightMm = Math.max(1, centre[1] - legs.bounds.min[1])
  return { legs, marginMm, heightMm, tipDeg: (Math.atan2(marginMm, heightMm) * 180) / Math.PI }
}
