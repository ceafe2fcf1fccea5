import type { Assembly, PlacedPart } from '../assembly/index.ts'
import { direction, lengthOf, point, subtract, type Vec3 } from '../kernel/index.ts'
import type { Part } from '../catalogue/index.ts'
import type { Mass } from './mass.ts'

/** A place to take hold of the rig. */
export interface Grip {
  readonly piece: PlacedPart
  readonly kind: Part['grips'][number]['kind']
  readonly at: Vec3
  /** Along the bar the fingers close round; undefined when the data does not say. */
  readonly axis: Vec3 | undefined
}

export const gripsOf = (assembly: Assembly): readonly Grip[] =>
  assembly.placed.flatMap((piece) =>
    piece.part.grips.map(({ kind, at, axis }): Grip => ({
      piece,
      kind,
      at: point(piece.frame, at),
      axis: axis && direction(piece.frame, axis),
    })),
  )

/** How two hands share a rig: each one's part of the mass, and how far apart they are. */
export interface TwoHands {
  readonly left: Grip
  readonly right: Grip
  readonly leftShare: number
  readonly rightShare: number
  readonly spreadMm: number
}

/**
 * The lever rule between the two grips that stand farthest apart: the nearer to the centre of mass, the more it carries.
 * Shares are clamped to 0..1; a centre outside the grips hangs all on the nearer one.
 * @returns undefined with fewer than two grips.
 */
export const twoHandsOf = (assembly: Assembly, mass: Mass): TwoHands | undefined => {
  const grips = gripsOf(assembly).filter(({ kind }) => kind === 'top' || kind === 'side')
  let best: [Grip, Grip] | undefined
  let spreadMm = -1
  grips.forEach((a, i) =>
    grips.slice(i + 1).forEach((b) => {
      const apart = lengthOf(subtract(a.at, b.at))
      if (apart > spreadMm) [best, spreadMm] = [a.at[0] <= b.at[0] ? [a, b] : [b, a], apart]
    }),
  )
  if (!best || spreadMm <= 0) return undefined
  const [left, right] = best
  const line = subtract(right.at, left.at)
  const along = subtract(mass.centre, left.at)
  const share = (line[0] * along[0] + line[1] * along[1] + line[2] * along[2]) / (spreadMm * spreadMm)
  const rightShare = Math.min(1, Math.max(0, share))
  return { left, right, leftShare: 1 - rightShare, rightShare, spreadMm }
}
