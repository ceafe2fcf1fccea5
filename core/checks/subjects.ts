import type { PlacedPart } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import { type FactName, lotOf, lotOfParts, type Sees } from '../facts/index.ts'
import { perThing, flatMap } from '../kernel/index.ts'

/** Subjects that follow from each placed piece alone: a piece that did not change has the very same ones. */
export interface OfEachPiece<S, N extends FactName = never> {
  (facts: Sees<N>): readonly S[]
  readonly of: (piece: PlacedPart) => readonly S[]
  /** The placed pieces that have any. */
  readonly here: (facts: Sees<N>) => readonly PlacedPart[]
  /** Does the rule speak of this set-up at all? */
  readonly when: (facts: Sees<N>) => boolean
  /** Is each of those pieces its own and only subject? */
  readonly isItself: () => boolean
}

type Here<N extends FactName> = (facts: Sees<N>) => readonly PlacedPart[]
const always = (): boolean => true

/**
 * Subjects of a rule that follow from each placed piece by itself, whatever else is on the rig. What the rule made of
 * one stands as long as all stands that it read of the rest.
 * @param here the pieces that have any, where that is told sooner than which
 */
export const ofEachPiece = <S extends object, N extends FactName = never>(
  of: (piece: PlacedPart) => readonly S[],
  when: (facts: Sees<N>) => boolean = always,
  here: Here<N> = lotOf((piece) => of(piece).length > 0),
): OfEachPiece<S, N> => {
  // Most pieces concern few rules: what a rule has nothing to say of is not kept one by one.
  const kept = perThing('subjects of a piece', of)
  return Object.assign((facts: Sees<N>) => (when(facts) ? flatMap(here(facts), kept) : []), {
    of: kept,
    here,
    when,
    isItself: () => false,
  })
}

const nobody: readonly PlacedPart[] = []

/**
 * Pieces as the subjects of a rule: those of its lot are, each by itself. Only where it could not be told of some piece
 * are they asked once more, so that the rule meets what it can't judge.
 */
class Wanted<T> {
  #unclear = false
  readonly #wanted: (thing: T) => boolean | undefined

  constructor(wanted: (thing: T) => boolean | undefined) {
    this.#wanted = wanted
  }

  readonly tells = (thing: T): boolean | undefined => {
    try {
      return this.#wanted(thing)
    } catch (error) {
      this.#unclear = true
      throw error
    }
  }

  /** The pieces of a lot as subjects. @param of what of a piece it is that tells */
  subjects<N extends FactName>(
    of: (piece: PlacedPart) => T,
    when: (facts: Sees<N>) => boolean,
    here: Here<N>,
  ): OfEachPiece<PlacedPart, N> {
    const subjects = (piece: PlacedPart) => (this.tells(of(piece)) ? [piece] : nobody)
    return Object.assign((facts: Sees<N>) => (when(facts) ? flatMap(here(facts), subjects) : nobody), {
      of: subjects,
      here,
      when,
      isItself: () => !this.#unclear,
    })
  }
}

/** The placed pieces of a kind as the subjects of a rule. */
export const piecesThat = <N extends FactName = never>(
  wanted: (piece: PlacedPart) => boolean | undefined,
  when: (facts: Sees<N>) => boolean = always,
): OfEachPiece<PlacedPart, N> => {
  const pieces = new Wanted(wanted)
  return pieces.subjects((piece) => piece, when, lotOf(pieces.tells))
}

/** The same where the part alone tells, wherever it sits. */
export const partsThat = <N extends FactName = never>(
  wanted: (part: Part) => boolean | undefined,
  when: (facts: Sees<N>) => boolean = always,
): OfEachPiece<PlacedPart, N> => {
  const parts = new Wanted(wanted)
  return parts.subjects(({ part }) => part, when, lotOfParts(parts.tells))
}
