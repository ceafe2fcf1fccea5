import type { Assessment } from '@zucchini/core/assess'
import { carriedBy, type PlacedPart, slideWay, travelOf, wayName } from '@zucchini/core/assembly'
import { centreOfMass, inHand } from '@zucchini/core/balance'
import { scale, type Vec3 } from '@zucchini/core/kernel'

/** A piece that can be slid along its joint. */
export interface Slide {
  readonly piece: PlacedPart
  readonly way: Vec3
  readonly slideMm: number
  readonly minMm: number
  readonly maxMm: number
  readonly stepMm: number
  readonly less: string
  readonly more: string
  /** What it takes along, g. */
  readonly carriesG: number
}

/** Everything on the rig that slides, what moves most mass first. */
export const slidesOf = ({ assembly }: Assessment): readonly Slide[] =>
  assembly.placed
    .flatMap((piece): Slide[] => {
      const [travel, way] = [travelOf(piece), slideWay(piece)]
      if (!travel || !way || !piece.joint || travel.minMm === travel.maxMm) return []
      const carriesG = centreOfMass(carriedBy(assembly, piece).filter(inHand)).massG
      return [
        {
          piece,
          way,
          slideMm: piece.joint.slideMm,
          minMm: travel.minMm,
          maxMm: travel.maxMm,
          stepMm: travel.stepMm,
          less: wayName(scale(way, -1)),
          more: wayName(way),
          carriesG,
        },
      ]
    })
    .sort((a, b) => b.carriesG - a.carriesG)

/** A wanted slide brought onto its travel and its step. */
export const settle = (slide: Slide, wantedMm: number): number => {
  const stepped = slide.minMm + Math.round((wantedMm - slide.minMm) / slide.stepMm) * slide.stepMm
  return Math.min(slide.maxMm, Math.max(slide.minMm, stepped))
}
