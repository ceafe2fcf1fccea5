import type { Concern } from '../catalogue/index.ts'
import type { FactName, Facts, Figures, Sees } from './figures.ts'

/** A figure as its family states it: what it reads, and how it is worked out. */
export interface Fact<K extends FactName = FactName> {
  readonly needs: readonly FactName[]
  /** The pieces it looks at have to do with this; left out: it looks at all. */
  readonly about: Concern | undefined
  /** @param was what it was before an edit: a hint to start from, which must not change what comes out */
  readonly make: (facts: Facts, was?: Figures[K]) => Figures[K]
}

/**
 * States a figure. It sees the set-up, what surrounds it and the figures it names, and its type has no others.
 * @example `hang: fact(['hangs'], ({ hangs }) => hangs[0])`
 */
export const fact = <K extends FactName, N extends FactName = never>(
  needs: readonly N[],
  make: (facts: Sees<N>, was?: Figures[K]) => Figures[K],
  about?: Concern,
): Fact<K> => ({ needs, about, make })

/** The figures of a family, by name. */
export type FactTable<K extends FactName> = { readonly [Name in K]: Fact<Name> }
