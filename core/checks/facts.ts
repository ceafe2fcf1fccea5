import { type Assembly, type Point, pointsOf } from '../assembly/index.ts'
import { type Hang, hangOf, inHand, type Mass, massOf, type Stand, standOf, type TwoHands, twoHandsOf } from '../balance/index.ts'
import { type Need, needsOf, unmet } from '../brief/index.ts'
import type { Catalogue } from '../catalogue/index.ts'
import { type Clash, clashesOf, type Invasion, invasionsOf, type Size, sizeOf } from '../clearance/index.ts'
import { type Cost, costOf } from '../money/index.ts'

/** What surrounds a rig: all known parts, and how many of each lie in the locker. */
export interface Shelf {
  readonly catalogue: Catalogue
  readonly owned: ReadonlyMap<string, number>
}

export const factNames = ['points', 'mass', 'hang', 'cost', 'clashes', 'size', 'needs', 'unmet', 'rooms', 'stand', 'hands'] as const
export type FactName = (typeof factNames)[number]

/** The figures of one placed set-up, each worked out when first asked for, then kept. */
export interface Facts {
  readonly assembly: Assembly
  readonly shelf: Shelf
  readonly points: readonly Point[]
  readonly mass: Mass
  readonly hang: Hang | undefined
  readonly cost: Cost
  readonly clashes: readonly Clash[]
  readonly size: Size
  readonly needs: readonly Need[]
  readonly unmet: readonly Need[]
  /** The first invasion of each swing and hand room; hands are taken with gloves when the brief is cold. */
  readonly invasions: readonly Invasion[]
  readonly stand: Stand
  readonly hands: TwoHands | undefined
}

/** What a glove adds under a grip, mm. */
export const GLOVE_MM = 8

const lazily = <T>(make: () => T): (() => T) => {
  let made: { value: T } | undefined
  return () => (made ??= { value: make() }).value
}

export const factsOf = (assembly: Assembly, shelf: Shelf): Facts => {
  const points = lazily(() => pointsOf(assembly))
  const mass = lazily(() => massOf(assembly))
  const hang = lazily(() => hangOf(assembly, mass()))
  const cost = lazily(() => costOf(assembly.rig, shelf.catalogue, shelf.owned))
  const clashes = lazily(() => clashesOf(assembly))
  const size = lazily(() => sizeOf(assembly.placed.filter(inHand)))
  const needs = lazily(() => needsOf(assembly.rig.brief))
  const open = lazily(() =>
    unmet(
      needs(),
      assembly.placed.map((piece) => piece.part),
    ),
  )
  const gloveMm = assembly.rig.brief.conditions.includes('cold') ? GLOVE_MM : 0
  const invasions = lazily(() =>
    assembly.placed.flatMap((piece) => [...invasionsOf(assembly, piece, 'swing'), ...invasionsOf(assembly, piece, 'hand', gloveMm)]),
  )
  const stand = lazily(() => standOf(assembly, mass()))
  const hands = lazily(() => twoHandsOf(assembly, mass()))
  return {
    assembly,
    shelf,
    get points() {
      return points()
    },
    get mass() {
      return mass()
    },
    get hang() {
      return hang()
    },
    get cost() {
      return cost()
    },
    get clashes() {
      return clashes()
    },
    get size() {
      return size()
    },
    get needs() {
      return needs()
    },
    get unmet() {
      return open()
    },
    get invasions() {
      return invasions()
    },
    get stand() {
      return stand()
    },
    get hands() {
      return hands()
    },
  }
}
