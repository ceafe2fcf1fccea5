import { type Assembly, type Brace, pathToRoot, type PlacedPart } from '../assembly/index.ts'
import { standRoles } from '../balance/index.ts'
import { toolName } from '../catalogue/index.ts'
import { dot, perThing, type Vec3 } from '../kernel/index.ts'
import { type Path, pathsOf, stands } from './paths.ts'

/** One piece on its way to its seat. */
export interface Joining {
  readonly piece: PlacedPart
  readonly path: Path
}

/** A second hold that is made once both of its pieces are there. */
export interface Holding {
  readonly brace: Brace
}

/** A piece that has no way to its seat, and what stands in its nearest one. */
export interface Knot {
  readonly piece: PlacedPart
  readonly by: readonly PlacedPart[]
}

/** In which order a set-up is put together from its bare camera; with knots it can't be. */
export interface BuildOrder {
  readonly steps: readonly (Joining | Holding)[]
  readonly knots: readonly Knot[]
  /** How often one tool is laid down for another. */
  readonly toolChanges: number
}

/** Fingers and levers are always there. */
const byHand: ReadonlySet<string> = new Set(['fingers', 'lever'])

/** The tool of a joint or hold, as far as it has to be taken in the hand. */
const toolOf = ({ mate }: Pick<PlacedPart, 'mate'>): string | undefined => {
  const name = mate?.ok ? toolName(mate.value) : 'fingers'
  return mate?.ok && byHand.has(mate.value.tool) ? undefined : name
}

type Item = Joining | Holding

export const isHolding = (item: Item): item is Holding => 'brace' in item

const itemTool = (item: Item): string | undefined => toolOf(isHolding(item) ? item.brace : item.piece)

/** Batteries come last, a stand just before them: the rig is built on the table. */
const rankOf = (item: Item): number => {
  if (isHolding(item)) return 1
  const { part, mate } = item.piece
  if (mate?.ok && mate.value.standard.kind === 'battery') return 3
  return standRoles.has(part.role) ? 2 : 1
}
const heightOf = (item: Item): number => (isHolding(item) ? item.brace.guest : item.piece).centre[1]
const facingOf = (item: Item): Vec3 | undefined => (isHolding(item) ? undefined : item.path.off)

/**
 * Taking apart what stands, piece by piece: what is free to go only grows by it, so no choice is ever wrong, and the other
 * way round it is an order in which all goes together.
 */
class Standing {
  readonly pieces: ReadonlySet<PlacedPart>
  readonly braces: ReadonlySet<Brace>
  readonly taken: readonly Item[]
  readonly #root: PlacedPart | undefined

  constructor(
    pieces: ReadonlySet<PlacedPart>,
    braces: ReadonlySet<Brace>,
    taken: readonly Item[],
    root: PlacedPart | undefined,
  ) {
    this.pieces = pieces
    this.braces = braces
    this.taken = taken
    this.#root = root
  }

  #guests(piece: PlacedPart): boolean {
    for (const other of this.pieces) if (other.host === piece) return true
    return false
  }

  #blockers(piece: PlacedPart, path: number): readonly PlacedPart[] {
    const rest = this.#root ? [this.#root, ...this.pieces] : [...this.pieces]
    return rest.filter((other) => other !== piece && stands(piece, other, path))
  }

  /** What can go now: holds at once, and pieces that carry nothing, are held by nothing more and have a way. */
  #free(): readonly Item[] {
    const items: Item[] = [...this.braces].map((brace) => ({ brace }))
    for (const piece of this.pieces) {
      if (this.#guests(piece) || [...this.braces].some(({ guest, host }) => guest === piece || host === piece)) continue
      const paths = pathsOf(piece)
      const open = paths.findIndex((_, i) => this.#blockers(piece, i).length === 0)
      const path = paths[open]
      if (path) items.push({ piece, path })
    }
    return items
  }

  #without(item: Item): Standing {
    return isHolding(item)
      ? new Standing(
          this.pieces,
          new Set([...this.braces].filter((one) => one !== item.brace)),
          [...this.taken, item],
          this.#root,
        )
      : new Standing(
          new Set([...this.pieces].filter((one) => one !== item.piece)),
          this.braces,
          [...this.taken, item],
          this.#root,
        )
  }

  /** All that goes with a tool in the hand, or with none: what comes last first, then what is worked on from the same side. */
  clearedWith(tool: string | undefined): Standing {
    const options = this.#free().filter((item) => {
      const own = itemTool(item)
      return own === undefined || own === tool
    })
    if (options.length === 0) return this
    const last = this.taken.at(-1)
    const facing = last && facingOf(last)
    const turned = (item: Item): number => {
      const way = facingOf(item)
      return facing && way && dot(facing, way) < 0.7 ? 1 : 0
    }
    const [next] = [...options].sort(
      (a, b) => rankOf(b) - rankOf(a) || turned(a) - turned(b) || heightOf(b) - heightOf(a),
    )
    return next ? this.#without(next).clearedWith(tool) : this
  }

  /** The tools that something waits for. */
  get tools(): readonly string[] {
    return [...new Set(this.#free().flatMap((item) => itemTool(item) ?? []))].sort()
  }

  get isDone(): boolean {
    return this.pieces.size === 0 && this.braces.size === 0
  }

  /** What is left, pieces and holds, in a word that is the same for the same. */
  get key(): string {
    const holds = [...this.braces].map(({ guest, host }) => `${guest.instance.id}+${host.instance.id}`)
    return [...[...this.pieces].map(({ instance }) => instance.id), ...holds].sort().join(' ')
  }

  /** What has no way out, with what stands in the way it could be got out by soonest. */
  get knots(): readonly Knot[] {
    return [...this.pieces]
      .filter((piece) => !this.#guests(piece))
      .map((piece) => {
        const ways = pathsOf(piece).map((_, i) => this.#blockers(piece, i))
        const by = ways.reduce<readonly PlacedPart[]>(
          (least, one) => (least.length === 0 || one.length < least.length ? one : least),
          [],
        )
        return { piece, by }
      })
  }
}

/**
 * The order with the fewest changes of tool. With one tool in the hand all that it frees is taken off before another is
 * picked up, which never costs a change; which tool comes next is searched for breadth first.
 */
const leastChanges = (start: Standing): { readonly end: Standing; readonly changes: number } => {
  let front = [start.clearedWith(undefined)]
  const seen = new Set<string>()
  let furthest = front[0] ?? start
  for (let changes = -1; front.length > 0; changes++) {
    const done = front.find(({ isDone }) => isDone)
    if (done) return { end: done, changes: Math.max(0, changes) }
    const next: Standing[] = []
    for (const standing of front)
      for (const tool of standing.tools) {
        const after = standing.clearedWith(tool)
        if (after.pieces.size < furthest.pieces.size) furthest = after
        if (seen.has(after.key)) continue
        seen.add(after.key)
        next.push(after)
      }
    front = next
  }
  return { end: furthest, changes: 0 }
}

/** Pieces that go on what they sit on, as does everything they sit on by way of. */
const goingOn = (placed: readonly PlacedPart[]): ReadonlySet<PlacedPart> =>
  new Set(placed.filter((piece) => piece.joint && pathToRoot(piece).every(({ joint, mate }) => !joint || mate?.ok)))

/**
 * Pieces that lock each other: whatever is taken off first, these stay. Holds are loosed before anything, so they are no
 * part of it; nor are tools. Most rigs have none, and it is told soon.
 */
export const knotsIn = perThing('knots', (placed: readonly PlacedPart[]): readonly Knot[] => {
  const left = new Set(goingOn(placed))
  const [root] = placed
  const carries = new Map<PlacedPart, number>()
  for (const { host } of left) if (host) carries.set(host, (carries.get(host) ?? 0) + 1)
  const isIn = (piece: PlacedPart, other: PlacedPart, path: number) => other !== piece && stands(piece, other, path)
  const isOpen = (piece: PlacedPart): boolean =>
    pathsOf(piece).some((_, path) => {
      if (root && isIn(piece, root, path)) return false
      for (const other of left) if (isIn(piece, other, path)) return false
      return true
    })
  for (let goes = true; goes;) {
    goes = false
    for (const piece of left) {
      if ((carries.get(piece) ?? 0) > 0 || !isOpen(piece)) continue
      left.delete(piece)
      if (piece.host) carries.set(piece.host, (carries.get(piece.host) ?? 0) - 1)
      goes = true
    }
  }
  if (left.size === 0) return nobody
  return new Standing(left, new Set(), [], root).knots
})
const nobody: readonly Knot[] = []

/** The order in which a set-up is put together, worked out by taking it apart. Leads are no part of it. */
export const buildOrderOf = perThing('build order', (assembly: Assembly): BuildOrder => {
  const [root] = assembly.placed
  // What does not go on what it sits on is put on by nobody, nor is what rides on it.
  const pieces = goingOn(assembly.placed)
  const braces = new Set(
    assembly.braces.filter(
      ({ guest, host, mate }) => mate.ok && pieces.has(guest) && (host === root || pieces.has(host)),
    ),
  )
  const { end, changes } = leastChanges(new Standing(pieces, braces, [], root))
  return { steps: end.taken.toReversed(), knots: end.isDone ? [] : end.knots, toolChanges: changes }
})
