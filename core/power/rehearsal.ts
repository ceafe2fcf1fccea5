import { flatMap } from '../kernel/index.ts'
import type { Phase } from '../brief/index.ts'
import { drained, hoursToNext } from './cascade.ts'
import { CHARGING, type Flow, flowAt } from './flow.ts'
import { type Bays, baysFor } from './charging.ts'
import { drawIn, type Spare } from './day.ts'
import { type Cell, coldFactor, DEPTH, type Network, type PowerNode } from './network.ts'

const HOUR_S = 3600

/** One simulated battery: a coulomb counter behind a small gauge. */
export interface SimPack {
  readonly id: string
  readonly kind: string
  readonly capacityWh: number
  readonly health: number
  /** What has been taken out of it, Wh. */
  readonly takenWh: number
  /** The piece it sits in, or nothing for a pack in the bag. */
  readonly seat: string | undefined
}

/** What the person at the controls may change while it plays. */
export interface Disturbance {
  readonly celsius: number
  /** Pieces turned up to their brightest. */
  readonly turnedUp: readonly string[]
  /** Packs that were left at home. */
  readonly forgotten: readonly string[]
}

export interface SimEvent {
  readonly second: number
  readonly what: 'phase' | 'low' | 'empty' | 'swap' | 'dark' | 'back' | 'over'
  readonly id: string
}

/** The day as far as it has been played. Plain data: it can be sent and kept. */
export interface Rehearsal {
  readonly second: number
  readonly over: boolean
  readonly packs: readonly SimPack[]
  readonly disturbance: Disturbance
  readonly dark: readonly string[]
  /**
   * Energy so far, Wh: out of the batteries, into the pieces, lost on the way, put back into batteries, from the wall.
   */
  readonly outWh: number
  readonly usedWh: number
  readonly lostWh: number
  readonly storedWh: number
  readonly wallWh: number
  readonly swaps: number
  readonly events: readonly SimEvent[]
}

/** A gauge blinks when this much of the usable charge is left, percent. */
const LOW_PERCENT = 15
/** Moments closer than this are the same, s; and charges, Wh. */
const SAME_S = 1e-6
const SAME_WH = 1e-9

/** What a pack gives in the present cold, Wh. */
export const packUsableWh = (pack: SimPack, celsius: number): number =>
  pack.capacityWh * DEPTH * coldFactor(celsius) * pack.health
export const packLeftWh = (pack: SimPack, celsius: number): number =>
  Math.max(0, packUsableWh(pack, celsius) - pack.takenWh)

/** What a gauge shows, whole percent of the usable charge. */
export const gaugePercent = (pack: SimPack, celsius: number): number => {
  const usable = packUsableWh(pack, celsius)
  return usable > 0 ? Math.round((packLeftWh(pack, celsius) / usable) * 100) : 0
}

/** Voltage of a resting pack by what is left of its charge: a straight line over its range, V. */
export const packVolts = (left: number, volts: { readonly min: number; readonly max: number }): number =>
  volts.min + (volts.max - volts.min) * Math.min(1, Math.max(0, left))

const phaseAt = (
  phases: readonly Phase[],
  second: number,
): { readonly phase: Phase | undefined; readonly endsAt: number } => {
  let endsAt = 0
  for (const phase of phases) {
    endsAt += phase.minutes * 60
    if (second < endsAt) return { phase, endsAt }
  }
  return { phase: undefined, endsAt }
}

/** The start of a day: every pack full, the rig's own packs in their seats, the spares in the bag. */
export const startRehearsal = (
  network: Network,
  spares: readonly (Spare & { readonly capacityWh: number; readonly health: number })[],
  celsius: number,
  health: (id: string) => number,
): Rehearsal => ({
  second: 0,
  over: false,
  packs: [
    ...network.cells.map((cell) => ({
      id: cell.id,
      kind: cell.kind,
      capacityWh: cell.capacityWh,
      health: health(cell.id),
      takenWh: 0,
      seat: cell.id,
    })),
    ...spares.map(({ id, kind, capacityWh, health: left }) => ({
      id,
      kind,
      capacityWh,
      health: left,
      takenWh: 0,
      seat: undefined,
    })),
  ],
  disturbance: { celsius, turnedUp: [], forgotten: [] },
  dark: [],
  outWh: 0,
  usedWh: 0,
  lostWh: 0,
  storedWh: 0,
  wallWh: 0,
  swaps: 0,
  events: [],
})

/** Changes what happens from now on. A pack that was forgotten is not in the bag, nor in the rig. */
export const disturb = (now: Rehearsal, change: Partial<Disturbance>): Rehearsal => {
  const disturbance = { ...now.disturbance, ...change }
  return { ...now, disturbance }
}

const swapped = (now: Rehearsal, events: SimEvent[]): Rehearsal => {
  const { celsius, forgotten } = now.disturbance
  let { packs, swaps } = now
  for (const spent of packs) {
    if (spent.seat === undefined || (packLeftWh(spent, celsius) > 0 && !forgotten.includes(spent.id))) continue
    // The fullest one of its kind in the bag.
    const [next] = packs
      .filter(
        (pack) =>
          pack.seat === undefined &&
          pack.kind === spent.kind &&
          packLeftWh(pack, celsius) > 0 &&
          !forgotten.includes(pack.id),
      )
      .sort((a, b) => packLeftWh(b, celsius) - packLeftWh(a, celsius))
    if (!next) continue
    const { seat } = spent
    packs = packs.map((pack) =>
      pack === spent ? { ...pack, seat: undefined } : pack === next ? { ...pack, seat } : pack,
    )
    swaps++
    events.push({ second: now.second, what: 'swap', id: next.id })
  }
  return swaps === now.swaps ? now : { ...now, packs, swaps }
}

/** The rig at this moment: which pack sits where, what it holds, and where the power goes. */
interface Present {
  readonly network: Network
  readonly left: ReadonlyMap<string, number>
  readonly flow: Flow
}

const presentOf = (network: Network, phase: Phase, now: Rehearsal): Present => {
  const { celsius, turnedUp, forgotten } = now.disturbance
  const inSeat = (cell: Cell) => now.packs.find(({ seat, id }) => seat === cell.id && !forgotten.includes(id))
  const cells = network.cells.map((cell) => {
    const pack = inSeat(cell)
    return { ...cell, usableWh: pack ? packUsableWh(pack, celsius) : 0 }
  })
  const left = new Map(
    network.cells.map((cell): [string, number] => {
      const pack = inSeat(cell)
      return [cell.id, pack ? packLeftWh(pack, celsius) : 0]
    }),
  )
  const draw = drawIn(phase.kind)
  const turned = (node: PowerNode) => (phase.kind !== 'off' && turnedUp.includes(node.id) ? node.fullW : draw(node))
  const present = { ...network, cells }
  return { network: present, left, flow: flowAt(present, left, turned) }
}

/**
 * What goes into the spent packs of the bag while there is a wall, W, by pack: one in each bay, the fullest in the
 * strongest.
 */
const chargingNow = (phase: Phase, now: Rehearsal, bays: readonly Bays[]): ReadonlyMap<string, number> => {
  if (!phase.mains) return new Map()
  const { forgotten } = now.disturbance
  return new Map(
    flatMap([...new Set(bays.map(({ kind }) => kind))], (kind) => {
      const waiting = now.packs
        .filter(
          (pack) =>
            pack.seat === undefined && pack.kind === kind && pack.takenWh > SAME_WH && !forgotten.includes(pack.id),
        )
        .sort((a, b) => a.takenWh - b.takenWh)
      return flatMap(baysFor(kind, bays), (watts, i): [string, number][] =>
        waiting[i] ? [[waiting[i].id, watts]] : [],
      )
    }),
  )
}

/** What the meters of the simulated rig show. */
export interface Meters {
  readonly phase: Phase | undefined
  readonly packs: readonly {
    readonly id: string
    readonly seat: string | undefined
    readonly percent: number
    /** Undefined for a pack of a kind that sits nowhere on the rig: no meter is on it. */
    readonly volts: number | undefined
    /** Out of the pack, W; less than nothing while it is charged. */
    readonly watts: number
  }[]
  readonly pieces: readonly { readonly id: string; readonly watts: number; readonly dark: boolean }[]
}

/** Reads the meters of the rehearsal as it stands. */
export const metersOf = (
  network: Network,
  phases: readonly Phase[],
  now: Rehearsal,
  bays: readonly Bays[] = [],
): Meters => {
  const { phase } = phaseAt(phases, now.second)
  const { celsius } = now.disturbance
  const flow = phase && presentOf(network, phase, now).flow
  const charging = phase ? chargingNow(phase, now, bays) : new Map<string, number>()
  const voltsOf = (pack: SimPack) => {
    const cell = network.cells.find(({ kind }) => kind === pack.kind)
    const usable = packUsableWh(pack, celsius)
    return cell && usable > 0 ? packVolts(packLeftWh(pack, celsius) / usable, cell.volts) : undefined
  }
  const drawn = phase ? drawIn(phase.kind) : () => 0
  return {
    phase,
    packs: now.packs.map((pack) => ({
      id: pack.id,
      seat: pack.seat,
      percent: gaugePercent(pack, celsius),
      volts: voltsOf(pack),
      watts: pack.seat === undefined ? -(charging.get(pack.id) ?? 0) : (flow?.cellW.get(pack.seat) ?? 0),
    })),
    pieces: network.nodes
      .filter(({ drawW, id }) => drawW > 0 || flow?.dark.has(id))
      .map((node) => {
        const dark = flow?.dark.has(node.id) ?? false
        const turned = phase?.kind !== 'off' && now.disturbance.turnedUp.includes(node.id)
        return { id: node.id, watts: dark || !phase ? 0 : turned ? node.fullW : drawn(node), dark }
      }),
  }
}

/**
 * Plays one step of the day in fixed time: meters read, counters count, empty packs are changed. Nothing happens after
 * the end.
 * @param seconds length of the step; it is cut short where a part of the day or a pack ends
 * @param bays chargers that are carried: spent packs fill in the parts of the day that are near the wall
 */
export const playStep = (
  network: Network,
  phases: readonly Phase[],
  before: Rehearsal,
  seconds: number,
  bays: readonly Bays[] = [],
): Rehearsal => {
  if (before.over) return before
  const { phase, endsAt } = phaseAt(phases, before.second)
  if (!phase)
    return { ...before, over: true, events: [...before.events, { second: before.second, what: 'over', id: '' }] }
  const events: SimEvent[] = []
  const now = swapped(before, events)
  const { celsius, forgotten } = now.disturbance
  const { network: present, left, flow } = presentOf(network, phase, now)
  const charging = chargingNow(phase, now, bays)
  const toFull = now.packs.map(({ id, takenWh }) =>
    charging.has(id) ? takenWh / ((charging.get(id) ?? 0) * CHARGING) : Infinity,
  )
  const hours = Math.min(seconds / HOUR_S, (endsAt - now.second) / HOUR_S, hoursToNext(present, left, flow), ...toFull)
  const after = drained(present, left, flow, hours)
  const second = now.second + hours * HOUR_S
  const packs = now.packs.map((pack) => {
    const { seat } = pack
    const filledW = charging.get(pack.id)
    if (filledW !== undefined) return { ...pack, takenWh: Math.max(0, pack.takenWh - filledW * CHARGING * hours) }
    if (seat === undefined || forgotten.includes(pack.id) || (flow.cellW.get(seat) ?? 0) === 0) return pack
    const next = { ...pack, takenWh: packUsableWh(pack, celsius) - (after.get(seat) ?? 0) }
    const [was, is] = [gaugePercent(pack, celsius), gaugePercent(next, celsius)]
    if (was > LOW_PERCENT && is <= LOW_PERCENT && is > 0) events.push({ second, what: 'low', id: pack.id })
    if ((left.get(seat) ?? 0) > 0 && after.get(seat) === 0) events.push({ second, what: 'empty', id: pack.id })
    return next
  })
  const wallW = [...charging.values()].reduce((sum, watts) => sum + watts, 0)
  const dark = [...flow.dark].sort()
  for (const id of dark) if (!now.dark.includes(id)) events.push({ second: now.second, what: 'dark', id })
  for (const id of now.dark) if (!dark.includes(id)) events.push({ second: now.second, what: 'back', id })
  const outW = [...flow.cellW.values()].reduce((sum, watts) => sum + Math.max(0, watts), 0)
  return {
    ...now,
    second: endsAt - second < SAME_S ? endsAt : second,
    packs,
    dark,
    outWh: now.outWh + outW * hours,
    usedWh: now.usedWh + flow.usedW * hours,
    storedWh: now.storedWh + (flow.storedW + wallW * CHARGING) * hours,
    wallWh: now.wallWh + (flow.wallW + wallW) * hours,
    lostWh: now.lostWh + (flow.lossW + wallW * (1 - CHARGING)) * hours,
    events: [...now.events, ...events],
  }
}
