import { type Phase, type PhaseKind } from '../brief/index.ts'
import { type Bays, baysFor, type Charge, ChargingTable, fillMinutes } from './charging.ts'
import { CHARGING, type Draw, type Flow, flowAt, fullCells } from './flow.ts'
import { drained, hoursToNext, spentWh } from './cascade.ts'
import type { Cell, Network } from './network.ts'

const HOUR_MIN = 60
/** Times shorter than this are the same moment, h. */
const SAME_H = 1e-9
/** Charges that differ by less are the same, Wh. */
const SAME_WH = 1e-9

/** What a piece draws in a part of the day, W. */
export const drawIn = (kind: PhaseKind): Draw => (kind === 'off' ? offDraw : kind === 'roll' ? rollDraw : waitDraw)
const offDraw: Draw = () => 0
const rollDraw: Draw = ({ drawW }) => drawW
const waitDraw: Draw = ({ standbyW }) => standbyW

/** A battery in the bag. */
export interface Spare {
  readonly id: string
  readonly kind: string
  readonly usableWh: number
}

export interface DayEvent {
  readonly minute: number
  readonly what: 'phase' | 'empty' | 'swap' | 'dark' | 'charged'
  readonly id: string
  readonly name: string
}

/** Batteries of one kind over the day. */
export interface KindUse {
  readonly kind: string
  readonly usedWh: number
  readonly swaps: number
  /** Of these, changes in which something goes dark for a moment: nothing else feeds it meanwhile. */
  readonly breaks: number
  /** Batteries the day needs, those on the rig among them; Infinity when no number of them is enough. */
  readonly needed: number
  readonly have: number
  /** When something first goes dark for want of these, were there enough of every other kind; Infinity: never. */
  readonly failsAtMin: number
  /** Minutes until all that was used is filled again, each pack in one bay at a time; Infinity without a bay. */
  readonly chargeMin: number
}

export interface DayPlan {
  readonly phases: readonly Phase[]
  readonly minutes: number
  readonly events: readonly DayEvent[]
  readonly kinds: readonly KindUse[]
  /** Minutes each piece wanted power and had none. */
  readonly darkMin: ReadonlyMap<string, number>
  /** When the first piece goes dark for good; Infinity when the day is covered. */
  readonly failsAtMin: number
  readonly swaps: number
  /** Which pack hangs in which bay when, in the parts of the day near a wall. */
  readonly charges: readonly Charge[]
}

interface Walk {
  readonly charges: readonly Charge[]
  readonly events: readonly DayEvent[]
  readonly darkMin: ReadonlyMap<string, number>
  readonly failsAtMin: number
  readonly swaps: ReadonlyMap<string, number>
  readonly breaks: ReadonlyMap<string, number>
  readonly usedWh: ReadonlyMap<string, number>
}

/** A battery that always comes back full can be changed for ever; more changes than this a day are no plan. */
const MOST_SWAPS = 200

/** Does anything go dark while a battery is out? With a second feed it is a hot swap. */
const isMissed = (network: Network, left: ReadonlyMap<string, number>, { id, usableWh }: Cell, draw: Draw): boolean => {
  const before = flowAt(network, new Map(left).set(id, usableWh), draw).dark
  return [...flowAt(network, new Map(left).set(id, 0), draw).dark].some((one) => !before.has(one))
}

const walk = (
  network: Network,
  phases: readonly Phase[],
  spares: readonly Spare[] | 'plenty',
  bays: readonly Bays[],
  endless: (kind: string) => boolean = () => spares === 'plenty',
): Walk => {
  const names = new Map([...network.cells, ...network.nodes].map(({ id, name }) => [id, name]))
  const events: DayEvent[] = []
  const bag = spares === 'plenty' ? [] : [...spares]
  const table = new ChargingTable(bays)
  const onTable = new Map<string, Spare>()
  const darkMin = new Map<string, number>()
  const swaps = new Map<string, number>()
  const breaks = new Map<string, number>()
  const usedWh = new Map<string, number>()
  let inside = new Map(network.cells.map((cell): [string, Spare] => [cell.id, { ...cell }]))
  let left = fullCells(network.cells)
  let minute = 0
  let failsAtMin = Infinity
  const lowest = new Map(network.cells.map(({ id }) => [id, spentWh(network, id)]))
  const isSpent = ({ id }: Cell, holds: ReadonlyMap<string, number>): boolean =>
    (holds.get(id) ?? 0) <= (lowest.get(id) ?? 0) + SAME_WH
  const note = (what: DayEvent['what'], id: string) => events.push({ minute, what, id, name: names.get(id) ?? id })
  const swapIn = (cell: Cell, draw: Draw): boolean => {
    if ((swaps.get(cell.id) ?? 0) >= MOST_SWAPS) return false
    const at = bag.findIndex(({ kind }) => kind === cell.kind)
    const next = endless(cell.kind) ? { ...cell } : bag[at]
    if (!next) return false
    if (at >= 0 && !endless(cell.kind)) bag.splice(at, 1)
    const out = inside.get(cell.id)
    if (out && !endless(cell.kind)) {
      table.lay(out.id, out.kind, out.usableWh)
      onTable.set(out.id, out)
    }
    inside = new Map(inside).set(cell.id, next)
    swaps.set(cell.id, (swaps.get(cell.id) ?? 0) + 1)
    if (isMissed(network, left, cell, draw)) breaks.set(cell.id, (breaks.get(cell.id) ?? 0) + 1)
    left = new Map(left).set(cell.id, next.usableWh)
    note('swap', cell.id)
    return true
  }
  const use = (flow: Flow, hours: number) => {
    for (const cell of network.cells) {
      const wh = Math.max(0, (flow.cellW.get(cell.id) ?? 0) * hours)
      usedWh.set(cell.kind, (usedWh.get(cell.kind) ?? 0) + wh)
    }
  }
  for (const [i, phase] of phases.entries()) {
    events.push({ minute, what: 'phase', id: phase.kind, name: phase.name })
    const draw = drawIn(phase.kind)
    let hours = phase.minutes / HOUR_MIN
    let dark = new Set<string>()
    while (hours > SAME_H) {
      // What is empty is changed as soon as something wants it, also when a spare came off the charger meanwhile.
      for (const cell of network.cells) if (isSpent(cell, left) && phase.kind !== 'off') swapIn(cell, draw)
      const flow = flowAt(network, left, draw)
      for (const id of flow.dark)
        if (!dark.has(id)) {
          note('dark', id)
          failsAtMin = Math.min(failsAtMin, minute)
        }
      dark = new Set(flow.dark)
      const step = Math.min(hours, hoursToNext(network, left, flow))
      const next = drained(network, left, flow, step)
      use(flow, step)
      for (const id of dark) darkMin.set(id, (darkMin.get(id) ?? 0) + step * HOUR_MIN)
      const emptied = network.cells.filter((cell) => !isSpent(cell, left) && isSpent(cell, next))
      left = next
      hours -= step
      minute += step * HOUR_MIN
      if (phase.mains)
        for (const id of table.charge(minute - step * HOUR_MIN, step)) {
          const spare = onTable.get(id)
          if (spare) bag.push(spare)
          note('charged', id)
        }
      for (const cell of emptied) note('empty', cell.id)
      // An empty pack comes out at once, so that it can charge; after the last scene nobody bothers.
      const goesOn = hours > SAME_H || phases.slice(i + 1).some(({ kind }) => kind !== 'off')
      if (goesOn) for (const cell of emptied) swapIn(cell, draw)
    }
  }
  return { events, darkMin, failsAtMin, swaps, breaks, usedWh, charges: table.schedule }
}

/** What packs lack after a day: as many emptied as it took, and one in part. */
const emptied = (usedWh: number, packWh: number): readonly number[] => {
  const whole = packWh > 0 ? Math.floor(usedWh / packWh + 1e-9) : 0
  return [...Array.from({ length: Math.min(whole, MOST_SWAPS) }, () => packWh), Math.max(0, usedWh - whole * packWh)]
}

/**
 * The day from its first part to its last: what the batteries give, when they are changed, and what goes dark when none
 * is left.
 * @param spares batteries in the bag; @param bays chargers that are carried: they work in the parts of the day that are
 * near the wall
 * @example one 10 Wh pack (usable) in a 10 W camera and 3 h of rolling: two swaps at 60 and 120 min, three packs needed
 */
export const planDay = (
  network: Network,
  phases: readonly Phase[],
  spares: readonly Spare[],
  bays: readonly Bays[],
): DayPlan => {
  const real = walk(network, phases, spares, bays)
  const plenty = walk(network, phases, 'plenty', [])
  const kinds = [...new Set(network.cells.map(({ kind }) => kind))].map((kind): KindUse => {
    const cells = network.cells.filter((cell) => cell.kind === kind)
    const count = (swaps: ReadonlyMap<string, number>) => cells.reduce((sum, { id }) => sum + (swaps.get(id) ?? 0), 0)
    const usedWh = plenty.usedWh.get(kind) ?? 0
    const needed = cells.length + count(plenty.swaps)
    const have = cells.length + spares.filter((spare) => spare.kind === kind).length
    const alone = () => walk(network, phases, spares, bays, (other) => other !== kind).failsAtMin
    return {
      kind,
      usedWh,
      swaps: count(real.swaps),
      breaks: count(real.breaks),
      needed,
      have,
      failsAtMin: needed > have && real.failsAtMin < Infinity ? alone() : Infinity,
      chargeMin: fillMinutes(
        emptied(usedWh, Math.max(...cells.map(({ usableWh }) => usableWh))),
        baysFor(kind, bays),
        baysFor(kind, bays, true),
      ),
    }
  })
  return {
    phases,
    minutes: phases.reduce((sum, phase) => sum + phase.minutes, 0),
    events: real.events,
    charges: real.charges,
    kinds,
    darkMin: real.darkMin,
    failsAtMin: real.failsAtMin,
    swaps: kinds.reduce((sum, { swaps }) => sum + swaps, 0),
  }
}

/**
 * Next to the wall, can it go on for ever? For each kind: what the bays give back against what recording takes, W, and
 * a second pack to swap with.
 */
export interface Forever {
  readonly kind: string
  readonly usesW: number
  readonly chargesW: number
  readonly spares: number
  readonly forEver: boolean
}

export const nearMains = (
  network: Network,
  rolling: Flow,
  spares: readonly Spare[],
  bays: readonly Bays[],
): readonly Forever[] =>
  [...new Set(network.cells.map(({ kind }) => kind))].map((kind) => {
    const usesW = network.cells
      .filter((cell) => cell.kind === kind)
      .reduce((sum, { id }) => sum + Math.max(0, rolling.cellW.get(id) ?? 0), 0)
    const mine = spares.filter((spare) => spare.kind === kind).length
    // No more bays work than there are packs out of the rig.
    const chargesW = bays
      .filter((bay) => bay.kind === kind && !bay.once)
      .reduce((sum, bay) => sum + Math.min(bay.bays, mine) * bay.watts * CHARGING, 0)
    return { kind, usesW, chargesW, spares: mine, forEver: usesW === 0 || (mine > 0 && chargesW >= usesW) }
  })
