import { type PlacedPart, ridesOn } from '../assembly/index.ts'

/**
 * Orders that the maker of a part states, as they bear on two pieces of one rig. The first piece of a rig sits on
 * nothing and is there before anything.
 */

/** Does it go on its host before its host goes to its own seat? */
export const comesAlong = ({ host, joint }: PlacedPart): boolean =>
  host?.joint !== undefined && joint !== undefined && host.part.order?.joinedBefore?.includes(joint.hostMount) === true

/** Has the other to be off while this one goes on or comes off? What either carries is never in its way. */
export const wantsOff = (piece: PlacedPart, other: PlacedPart): boolean =>
  piece.part.order?.offFirst?.includes(other.part.role) === true && !ridesOn(other, piece) && !ridesOn(piece, other)

/** A stated order that can't be kept: the piece comes after what it should come before. */
export interface Against {
  readonly piece: PlacedPart
  readonly after: PlacedPart
  readonly why: 'joined-before' | 'off-first'
}
