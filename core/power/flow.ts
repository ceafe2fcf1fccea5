import { numberOf, perKey, perThing, flatMap } from '../kernel/index.ts'
import type { Cell, Feed, Network, PowerNode } from './network.ts'

/** Watts below which nothing flows: rounding. */
const NOTHING_W = 1e-9
/** What of the power put into a battery can be taken out again. */
export const CHARGING = 0.9

/** Where the power goes at one moment. */
export interface Flow {
  /** What each battery gives, W; less than nothing while it is being charged. */
  readonly cellW: ReadonlyMap<string, number>
  /** What arrives through each feed, W. */
  readonly feedW: ReadonlyMap<Feed, number>
  /** Pieces that want power and get too little. */
  readonly dark: ReadonlySet<string>
  /**
   * What the working pieces use, what goes into batteries, what comes from the wall, and what is lost on the way, W.
   */
  readonly usedW: number
  readonly storedW: number
  readonly wallW: number
  readonly lossW: number
}

export type Draw = (node: PowerNode) => number

interface Pass {
  readonly cellW: Map<string, number>
  readonly feedW: Map<Feed, number>
  readonly starved: readonly string[]
  /** Leads out of a piece that gets too little to pass on. */
  readonly cut: readonly Feed[]
  readonly usedW: number
  readonly storedW: number
  readonly wallW: number
  readonly lossW: number
}

/** A network by its pieces: a day asks where its power goes hundreds of times. */
interface Board {
  readonly nodes: ReadonlyMap<string, PowerNode>
  readonly cells: ReadonlyMap<string, Cell>
  /** What feeds each piece, in the order of the feeds. */
  readonly into: ReadonlyMap<string, readonly Feed[]>
  /** From what is fed last to what feeds first. */
  readonly backwards: readonly string[]
}
const boardOf = perThing('networks by piece', ({ nodes, cells, feeds, order }: Network): Board => {
  const into = new Map<string, Feed[]>()
  for (const feed of feeds) {
    const list = into.get(feed.to)
    if (list) list.push(feed)
    else into.set(feed.to, [feed])
  }
  return {
    nodes: new Map(nodes.map((node) => [node.id, node])),
    cells: new Map(cells.map((cell) => [cell.id, cell])),
    into,
    backwards: order.toReversed(),
  }
})
const nothing: readonly Feed[] = []

/** Pieces and batteries that have power behind them. */
const liveOf = (network: Network, left: ReadonlyMap<string, number>, dead: ReadonlySet<Feed>): ReadonlySet<string> => {
  const { into } = boardOf(network)
  const live = new Set<string>()
  for (const cell of network.cells) if ((left.get(cell.id) ?? 0) > 0) live.add(cell.id)
  for (const node of network.nodes) if (node.mains) live.add(node.id)
  for (const id of network.order) if (into.get(id)?.some((feed) => live.has(feed.from) && !dead.has(feed))) live.add(id)
  return live
}

/** Charges that differ by less are the same: rounding. Wh */
const SAME_WH = 1e-9

/** What is left in a battery when a load of it switches off, Wh: for each of its loads that does, lowest first. */
export const endsWh = ({ cells, feeds }: Network, id: string): readonly number[] => {
  const usableWh = cells.find((cell) => cell.id === id)?.usableWh ?? 0
  return flatMap(feeds, ({ ends }) => (ends?.cell === id ? [ends.share * usableWh] : [])).sort((a, b) => a - b)
}

/** Has the battery behind a feed fallen below what its load wants? */
const isSpent = (feed: Feed, cells: ReadonlyMap<string, Cell>, left: ReadonlyMap<string, number>): boolean =>
  feed.ends !== undefined &&
  (left.get(feed.ends.cell) ?? 0) <= feed.ends.share * (cells.get(feed.ends.cell)?.usableWh ?? 0) + SAME_WH

const pass = (
  network: Network,
  left: ReadonlyMap<string, number>,
  draw: Draw,
  dark: ReadonlySet<string>,
  dead: ReadonlySet<Feed>,
): Pass => {
  const { nodes, cells, into: feedsInto, backwards } = boardOf(network)
  const live = liveOf(network, left, dead)
  const wanted = new Map<string, number>()
  const cellW = new Map<string, number>()
  const feedW = new Map<Feed, number>()
  const starved: string[] = []
  const cut: Feed[] = []
  let [usedW, storedW, wallW, lossW] = [0, 0, 0, 0]
  const ask = (id: string, watts: number) => wanted.set(id, (wanted.get(id) ?? 0) + watts)
  for (const id of backwards) {
    const passed = wanted.get(id) ?? 0
    if (cells.has(id)) {
      cellW.set(id, (cellW.get(id) ?? 0) + passed)
      continue
    }
    const node = nodes.get(id)
    const own = node && !dark.has(id) ? draw(node) : 0
    let open = own + passed
    if (node?.mains) {
      wallW += open
      usedW += own
      continue
    }
    const all = feedsInto.get(id) ?? nothing
    const into = dead.size === 0 ? all : all.filter((feed) => !dead.has(feed))
    const seat = into.find((feed) => !feed.link && cells.has(feed.from))
    const works = (feed: Feed) =>
      live.has(feed.from) &&
      !isSpent(feed, cells, left) &&
      (!feed.needsPack || (seat !== undefined && (left.get(seat.from) ?? 0) > 0))
    const taken: [Feed, number][] = []
    for (const feed of into) {
      if (!works(feed)) continue
      const watts = Math.min(open, feed.limitW)
      taken.push([feed, watts])
      open -= watts
    }
    if (open > NOTHING_W) {
      // Too little: nothing works here, and nothing is passed on.
      if (own > 0) starved.push(id)
      else cut.push(...network.feeds.filter((feed) => feed.from === id && (feedW.get(feed) ?? 0) > 0))
      continue
    }
    usedW += own
    for (const [feed, watts] of taken) {
      let more = 0
      const cell = seat && cells.get(seat.from)
      if (cell && feed.chargeW > 0 && (left.get(cell.id) ?? 0) < cell.usableWh) {
        more = Math.max(0, Math.min(feed.limitW - watts, feed.chargeW))
        cellW.set(cell.id, (cellW.get(cell.id) ?? 0) - more * CHARGING)
        storedW += more * CHARGING
        lossW += more * (1 - CHARGING)
      }
      feedW.set(feed, watts + more)
      ask(feed.from, (watts + more) / feed.efficiency)
      lossW += (watts + more) * (1 / feed.efficiency - 1)
    }
  }
  return { cellW, feedW, starved, cut, usedW, storedW, wallW, lossW }
}

/**
 * Where the power goes: each piece takes what it wants from its leads first, then from the battery in its own seat.
 * What gets too little goes dark, and the rest is asked again.
 * @param left what each battery still holds, Wh
 * @param draw what each piece wants now, W
 * @param dark pieces that have gone dark before and stay so
 */
export const flowAt = (
  network: Network,
  left: ReadonlyMap<string, number>,
  draw: Draw,
  dark: ReadonlySet<string> = none,
): Flow => flows(network, stateOf(network, left, draw, dark), () => flowIn(network, left, draw, dark))

const none: ReadonlySet<string> = new Set()
const flows = perKey<Network, Flow>('where power goes')

/**
 * All of a moment that the flow hangs on. It is the same whatever a battery still holds, as long as it is neither empty
 * nor full nor too low for one of its loads: a day passes through a few such states many times.
 */
const stateOf = (
  network: Network,
  left: ReadonlyMap<string, number>,
  draw: Draw,
  dark: ReadonlySet<string>,
): string => {
  let state = `${numberOf(draw)} `
  for (const { id, usableWh } of network.cells) {
    const has = left.get(id) ?? 0
    state += (has > 0 ? 1 : 0) + (has < usableWh ? 2 : 0)
  }
  const { cells } = boardOf(network)
  for (const feed of network.feeds) if (feed.ends) state += isSpent(feed, cells, left) ? 'x' : 'o'
  return dark.size === 0 ? state : `${state} ${[...dark].join()}`
}

const flowIn = (network: Network, left: ReadonlyMap<string, number>, draw: Draw, dark: ReadonlySet<string>): Flow => {
  const all = new Set(dark)
  const dead = new Set<Feed>()
  for (;;) {
    const { starved, cut, cellW, feedW, usedW, storedW, wallW, lossW } = pass(network, left, draw, all, dead)
    if (starved.length === 0 && cut.length === 0) {
      return { cellW, feedW, dark: all, usedW, storedW, wallW, lossW }
    }
    for (const id of starved) all.add(id)
    for (const feed of cut) dead.add(feed)
  }
}

/** Full batteries. */
export const fullCells = (cells: readonly Cell[]): Map<string, number> =>
  new Map(cells.map((cell) => [cell.id, cell.usableWh]))
