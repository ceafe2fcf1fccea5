import { flatMap } from '../kernel/index.ts'
import { type Assembly, type OffPlace, offPlaces } from '../assembly/index.ts'
import type { Run } from './runs.ts'

/** What goes along at one place off the rig. */
export interface Worn {
  readonly at: OffPlace
  readonly pieces: Assembly['off'][number]['piece'][]
  /** The pieces there, g, and the half of every lead between it and the rig that hangs from it. */
  readonly massG: number
}

/**
 * What is carried or stands beside the rig, by place: `pieces + (1 - share on the rig) x lead`. A lead between two
 * pieces off the rig counts where its first end is.
 * @example a 600 g pack on the belt, with a 100 g lead to the camera: 650 g on the belt, 50 g in the hand
 */
export const wornOf = ({ off }: Pick<Assembly, 'off'>, leads: readonly Run[]): readonly Worn[] =>
  flatMap(offPlaces, (at): Worn[] => {
    const here = off.filter((one) => one.at === at).map(({ piece }) => piece)
    if (here.length === 0) return []
    const hangs = leads.filter(({ from, to, onRig }) =>
      onRig === 0 ? here.includes(from.piece) : onRig < 1 && (here.includes(from.piece) || here.includes(to.piece)),
    )
    const leadG = hangs.reduce((sum, { part, onRig }) => sum + part.massG * (1 - onRig), 0)
    return [{ at, pieces: here, massG: here.reduce((sum, { part }) => sum + part.massG, leadG) }]
  })
