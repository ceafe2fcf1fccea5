import { perThing } from '../kernel/index.ts'
import type { Part } from './part.ts'
import { roles } from './roles.ts'
import type { Kind } from './standard.ts'
import { standardOf } from './interfaces/index.ts'

/**
 * What parts have to do with. Figures and rules that look at the parts of one concern only see those, so that a plate
 * more is no reason to plan the day's power anew. The camera has to do with everything.
 */
export type Concern = 'electric' | 'glass'
export const concerns: readonly Concern[] = ['electric', 'glass']

/** Kinds of joints that belong to the lens and what is before it. */
const glassKinds: ReadonlySet<Kind> = new Set(['filter', 'clamp', 'tray', 'bayonet', 'ring', 'gear'])

const isElectric = ({ power, sockets, cable, media, holdsCable, mounts, unknown }: Part): boolean =>
  unknown?.includes('drawW') === true ||
  power !== undefined ||
  (sockets?.length ?? 0) > 0 ||
  cable !== undefined ||
  media !== undefined ||
  holdsCable !== undefined ||
  mounts.some(({ standard }) => standardOf(standard).kind === 'battery')

const isGlass = ({ optics, opening, role, mounts }: Part): boolean =>
  // A screen is looked at, not through.
  (optics !== undefined && optics.kind !== 'screen') ||
  opening !== undefined ||
  roles[role].station === 'glass' ||
  mounts.some(({ standard }) => glassKinds.has(standardOf(standard).kind))

const concernsOf = perThing('concerns of a part', (part: Part): Readonly<Record<Concern, boolean>> => {
  const all = part.role === 'camera'
  return { electric: all || isElectric(part), glass: all || isGlass(part) }
})

/** Has a part to do with a concern? */
export const concernsPart = (part: Part, concern: Concern): boolean => concernsOf(part)[concern]
