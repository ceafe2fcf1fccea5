import { type Assembly, type Point, placeSetup, type Rig, setupOf } from '../assembly/index.ts'
import { type Hang, holdMinutes, isPosture, type Mass, type Posture, type Steadiness } from '../balance/index.ts'
import type { Need } from '../brief/index.ts'
import { type Finding, findingsOf, judging, paceOf } from '../checks/index.ts'
import { blankWhereFailed, type FactName, type Facts, factsAfter, factsOf } from '../facts/index.ts'
import { type Context, contextFor } from '../context/index.ts'
import type { Size } from '../clearance/index.ts'
import type { Cost } from '../money/index.ts'
import { type StationState, stationsOf } from './stations.ts'

/** Everything known about one set-up of a rig. Screens, server and scripts all read this. */
export interface Assessment {
  /** The rig as it was given. */
  readonly rig: Rig
  readonly setupId: string
  /** Figures that throw where they could not be worked out; later assessments grow from them. */
  readonly strict: Facts
  /** Figures that could not be worked out read as blank here and stand in `failed`; a finding tells of each. */
  readonly facts: Facts
  readonly failed: ReadonlySet<FactName>
  readonly assembly: Assembly
  readonly points: readonly Point[]
  readonly mass: Mass
  readonly hang: Hang | undefined
  readonly size: Size
  readonly cost: Cost
  readonly needs: readonly Need[]
  readonly unmet: readonly Need[]
  readonly setupSeconds: number
  /** Shake against the bare camera; undefined on a stand. */
  readonly steadiness: Steadiness | undefined
  /** How long it can be held still, minutes; undefined on a stand. An estimate. */
  readonly holdMinutes: number | undefined
  readonly findings: readonly Finding[]
  readonly stations: readonly StationState[]
}

const postureOf = ({ setup }: Assembly): Posture | undefined => (isPosture(setup.support) ? setup.support : undefined)

const holding = (facts: Facts): number | undefined => {
  const posture = postureOf(facts.assembly)
  return posture && holdMinutes(facts.mass.inHandG, posture, facts.context.operator)
}

/** Until a set-up is ready, from nothing: every joint, every lead, and the balance on a stand, s. */
export const secondsOf = (assembly: Assembly, context: Context): number => {
  const { joint, lead, balance } = paceOf(context)
  return assembly.placed.reduce(
    (sum, piece) => sum + (piece.mate?.ok ? joint(piece.mate.value.standard) : 0),
    assembly.setup.links.length * lead + balance(assembly.setup.support),
  )
}

/**
 * Places a set-up once. Figures and findings are worked out once, when they are first looked at. A rule or a figure
 * that fails is told as a finding; all else goes on.
 * @param before an earlier assessment of the same set-up: what did not change since stands as it was worked out then
 * @param rig sound for the context's catalogue. @throws {RangeError} for an unknown set-up or an unsound rig.
 */
export const evaluate = (rig: Rig, setupId: string, given: Context, before?: Assessment): Assessment =>
  assessed(rig, setupId, given, (assembly, context) =>
    before?.setupId === setupId ? factsAfter(before.strict, assembly, context, false) : factsOf(assembly, context),
  )

/**
 * What an edit would make of a set-up, beside what it is: only what the edit reaches is worked out, and nothing of it
 * stays.
 * @param rig the rig with the edit
 * @param before the set-up without it
 */
export const tryOut = (rig: Rig, before: Assessment): Assessment =>
  assessed(rig, before.setupId, before.facts.context, (assembly, context) =>
    factsAfter(before.strict, assembly, context, true),
  )

const assessed = (
  rig: Rig,
  setupId: string,
  given: Context,
  factsFor: (assembly: Assembly, context: Context) => Facts,
): Assessment => {
  const setup = setupOf(rig, setupId)
  if (!setup) throw new RangeError(`No set-up "${setupId}"; this rig has ${rig.setups.map(({ id }) => id).join(', ')}`)
  const context = contextFor(rig, given)
  const assembly = placeSetup(rig, setup, context.catalogue)
  return new Assessed(rig, setupId, factsFor(assembly, context))
}

/**
 * A class, since its getters stand once for all: those of a literal are made with each object, in a part of memory that
 * is looked over rarely, and hold all that a try has worked out until then.
 */
class Assessed implements Assessment {
  readonly rig: Rig
  readonly setupId: string
  readonly strict: Facts
  readonly facts: Facts
  readonly failed = new Set<FactName>()
  readonly assembly: Assembly
  #findings: readonly Finding[] | undefined

  constructor(rig: Rig, setupId: string, strict: Facts) {
    this.rig = rig
    this.setupId = setupId
    this.strict = strict
    this.facts = blankWhereFailed(strict, this.failed)
    this.assembly = strict.assembly
  }

  get points() {
    return this.facts.points
  }
  get mass() {
    return this.facts.mass
  }
  get hang() {
    return this.facts.hang
  }
  get size() {
    return this.facts.size
  }
  get cost() {
    return this.facts.cost
  }
  get needs() {
    return this.facts.needs
  }
  get unmet() {
    return this.facts.unmet
  }
  get setupSeconds() {
    return secondsOf(this.assembly, this.facts.context)
  }
  get steadiness() {
    return this.facts.steadiness
  }
  get holdMinutes() {
    return holding(this.facts)
  }
  get findings() {
    return (this.#findings ??= findingsOf(this.strict))
  }
  get stations() {
    return stationsOf(this.facts, this.findings)
  }
}

/** What the rules say of a set-up, worked out in many small steps; then it is there when it is looked at. */
export const judgingOf = ({ strict }: Assessment): Generator<undefined, undefined> => judging(strict)
