import { type Assembly, type Brace, type PlacedPart, ridesOn } from '../assembly/index.ts'
import { standRoles } from '../balance/index.ts'
import { toolName } from '../catalogue/index.ts'
import { dot, perThing, type Vec3, flatMap } from '../kernel/index.ts'
import { type Path, pathsOf, stands, standsBefore } from './paths.ts'
import { type Against, comesAlong, wantsOff } from './stated.ts'
import { changesIn, turnsIn, withFewerTurns } from './turns.ts'

/** One piece on its way to its seat. */
export interface Joining {
  readonly piece: PlacedPart
  readonly path: Path
  /** What sits on it already, joined in the hand, and comes with it. */
  readonly riders: readonly PlacedPart[]
  /** It is joined in the hand: its host is not on the rig yet. */
  readonly inHand: boolean
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
  /** Stated orders that no order of the whole keeps. */
  readonly against: readonly Against[]
  /** How often one tool is laid down for another. */
  readonly toolChanges: number
  /** How often it is turned to be worked on from another side. */
  readonly turns: number
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

/** How free one is to choose: by the stated orders, with pieces that go as one where none goes alone, or by geometry only. */
type Manner = 'as stated' | 'as one' | 'anyhow'

/**
 * Taking apart what stands, piece by piece: what is free to go only grows by it, so no choice is ever wrong, and the other
 * way round it is an order in which all goes together.
 */
export class Standing {
  readonly pieces: ReadonlySet<PlacedPart>
  readonly braces: ReadonlySet<Brace>
  readonly taken: readonly Item[]
  readonly against: readonly Against[]
  readonly #root: PlacedPart | undefined

  constructor(
    pieces: ReadonlySet<PlacedPart>,
    braces: ReadonlySet<Brace>,
    taken: readonly Item[],
    against: readonly Against[],
    root: PlacedPart | undefined,
  ) {
    this.pieces = pieces
    this.braces = braces
    this.taken = taken
    this.against = against
    this.#root = root
  }

  /** What a piece is taken off from: the rig, or what it was put down with. */
  #benchOf(piece: PlacedPart): PlacedPart | undefined {
    let at = piece.host
    while (at && this.pieces.has(at)) at = at.host
    return at
  }

  /** What rides on a piece still; what was put down with something between them waits there. */
  #ridersOf(piece: PlacedPart): readonly PlacedPart[] {
    const bench = this.#benchOf(piece)
    const riders: PlacedPart[] = []
    for (const other of this.pieces)
      if (other !== piece && ridesOn(other, piece) && this.#benchOf(other) === bench) riders.push(other)
    return riders
  }

  /** What is where a piece is, and could stand in its way. */
  #besides(piece: PlacedPart): readonly PlacedPart[] {
    const bench = this.#benchOf(piece)
    const rest: PlacedPart[] = bench ? [bench] : []
    for (const other of this.pieces) if (other !== piece && this.#benchOf(other) === bench) rest.push(other)
    return rest
  }

  /** The stated orders that taking a piece now would break. */
  #againstBy(piece: PlacedPart): readonly Against[] {
    const { host } = piece
    const bench = this.#benchOf(piece)
    const waits = [...this.pieces].filter((other) => this.#benchOf(other) === bench && wantsOff(piece, other))
    return [
      ...(host && this.pieces.has(host) && comesAlong(piece)
        ? [{ piece, after: host, why: 'joined-before' as const }]
        : []),
      ...waits.map((after) => ({ piece, after, why: 'off-first' as const })),
    ]
  }

  #way(piece: PlacedPart, manner: Manner): Joining | undefined {
    const riders = this.#ridersOf(piece)
    if (manner !== 'as one' && !riders.every(comesAlong)) return undefined
    const isIn = (one: PlacedPart) => one === piece || riders.includes(one)
    if ([...this.braces].some(({ guest, host }) => isIn(guest) || isIn(host))) return undefined
    if (manner !== 'anyhow' && this.#againstBy(piece).length > 0) return undefined
    const besides = this.#besides(piece)
    const path = pathsOf(piece).find((one) => !besides.some((other) => standsBefore(piece, other, one, riders)))
    return path && { piece, path, riders, inHand: this.#benchOf(piece) !== this.#root }
  }

  /** What can go now: holds at once, and pieces that carry nothing, are held by nothing more and have a way. */
  #free(): readonly Item[] {
    const ways = flatMap([...this.pieces], (piece) => this.#way(piece, 'as stated') ?? [])
    return [...[...this.braces].map((brace): Item => ({ brace })), ...ways]
  }

  /** What stands after some are taken, one after the other. */
  #without(items: readonly Item[]): Standing {
    const [pieces, braces] = [new Set(this.pieces), new Set(this.braces)]
    const [taken, against] = [[...this.taken], [...this.against]]
    const left = new Standing(pieces, braces, taken, against, this.#root)
    for (const item of items) {
      taken.push(item)
      if (isHolding(item)) braces.delete(item.brace)
      else {
        against.push(...left.#againstBy(item.piece))
        pieces.delete(item.piece)
      }
    }
    return left
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
    return next ? this.#without([next]).clearedWith(tool) : this
  }

  /** All that goes, with whatever tools. */
  clearedAnyhow(): Standing {
    const free = this.#free()
    return free.length === 0 ? this : this.#without(free).clearedAnyhow()
  }

  /**
   * Where nothing goes any more: one that goes with all it carries, which is then taken apart in the hand, the smallest
   * first; else one that goes against a stated order.
   */
  eased(): Standing | undefined {
    const loads = new Map([...this.pieces].map((piece) => [piece, this.#ridersOf(piece).length]))
    const byLoad = [...this.pieces].sort((a, b) => (loads.get(a) ?? 0) - (loads.get(b) ?? 0))
    for (const manner of ['as one', 'anyhow'] as const)
      for (const piece of byLoad) {
        const next = this.#way(piece, manner)
        if (next) return this.#without([next])
      }
    return undefined
  }

  /** The tools that something waits for. */
  get tools(): readonly string[] {
    return [...new Set(flatMap(this.#free(), (item) => itemTool(item) ?? []))].sort()
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
      .filter((piece) => this.#ridersOf(piece).length === 0)
      .map((piece) => {
        const besides = this.#besides(piece)
        const ways = pathsOf(piece).map((path) => besides.filter((other) => stands(piece, other, path)))
        const by = ways.reduce<readonly PlacedPart[]>(
          (least, one) => (least.length === 0 || one.length < least.length ? one : least),
          [],
        )
        return { piece, by }
      })
  }
}

/**
 * As far as it goes with the fewest changes of tool. With one tool in the hand all that it frees is taken off before
 * another is picked up, which never costs a change; which tool comes next is searched for breadth first.
 */
const fewestChanges = (start: Standing): Standing => {
  let front = [start.clearedWith(undefined)]
  const seen = new Set<string>()
  let furthest = front[0] ?? start
  while (front.length > 0) {
    const done = front.find(({ isDone }) => isDone)
    if (done) return done
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
  return furthest
}

/**
 * All taken apart, or as far as it can be: where nothing goes any more, as one, or against what is stated.
 * @param cleared takes off all that goes by itself
 */
export const takenApart = (start: Standing, cleared: (standing: Standing) => Standing): Standing => {
  const end = cleared(start)
  const eased = end.isDone ? undefined : end.eased()
  return eased ? takenApart(eased, cleared) : end
}

/** Pieces that go on what they sit on, as does everything they sit on by way of. */
export const goingOn = (placed: readonly PlacedPart[]): ReadonlySet<PlacedPart> =>
  new Set(placed.filter((piece) => piece.joint && goesOn(piece)))

/** Does a piece go on what it sits on, as far as the camera? */
const goesOn = perThing(
  'goes on as far as the camera',
  ({ joint, mate, host }: PlacedPart): boolean => !joint || (mate?.ok === true && (!host || goesOn(host))),
)

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
  const end = takenApart(new Standing(pieces, braces, [], [], root), fewestChanges)
  const steps = withFewerTurns(end.taken.toReversed(), root, { toolOf: itemTool, rankOf })
  const toolChanges = changesIn(steps, itemTool)
  return { steps, knots: end.isDone ? [] : end.knots, against: end.against, toolChanges, turns: turnsIn(steps) }
})
