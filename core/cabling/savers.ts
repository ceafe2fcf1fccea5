import { flatMap } from '../kernel/index.ts'
import type { PlacedPart } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import type { Vec3 } from '../kernel/index.ts'
import type { Run } from './runs.ts'

/** A port saver in a socket of the rig. */
export interface Saver {
  readonly id: string
  readonly part: Part
  readonly piece: PlacedPart
  readonly at: Vec3
}

/** The port savers that sit on the rig between its sockets and its leads. */
export const saversOf = (leads: readonly Run[]): readonly Saver[] =>
  flatMap(leads, ({ from, to }) =>
    flatMap([from, to], ({ coupler, piece, at, onRig }): Saver[] =>
      coupler && onRig ? [{ id: coupler.id, part: coupler.part, piece, at }] : [],
    ),
  )
