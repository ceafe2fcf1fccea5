import { flatMap } from '../kernel/index.ts'
import type { PlacedPart } from '../assembly/index.ts'
import { mate, mountOf } from '../catalogue/index.ts'
import { bothOf, findingsOfCheck, paceOf, type Remedy } from '../checks/index.ts'
import type { Facts } from '../facts/index.ts'
import { comparedMinor } from '../money/index.ts'
import { namedWays } from '../remedies/index.ts'
import { accept, type Known, reachTarget, type TargetFound, type TargetStep } from '../ways-out/index.ts'
import { changeOf, type Effect } from './effect.ts'
import { type Assessment, secondsOf } from './evaluate.ts'

/** What can be brought down: grams in the hand, money still to buy, seconds until it is ready. */
export const targets = ['in-hand', 'to-buy', 'set-up'] as const
export type TargetId = (typeof targets)[number]

/** A list that brings a figure down, with the running sum. */
export interface TargetAnswer {
  readonly steps: readonly TargetStep[]
  readonly remedy: Remedy | undefined
  readonly isReached: boolean
  readonly effect: Effect | undefined
  /** A camera in the bill that may well be the operator's own: to say so is the first thing to do. */
  readonly perhapsOwned?: {
    readonly instance: string
    readonly partId: string
    readonly name: string
    readonly minor: number
  }
}

/** What the rig may weigh in the hand or on its stand: the least of what the brief, the set-up and the stand allow. */
export const heaviestOf = ({
  assembly,
  facts,
  rig,
}: Assessment): { readonly limitG: number; readonly stand?: PlacedPart } => {
  const cap = assembly.setup.capG || rig.brief.inHandG || Infinity
  const stand = facts.onPlate?.stand
  const carriesG = stand?.mate?.ok ? stand.mate.value.limitG : Infinity
  return stand && carriesG <= cap ? { limitG: carriesG, stand } : { limitG: cap }
}

/** How much less is wanted, in g, minor units or s: what is over the limit, or a usual step down. */
export const usualTarget = (assessment: Assessment, id: TargetId): number => {
  const { mass, cost, rig } = assessment
  const { brief } = rig
  const over =
    id === 'in-hand'
      ? mass.inHandG - heaviestOf(assessment).limitG
      : id === 'to-buy'
        ? cost.usual - (brief.budgetMinor || cost.usual)
        : 0
  return over > 0 ? Math.ceil(over) : { 'in-hand': 300, 'to-buy': 10_000, 'set-up': 60 }[id]
}

const figures: Readonly<Record<TargetId, (facts: Facts) => number>> = {
  'in-hand': ({ mass }) => mass.inHandG,
  'to-buy': ({ cost }) => cost.usual,
  'set-up': ({ assembly, context }) => secondsOf(assembly, context),
}

/** What a piece has of it by itself; what the locker has is bought no more. */
const estimates = ({ facts }: Assessment, id: TargetId): ((piece: PlacedPart) => number) => {
  if (id === 'in-hand') return ({ part }) => part.massG
  if (id === 'to-buy') return ({ part }) => ((facts.context.owned.get(part.id) ?? 0) > 0 ? 0 : comparedMinor(part))
  const { joint: secondsFor } = paceOf(facts.context)
  // Of a rival it is not known yet by which mount it would sit: the quickest counts.
  return ({ host, joint, part }) => {
    const mount = host && joint && mountOf(host.part, joint.hostMount)
    if (!mount) return 0
    const made = part.mounts
      .filter(({ carries }) => !carries)
      .map((own) => mate({ part: host.part, mount }, { part, mount: own }))
    const seconds = flatMap(made, (one) => (one.ok ? [secondsFor(one.value.standard)] : []))
    return seconds.length > 0 ? Math.min(...seconds) : 0
  }
}

/**
 * What was made lighter for a head or a gimbal, slid over the middle of its plate again where it left it: the stand has to
 * carry it and to hold it.
 */
const balanced = (known: Known, { setupId }: Assessment, found: TargetFound): TargetFound => {
  const { after, remedy, steps } = found
  const off = after && findingsOfCheck(after.facts, 'plate-offset')[0]
  if (!off || !remedy) return found
  for (const slide of namedWays(off)) {
    const both = bothOf(remedy, slide)
    const verdict = accept(known, setupId, undefined, both)
    if (verdict.as !== 'plain' || !verdict.after) continue
    const step = { remedy: slide, gains: 0, sum: steps.at(-1)?.sum ?? 0 }
    return { ...found, remedy: both, steps: [...steps, step], after: verdict.after }
  }
  return found
}

/** Swaps and removals that bring a figure of a set-up down by so much; nothing that the brief asks for is among them. */
export const targetOf = (known: Known, before: Assessment, id: TargetId, by: number): TargetAnswer => {
  const found = reachTarget(known, before.setupId, figures[id], estimates(before, id), by)
  const { steps, remedy, isReached, after } = id === 'in-hand' ? balanced(known, before, found) : found
  const [camera] = before.assembly.placed
  const line =
    id === 'to-buy' ? before.cost.lines.find((one) => one.instance === camera?.instance.id && !one.owned) : undefined
  return {
    steps,
    remedy,
    isReached,
    effect: after && changeOf(before, after),
    ...(line && camera
      ? { perhapsOwned: { instance: line.instance, partId: camera.part.id, name: camera.part.name, minor: line.usual } }
      : {}),
  }
}
