import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'
import { boxesFor, insteadOf, moneyOf, shoppingCsv } from './index.ts'

const cube = (id: string, usual: number, more = {}) =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4'), plug('pin', 'thread-1/4-pin')], price: { low: usual, usual, high: usual }, ...more })

const kit = (...ids: string[]) => ids.map((id) => ({ id, partId: id, status: 'in' as const }))

test('what meets a need and what carries it must be bought first; the rest after, the cheapest first; what is considered last', () => {
  const arm = tinyPart({
    id: 'arm',
    role: 'arm',
    price: { low: 1, usual: 500, high: 900 },
    mounts: [plug('foot', 'thread-1/4'), { ...plug('stud', 'shoe-cold'), side: 'holds', at: [0, 20, 0], out: [0, 1, 0] }],
  })
  const mic = tinyPart({
    id: 'mic',
    role: 'mic',
    provides: ['scratch-sound'],
    mounts: [plug('foot', 'shoe-cold')],
    price: { low: 1, usual: 3000, high: 4000 },
  })
  const { rig, shelf } = tinyRig(
    [arm, mic, cube('dear', 900), cube('cheap', 100), cube('maybe', 50)],
    [on('arm', 'foot', 'camera', 'hole'), on('mic', 'foot', 'arm', 'stud'), on('dear', 'pin', 'camera', 'pinned')],
    {
      kit: [...kit('arm', 'mic', 'dear', 'cheap'), { id: 'maybe', partId: 'maybe', status: 'considered' }],
      brief: { wishes: {} },
    },
  )
  const { tiers } = moneyOf(rig, shelf, '2026-11')
  expect(tiers.map(({ line, tier, because, runningMinor }) => [line.instance, tier, because, runningMinor])).toEqual([
    ['arm', 'must', 'carries', 500],
    ['mic', 'must', 'need', 3500],
    ['dear', 'should', 'set-up', 4400],
    ['maybe', 'may', 'considered', 4450],
    ['cheap', 'may', 'considered', 4550],
  ])
})

test('the operator’s own word moves a piece to another tier', () => {
  const { rig, shelf } = tinyRig([cube('a', 100)], [on('a', 'foot', 'camera', 'hole')], {
    kit: [{ id: 'a', partId: 'a', status: 'in', tier: 'may' }],
  })
  expect(moneyOf(rig, shelf, '2026-11').tiers).toMatchObject([{ tier: 'may', because: 'chosen' }])
})

test('the plan buys for the set-up that is needed first, and the list goes out by months', () => {
  const { rig, shelf } = tinyRig([cube('a', 10_000), cube('b', 5000)], [], { kit: kit('a', 'b') })
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
  const money = moneyOf(two, shelf, '2026-11')
  expect(money.plan.order).toEqual([
    { setup: 'soon', month: '2026-12', late: false },
    { setup: 'late', month: '2027-01', late: false },
  ])
  expect(shoppingCsv(money)).toBe(
    'month,tier,part,maker,low,usual,high,mass (g)\r\n2026-12,should,b,Tiny,50.00,50.00,50.00,100\r\n2027-01,should,a,Tiny,100.00,100.00,100.00,100\r\n',
  )
})

test('what could stand in its place: what loses nothing first, with what is saved, and what grams cost', () => {
  const { rig, shelf } = tinyRig([cube('a', 6000, { provides: ['screen'] })], [on('a', 'foot', 'camera', 'hole')], {
    extra: [
      cube('same', 4000, { provides: ['screen'] }),
      cube('less', 1000),
      cube('light', 8000, { provides: ['screen'], massG: 60 }),
      cube('worse', 9000, { massG: 200 }),
    ],
  })
  const piece = moneyOf(rig, shelf, '2026-11').places.get('a')
  if (!piece) throw new Error('a sits on the camera')
  expect(
    insteadOf(piece, shelf).map(({ part, savesMinor, savesG, per100GMinor, losses }) => [
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
  const { rig, shelf } = tinyRig([cage, handle], [on('cage', 'pin', 'camera', 'pinned'), on('handle', 'foot', 'camera', 'hole')], {
    extra: [box, dear, strap],
  })
  // 50.00 and 30.00 singly; 65.00 and 90.00 in a box.
  expect(
    boxesFor(rig, shelf).map(({ part, instance, savesMinor, used, unused }) => [
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
