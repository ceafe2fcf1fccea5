import { flatMap } from '../kernel/index.ts'
import { type Command, edit, type Rig, setupOf, socketsOf, socketName } from '../assembly/index.ts'
import { type Carried, carried } from '../catalogue/index.ts'
import type { Context } from '../context/index.ts'
import { checks, countLevels, type Finding, findingKey, type Level, stockOf } from '../checks/index.ts'
import {
  isTaken,
  type LeadOption,
  leadsBetween,
  type Plan,
  planWiring,
  plugIn,
  type School,
  schoolsOf,
  type Unmet,
} from '../wiring/index.ts'
import { evaluate, tryOut } from './evaluate.ts'

/** A lead of a proposal, as plain data: it can be sent from a worker. */
export interface LeadLine {
  readonly what: Carried
  readonly from: string
  readonly to: string
  readonly partId: string
  readonly name: string
  readonly source: LeadOption['source']
  readonly needMm: number
  readonly spareMm: number
  readonly priceMinor: number
  readonly massG: number
  readonly commands: readonly Command[]
}

/** What is left open, and why. */
export interface OpenLine {
  readonly what: Carried
  readonly piece: string
  readonly why: Unmet['why']
}

/** The leads that would wire a set-up. */
export interface Proposal {
  readonly leads: readonly LeadLine[]
  readonly open: readonly OpenLine[]
  readonly commands: readonly Command[]
  readonly toBuyMinor: number
  readonly massG: number
  readonly exact: boolean
  readonly tried: number
}

const lineOf = (rig: Rig, setup: string, option: LeadOption): LeadLine => ({
  what: option.what,
  from: socketName(option.from),
  to: socketName(option.to),
  partId: option.part.id,
  name: option.part.name,
  source: option.source,
  needMm: option.run.needMm,
  spareMm: option.run.spareMm,
  priceMinor: option.source === 'catalogue' ? option.part.price.usual : 0,
  massG: option.part.massG,
  commands: plugIn(rig, setup, option).commands,
})

const proposalOf = (rig: Rig, setup: string, plan: Plan): Proposal => ({
  leads: plan.leads.map((option) => lineOf(rig, setup, option)),
  open: plan.unmet.map(({ demand, why }) => ({ what: demand.what, piece: demand.piece.part.name, why })),
  commands: plan.commands,
  toBuyMinor: plan.toBuyMinor,
  massG: plan.massG,
  exact: plan.exact,
  tried: plan.tried,
})

/**
 * The leads a set-up still needs, chosen together. @param anew unplug everything first and wire it from nothing
 * @throws {RangeError} for an unknown set-up
 */
export const wiringFor = (rig: Rig, setupId: string, context: Context, anew = false): Proposal => {
  const setup = setupOf(rig, setupId)
  const first: readonly Command[] = anew
    ? (setup?.links ?? []).map(({ cable }) => ({ do: 'unlink', setup: setupId, cable }))
    : []
  const edited = edit(rig, first, context.catalogue)
  const bare = edited.ok ? edited.value : rig
  const { facts, assembly } = evaluate(bare, setupId, context)
  const plan = planWiring(assembly, stockOf(facts))
  return { ...proposalOf(bare, setupId, plan), commands: [...first, ...plan.commands] }
}

/** A way to power the camera, and what comes of it. */
export interface SchoolLine {
  readonly school: School
  readonly why: ReturnType<typeof schoolsOf>[number]['why']
  readonly commands: readonly Command[]
  readonly leads: number
  /** How long the camera records without a change, minutes; Infinity when it never stops. */
  readonly cameraMin: number
  /** When the first thing goes dark in the day of the brief, minutes; Infinity when the day is covered. */
  readonly failsAtMin: number
  readonly massG: number
  readonly toBuyMinor: number
  readonly doorOpen: boolean
  readonly findings: Readonly<Record<Level, number>>
  /** Stops and risks that are not there as it is, and would be: their titles. */
  readonly brings: readonly string[]
  /** The set-up is powered this way already. */
  readonly now: boolean
}

const titles = new Map(checks.map(({ id, title }) => [id, title]))

/**
 * The schools of powering the camera side by side: hours, grams, money with all leads and packs that are to be bought,
 * and what the checks say of each. As it is stands first, then what brings no new trouble, by how long the camera runs.
 */
export const schoolLines = (rig: Rig, setupId: string, context: Context): readonly SchoolLine[] => {
  const before = evaluate(rig, setupId, context)
  const grave = (findings: readonly Finding[]) => findings.filter(({ level }) => level !== 'hint')
  const known = new Set(grave(before.findings).map(findingKey))
  const lines = schoolsOf(before.assembly, stockOf(before.facts)).map(
    ({ school, why, commands, plan, rig: wired }): SchoolLine => {
      const after = wired && tryOut(wired, before)
      const camera = after?.assembly.setup.root ?? ''
      return {
        school,
        why,
        commands,
        leads: plan.leads.length,
        cameraMin: after?.facts.runDown.nodeMin.get(camera) ?? 0,
        failsAtMin: after?.facts.day.failsAtMin ?? 0,
        massG: after ? after.mass.inHandG - before.mass.inHandG : 0,
        toBuyMinor: after ? after.cost.usual - before.cost.usual : 0,
        doorOpen:
          after?.assembly.placed.some(({ part, host }) => host?.instance.id === camera && part.power?.doorOpen) ??
          false,
        findings: after ? countLevels(after.findings) : { stop: 0, risk: 0, hint: 0 },
        brings: [
          ...new Set(
            grave(after?.findings ?? [])
              .filter((finding) => !known.has(findingKey(finding)))
              .map(({ check }) => titles.get(check) ?? check),
          ),
        ],
        now: why === undefined && commands.length === 0,
      }
    },
  )
  return [...lines].sort(
    (a, b) =>
      Number(b.now) - Number(a.now) ||
      Number(a.why !== undefined) - Number(b.why !== undefined) ||
      Math.min(1, a.brings.length) - Math.min(1, b.brings.length) ||
      b.cameraMin - a.cameraMin,
  )
}

/** What can be plugged into a socket: for each other socket that is free, the leads that would do, the best first. */
export const plugsFor = (
  rig: Rig,
  setupId: string,
  instance: string,
  socketId: string,
  context: Context,
): readonly LeadLine[] => {
  const { assembly, facts } = evaluate(rig, setupId, context)
  const stock = stockOf(facts)
  const sockets = socketsOf(assembly)
  const here = sockets.find(({ piece, socket }) => piece.instance.id === instance && socket.id === socketId)
  if (!here || isTaken(assembly, here)) return []
  const options = flatMap(
    sockets.filter((other) => other.piece !== here.piece && !other.socket.phones && !isTaken(assembly, other)),
    (other) =>
      flatMap(carried, (what) => [
        ...leadsBetween(assembly, stock, here, other, what).options,
        ...leadsBetween(assembly, stock, other, here, what).options,
      ]),
  )
  const seen = new Set<string>()
  return options
    .sort((a, b) => a.cost - b.cost || (a.part.id < b.part.id ? -1 : 1))
    .map((option) => lineOf(rig, setupId, option))
    .filter(({ partId, from, to }) => {
      const key = [partId, ...[from, to].sort()].join('|')
      if (seen.has(key)) return false
      seen.add(key)
      return true
    })
}
