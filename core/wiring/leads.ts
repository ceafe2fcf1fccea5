import {
  everywhere,
  type Assembly,
  type Command,
  freshId,
  type Instance,
  type Link,
  type PlacedPart,
  type Rig,
  type SocketHere,
} from '../assembly/index.ts'
import { gives, type Run, runBetween, takes } from '../cabling/index.ts'
import {
  type Cable,
  type Carried,
  type Catalogue,
  type ConnectorId,
  HANGS_MM,
  offeredParts,
  type Part,
  pictureFormats,
  cheapestFirst,
  type Volts,
} from '../catalogue/index.ts'
import { perThing } from '../kernel/index.ts'
import { suits, voltsAt } from '../power/index.ts'

/** What is around a rig when its leads are chosen. */
export interface Stock {
  readonly catalogue: Catalogue
  readonly owned: ReadonlyMap<string, number>
  /** What the time to plug one lead in is worth, minor units. */
  readonly leadMinor?: number
  /** How far a plug can stand out of a socket before it meets something, mm; Infinity when nothing is near. */
  readonly freeMm: (here: SocketHere) => number
}

/** A lead that would do between two sockets, and what it costs to use it. */
export interface LeadOption {
  readonly from: SocketHere
  readonly to: SocketHere
  readonly what: Carried
  readonly part: Part & { readonly cable: Cable }
  /** What it is laid through. */
  readonly through: readonly PlacedPart[]
  readonly source: 'kit' | 'owned' | 'catalogue'
  /** The pieces of the kit that lie idle, when it comes from there. */
  readonly idle: readonly Instance[]
  readonly run: Pick<Run, 'needMm' | 'reachMm' | 'spareMm' | 'pathMm' | 'points' | 'from' | 'to'>
  /** Minor money units, with what is bad about it added in the same coin. */
  readonly cost: number
}

/** A lead between two sockets, before it is known where it comes from. */
export type Candidate = Omit<LeadOption, 'source' | 'idle' | 'cost'>

/** What a gram on the rig is worth in the planner's eyes, and what it gives to avoid a nuisance. Minor units. */
export const GRAM_COST = 2
export const LOOSE_COST = 200
/** And for each mm that hangs over. */
export const LOOSE_MM_COST = 1
export const TWIST_COST = 100
export const THIN_COST = 500
export const EARLY_COST = 800
/** An angled plug whose cable leaves at more than this from where it has to go is bent over the edge, degrees. */
export const TWIST_DEG = 120
/** Of several leads at hand that would do, the best of each length and angles; so many at most. */
const MOST_AT_HAND = 12
const kindOf = ({ part: { cable } }: LeadOption): string => `${cable.lengthMm} ${cable.a.angle} ${cable.b.angle}`
const bestOfKinds = (options: readonly LeadOption[]): readonly LeadOption[] => [
  ...new Map([...options].reverse().map((option) => [kindOf(option), option])).values(),
]

const endsOf = (a: ConnectorId, b: ConnectorId): string => [a, b].sort().join('|')
const isLead = (part: Part): part is Part & { readonly cable: Cable } => part.cable !== undefined

type Lead = Part & { readonly cable: Cable }
const leadsByEnds = perThing('leads of a catalogue', (catalogue: Catalogue): ReadonlyMap<string, readonly Lead[]> => {
  const made = new Map<string, Lead[]>()
  for (const part of offeredParts(catalogue)) {
    if (!isLead(part)) continue
    const key = endsOf(part.cable.a.connector, part.cable.b.connector)
    made.set(key, [...(made.get(key) ?? []), part])
  }
  for (const list of made.values()) list.sort(cheapestFirst)
  return made
})

/** All leads of the catalogue between two connectors, the cheapest first. */
const leadsWith = (catalogue: Catalogue, a: ConnectorId, b: ConnectorId): readonly Lead[] =>
  leadsByEnds(catalogue).get(endsOf(a, b)) ?? []

type Volting = 'suits' | 'early' | 'no'
/** A battery that falls below what its load wants ends a little earlier: a nuisance, and no danger. */
const meeting = (given: Volts, bears: Volts, inlet: ConnectorId): Volting =>
  suits(given, bears, inlet)
    ? 'suits'
    : inlet !== 'usb-c' && given.max <= bears.max && given.max > bears.min
      ? 'early'
      : 'no'

/**
 * Does what the source gives reach the input as something it bears? Unknown figures are let through: a check speaks of
 * them.
 */
const voltsSuit = (assembly: Assembly, from: SocketHere, to: SocketHere, cable: Cable): Volting => {
  const given = voltsAt(assembly, from)
  if (cable.converts && given) {
    // A converting lead from USB-C takes what it can agree on; any other takes a wide input.
    const bears = to.socket.volts
    return bears === undefined ? 'suits' : meeting(cable.converts.volts, bears, to.socket.connector)
  }
  return !given || !to.socket.volts ? 'suits' : meeting(given, to.socket.volts, to.socket.connector)
}

/** What hangs on an input, W; a dummy pack draws what it sits in draws. */
const wattsOf = ({ piece }: SocketHere): number => {
  const { part } = piece.part.role === 'dummy' && piece.host ? piece.host : piece
  return part.power?.ownMin === undefined ? (part.power?.drawW ?? 0) : 0
}

/**
 * What a source can give at most, W: its outlet's figure, that of the battery that sits in it or is it; nothing where
 * there is neither battery nor wall nor an inlet that something could come by.
 */
const sourceWatts = (assembly: Assembly, { piece, socket }: SocketHere): number => {
  const { power, sockets = [] } = piece.part
  const store =
    power?.store ??
    everywhere(assembly).find((other) => other.host === piece && other.part.power?.store)?.part.power?.store
  const fed =
    store !== undefined ||
    power?.mains === true ||
    piece.host?.part.power?.store !== undefined ||
    sockets.some((own) => own !== socket && takes(own, 'power')) ||
    piece.part.role === 'camera'
  return fed ? Math.min(socket.watts ?? Infinity, store?.maxW ?? Infinity) : 0
}

/** Can this socket feed what hangs on the other one? */
const wattsSuit = (assembly: Assembly, from: SocketHere, to: SocketHere, cable: Cable): boolean => {
  const given = sourceWatts(assembly, from)
  return given > 0 && Math.min(given, cable.converts?.watts ?? Infinity) >= wattsOf(to)
}

const thinner = (cable: Cable, from: SocketHere, to: SocketHere): boolean => {
  const rank = (format: (typeof pictureFormats)[number]) => pictureFormats.indexOf(format)
  const best = (formats: readonly (typeof pictureFormats)[number][] | undefined) =>
    Math.max(...(formats ?? pictureFormats).map(rank))
  return cable.upTo !== undefined && rank(cable.upTo) < Math.min(best(from.socket.formats), best(to.socket.formats))
}

const costOf = (
  { spareMm, from, to }: LeadOption['run'],
  part: Part & { readonly cable: Cable },
  toBuy: boolean,
  what: Carried,
): number =>
  (toBuy ? part.price.usual : 0) +
  GRAM_COST * part.massG +
  (spareMm > HANGS_MM && !part.cable.coil ? LOOSE_COST + LOOSE_MM_COST * (spareMm - HANGS_MM) : 0) +
  [from, to].filter(({ turnsDeg }) => turnsDeg > TWIST_DEG).length * TWIST_COST +
  (what === 'picture' && thinner(part.cable, from, to) ? THIN_COST : 0)

/** Pieces of the kit that lie idle in this set-up, by part. */
const idleLeads = (assembly: Assembly): ReadonlyMap<string, readonly Instance[]> => {
  const found = new Map<string, readonly Instance[]>()
  const linked = new Set(assembly.setup.links.map(({ cable }) => cable))
  for (const { instance, part } of assembly.loose)
    if (part.cable && !linked.has(instance.id)) found.set(part.id, [...(found.get(part.id) ?? []), instance])
  return found
}

const spareInLocker = (rig: Rig, part: Part, owned: ReadonlyMap<string, number>): boolean =>
  (owned.get(part.id) ?? 0) > rig.kit.filter(({ partId, status }) => partId === part.id && status === 'in').length

/** A converting lead runs one way only. */
const turnsRight = ({ converts, a, b }: Cable, from: SocketHere, to: SocketHere): boolean =>
  !converts || (a.connector === from.socket.connector && b.connector === to.socket.connector)

/** Why there is no lead between two sockets: from those that are furthest from going to the nearest miss. */
export const noLeads = ['no-plugs', 'voltage', 'watts', 'no-room', 'too-far'] as const
export type NoLead = (typeof noLeads)[number]

/** The nearer miss of two. */
export const nearerMiss = (a: NoLead, b: NoLead): NoLead => (noLeads.indexOf(b) > noLeads.indexOf(a) ? b : a)

/**
 * The leads that would do between two sockets, the best first: those at hand, and the best one to buy. Both plugs fit,
 * it carries what is asked, it reaches, the plugs have room, and power arrives as the input bears it.
 * @param through clamps it is laid through, in order from the one socket to the other
 * @returns the leads, or the reason that kept the last of them out
 */
export const leadsBetween = (
  assembly: Assembly,
  stock: Stock,
  from: SocketHere,
  to: SocketHere,
  what: Carried,
  wanted: (option: Candidate) => boolean = () => true,
  through: readonly PlacedPart[] = [],
): { readonly options: readonly LeadOption[]; readonly why: NoLead } => {
  let why: NoLead = 'no-plugs'
  const failed = (reason: NoLead) => {
    why = nearerMiss(why, reason)
  }
  if (!gives(from.socket, what) || !takes(to.socket, what) || from.piece === to.piece) return { options: [], why }
  const atRest = idleLeads(assembly)
  const options: LeadOption[] = []
  let bought = Infinity
  for (const part of leadsWith(stock.catalogue, from.socket.connector, to.socket.connector)) {
    const { cable } = part
    const idle = atRest.get(part.id) ?? []
    const atHand = idle.length > 0 ? 'kit' : spareInLocker(assembly.rig, part, stock.owned) ? 'owned' : undefined
    // A shop has every lead: only the best one to buy counts, and no later one can be cheaper than its bare price.
    const tooDear = part.price.usual + GRAM_COST * part.massG >= bought
    if (tooDear && !atHand) continue
    if (!cable.carries.includes(what) || !turnsRight(cable, from, to)) continue
    const volting = what === 'power' ? voltsSuit(assembly, from, to, cable) : 'suits'
    if (volting === 'no') {
      failed('voltage')
      continue
    }
    if (what === 'power' && !wattsSuit(assembly, from, to, cable)) {
      failed('watts')
      continue
    }
    const run = runBetween(assembly, from, to, cable, through)
    if (run.from.roomMm > stock.freeMm(from) || run.to.roomMm > stock.freeMm(to)) {
      failed('no-room')
      continue
    }
    if (run.reachMm < run.needMm) {
      failed('too-far')
      continue
    }
    const option = { from, to, what, part, run, through }
    const early = volting === 'early' ? EARLY_COST : 0
    if (!wanted(option)) continue
    if (atHand)
      options.push({
        ...option,
        source: atHand,
        idle,
        cost: early + (stock.leadMinor ?? 0) + costOf(run, part, false, what),
      })
    const cost = early + (stock.leadMinor ?? 0) + costOf(run, part, true, what)
    if (cost >= bought) continue
    bought = cost
    const before = options.findIndex(({ source }) => source === 'catalogue')
    if (before >= 0) options.splice(before, 1)
    options.push({ ...option, source: 'catalogue', idle: [], cost })
  }
  const sorted = options.sort((a, b) => a.cost - b.cost || (a.part.id < b.part.id ? -1 : 1))
  const atHand = new Set(
    bestOfKinds(sorted.filter(({ source }) => source !== 'catalogue'))
      .toSorted((a, b) => a.cost - b.cost)
      .slice(0, MOST_AT_HAND),
  )
  return { options: sorted.filter((option) => option.source === 'catalogue' || atHand.has(option)), why }
}

/**
 * The edits that plug a lead in: into the kit first when it is not there. @param taken instances that other leads of
 * one plan use
 */
export const plugIn = (
  rig: Rig,
  setup: string,
  option: LeadOption,
  taken: readonly string[] = [],
): { readonly commands: readonly Command[]; readonly cable: string } => {
  const { from, to, part } = option
  const instance = option.idle.find(({ id }) => !taken.includes(id))
  const cable = instance?.id ?? freshId(rig, part.id, taken)
  const link: Link = {
    cable,
    from: { instance: from.piece.instance.id, socket: from.socket.id },
    to: { instance: to.piece.instance.id, socket: to.socket.id },
    through: option.through.map(({ instance: { id } }) => id),
  }
  const first: readonly Command[] = !instance
    ? [{ do: 'add', instance: { id: cable, partId: part.id, status: 'in' } }]
    : instance.status === 'in'
      ? []
      : [{ do: 'status', instance: cable, status: 'in' }]
  return { commands: [...first, { do: 'link', setup, link }], cable }
}

/** Is a socket taken by a lead of the set-up? */
export const isTaken = (assembly: Assembly, here: SocketHere): boolean =>
  assembly.setup.links.some(({ from, to }) =>
    [from, to].some(({ instance, socket }) => instance === here.piece.instance.id && socket === here.socket.id),
  )
