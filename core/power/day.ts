import { type Phase, type PhaseKind } from '../brief/index.ts'
import { CHARGING, type Draw, type Flow, flowAt, fullCells } from './flow.ts'
import { drained, hoursToNext } from './cascade.ts'
import type { Cell, Network, PowerNode } from './network.ts'

const HOUR_MIN = 60
/** Times shorter than this are the same moment, h. */
const SAME_H = 1e-9

/** What a piece draws in a part of the day, W. */
export const drawIn =
  (kind: PhaseKind): Draw =>
  (node: PowerNode): number =>
    kind === 'off' ? 0 : kind === 'roll' ? node.drawW : node.standbyW

/** A battery in the bag. */
export interface Spare {
  readonly id: string
  readonly kind: string
  readonly usableWh: number
}

/** Bays that charge one kind of battery. */
export interface Bays {
  readonly kind: string
  readonly bays: number
  /** What goes into each bay, W. */
  readonly watts: number
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
  /** Minutes all bays take to fill again what was used; Infinity without a bay. */
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
}

interface Walk {
  readonly events: readonly DayEvent[]
  readonly darkMin: ReadonlyMap<string, number>
  readonly failsAtMin: number
  readonly swaps: ReadonlyMap<string, number>
  readonly breaks: ReadonlyMap<string, number>
  readonly usedWh: ReadonlyMap<string, number>
}

/** A battery that always comes back full can be changed for ever; more changes than this a day are no plan. */
const MOST_SWAPS = 200

/** Spent packs on the wall: they fill one bay after the other, and the full ones are spares again. */
class Bench {
  readonly #bays: readonly Bays[]
  readonly #spent: { spare: Spare; missingWh: number }[] = []

  constructor(bays: readonly Bays[]) {
    this.#bays = bays
  }

  lay(spare: Spare): void {
    this.#spent.push({ spare, missingWh: spare.usableWh })
  }

  charge(hours: number): readonly Spare[] {
    for (const { kind, bays, watts } of this.#bays) {
      let time = hours * bays
      for (const pack of this.#spent.filter(({ spare }) => spare.kind === kind)) {
        const took = Math.min(time, hours, pack.missingWh / (watts * CHARGING))
        pack.missingWh -= took * watts * CHARGING
        time -= took
      }
    }
    const full = this.#spent.filter(({ missingWh }) => missingWh <= SAME_H)
    for (const pack of full) this.#spent.splice(this.#spent.indexOf(pack), 1)
    return full.map(({ spare }) => spare)
  }
}

/** Does anything go dark while a battery is out? With a second feed it is a hot swap. */
const isMissed = (network: Network, left: ReadonlyMap<string, number>, cell: string, draw: Draw): boolean => {
  const before = flowAt(network, new Map(left).set(cell, 1), draw).dark
  return [...flowAt(network, new Map(left).set(cell, 0), draw).dark].some((id) => !before.has(id))
}

const walk = (network: Network, phases: readonly Phase[], spares: readonly Spare[] | 'plenty', bays: readonly Bays[]): Walk => {
  const names = new Map([...network.cells, ...network.nodes].map(({ id, name }) => [id, name]))
  const events: DayEvent[] = []
  const bag = spares === 'plenty' ? [] : [...spares]
  const bench = new Bench(bays)
  const darkMin = new Map<string, number>()
  const swaps = new Map<string, number>()
  const breaks = new Map<string, number>()
  const usedWh = new Map<string, number>()
  let inside = new Map(network.cells.map((cell): [string, Spare] => [cell.id, { ...cell }]))
  let left = fullCells(network.cells)
  let minute = 0
  let failsAtMin = Infinity
  const note = (what: DayEvent['what'], id: string) => events.push({ minute, what, id, name: names.get(id) ?? id })
  const swapIn = (cell: Cell, draw: Draw): boolean => {
    if ((swaps.get(cell.id) ?? 0) >= MOST_SWAPS) return false
    const at = bag.findIndex(({ kind }) => kind === cell.kind)
    const next = spares === 'plenty' ? { ...cell } : bag[at]
    if (!next) return false
    if (at >= 0) bag.splice(at, 1)
    const out = inside.get(cell.id)
    if (out && spares !== 'plenty') bench.lay(out)
    inside = new Map(inside).set(cell.id, next)
    swaps.set(cell.id, (swaps.get(cell.id) ?? 0) + 1)
    if (isMissed(network, left, cell.id, draw)) breaks.set(cell.id, (breaks.get(cell.id) ?? 0) + 1)
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
      for (const cell of network.cells) if ((left.get(cell.id) ?? 0) === 0 && phase.kind !== 'off') swapIn(cell, draw)
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
      const emptied = network.cells.filter(({ id }) => (left.get(id) ?? 0) > 0 && next.get(id) === 0)
      left = next
      hours -= step
      minute += step * HOUR_MIN
      if (phase.mains)
        for (const spare of bench.charge(step)) {
          bag.push(spare)
          note('charged', spare.id)
        }
      for (const cell of emptied) note('empty', cell.id)
      // An empty pack comes out at once, so that it can charge; after the last scene nobody bothers.
      const goesOn = hours > SAME_H || phases.slice(i + 1).some(({ kind }) => kind !== 'off')
      if (goesOn) for (const cell of emptied) swapIn(cell, draw)
    }
  }
  return { events, darkMin, failsAtMin, swaps, breaks, usedWh }
}

/**
 * The day from its first part to its last: what the batteries give, when they are changed, and what goes dark when none is left.
 * @param spares batteries in the bag; @param bays chargers that are carried: they work in the parts of the day that are near the wall
 * @example one 10 Wh pack (usable) in a 10 W camera and 3 h of rolling: two swaps at 60 and 120 min, three packs needed
 */
export const planDay = (network: Network, phases: readonly Phase[], spares: readonly Spare[], bays: readonly Bays[]): DayPlan => {
  const real = walk(network, phases, spares, bays)
  const plenty = walk(network, phases, 'plenty', [])
  const kinds = [...new Set(network.cells.map(({ kind }) => kind))].map((kind): KindUse => {
    const cells = network.cells.filter((cell) => cell.kind === kind)
    const count = (swaps: ReadonlyMap<string, number>) => cells.reduce((sum, { id }) => sum + (swaps.get(id) ?? 0), 0)
    const usedWh = plenty.usedWh.get(kind) ?? 0
    const watts = bays.filter((bay) => bay.kind === kind).reduce((sum, bay) => sum + bay.bays * bay.watts, 0)
    return {
      kind,
      usedWh,
      swaps: count(real.swaps),
      breaks: count(real.breaks),
      needed: cells.length + count(plenty.swaps),
      have: cells.length + spares.filter((spare) => spare.kind === kind).length,
      chargeMin: usedWh === 0 ? 0 : watts === 0 ? Infinity : (usedWh / (watts * CHARGING)) * HOUR_MIN,
    }
  })
  return {
    phases,
    minutes: phases.reduce((sum, phase) => sum + phase.minutes, 0),
    events: real.events,
    kinds,
    darkMin: real.darkMin,
    failsAtMin: real.failsAtMin,
    swaps: kinds.reduce((sum, { swaps }) => sum + swaps, 0),
  }
}

/** Next to the wall, can it go on for ever? For each kind: what the bays give back against what recording takes, W, and a second pack to swap with. */
export interface Forever {
  readonly kind: string
  readonly usesW: number
  readonly chargesW: number
  readonly spares: number
  readonly forEver: boolean
}

export const nearMains = (network: Network, rolling: Flow, spares: readonly Spare[], bays: readonly Bays[]): readonly Forever[] =>
  [...new Set(network.cells.map(({ kind }) => kind))].map((kind) => {
    const usesW = network.cells
      .filter((cell) => cell.kind === kind)
      .reduce((sum, { id }) => sum + Math.max(0, rolling.cellW.get(id) ?? 0), 0)
    const mine = spares.filter((spare) => spare.kind === kind).length
    // No more bays work than there are packs out of the rig.
    const chargesW = bays.filter((bay) => bay.kind === kind).reduce((sum, bay) => sum + Math.min(bay.bays, mine) * bay.watts * CHARGING, 0)
    return { kind, usesW, chargesW, spares: mine, forEver: usesW === 0 || (mine > 0 && chargesW >= usesW) }
  })
