import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'
import { boxesFor, insteadOf, moneyOf, shoppingCsv } from './index.ts'

const cube = (id: string, usual: number, more = {}) =>
  tinyPart({
    id,
    mounts: [plug('foot', 'thread-1/4'), plug('pin', 'thread-1/4-pin')],
    price: { low: usual, usual, high: usual },
    ...more,
  })

const kit = (...ids: string[]) => ids.map((id) => ({ id, partId: id, status: 'in' as const }))

test('what meets a need and what carries it must be bought first; the rest after, the cheapest first; what is considered last', () => {
  const arm = tinyPart({
    id: 'arm',
    role: 'arm',
    price: { low: 1, usual: 500, high: 900 },
    mounts: [
      plug('foot', 'thread-1/4'),
      { ...plug('stud', 'shoe-cold'), side: 'holds', at: [0, 20, 0], out: [0, 1, 0] },
    ],
  })
  const mic = tinyPart({
    id: 'mic',
    role: 'mic',
    provides: ['scratch-sound'],
    mounts: [plug('foot', 'shoe-cold')],
    price: { low: 1, usual: 3000, high: 4000 },
  })
  const { rig, context } = tinyRig(
    [arm, mic, cube('dear', 900), cube('cheap', 100), cube('maybe', 50)],
    [on('arm', 'foot', 'camera', 'hole'), on('mic', 'foot', 'arm', 'stud'), on('dear', 'pin', 'camera', 'pinned')],
    {
      kit: [...kit('arm', 'mic', 'dear', 'cheap'), { id: 'maybe', partId: 'maybe', status: 'considered' }],
      brief: { wishes: {} },
    },
  )
  const { tiers } = moneyOf(rig, context, '2026-11')
  expect(tiers.map(({ line, tier, because, runningMinor }) => [line.instance, tier, because, runningMinor])).toEqual([
    ['arm', 'must', 'carries', 500],
    ['mic', 'must', 'need', 3500],
    ['dear', 'should', 'set-up', 4400],
    ['maybe', 'may', 'considered', 4450],
    ['cheap', 'may', 'considered', 4550],
  ])
})

test('the operator’s own word moves a piece to another tier', () => {
  const { rig, context } = tinyRig([cube('a', 100)], [on('a', 'foot', 'camera', 'hole')], {
    kit: [{ id: 'a', partId: 'a', status: 'in', tier: 'may' }],
  })
  expect(moneyOf(rig, context, '2026-11').tiers).toMatchObject([{ tier: 'may', because: 'chosen' }])
})

test('the plan buys for the set-up that is needed first, and the list goes out by months', () => {
  const { rig, context } = tinyRig([cube('a', 10_000), cube('b', 5000)], [], { kit: kit('a', 'b') })
  const [setup] = rig.setups
  if (!setup) throw new Error('there is a set-up')
  const two = {
    ...rig,
    brief: { ...rig.brief, budgetMinor: 0, monthlyMinor: 10_000 },
    setups: [
      { ...setup, id: 'late', joints: [on('a', 'foot', 'camera', 'hole')] },
      { ...setup, id: 'soon', joints: [on('b', 'foot', 'camera', 'hole')], neededBy: '2026-12' },
    ],
  }
  const money = moneyOf(two, context, '2026-11')
  expect(money.plan.order).toEqual([
    { setup: 'soon', month: '2026-12', late: false },
    { setup: 'late', month: '2027-01', late: false },
  ])
  expect(shoppingCsv(money)).toBe(
    'month,tier,part,maker,low,usual,high,mass (g)\r\n2026-12,should,b,Tiny,50.00,50.00,50.00,100\r\n2027-01,should,a,Tiny,100.00,100.00,100.00,100\r\n',
  )
})

test('what could stand in its place: what loses nothing first, with what is saved, and what grams cost', () => {
  const { rig, context } = tinyRig([cube('a', 6000, { provides: ['screen'] })], [on('a', 'foot', 'camera', 'hole')], {
    extra: [
      cube('same', 4000, { provides: ['screen'] }),
      cube('less', 1000),
      cube('light', 8000, { provides: ['screen'], massG: 60 }),
      cube('worse', 9000, { massG: 200 }),
    ],
  })
  const piece = moneyOf(rig, context, '2026-11').places.get('a')
  if (!piece) throw new Error('a sits on the camera')
  expect(
    insteadOf(rig, piece, context).map(({ part, savesMinor, savesG, per100GMinor, losses }) => [
      part.id,
      savesMinor,
      savesG,
      per100GMinor,
      losses,
    ]),
  ).toEqual([
    ['same', 2000, 0, undefined, []],
    // 20.00 more for 40 g less: 50.00 for 100 g.
    ['light', -2000, 40, 5000, []],
    ['less', 5000, 0, undefined, ['what it gives']],
  ])
})

test('a box that stands in for two things to buy: what it saves, what is used of it, what would lie in the drawer', () => {
  const handle = tinyPart({
    id: 'handle',
    role: 'top-handle',
    mounts: [plug('foot', 'thread-1/4')],
    price: { low: 1, usual: 3000, high: 5000 },
  })
  const cage = cube('cage', 5000, { role: 'cage', provides: ['cage'] })
  const box = cube('box', 6500, { role: 'cage', provides: ['cage'], includes: ['handle', 'strap'] })
  const dear = cube('dear', 9000, { role: 'cage', provides: ['cage'], includes: ['handle'] })
  const strap = tinyPart({ id: 'strap', role: 'strap' })
  const { rig, context } = tinyRig(
    [cage, handle],
    [on('cage', 'pin', 'camera', 'pinned'), on('handle', 'foot', 'camera', 'hole')],
    {
      extra: [box, dear, strap],
    },
  )
  // 50.00 and 30.00 singly; 65.00 and 90.00 in a box.
  expect(
    boxesFor(rig, context).map(({ part, instance, savesMinor, used, unused }) => [
      part.id,
      instance,
      savesMinor,
      used.map(({ id }) => id),
      unused.map(({ id }) => id),
    ]),
  ).toEqual([
    ['box', 'cage', 1500, ['handle'], ['strap']],
    ['dear', 'cage', -1000, ['handle'], []],
  ])
})

test('a piece nobody has priced is in the list, the plan and the table as unknown, and what needs it does not work', () => {
  const { rig, context } = tinyRig(
    [cube('a', 6000), cube('b', 0)],
    [on('a', 'foot', 'camera', 'hole'), on('b', 'foot', 'camera', 'pinned')],
    { brief: { budgetMinor: 90_000 } },
  )
  const picture = moneyOf(rig, context, '2026-11')
  expect(picture.cost.unpriced.map(({ instance }) => instance)).toEqual(['b'])
  expect(picture.tiers.map(({ line }) => line.instance)).toEqual(['b', 'a'])
  expect(picture.plan.months.flatMap(({ buys }) => buys)).toEqual(['a'])
  expect(picture.plan.months.flatMap(({ works }) => works)).toEqual([])
  expect(picture.plan.unbought).toEqual(['b'])
  expect(picture.chance.within).toBeUndefined()
  expect(shoppingCsv(picture)).toMatch(/,b,Tiny,,,,100/)
})

test('camera and lenses in or out change bill, chance, list and plan alike', () => {
  const { rig, context } = tinyRig([cube('a', 6000)], [on('a', 'foot', 'camera', 'hole')], {
    brief: { budgetMinor: 90_000 },
  })
  const unowned = { ...context, owned: new Map<string, number>() }
  const [whole, without] = [moneyOf(rig, unowned, '2026-11'), moneyOf(rig, unowned, '2026-11', false)]
  expect([whole.cost.usual, without.cost.usual]).toEqual([7000, 6000])
  expect(without.tiers.map(({ line }) => line.instance)).toEqual(['a'])
  expect(without.plan.months.flatMap(({ buys }) => buys)).toEqual(['a'])
  expect(whole.bill.usual.totalMinor - without.bill.usual.totalMinor).toBe(1000)
})
