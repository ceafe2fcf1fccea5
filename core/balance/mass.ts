import type { Assembly, Instance, PlacedPart } from '../assembly/index.ts'
import { isUnknown, type Part, type Role } from '../catalogue/index.ts'
import { add, scale, type Vec3, zero, flatMap } from '../kernel/index.ts'

/** What stands under a rig and is not in the hand. */
export const standRoles: ReadonlySet<Role> = new Set(['tripod', 'head', 'gimbal', 'slider'])

/** Is this piece held by the hand, rather than standing under the rig? */
export const inHand = (piece: PlacedPart): boolean => !standRoles.has(piece.part.role)

/** Something of no known mass. */
export interface Unweighed {
  readonly instance: Pick<Instance, 'id'>
  readonly part: Part
}

export interface Mass {
  readonly totalG: number
  /** Without tripod, head, gimbal or slider. */
  readonly inHandG: number
  /**
   * What is in the hand and of no known mass, leads too: the figures are *at least* what they say, and the centre is
   * that of the rest.
   */
  readonly unknown: readonly Unweighed[]
  /** Centre of mass of what is in the hand, mm in the rig's frame. */
  readonly centre: Vec3
}

/** Grams and centre of mass of some pieces: `sum(m r) / sum(m)`. No pieces: 0 g at the origin. */
export const centreOfMass = (pieces: readonly PlacedPart[]): { readonly massG: number; readonly centre: Vec3 } => {
  let massG = 0
  let moment: Vec3 = zero
  for (const piece of pieces) {
    massG += piece.part.massG
    moment = add(moment, scale(piece.centre, piece.part.massG))
  }
  return { massG, centre: massG === 0 ? zero : scale(moment, 1 / massG) }
}

/** Something with a mass and a place: a piece, or a lead at the middle of its way. */
export interface Weight {
  readonly massG: number
  readonly at: Vec3
}

/** A lead that is plugged in, at the middle of its way. */
export interface LeadMass extends Weight {
  readonly instance: string
  readonly part: Part
}

/** The same with leads. */
export const centreWith = (
  pieces: readonly PlacedPart[],
  leads: readonly Weight[],
): { readonly massG: number; readonly centre: Vec3 } => {
  const held = centreOfMass(pieces)
  const massG = leads.reduce((sum, lead) => sum + lead.massG, held.massG)
  const moment = leads.reduce((sum, lead) => add(sum, scale(lead.at, lead.massG)), scale(held.centre, held.massG))
  return { massG, centre: leads.length === 0 || massG === 0 ? held.centre : scale(moment, 1 / massG) }
}

/**
 * The mass figures of a set-up. Loose kit is not counted: it is in the bag.
 * @param leads the leads that are plugged in, each at the middle of its way
 */
export const massOf = (assembly: Assembly, leads: readonly (Weight & Partial<LeadMass>)[] = []): Mass => {
  const held = centreWith(assembly.placed.filter(inHand), leads)
  const leadG = leads.reduce((sum, { massG }) => sum + massG, 0)
  return {
    totalG: assembly.placed.reduce((sum, piece) => sum + piece.part.massG, leadG),
    inHandG: held.massG,
    unknown: [
      ...assembly.placed.filter((piece) => inHand(piece) && isUnknown(piece.part, 'massG')),
      ...flatMap(leads, ({ instance, part }) =>
        instance && part && isUnknown(part, 'massG') ? [{ instance: { id: instance }, part }] : [],
      ),
    ],
    centre: held.centre,
  }
}
