import { flatMap } from '../kernel/index.ts'
import { type Assembly, type Command, type PlacedPart, type SocketHere } from '../assembly/index.ts'
import { type Run, runsOf } from '../cabling/index.ts'
import type { Carried } from '../catalogue/index.ts'
import { cablesOf } from '../power/index.ts'
import { type Demand, demandsOf, othersFor, records } from './demands.ts'
import { isTaken, type LeadOption, leadsBetween, nearerMiss, type NoLead, plugIn, type Stock } from './leads.ts'

/** A demand that no lead meets, and why. */
export interface Unmet {
  readonly demand: Demand
  readonly why: NoLead | 'no-socket' | 'sockets-taken'
}

export interface Plan {
  readonly leads: readonly LeadOption[]
  readonly unmet: readonly Unmet[]
  readonly commands: readonly Command[]
  /** Proved best; false when there were too many ways and the best of those tried is given. */
  readonly exact: boolean
  readonly tried: number
  readonly toBuyMinor: number
  readonly massG: number
}

/** A demand that stays open costs more than any lead. */
export const UNMET_COST = 10_000_000
/** So many steps are taken before the best found so far has to do. */
export const MOST_STEPS = 20_000

interface Open {
  readonly demand: Demand
  readonly options: readonly LeadOption[]
  readonly why: Unmet['why']
}

const keyOf = ({ piece, socket }: SocketHere): string => `${piece.instance.id}/${socket.id}`

/** All that could meet a demand, the best first. */
const openOf = (assembly: Assembly, stock: Stock, demand: Demand): Open => {
  const others = othersFor(assembly, demand).filter((here) => !isTaken(assembly, here))
  const mine = demand.own.filter((here) => !isTaken(assembly, here))
  let why: Unmet['why'] =
    othersFor(assembly, demand).length === 0 || demand.own.length === 0 ? 'no-socket' : 'sockets-taken'
  const options = flatMap(mine, (own) =>
    flatMap(others, (other) => {
      const [from, to] = demand.way === 'in' ? [other, own] : [own, other]
      const found = leadsBetween(assembly, stock, from, to, demand.what)
      why = why === 'no-socket' || why === 'sockets-taken' ? found.why : nearerMiss(why, found.why)
      return found.options
    }),
  )
  return { demand, options: options.sort((a, b) => a.cost - b.cost), why }
}

interface State {
  readonly used: Set<string>
  /** How many pieces of a part at hand are in use. */
  readonly atHand: Map<string, number>
  readonly chosen: (LeadOption | undefined)[]
}

const ownedSpare = (assembly: Assembly, stock: Stock, partId: string): number =>
  (stock.owned.get(partId) ?? 0) -
  assembly.rig.kit.filter((piece) => piece.partId === partId && piece.status === 'in').length

const canTake = (assembly: Assembly, stock: Stock, state: State, option: LeadOption): boolean => {
  if (state.used.has(keyOf(option.from)) || state.used.has(keyOf(option.to))) return false
  if (option.source === 'catalogue') return true
  const have = option.source === 'kit' ? option.idle.length : ownedSpare(assembly, stock, option.part.id)
  return (state.atHand.get(option.part.id) ?? 0) < have
}

const mark = (state: State, option: LeadOption, by: 1 | -1): void => {
  for (const key of [keyOf(option.from), keyOf(option.to)]) {
    if (by === 1) state.used.add(key)
    else state.used.delete(key)
  }
  if (option.source !== 'catalogue') state.atHand.set(option.part.id, (state.atHand.get(option.part.id) ?? 0) + by)
}

interface Hop {
  readonly what: Carried
  readonly from: PlacedPart
  readonly to: PlacedPart
}

/**
 * Do all signals start and end where they should? A picture comes from the camera through pieces that get it
 * themselves, a sound ends in something that records it, and power never runs in a ring.
 */
const holdsTogether = (chosen: readonly LeadOption[], runs: readonly Run[]): boolean => {
  const hops: Hop[] = [
    ...flatMap(runs, (run) => run.cable.carries.map((what): Hop => ({ what, from: run.from.piece, to: run.to.piece }))),
    ...chosen.map(({ what, from, to }): Hop => ({ what, from: from.piece, to: to.piece })),
  ]
  return chosen.every(({ what, from, to }) => {
    const seen = new Set<PlacedPart>()
    if (what === 'picture' || what === 'power') {
      for (let at: PlacedPart | undefined = from.piece; at;) {
        if (seen.has(at)) return false
        seen.add(at)
        const next: Hop | undefined = hops.find((hop) => hop.what === what && hop.to === at)
        if (!next) return what === 'power' || at.part.role === 'camera'
        at = next.from
      }
    }
    if (what === 'sound') {
      for (let at: PlacedPart | undefined = to.piece; at;) {
        if (seen.has(at)) return false
        if (records(at)) return true
        seen.add(at)
        at = hops.find((hop) => hop.what === 'sound' && hop.from === at)?.to
      }
      return false
    }
    return true
  })
}

/** What two demands could get in each other's way over: sockets, and leads of which there are only so many. */
const claims = ({ options }: Open): readonly string[] =>
  flatMap(options, ({ from, to, source, part }) => [
    keyOf(from),
    keyOf(to),
    ...(source === 'catalogue' ? [] : [part.id]),
  ])

/**
 * Demands that could want the same thing, together; the groups can be settled one by one. Signals that pass through
 * pieces stay whole.
 */
const groupsOf = (opens: readonly Open[]): readonly (readonly Open[])[] => {
  const groups: { readonly opens: Open[]; readonly claims: Set<string> }[] = []
  for (const open of opens) {
    const own = new Set([...claims(open), open.demand.what])
    const meets = groups.filter((group) => [...own].some((claim) => group.claims.has(claim)))
    const joined = {
      opens: [...flatMap(meets, (group) => group.opens), open],
      claims: new Set([...own, ...flatMap(meets, (group) => [...group.claims])]),
    }
    for (const group of meets) groups.splice(groups.indexOf(group), 1)
    groups.push(joined)
  }
  return groups.map((group) => group.opens)
}

interface Found {
  readonly best: readonly (LeadOption | undefined)[]
  readonly steps: number
}

/** Tries all ways to meet the demands of one group, leaving out what can not beat the best so far. */
const search = (
  assembly: Assembly,
  stock: Stock,
  opens: readonly Open[],
  runs: readonly Run[],
  mostSteps: number,
): Found => {
  const state: State = { used: new Set(), atHand: new Map(), chosen: [] }
  let best: readonly (LeadOption | undefined)[] = opens.map(() => undefined)
  let bestCost = opens.length * UNMET_COST + 1
  let steps = 0
  /** What the demands from here on cost at least, each with the best lead that is not taken yet. */
  const atLeast = (from: number): number => {
    let sum = 0
    for (let i = from; i < opens.length; i++)
      sum += opens[i]?.options.find((option) => canTake(assembly, stock, state, option))?.cost ?? UNMET_COST
    return sum
  }
  const walk = (i: number, cost: number): void => {
    if (++steps > mostSteps || cost + atLeast(i) >= bestCost) return
    const open = opens[i]
    if (!open) {
      const chosen = flatMap(state.chosen, (option) => option ?? [])
      if (!holdsTogether(chosen, runs)) return
      best = [...state.chosen]
      bestCost = cost
      return
    }
    for (const option of open.options) {
      if (!canTake(assembly, stock, state, option)) continue
      mark(state, option, 1)
      state.chosen.push(option)
      walk(i + 1, cost + option.cost)
      state.chosen.pop()
      mark(state, option, -1)
    }
    state.chosen.push(undefined)
    walk(i + 1, cost + UNMET_COST)
    state.chosen.pop()
  }
  walk(0, 0)
  return { best, steps }
}

/**
 * The leads that wire a set-up for all it needs: as few demands left open as can be, then the least money, grams and
 * nuisance (see the costs in `leads.ts`). Leads that are plugged in already stay; each socket takes one plug.
 * @param trickle the camera is to be fed by USB-C beside its own pack
 */
export const planWiring = (assembly: Assembly, stock: Stock, trickle = false): Plan => {
  const cables = cablesOf(assembly, (id) => stock.catalogue.parts.get(id))
  const runs = runsOf(assembly, cables)
  const opens = demandsOf(assembly, runs, trickle)
    .map((demand) => openOf(assembly, stock, demand))
    .sort((a, b) => a.options.length - b.options.length)
  const groups = groupsOf(opens)
  const found = groups.map((group) => search(assembly, stock, group, runs, MOST_STEPS / groups.length))
  const chosen = new Map(flatMap(groups, (group, g) => group.map((open, i) => [open, found[g]?.best[i]] as const)))
  const best = opens.map((open) => chosen.get(open))
  const steps = found.reduce((sum, one) => sum + one.steps, 0)
  const exact = found.every((one) => one.steps <= MOST_STEPS / groups.length)
  const leads = flatMap(best, (option) => option ?? [])
  const commands: Command[] = []
  const ids: string[] = []
  for (const option of leads) {
    const made = plugIn(assembly.rig, assembly.setup.id, option, ids)
    ids.push(made.cable)
    commands.push(...made.commands)
  }
  return {
    leads,
    unmet: flatMap(opens, ({ demand, options, why }, i) =>
      best[i] ? [] : [{ demand, why: options.length > 0 ? 'sockets-taken' : why }],
    ),
    commands,
    exact,
    tried: steps,
    toBuyMinor: leads.reduce((sum, { source, part }) => sum + (source === 'catalogue' ? part.price.usual : 0), 0),
    massG: leads.reduce((sum, { part }) => sum + part.massG, 0),
  }
}
