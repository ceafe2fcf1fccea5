/** What a query is made from: it may ask leaves and other queries, and what it asks is noted. */
export interface Ask {
  /** The value of a leaf as it is now. */
  readonly leaf: (name: string) => unknown
  /** The value of another query. @throws what that query threw */
  readonly query: (name: string) => unknown
  /** What those who ask make once for this moment, by who made it; it goes with the moment. */
  readonly kept: Map<object, unknown>
}

/**
 * How a query is worked out. It must ask for everything it uses, and nothing else may change what it gives.
 *
 * What it gave before it had to be worked out anew is a hint: it may start from there where that is shorter, and must give
 * what it gives without.
 */
export type Query = (ask: Ask, was?: unknown) => unknown

/** All queries there are, by name; queries made for one subject are found by the function. */
export type Queries = (name: string) => Query | undefined

/** The leaves as they are at one moment. Two moments are compared leaf by leaf, by identity. */
export type Leaves = (name: string) => unknown

/**
 * A value or an error, and all that was read on the way to it: what was seen of each leaf, and the entries of other
 * queries, both in the order they were asked. Most queries read a handful: rows are shorter than maps, and are looked
 * along sooner.
 */
interface Entry {
  readonly name: string
  /** The moment in which it was last looked at. */
  used: number
  /** The try in which it was last seen to stand, by the try's number. */
  standsIn: number
  /** It is being worked out: whoever meets it asks in a ring. */
  running: boolean
  value: unknown
  error: { readonly thrown: unknown } | undefined
  leaves: readonly string[]
  saw: readonly unknown[]
  asked: readonly Entry[]
}

const nothing: readonly never[] = []

/**
 * What the queries that are running have read so far, one after the other: a query that is asked on the way puts its own on
 * top, and takes it off again when it is done. Each query keeps a row of just its own.
 */
class Notes {
  readonly #leaves: string[] = []
  readonly #saw: unknown[] = []
  readonly #asked: Entry[] = []
  /** Where the notes of the queries began that wait for the running one. */
  readonly #waiting: number[] = []
  #firstLeaf = 0
  #leafCount = 0
  #firstAsked = 0
  #askedCount = 0

  /** What the running query saw of a leaf; -1 when it did not look. */
  leafAt(name: string): number {
    for (let i = this.#firstLeaf; i < this.#leafCount; i++) if (this.#leaves[i] === name) return i
    return -1
  }
  seenAt(at: number): unknown {
    return this.#saw[at]
  }
  addLeaf(name: string, value: unknown): void {
    this.#leaves[this.#leafCount] = name
    this.#saw[this.#leafCount++] = value
  }
  entryOf(name: string): Entry | undefined {
    for (let i = this.#firstAsked; i < this.#askedCount; i++) {
      const entry = this.#asked[i] as Entry
      if (entry.name === name) return entry
    }
    return undefined
  }
  addEntry(entry: Entry): void {
    this.#asked[this.#askedCount++] = entry
  }

  /** Begins the notes of a query. */
  begin(): void {
    this.#waiting.push(this.#firstLeaf, this.#firstAsked)
    this.#firstLeaf = this.#leafCount
    this.#firstAsked = this.#askedCount
  }

  /** Hands its notes to the entry of a query that is done. @param before whose row of names serves again if it says the same */
  end(entry: Entry, before: Entry | undefined): void {
    const [leaf, asked] = [this.#firstLeaf, this.#firstAsked]
    if (this.#leafCount > leaf) {
      entry.leaves =
        before && this.#sameLeaves(before.leaves) ? before.leaves : this.#leaves.slice(leaf, this.#leafCount)
      entry.saw = this.#saw.slice(leaf, this.#leafCount)
    }
    if (this.#askedCount > asked) entry.asked = this.#asked.slice(asked, this.#askedCount)
    this.#leafCount = leaf
    this.#askedCount = asked
    this.#firstAsked = this.#waiting.pop() ?? 0
    this.#firstLeaf = this.#waiting.pop() ?? 0
  }

  #sameLeaves(names: readonly string[]): boolean {
    const from = this.#firstLeaf
    if (names.length !== this.#leafCount - from) return false
    for (let i = 0; i < names.length; i++) if (names[i] !== this.#leaves[from + i]) return false
    return true
  }
}

/** What nobody looked at for so many moments is forgotten. */
const KEPT_MOMENTS = 50

/**
 * How often queries were worked out, by name, since the evaluator began: what an edit costs is told in these, not in
 * milliseconds.
 */
export type Counts = ReadonlyMap<string, number>

/** A query that asks for itself, directly or by others. */
export class RingError extends Error {
  readonly query: string
  constructor(query: string) {
    super(`The query "${query}" asks for itself.`)
    this.query = query
  }
}

/**
 * Lists of any kind are walked, not indexed: an optimizing compiler turns lists of figures into lists of objects for good
 * where one place of the program indexes both, and every vector that was ever compared here would be slow from then on.
 */
const same = (a: readonly unknown[], b: readonly unknown[]): boolean => {
  if (a.length !== b.length) return false
  const others = b.values()
  for (const one of a) if (!Object.is(one, others.next().value)) return false
  return true
}

/** The same things under the same keys, in the same order. */
const sameEntries = (a: ReadonlyMap<unknown, unknown>, b: ReadonlyMap<unknown, unknown>): boolean => {
  if (a.size !== b.size) return false
  const others = b.entries()
  for (const [key, value] of a) {
    const [otherKey, other] = others.next().value as [unknown, unknown]
    if (!Object.is(key, otherKey) || !Object.is(value, other)) return false
  }
  return true
}

type Fields = Readonly<Record<string, unknown>>
const isPlain = (value: object): boolean => Object.getPrototypeOf(value) === Object.prototype

/**
 * Is a new value the same as an old one, so that the old object can stay? The same object; or lists and plain objects
 * that hold the very same things; or maps and sets of the very same things in the same order. Never a tolerance:
 * figures are compared bit by bit.
 */
export const equalValues = (a: unknown, b: unknown): boolean => {
  if (Object.is(a, b)) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a) && Array.isArray(b)) return same(a, b)
  if (a instanceof Map && b instanceof Map) return sameEntries(a, b)
  if (a instanceof Set && b instanceof Set) return same([...a], [...b])
  if (!isPlain(a) || !isPlain(b)) return false
  const [x, y] = [Object.keys(a), Object.keys(b)]
  return same(x, y) && x.every((key) => Object.is((a as Fields)[key], (b as Fields)[key]))
}

/**
 * A new list with everything of the old one in it that it repeats: the old list itself when it says the very same, and
 * else the old elements that are still right, so that whoever made something of one of them finds it again. An element
 * is right when each of its fields is the very same, or a list of the very same; what the fields hold has an identity
 * of its own. Bit by bit, never within a tolerance.
 */
export const settled = (was: unknown, now: unknown): unknown => {
  if (Object.is(was, now)) return was
  if (was instanceof Map && now instanceof Map) return settledMap(was, now)
  if (Array.isArray(was) && Array.isArray(now)) return settledList(was, now)
  return equalValues(was, now) ? was : now
}

const settledList = (old: readonly unknown[], now: readonly unknown[]): readonly unknown[] => {
  // Lists mostly grow or shrink at one place: an old element is looked for behind the last one found.
  let at = 0
  let missed = 0
  let kept = 0
  let isNew = true
  const list: unknown[] = []
  for (const one of now) {
    const found = placeOf(old, one, at, at + missed + 2)
    if (found < 0) missed++
    else {
      at = found + 1
      missed = 0
      kept++
    }
    const stays = found < 0 ? one : old[found]
    isNew &&= stays === one
    list.push(stays)
  }
  if (kept === list.length && kept === old.length) return old
  return isNew ? now : list
}

/** Where from a place on, and before another, a list has what is alike; -1 when nowhere. */
const placeOf = (list: readonly unknown[], one: unknown, from: number, before: number): number => {
  const end = Math.min(list.length, before)
  for (let i = from; i < end; i++) if (alike(list[i], one)) return i
  return -1
}

/** The same for a map: under each key the old value where the new one says the same. */
const settledMap = (was: ReadonlyMap<unknown, unknown>, now: ReadonlyMap<unknown, unknown>): unknown => {
  const map = new Map<unknown, unknown>()
  const before = was.keys()
  let same = was.size === now.size
  for (const [key, one] of now) {
    const old = was.get(key)
    const stays = alike(old, one)
    map.set(key, stays ? old : one)
    same &&= stays && Object.is(before.next().value, key)
  }
  return same ? was : map
}

const sameOrList = (a: unknown, b: unknown): boolean => {
  if (Object.is(a, b)) return true
  if (!Array.isArray(a) || !Array.isArray(b) || a.length !== b.length) return false
  const others = b.values()
  for (const one of a) if (!sameOrList(one, others.next().value)) return false
  return true
}

const alike = (a: unknown, b: unknown): boolean => {
  if (Object.is(a, b)) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null || !isPlain(a) || !isPlain(b))
    return false
  const [x, y] = [a as Fields, b as Fields]
  let count = 0
  for (const key in x) {
    if (!sameOrList(x[key], y[key])) return false
    count++
  }
  for (const _ in y) count--
  return count === 0
}

let evaluators = 0

/**
 * Answers queries and asks every question once. An entry keeps its value or error and all it read. In a later moment
 * (`advance`) or beside (`fork`) it stands again as soon as everything it read is what it was; only else it is worked
 * out anew, and when the result is the same the old object stays, so that whoever read it stands too (verify before
 * recompute, equality cut-off, as demand-driven compilers do it).
 */
export class Evaluator {
  readonly #queries: Queries
  readonly #leaves: Leaves
  /** What this is a try of. */
  readonly #parent: Evaluator | undefined
  /** Entries of earlier moments that may stand. */
  readonly #older: ReadonlyMap<string, Entry>
  readonly #moment: number
  readonly #number = ++evaluators
  /** What was made here or is looked up here for good; what stands in the parent, and here too, is told by its number. */
  readonly #entries = new Map<string, Entry>()
  readonly #made: string[] = []
  readonly #ask: Ask = { leaf: (name) => this.leaf(name), query: (name) => this.query(name), kept: new Map() }
  readonly #notes = new Notes()
  /** How many queries are running, each asked by the one before. */
  #running = 0

  private constructor(
    queries: Queries,
    leaves: Leaves,
    older: ReadonlyMap<string, Entry>,
    moment: number,
    parent?: Evaluator,
  ) {
    this.#queries = queries
    this.#leaves = leaves
    this.#older = older
    this.#moment = moment
    this.#parent = parent
  }

  /** An evaluator that knows nothing yet. */
  static from(queries: Queries, leaves: Leaves): Evaluator {
    return new Evaluator(queries, leaves, new Map(), 0)
  }

  /**
   * The same queries over the leaves of another moment: an edit, an undo, another price. This one can still be asked,
   * about its own moment.
   */
  advance(leaves: Leaves): Evaluator {
    return new Evaluator(this.#queries, leaves, this.#known(), this.#moment + 1)
  }

  /** A try: some leaves are others, all else is looked up here. It never writes to this one, and is dropped whole. */
  fork(leaves: Leaves): Evaluator {
    return new Evaluator(this.#queries, leaves, new Map(), this.#moment, this)
  }

  /** All entries that may stand later. */
  #known(): Map<string, Entry> {
    const known = this.#parent ? this.#parent.#known() : new Map<string, Entry>()
    for (const [name, entry] of this.#older) if (entry.used > this.#moment - KEPT_MOMENTS) known.set(name, entry)
    for (const [name, entry] of this.#entries) known.set(name, entry)
    return known
  }

  /** What was worked out here, by query. What stood again is not in it. */
  get counts(): Counts {
    const counts = new Map<string, number>()
    for (const name of this.#made) counts.set(name, (counts.get(name) ?? 0) + 1)
    return counts
  }

  /** The value of a query. @throws what the query threw, RingError, RangeError for a query nobody knows */
  get(name: string): unknown {
    return valueOf(this.#entry(name))
  }

  /** A leaf as it is now; read while a query runs, it is noted as something the query hangs on. */
  leaf(name: string): unknown {
    if (this.#running === 0) return this.#leaves(name)
    const at = this.#notes.leafAt(name)
    if (at >= 0) return this.#notes.seenAt(at)
    const value = this.#leaves(name)
    this.#notes.addLeaf(name, value)
    return value
  }

  /** Another query; read while a query runs, it is noted likewise. */
  query(name: string): unknown {
    if (this.#running === 0) return valueOf(this.#entry(name))
    const known = this.#notes.entryOf(name)
    if (known) return valueOf(known)
    const entry = this.#entry(name)
    this.#notes.addEntry(entry)
    return valueOf(entry)
  }

  /** The leaves a query hangs on, directly or by others; for documents and tests. */
  leavesOf(name: string, found = new Set<string>()): ReadonlySet<string> {
    const { leaves, asked } = this.#entry(name)
    for (const leaf of leaves) found.add(leaf)
    for (const entry of asked) this.leavesOf(entry.name, found)
    return found
  }

  /** What a query asked for itself. */
  readsOf(name: string): { readonly leaves: readonly string[]; readonly queries: readonly string[] } {
    const { leaves, asked } = this.#entry(name)
    return { leaves, queries: asked.map((entry) => entry.name) }
  }

  #entry(name: string): Entry {
    const known = this.#entries.get(name)
    if (known === undefined) return this.#looked(name)
    if (known.running) throw new RingError(name)
    return known
  }

  /** What stands from before, or is made. */
  #looked(name: string): Entry {
    const parent = this.#parent
    const held = parent && parent.#entries.get(name)
    if (held?.standsIn === this.#number) return held
    const before = held ?? this.#before(name)
    if (before === undefined || before.running) return this.#make(name, undefined)
    if (!this.#stands(before)) return this.#make(name, before)
    before.used = this.#moment
    // What the parent has it keeps; what it only may look up later must stay the same one here.
    if (held) held.standsIn = this.#number
    else this.#entries.set(name, before)
    return before
  }

  #before(name: string): Entry | undefined {
    const parent = this.#parent
    return parent ? (parent.#entries.get(name) ?? parent.#before(name)) : this.#older.get(name)
  }

  /**
   * Is everything an entry read what it was? Leaves first; then queries in the order they were asked, for a later one
   * may hang on an earlier one.
   */
  #stands({ leaves, saw, asked }: Entry): boolean {
    for (let i = 0; i < leaves.length; i++) if (!Object.is(this.#leaves(leaves[i] as string), saw[i])) return false
    for (const before of asked) {
      if (before.standsIn === this.#number) continue
      const known = this.#entries.get(before.name)
      // What reads in a ring now did not before: then it does not stand.
      if (known?.running) return false
      const entry = known ?? this.#looked(before.name)
      if (
        entry !== before &&
        !(entry.error === undefined && before.error === undefined && Object.is(entry.value, before.value))
      )
        return false
    }
    return true
  }

  #make(name: string, before: Entry | undefined): Entry {
    const query = this.#queries(name)
    if (!query) throw new RangeError(`There is no query "${name}".`)
    const entry: Entry = {
      name,
      used: this.#moment,
      standsIn: 0,
      running: true,
      value: undefined,
      error: undefined,
      leaves: nothing,
      saw: nothing,
      asked: nothing,
    }
    this.#entries.set(name, entry)
    this.#made.push(name)
    this.#running++
    this.#notes.begin()
    try {
      const made = query(this.#ask, before?.value)
      entry.value = before && !before.error ? settled(before.value, made) : made
    } catch (thrown) {
      entry.error = { thrown }
    }
    this.#notes.end(entry, before)
    this.#running--
    entry.running = false
    return entry
  }
}

const valueOf = ({ value, error }: Entry): unknown => {
  if (error) throw error.thrown
  return value
}
