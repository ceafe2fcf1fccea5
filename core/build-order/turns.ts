import type { PlacedPart } from '../assembly/index.ts'
import { dot, flatMap } from '../kernel/index.ts'
import type { Holding, Joining } from './order.ts'
import { type Path, pathsOf, stands } from './paths.ts'
import { wantsOff } from './stated.ts'

type Item = Joining | Holding

/** What an order costs, what counts most first: tools laid down, what should be last done earlier, turns of the rig. */
export interface Cost {
  readonly toolOf: (item: Item) => string | undefined
  readonly rankOf: (item: Item) => number
}

/** Worked on from another side: so far apart that the rig is turned in the hand. */
const TURNED = 0.7

/** How often the rig is turned from one piece to the next; a second hold is made from where one is. */
export const turnsIn = (steps: readonly Item[]): number => {
  const ways = flatMap(steps, (item) => ('piece' in item ? [item.path.off] : []))
  return ways.filter((way, i) => {
    const before = ways[i - 1]
    return before !== undefined && dot(before, way) < TURNED
  }).length
}

/** How often one tool is laid down for another; what needs none lets one keep the last in the hand. */
export const changesIn = (steps: readonly Item[], toolOf: Cost['toolOf']): number => {
  const tools = flatMap(steps, (item) => toolOf(item) ?? [])
  return tools.filter((tool, i) => i > 0 && tool !== tools[i - 1]).length
}

/** The first way of a piece past all that is there, what it came by before where that is free. */
const wayPast = ({ piece, path }: Joining, there: readonly PlacedPart[]): Path | undefined => {
  const isFree = (way: Path) => !there.some((other) => stands(piece, other, way))
  return isFree(path) ? path : pathsOf(piece).find(isFree)
}

/** The same steps in this order, where each can be done when its turn comes. */
const doable = (steps: readonly Item[], root: PlacedPart): readonly Item[] | undefined => {
  const there = [root]
  const done: Item[] = []
  for (const item of steps) {
    if ('brace' in item) {
      if (!there.includes(item.brace.guest) || !there.includes(item.brace.host)) return undefined
      done.push(item)
      continue
    }
    const { piece } = item
    if (!piece.host || !there.includes(piece.host) || there.some((other) => wantsOff(piece, other))) return undefined
    const path = wayPast(item, there)
    if (!path) return undefined
    there.push(piece)
    done.push(path === item.path ? item : { ...item, path })
  }
  return done
}

const moved = (steps: readonly Item[], from: number, to: number): readonly Item[] => {
  const next = steps.filter((_, i) => i !== from)
  const [item] = steps.slice(from, from + 1)
  return item ? [...next.slice(0, to), item, ...next.slice(to)] : next
}

/** So many times an order is bettered by a step of its own; more than any rig of the demo has. */
const MOST = 40

/**
 * An order with fewer turns of the rig, and no more changes of tool: one step at a time is done earlier or later, as long
 * as that helps. Where pieces are joined in the hand the order is left as it is.
 */
export const withFewerTurns = (
  steps: readonly Item[],
  root: PlacedPart | undefined,
  { toolOf, rankOf }: Cost,
): readonly Item[] => {
  const isPlain = steps.every((item) => 'brace' in item || (!item.inHand && item.riders.length === 0))
  if (!root || !isPlain) return steps
  /** Steps of a lower rank that come after one of a higher. */
  const lateIn = (order: readonly Item[]): number => {
    let [highest, late] = [-Infinity, 0]
    for (const rank of order.map(rankOf)) {
      if (rank < highest) late++
      highest = Math.max(highest, rank)
    }
    return late
  }
  const better = (order: readonly Item[]): readonly Item[] | undefined => {
    const [turns, changes, late] = [turnsIn(order), changesIn(order, toolOf), lateIn(order)]
    for (let from = 0; from < order.length; from++)
      for (let to = 0; to < order.length; to++) {
        if (from === to) continue
        const next = moved(order, from, to)
        if (turnsIn(next) >= turns || changesIn(next, toolOf) > changes || lateIn(next) > late) continue
        const done = doable(next, root)
        // By another way it may be turned as often as before.
        if (done && turnsIn(done) < turns) return done
      }
    return undefined
  }
  let order = steps
  for (let i = 0; i < MOST; i++) {
    const next = better(order)
    if (!next) break
    order = next
  }
  return order
}
