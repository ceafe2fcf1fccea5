import type { Assembly, Link, Support } from '../assembly/index.ts'
import type { Ask } from '../engine/index.ts'

/**
 * What a rig's set-ups have of one kind, set-up by set-up. Whoever looks at that alone asks for it here: a piece that is
 * put on in one of them leaves the leads of all as they are, and the question is not asked again.
 */
export const ofSetups = {
  'rig.leads': ({ rig }: Pick<Assembly, 'rig'>): readonly (readonly Link[])[] => rig.setups.map(({ links }) => links),
  'rig.supports': ({ rig }: Pick<Assembly, 'rig'>): readonly Support[] => rig.setups.map(({ support }) => support),
} as const
type OfSetups = typeof ofSetups

const asked =
  <K extends keyof OfSetups>(leaf: K) =>
  (facts: { readonly assembly: Pick<Assembly, 'rig'> }): ReturnType<OfSetups[K]> => {
    const { ask } = facts as { readonly ask?: Ask }
    return (ask ? ask.leaf(leaf) : ofSetups[leaf](facts.assembly)) as ReturnType<OfSetups[K]>
  }

/** The leads that are plugged in, a list for each set-up. */
export const leadsOfSetups = asked('rig.leads')
/** How each set-up is held. */
export const supportsOfSetups = asked('rig.supports')
