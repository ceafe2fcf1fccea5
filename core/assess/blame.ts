import { placeSetup } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import { checks, type Check } from '../checks/index.ts'
import { type FactName, factNames, type Facts, factsAfter } from '../facts/index.ts'
import { type Measure, measuresIn, flatMap } from '../kernel/index.ts'
import { askedFact } from './asked.ts'
import type { Assessment } from './evaluate.ts'
import { costOrigin, hoursOrigin, type Input, massInput, type Origin } from './origins.ts'
import type { Unit } from './reckoning.ts'

/** The one number a figure is told by, where it has one, and what it is counted in. */
interface Headline {
  readonly unit: Unit
  readonly read: (facts: Facts) => number | undefined
}

/** Figures that hang on what the pieces weigh, and the number each is told by. */
const weighty: Partial<Record<FactName, Headline>> = {
  mass: { unit: 'g', read: ({ mass }) => mass.inHandG },
  leadWeights: { unit: 'g', read: ({ leadWeights }) => leadWeights.reduce((sum, { massG }) => sum + massG, 0) },
  loads: {
    unit: 'Nm',
    read: ({ loads }) => [...loads.values()].reduce((most, { momentNm }) => Math.max(most, momentNm), 0),
  },
  hang: { unit: 'deg', read: ({ hang }) => hang?.tiltDeg },
  stand: { unit: 'mm', read: ({ stand }) => (Number.isFinite(stand.marginMm) ? stand.marginMm : undefined) },
  onPlate: { unit: 'mm', read: ({ onPlate }) => onPlate?.offMm },
  shoulder: { unit: 'Nm', read: ({ shoulder }) => shoulder?.momentNm },
  tip: { unit: 'deg', read: ({ tip }) => tip?.tipDeg },
  steadiness: { unit: 'share', read: ({ steadiness }) => steadiness?.yaw },
}

/** Figures that hang on charges and draws, and on prices. */
const others: Partial<Record<FactName, { readonly unit: Unit; readonly origin: (of: Assessment) => Origin }>> = {
  runDown: { unit: 'min', origin: hoursOrigin },
  day: { unit: 'min', origin: hoursOrigin },
  cost: { unit: 'money', origin: costOrigin },
}

/** A figure that another is made of, with how far the other moves when this one is off by its error. */
export interface Suspect extends Input {
  readonly unit: 'g' | 'W' | 'Wh' | 'money'
  readonly movesBy: number
}

/** How far a figure may be off, and which of its inputs is most to blame. */
export interface Blame {
  readonly value: number
  readonly unit: Unit
  readonly low: number
  readonly high: number
  readonly unknown: boolean
  /** Those that move it most, first. */
  readonly most: readonly Suspect[]
}

/** So many are named; what moves the figure by less than this part of what the worst does is not. */
const MOST = 4
const FELT = 0.01

const worst = (suspects: readonly Suspect[]): readonly Suspect[] => {
  const sorted = [...suspects].sort((a, b) => Math.abs(b.movesBy) - Math.abs(a.movesBy)).slice(0, MOST)
  const least = Math.abs(sorted[0]?.movesBy ?? 0) * FELT
  return sorted.filter(({ movesBy }) => Math.abs(movesBy) > least)
}

/** The figures as they would be if a part weighed something else. Nothing of it stays. */
const ifWeighing = ({ rig, assembly, facts, strict }: Assessment, part: Part, massG: number): Facts => {
  const { context } = facts
  const parts = new Map(context.catalogue.parts).set(part.id, { ...part, massG })
  const catalogue = { ...context.catalogue, parts }
  return factsAfter(strict, placeSetup(rig, assembly.setup, catalogue), { ...context, catalogue }, true)
}

const ofMasses = (assessment: Assessment, { unit, read }: Headline): Blame | undefined => {
  const { facts, assembly } = assessment
  const value = read(facts)
  if (value === undefined) return undefined
  const pieces = [
    ...assembly.placed.map(({ instance, part }) => ({ instance: instance.id, part })),
    ...facts.leads.map(({ link, part }) => ({ instance: link.cable, part })),
  ]
  // Two pieces of one part are off together: both are what the same datasheet says.
  const parts = new Map(pieces.map((piece) => [piece.part, piece.instance]))
  const suspects = [...parts].map(([part, instance]): Suspect => {
    const input = massInput(instance, part, facts.context)
    const off = input.error > 0 ? read(ifWeighing(assessment, part, part.massG + input.error)) : value
    return { ...input, unit: 'g', movesBy: (off ?? value) - value }
  })
  const error = Math.hypot(...suspects.map(({ movesBy }) => movesBy))
  return {
    value,
    unit,
    low: value - error,
    high: value + error,
    unknown: suspects.some(({ source }) => source.kind === 'unknown'),
    most: worst(suspects),
  }
}

/**
 * How far a figure may be off and what is most to blame for it. Of a figure that hangs on masses each part is tried with
 * its error on a fork, whatever the figure's formula; the moves add up as the root of their squares (Gauss).
 * @returns undefined for a figure that is a list, or has no value in this set-up
 * @example 1,000 g as stated (30 g) and 400 g weighed (1 g): the first is to blame for 30 g of the mass
 */
export const blameOf = (assessment: Assessment, name: FactName): Blame | undefined => {
  const headline = weighty[name]
  if (headline) return ofMasses(assessment, headline)
  const other = others[name]
  if (!other) return undefined
  const { inputs, moves, ...band } = other.origin(assessment)
  const cells = new Set(assessment.facts.network.cells.map(({ id }) => id))
  const unitOf = ({ instance }: Input): Suspect['unit'] =>
    other.unit === 'money' ? 'money' : cells.has(instance) ? 'Wh' : 'W'
  const suspects = inputs.map((input, i) => ({ ...input, unit: unitOf(input), movesBy: moves?.[i] ?? input.error }))
  return { ...band, unit: other.unit, most: worst(suspects) }
}

/** A limit that a figure is held to. */
export interface HeldTo {
  readonly check: string
  readonly title: string
  /** What is measured and what is allowed in this set-up; undefined where the rule has nothing to judge here. */
  readonly measured: Measure | undefined
  readonly allowed: Measure | undefined
  /** Where the limit comes from, as its rule states it. */
  readonly source: string
  /** Can the operator set it? */
  readonly own: boolean
}

/** Of each figure the rules with a limit that read it. */
const limiting: ReadonlyMap<FactName, readonly Check[]> = new Map(
  factNames.map((name) => [name, checks.filter(({ limit, needs }) => limit && needs.includes(name))]),
)

/**
 * The limits that rules hold a figure of a set-up to, with what is measured against them. A figure that no rule reads is
 * held to the limits of what it is made of.
 */
export const limitsOn = (assessment: Assessment, name: FactName): readonly HeldTo[] => {
  const own = limiting.get(name) ?? []
  const { facts } = assessment
  const held = own.length > 0 ? own : flatMap(askedFact(assessment, name).from, (made) => limiting.get(made) ?? [])
  return [...new Set(held)].map((check) => {
    const { id, title, source, defaults, limit, messages } = check
    const told = flatMap(judgedHere(check, facts), ({ group, message, numbers }) => {
      const found = measuresIn(messages[group][message] ?? '', numbers ?? {})
      const named = (wanted: string | undefined) => found.find(({ name: is }) => is === wanted)
      return named(limit?.allowed) ? [{ measured: named(limit?.measured), allowed: named(limit?.allowed) }] : []
    })
    const settable = typeof defaults === 'object' && defaults !== null && Object.keys(defaults).length > 0
    return { check: id, title, measured: told[0]?.measured, allowed: told[0]?.allowed, source, own: settable }
  })
}

const judgedHere = (check: Check, facts: Facts) => {
  try {
    return check.judgements(facts)
  } catch {
    // The rule's own finding says that it can't judge; here it has no limit to show.
    return []
  }
}
