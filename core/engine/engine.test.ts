import fc from 'fast-check'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { equalValues, Evaluator, type Leaves, type Queries, RingError, settled } from './index.ts'

const leavesOf =
  (values: Readonly<Record<string, unknown>>): Leaves =>
  (name) =>
    values[name]
const queriesOf =
  (table: Readonly<Record<string, ReturnType<Queries>>>): Queries =>
  (name) =>
    table[name]

/** Grams of three pieces, their sum, whether it is over a cap, and a note nobody reads. */
const rig = queriesOf({
  sum: ({ leaf }) => (leaf('a') as number) + (leaf('b') as number),
  over: ({ leaf, query }) => (query('sum') as number) > (leaf('cap') as number),
  word: ({ query }) => (query('over') ? ['too heavy'] : []),
  list: ({ leaf }) => [leaf('a'), leaf('b')],
  bad: ({ leaf }) => {
    if ((leaf('a') as number) < 0) throw new RangeError('less than nothing')
    return leaf('a')
  },
  told: ({ query }) => {
    try {
      return query('bad')
    } catch (error) {
      return (error as Error).message
    }
  },
  ring: ({ query }) => query('round'),
  round: ({ query }) => query('ring'),
})
const base = { a: 100, b: 200, cap: 400, note: '' }

test('a question is asked once, and again only when something it hangs on changed', () => {
  const first = Evaluator.from(rig, leavesOf(base))
  expect([first.get('word'), first.get('over'), first.get('sum')]).toEqual([[], false, 300])
  expect(Object.fromEntries(first.counts)).toEqual({ word: 1, over: 1, sum: 1 })
  const noted = first.advance(leavesOf({ ...base, note: 'by the door' }))
  expect(noted.get('word')).toBe(first.get('word'))
  expect([...noted.counts]).toEqual([])
  const capped = first.advance(leavesOf({ ...base, cap: 250 }))
  expect(capped.get('word')).toEqual(['too heavy'])
  expect(Object.fromEntries(capped.counts)).toEqual({ over: 1, word: 1 })
})

test('the same result keeps the old object, and who reads it stands', () => {
  const first = Evaluator.from(rig, leavesOf(base))
  const word = first.get('word')
  // 10 g from one to the other: the sum is asked again and is the same.
  const moved = first.advance(leavesOf({ ...base, a: 110, b: 190 }))
  expect(moved.get('word')).toBe(word)
  expect(Object.fromEntries(moved.counts)).toEqual({ sum: 1 })
  const list = first.get('list')
  const again = first.advance(leavesOf({ ...base, a: 100 }))
  expect(again.get('list')).toBe(list)
})

test('an error is a value: it is kept, told to who asks, and goes when its cause goes', () => {
  const first = Evaluator.from(rig, leavesOf({ ...base, a: -1 }))
  expect(() => first.get('bad')).toThrow('less than nothing')
  expect([first.get('told'), first.get('sum')]).toEqual(['less than nothing', 199])
  const mended = first.advance(leavesOf(base))
  expect([mended.get('told'), mended.get('bad')]).toEqual([100, 100])
  expect(() => first.get('ring')).toThrow(RingError)
  expect(() => first.get('nothing of the kind')).toThrow('There is no query')
})

test('a fork looks up what it does not change, writes nothing back, and is dropped whole', () => {
  const parent = Evaluator.from(rig, leavesOf(base))
  parent.get('word')
  const tried = parent.fork(leavesOf({ ...base, a: 500 }))
  expect(tried.get('word')).toEqual(['too heavy'])
  expect(Object.fromEntries(tried.counts)).toEqual({ sum: 1, over: 1, word: 1 })
  expect(parent.get('word')).toEqual([])
  expect(Object.fromEntries(parent.counts)).toEqual({ word: 1, over: 1, sum: 1 })
  const twice = tried.fork(leavesOf({ ...base, a: 500, note: 'x' }))
  expect(twice.get('word')).toBe(tried.get('word'))
  expect([...twice.counts]).toEqual([])
})

test('leaves and reads of a query are told, also those by others', () => {
  const evaluator = Evaluator.from(rig, leavesOf(base))
  expect([...evaluator.leavesOf('word')].sort()).toEqual(['a', 'b', 'cap'])
  expect(evaluator.readsOf('over')).toEqual({ leaves: ['cap'], queries: ['sum'] })
})

test('a try keeps what it once gave, also where what it is a try of is asked only afterwards', () => {
  const first = Evaluator.from(rig, leavesOf(base))
  const list = first.get('list')
  const second = first.advance(leavesOf({ ...base, a: 110 }))
  const tried = second.fork(leavesOf(base))
  expect(tried.get('list')).toBe(list)
  expect(second.get('list')).toEqual([110, 200])
  expect(tried.get('list')).toBe(list)
})

test('two tries side by side, asked in turn, do not see each other, nor does what they are tries of', () => {
  const parent = Evaluator.from(rig, leavesOf(base))
  const word = parent.get('word')
  const [heavy, light] = [parent.fork(leavesOf({ ...base, a: 500 })), parent.fork(leavesOf({ ...base, a: 90 }))]
  expect([heavy.get('sum'), light.get('sum'), heavy.get('over'), light.get('over')]).toEqual([700, 290, true, false])
  expect([light.get('word'), heavy.get('word')]).toEqual([[], ['too heavy']])
  expect([light.get('word'), parent.get('word')]).toEqual([word, word])
  expect(light.get('word')).toBe(word)
  expect(parent.get('word')).toBe(word)
})

test('what nobody looks at for long is forgotten; what is looked at stays', () => {
  let now = Evaluator.from(rig, leavesOf(base))
  const list = now.get('list')
  const word = now.get('word')
  for (let i = 0; i < 120; i++) {
    now = now.advance(leavesOf({ ...base, note: String(i) }))
    now.get('word')
  }
  expect(now.get('word')).toBe(word)
  expect(now.get('list')).not.toBe(list)
  expect(now.get('list')).toEqual(list)
})

test.each([
  [[1, 'a'], [1, 'a'], true],
  [[1], [1, 2], false],
  [{ a: 1, b: NaN }, { a: 1, b: NaN }, true],
  [{ a: 1 }, { b: 1 }, false],
  [new Map([['a', 1]]), new Map([['a', 1]]), true],
  [new Map([['a', 1]]), new Map([['a', 2]]), false],
  [new Set([1]), new Set([1]), true],
  [[0], [-0], false],
  [0.1 + 0.2, 0.3, false],
  [null, {}, false],
])('%p and %p: the same %p', (a, b, expected) => expect(equalValues(a, b)).toBe(expected))

test('a query that is worked out anew is told what it gave before, also in a fork; after an error nothing', () => {
  const told: unknown[] = []
  const table: Queries = (name) =>
    name === 'twice'
      ? ({ leaf }, was) => {
          told.push(was)
          if ((leaf('a') as number) < 0) throw new RangeError('less than nothing')
          return 2 * (leaf('a') as number)
        }
      : undefined
  const first = Evaluator.from(table, leavesOf({ a: 100 }))
  first.get('twice')
  const next = first.advance(leavesOf({ a: 150 }))
  next.get('twice')
  next.fork(leavesOf({ a: 160 })).get('twice')
  const bad = next.advance(leavesOf({ a: -1 }))
  expect(() => bad.get('twice')).toThrow('less than nothing')
  bad.advance(leavesOf({ a: 1 })).get('twice')
  expect(told).toEqual([undefined, 200, 300, 300, undefined])
})

// Random tables of queries over eight leaves: each sums, lists, counts, or refuses, over leaves and over queries before
// it.
const LEAVES = 8
const shapes = fc.array(
  fc.record({
    kind: fc.constantFrom('sum' as const, 'list' as const, 'bucket' as const, 'refuse' as const, 'choose' as const),
    leaves: fc.array(fc.nat(LEAVES - 1), { maxLength: 3 }),
    queries: fc.array(fc.nat(40), { maxLength: 3 }),
  }),
  { minLength: 4, maxLength: 24 },
)
type Shape = ReturnType<typeof shapes.generate>['value'][number]

const numberOf = (value: unknown): number =>
  Array.isArray(value)
    ? value.reduce((sum: number, one: unknown) => sum + numberOf(one), 0)
    : typeof value === 'number'
      ? value
      : 0

const tableOf =
  (all: readonly Shape[], hidden?: { at: number; read: () => number }): Queries =>
  (name) => {
    const index = Number(name)
    const shape = all[index]
    if (!shape) return undefined
    return ({ leaf, query }) => {
      const before = shape.queries.filter((one) => one < index).map(String)
      const asked = (one: string): unknown => {
        try {
          return query(one)
        } catch {
          return -1
        }
      }
      const leaves = () => shape.leaves.map((one) => leaf(`leaf ${one}`))
      const extra = hidden?.at === index ? hidden.read() : 0
      if (shape.kind === 'choose') {
        // What is read hangs on what was read.
        const [first = 0] = leaves()
        const chosen = before[numberOf(first) % Math.max(1, before.length)]
        return chosen === undefined ? extra : numberOf(asked(chosen)) + extra
      }
      const values = [...leaves(), ...before.map(asked)].map(numberOf)
      const sum = values.reduce((all, one) => all + one, extra)
      if (shape.kind === 'refuse' && sum % 5 === 0) throw new RangeError(`refused ${sum}`)
      return shape.kind === 'list' ? [...values, extra] : shape.kind === 'bucket' ? Math.floor(sum / 10) : sum
    }
  }

const steps = fc.array(
  fc.record({
    what: fc.constantFrom('edit' as const, 'undo' as const, 'fork' as const),
    leaf: fc.nat(LEAVES - 1),
    value: fc.nat(30),
    asks: fc.array(fc.nat(30), { maxLength: 8 }),
  }),
  { minLength: 1, maxLength: 20 },
)

const answer = (evaluator: Evaluator, name: string): unknown => {
  try {
    return evaluator.get(name)
  } catch (error) {
    return error instanceof RangeError ? error.message : error
  }
}

/**
 * Walks through edits, undos and forks; at each step some queries are asked in some order, and each must say what a new
 * evaluator says.
 */
const walk = (
  queries: Queries,
  count: number,
  moves: ReturnType<typeof steps.generate>['value'],
  onStep: () => void = () => undefined,
): boolean => {
  let values: Record<string, number> = Object.fromEntries(Array.from({ length: LEAVES }, (_, i) => [`leaf ${i}`, i]))
  let now = Evaluator.from(queries, leavesOf(values))
  const past: { values: Record<string, number>; at: Evaluator }[] = []
  return moves.every(({ what, leaf, value, asks }) => {
    onStep()
    const next = { ...values, [`leaf ${leaf}`]: value }
    const undone = what === 'undo' ? past.pop() : undefined
    if (what === 'edit') {
      past.push({ values, at: now })
      ;[values, now] = [next, now.advance(leavesOf(next))]
    }
    // Undo goes on to the old state; it does not go back to the old evaluator.
    if (undone) [values, now] = [undone.values, now.advance(leavesOf(undone.values))]
    const asked = what === 'fork' ? now.fork(leavesOf(next)) : now
    const fresh = Evaluator.from(queries, leavesOf(what === 'fork' ? next : values))
    return asks.every((one) => equalDeep(answer(asked, String(one % count)), answer(fresh, String(one % count))))
  })
}
const equalDeep = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

test('over random queries, edits, undos, forks and orders of asking, all is what a new evaluator says', () => {
  fc.assert(
    fc.property(shapes, steps, (all, moves) => walk(tableOf(all), all.length, moves)),
    { numRuns: trialRuns(300), seed: trialSeed },
  )
})

test('a planted read that is not declared is found by the same walk', () => {
  const found = fc.check(
    fc.property(shapes, fc.nat(23), steps, (all, at, moves) => {
      let clock = 0
      return walk(tableOf(all, { at: at % all.length, read: () => clock }), all.length, moves, () => clock++)
    }),
    { numRuns: 300, seed: trialSeed },
  )
  expect(found.failed).toBe(true)
})

test('a leaf that a query does not reach leaves its very object', () => {
  fc.assert(
    fc.property(shapes, fc.nat(LEAVES - 1), fc.nat(99), (all, leaf, value) => {
      const values = Object.fromEntries(Array.from({ length: LEAVES }, (_, i) => [`leaf ${i}`, i]))
      const first = Evaluator.from(tableOf(all), leavesOf(values))
      const before = all.map((_, i) => answer(first, String(i)))
      const reached = all.map((_, i) => {
        try {
          return first.leavesOf(String(i)).has(`leaf ${leaf}`)
        } catch {
          return true
        }
      })
      const next = first.advance(leavesOf({ ...values, [`leaf ${leaf}`]: value }))
      all.forEach((_, i) => {
        if (!reached[i]) expect(answer(next, String(i))).toBe(before[i])
      })
      for (const name of next.counts.keys()) expect(reached[Number(name)]).toBe(true)
    }),
    { numRuns: trialRuns(200), seed: trialSeed },
  )
})

describe('of a list that was made anew, what it repeats stays the old object', () => {
  const corner = { id: 'corner' }
  const row = (id: string, at: readonly number[], on = corner) => ({ id, at, on })
  const [a, b, c] = [row('a', [1, 2]), row('b', [3, 4]), row('c', [5, 6])]
  const was = [a, b, c]

  test('all of it, one more, one less, one other', () => {
    expect(settled(was, [row('a', [1, 2]), row('b', [3, 4]), row('c', [5, 6])])).toBe(was)
    const more = settled(was, [row('a', [1, 2]), row('new', [0, 0]), row('b', [3, 4]), row('c', [5, 6])]) as typeof was
    expect([more[0] === a, more[2] === b, more[3] === c, more.length]).toEqual([true, true, true, 4])
    const less = settled(was, [row('a', [1, 2]), row('c', [5, 6])]) as typeof was
    expect([less[0] === a, less[1] === c, less.length]).toEqual([true, true, 2])
    const other = settled(was, [row('a', [1, 2]), row('b', [3, 4.000001]), row('c', [5, 6])]) as typeof was
    expect([other[0] === a, other[1] === b, other[2] === c]).toEqual([true, false, true])
    const late = settled(was, [row('x', []), row('y', []), row('c', [5, 6])]) as typeof was
    expect(late.map((one) => was.includes(one))).toEqual([false, false, true])
  })
  test('what a field holds has an identity of its own, and no figure is nearly another', () => {
    const elsewhere = settled(was, [row('a', [1, 2], { id: 'corner' }), b, c]) as typeof was
    expect(elsewhere[0]?.on).not.toBe(corner)
    expect(settled([{ n: 0 }], [{ n: -0 }])).not.toBe(was)
    expect(Object.is((settled([{ n: 0 }], [{ n: -0 }]) as { n: number }[])[0]?.n, -0)).toBe(true)
    expect(settled([{ n: 1 }], [{ n: 1, m: 2 }])).toEqual([{ n: 1, m: 2 }])
  })
  test('of a map too, under each key; its order counts, and no number is not another', () => {
    const old = new Map<string, unknown>([
      ['a', a],
      ['none', NaN],
      ['nothing', undefined],
    ])
    const again = () =>
      new Map<string, unknown>([
        ['a', row('a', [1, 2])],
        ['none', NaN],
        ['nothing', undefined],
      ])
    expect(settled(old, again())).toBe(old)
    const turned = settled(old, new Map([...again()].reverse())) as typeof old
    expect([...turned.keys()]).toEqual(['nothing', 'none', 'a'])
    expect(turned.get('a')).toBe(a)
    const other = settled(
      old,
      new Map<string, unknown>([...again()].map(([key, one]) => [key === 'nothing' ? 'x' : key, one])),
    )
    expect([...(other as typeof old).keys()]).toEqual(['a', 'none', 'x'])
    const less = new Map([...again()].slice(0, 2))
    expect(settled(old, less)).toEqual(less)
    expect(settled(less, old)).toEqual(old)
  })
  test('it always says what the new list says', () => {
    const value = fc.record({ n: fc.integer({ min: 0, max: 2 }), list: fc.array(fc.integer({ min: 0, max: 1 })) })
    fc.assert(
      fc.property(fc.array(value, { maxLength: 6 }), fc.array(value, { maxLength: 6 }), (old, now) => {
        expect(settled(old, now)).toEqual(now)
      }),
      { numRuns: trialRuns(200), seed: trialSeed },
    )
  })
})
