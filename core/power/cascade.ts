import { type Draw, endsWh, type Flow, flowAt, fullCells } from './flow.ts'
import type { Network } from './network.ts'

/** Wh below which a battery is empty: rounding. */
const EMPTY_WH = 1e-9
const HOUR_MIN = 60
const TURNS_PER_CELL = 8

/** Something that happens while the batteries run down. */
export interface PowerEvent {
  readonly minute: number
  readonly what: 'empty' | 'full' | 'dark'
  readonly id: string
  readonly name: string
}

/** How long it goes on with the batteries that are in. */
export interface RunDown {
  readonly events: readonly PowerEvent[]
  /** When each battery is empty, or too low for all it feeds, minutes; Infinity when it never is. */
  readonly cellMin: ReadonlyMap<string, number>
  /** When each piece goes dark, minutes; 0 when it never had power, Infinity when it never goes dark. */
  readonly nodeMin: ReadonlyMap<string, number>
  readonly first: Flow
}

/** How full a battery is when nothing can take any more of it, Wh: all its loads have switched off, or it is empty. */
const lastWh = (network: Network, id: string): number => {
  const ends = endsWh(network, id)
  const loads = network.feeds.filter(({ from }) => from === id).length
  return ends.length > 0 && ends.length === loads ? (ends[0] ?? 0) : 0
}

/** How full a battery is when the first of its loads switches off, Wh: then it is changed. */
export const spentWh = (network: Network, id: string): number => endsWh(network, id).at(-1) ?? 0

/**
 * Hours until the next battery is empty or full at this flow, or so low that one of its loads switches off; Infinity
 * when nothing changes.
 */
export const hoursToNext = (network: Network, left: ReadonlyMap<string, number>, flow: Flow): number => {
  let hours = Infinity
  for (const cell of network.cells) {
    const watts = flow.cellW.get(cell.id) ?? 0
    const has = left.get(cell.id) ?? 0
    const until = [0, ...endsWh(network, cell.id)].filter((wh) => has > wh + EMPTY_WH).at(-1)
    if (watts > 0 && until !== undefined) hours = Math.min(hours, (has - until) / watts)
    if (watts < 0 && has < cell.usableWh) hours = Math.min(hours, (cell.usableWh - has) / -watts)
  }
  return hours
}

/** What the batteries hold after some hours of a flow; what is all but empty or full is so. */
export const drained = (
  { cells }: Pick<Network, 'cells'>,
  left: ReadonlyMap<string, number>,
  flow: Flow,
  hours: number,
): Map<string, number> =>
  new Map(
    cells.map((cell) => {
      const has = (left.get(cell.id) ?? 0) - (flow.cellW.get(cell.id) ?? 0) * hours
      return [cell.id, has < EMPTY_WH ? 0 : has > cell.usableWh - EMPTY_WH ? cell.usableWh : has]
    }),
  )

/**
 * Runs the batteries down at a steady draw, from one event to the next: exact, no time steps. A piece that has gone
 * dark stays dark: nobody changes a pack here.
 * @example one 16 Wh pack at 20 C and a 7.2 W camera: 16 x 0.9 / 7.2 h = 120 min
 */
export const runDown = (network: Network, draw: Draw): RunDown => {
  const names = new Map([...network.cells, ...network.nodes].map(({ id, name }) => [id, name]))
  const events: PowerEvent[] = []
  const note = (minute: number, what: PowerEvent['what'], id: string) =>
    events.push({ minute, what, id, name: names.get(id) ?? id })
  let left = fullCells(network.cells)
  let flow = flowAt(network, left, draw)
  const first = flow
  let minute = 0
  for (const id of flow.dark) note(0, 'dark', id)
  // Each turn empties or fills a battery for good; the bound only guards against rounding that never settles.
  const turnings = network.cells.length + network.feeds.filter(({ ends }) => ends).length
  for (let turns = 0; turns < TURNS_PER_CELL * (turnings + 1); turns++) {
    const hours = hoursToNext(network, left, flow)
    if (hours === Infinity) break
    const next = drained(network, left, flow, hours)
    minute += hours * HOUR_MIN
    for (const cell of network.cells) {
      const [was, is] = [left.get(cell.id) ?? 0, next.get(cell.id) ?? 0]
      const last = lastWh(network, cell.id) + EMPTY_WH
      if (was > last && is <= last) note(minute, 'empty', cell.id)
      if (was < cell.usableWh && is === cell.usableWh) note(minute, 'full', cell.id)
    }
    const after = flowAt(network, next, draw, flow.dark)
    for (const id of after.dark) if (!flow.dark.has(id)) note(minute, 'dark', id)
    ;[left, flow] = [next, after]
  }
  const when = (what: PowerEvent['what'], id: string) =>
    events.find((event) => event.what === what && event.id === id)?.minute ?? Infinity
  return {
    events,
    first,
    cellMin: new Map(network.cells.map(({ id }) => [id, when('empty', id)])),
    nodeMin: new Map(network.nodes.map(({ id }) => [id, when('dark', id)])),
  }
}
