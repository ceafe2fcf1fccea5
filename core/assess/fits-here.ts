import { type Command, freshId, type Instance, type Point, seatingsAt, type Rig } from '../assembly/index.ts'
import { mate, type Part, standardOf } from '../catalogue/index.ts'
import { spareOwned } from '../checks/index.ts'
import { clashWith } from '../clearance/index.ts'
import type { Shelf } from '../checks/index.ts'
import type { Issue } from '../kernel/index.ts'
import { type Effect, effectOf } from './effect.ts'
import { type Assessment, evaluate } from './evaluate.ts'

/** A part that goes on a point, and what it would change. */
export interface Fit {
  readonly part: Part
  /** kit: lies in the kit unused. owned: in the locker. catalogue: to buy. */
  readonly from: 'kit' | 'owned' | 'catalogue'
  readonly commands: readonly Command[]
  readonly effect: Effect
}

/** A part that does not go on, why, and the edit that puts it there all the same so that its remedies can be seen. */
export interface Misfit {
  readonly part: Part
  readonly from: Fit['from']
  readonly issue: Issue
  readonly commands: readonly Command[]
}

export interface FitsHere {
  readonly fits: readonly Fit[]
  readonly misfits: readonly Misfit[]
}

interface Candidate {
  readonly part: Part
  readonly instance: Instance
  readonly from: Fit['from']
  readonly first: readonly Command[]
}

const HARM = { stop: 100, risk: 10, hint: 1 } as const
const harm = ({ gained, lost }: Effect): number =>
  (gained.stop - lost.stop) * HARM.stop + (gained.risk - lost.risk) * HARM.risk + (gained.hint - lost.hint) * HARM.hint

const candidatesFor = (rig: Rig, assessment: Assessment, shelf: Shelf): Candidate[] => {
  const loose = new Map(assessment.assembly.loose.map(({ instance, part }) => [part, instance]))
  return [...shelf.catalogue.parts.values()].map((part): Candidate => {
    const idle = loose.get(part)
    if (idle)
      return { part, instance: idle, from: 'kit', first: idle.status === 'in' ? [] : [{ do: 'status', instance: idle.id, status: 'in' }] }
    const instance: Instance = { id: freshId(rig, part.id), partId: part.id, status: 'in' }
    return { part, instance, from: spareOwned(assessment.facts, part) ? 'owned' : 'catalogue', first: [{ do: 'add', instance }] }
  })
}

const FROM_ORDER = { kit: 0, owned: 1, catalogue: 2 } as const
const byOrigin = (a: Fit | Misfit, b: Fit | Misfit): number => FROM_ORDER[a.from] - FROM_ORDER[b.from]

/** Kit and locker first, then the least harm, money and grams; ids settle the rest. */
export const byHarm = (a: Fit, b: Fit): number =>
  byOrigin(a, b) ||
  harm(a.effect) - harm(b.effect) ||
  a.effect.toBuyMinor - b.effect.toBuyMinor ||
  a.part.massG - b.part.massG ||
  (a.part.id < b.part.id ? -1 : 1)

/**
 * Which parts go on an open point, each with what it would change: kit and locker first, then by harm done, money and grams.
 * Of the ways a part can sit there the one that runs into least is taken.
 */
export const fitsHere = (rig: Rig, setupId: string, point: Point, shelf: Shelf, assessment?: Assessment): FitsHere => {
  const before = assessment ?? evaluate(rig, setupId, shelf, false)
  const fits: Fit[] = []
  const misfits: Misfit[] = []
  const { placed } = before.assembly
  for (const candidate of candidatesFor(rig, before, shelf)) {
    const seatings = seatingsAt(point, candidate.instance, candidate.part)
    if (seatings.length === 0) {
      const misfit = misfitOf(candidate, point, setupId)
      if (misfit) misfits.push(misfit)
      continue
    }
    let best = seatings[0]
    let least = Infinity
    for (const seating of seatings) {
      const depth = clashWith(seating.piece, placed)
      if (depth < least) [best, least] = [seating, depth]
      if (least === 0) break
    }
    if (!best) continue
    const commands: Command[] = [...candidate.first, { do: 'place', setup: setupId, joint: best.joint }]
    const effect = effectOf(rig, setupId, commands, shelf, before)
    if (!('issues' in effect)) fits.push({ part: candidate.part, from: candidate.from, commands, effect })
  }
  fits.sort(byHarm)
  misfits.sort((a, b) => byOrigin(a, b) || (a.part.name < b.part.name ? -1 : 1))
  return { fits, misfits }
}

/** The mount by which a part would most nearly go on: one of the same kind if it has one, else its first. */
const misfitOf = (candidate: Candidate, point: Point, setup: string): Misfit | undefined => {
  const kind = standardOf(point.mount.standard).kind
  const { part, instance, from, first } = candidate
  const plugs = part.mounts.filter((mount) => mount.side !== point.mount.side && !mount.carries)
  const near = plugs.find((mount) => standardOf(mount.standard).kind === kind) ?? plugs[0]
  if (!near || part.role === 'camera') return undefined
  const made = mate({ part: point.piece.part, mount: point.mount }, { part, mount: near })
  if (made.ok || !made.issues[0]) return undefined
  const joint = {
    guest: instance.id,
    guestMount: near.id,
    host: point.piece.instance.id,
    hostMount: point.mount.id,
    slideMm: 0,
    turnDeg: 0,
  }
  return { part, from, issue: made.issues[0], commands: [...first, { do: 'place', setup, joint }] }
}
