import { demoParts } from '../../demo/catalogue/index.ts'
import { demoLocker, firstMark, secondMark } from '../../demo/scenario/index.ts'
import { soundRigs } from '../../demo/sound/index.ts'
import { syntheticRig } from '../../demo/synthetic/index.ts'
import { evaluate } from '../assess/index.ts'
import { type Assembly, edit, type PlacedPart, placeSetup, type Rig } from '../assembly/index.ts'
import { catalogueOf, toolName } from '../catalogue/index.ts'
import {
  add,
  type Bounds,
  lengthOf,
  overlap,
  penetration,
  type Placed,
  scale,
  subtract,
  type Vec3,
} from '../kernel/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../testing/index.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { hdmiLead, link, screen, wiredRig } from '../testing/wired.ts'
import { buildOrderOf, type BuildSheet, buildSheetOf, isHolding, pathsOf, SCRAPE_MM, scrapes } from './index.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }

interface Case {
  readonly rig: Rig
  readonly setup: string
}
const sheetOf = ({ rig, setup }: Case): { readonly sheet: BuildSheet; readonly assembly: Assembly } => {
  const { assembly, facts } = evaluate(rig, setup, context)
  return { sheet: buildSheetOf(assembly, facts.leads), assembly }
}
const told: readonly Case[] = [firstMark, secondMark, ...soundRigs].flatMap((rig) =>
  rig.setups.map(({ id }) => ({ rig, setup: id })),
)
const runs = trialRuns(8)
const random: readonly Case[] = Array.from({ length: Math.min(300, runs) }, (_, i) => ({
  rig: syntheticRig(4 + (i % 12), trialSeed + i, context.catalogue, 'calabash-h1'),
  setup: 'main',
}))

/** The rig before anything is on it: the same kit, the same set-ups, the bare camera in this one. */
const bareOf = ({ rig, setup }: Case): Rig => ({
  ...rig,
  setups: rig.setups.map((one) => {
    if (one.id !== setup) return one
    const { off, ...plain } = one
    void off
    return { ...plain, joints: [], braces: [], poses: [], links: [] }
  }),
})

const meets = (a: Bounds, b: Bounds, by: Vec3): boolean => overlap({ min: add(a.min, by), max: add(a.max, by) }, b)

const deepest = (a: PlacedPart, b: PlacedPart, by: Vec3): number => {
  let depth = 0
  if (!meets(a.bounds, b.bounds, by)) return 0
  for (const mine of a.solids)
    for (const theirs of b.solids) {
      if (mine.solid.matter === 'soft' || theirs.solid.matter === 'soft') continue
      if (!meets(mine.bounds, theirs.bounds, by)) continue
      const shape: Placed = { ...mine.shape, centre: add(mine.shape.centre, by) }
      depth = Math.max(depth, penetration(shape, theirs.shape, depth))
    }
  return depth
}

/** How deep a piece is in others while it comes to its seat, looked at every millimetre, beyond where both sit, mm. */
const scraped = (piece: PlacedPart, others: readonly PlacedPart[], { comes }: BuildSheet['steps'][number]): number => {
  if (!comes) return 0
  const last = scale(comes.last, -comes.lastMm)
  const straight = lengthOf(subtract(comes.first, comes.last)) < 0.01
  const way = Array.from({ length: 300 }, (_, mm): Vec3 => {
    if (straight) return scale(comes.last, -mm)
    return mm < comes.lastMm ? scale(comes.last, -mm) : add(last, scale(comes.first, -(mm - comes.lastMm)))
  })
  return Math.max(
    0,
    ...others.map((other) => {
      const seated = deepest(piece, other, [0, 0, 0])
      return Math.max(...way.map((by) => deepest(piece, other, by))) - seated
    }),
  )
}

test.each([...told, ...random])(
  '$rig.id $setup: built by ordinary edits, through nothing, to exactly the set-up',
  (one) => {
    const { sheet, assembly } = sheetOf(one)
    let rig = bareOf(one)
    const there: PlacedPart[] = assembly.placed.slice(0, 1)
    for (const step of sheet.steps) {
      const done = edit(rig, step.commands, context.catalogue)
      if (!done.ok) throw new Error(`${step.do} ${step.instance}: ${done.issues[0]?.code}`)
      rig = done.value
      const piece = assembly.byInstance.get(step.instance)
      // What is joined in the hand comes past the rig later, with what it was joined to.
      if (step.do !== 'join' || !piece || step.inHand) continue
      const around = piece.mate?.ok === true && piece.mate.value.standard.closesRound === true
      const others = there.filter((other) => !(around && other === piece.host))
      const riders = (step.riders ?? []).flatMap(({ instance }) => assembly.byInstance.get(instance) ?? [])
      for (const one of [piece, ...riders])
        expect([one.instance.id, scraped(one, others, step) <= SCRAPE_MM + 0.1]).toEqual([one.instance.id, true])
      there.push(piece, ...riders)
    }
    if (sheet.knots.length > 0 || sheet.unfit.length > 0) return
    const ended = rig.setups.find(({ id }) => id === one.setup)
    const wanted = one.rig.setups.find(({ id }) => id === one.setup)
    if (!ended || !wanted) throw new Error(one.setup)
    const [a, b] = [ended, wanted].map((setup) => placeSetup(one.rig, setup, context.catalogue))
    expect(a?.setup).toEqual(b?.setup)
  },
)

test('of the demo and the sound rigs none is a knot', () => {
  expect(told.filter((one) => sheetOf(one).sheet.knots.length > 0)).toEqual([])
})

/** Every order in which a rig of few pieces can be joined, tried out one by one: the fewest changes of tool. */
const fewestByForce = (assembly: Assembly): number => {
  const pieces = assembly.placed.filter(({ joint, mate }) => joint && mate?.ok)
  const root = assembly.placed[0]
  let fewest = Infinity
  const go = (there: readonly PlacedPart[], tool: string | undefined, changes: number): void => {
    if (changes >= fewest) return
    if (there.length === pieces.length) {
      fewest = changes
      return
    }
    for (const piece of pieces) {
      if (there.includes(piece) || (piece.host !== root && !there.includes(piece.host as PlacedPart))) continue
      const around = piece.mate?.ok === true && piece.mate.value.standard.closesRound === true
      const others = [...(root ? [root] : []), ...there].filter((other) => !(around && other === piece.host))
      const goes = pathsOf(piece).some((path) => others.every((other) => scrapes(piece, other, path) <= SCRAPE_MM))
      if (!goes || !piece.mate?.ok) continue
      const own = ['fingers', 'lever'].includes(piece.mate.value.tool) ? undefined : toolName(piece.mate.value)
      go([...there, piece], own ?? tool, changes + (own !== undefined && tool !== undefined && own !== tool ? 1 : 0))
    }
  }
  go([], undefined, 0)
  return fewest
}

test('no order of a rig of few pieces has fewer changes of tool', () => {
  const small = [...told, ...random]
    .map(({ rig, setup }) => evaluate(rig, setup, context).assembly)
    .filter(({ placed, braces }) => placed.length <= 7 && braces.length === 0)
  expect(small.length).toBeGreaterThan(6)
  for (const assembly of small) {
    const order = buildOrderOf(assembly)
    // Force puts on one by one: what is joined in the hand, and comes as one, it does not know.
    const isPlain = order.steps.every((item) => !isHolding(item) && !item.inHand && item.riders.length === 0)
    if (order.knots.length === 0 && order.steps.length > 0 && isPlain)
      expect([assembly.rig.id, order.toolChanges]).toEqual([assembly.rig.id, fewestByForce(assembly)])
  }
})

const cube = (id: string, more: Parameters<typeof socket>[4] = {}) =>
  tinyPart({ id, mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0], [0, 1, 0], more)] })
const placedOf = ({ rig, context: { catalogue } }: ReturnType<typeof tinyRig>): Assembly => {
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  return placeSetup(rig, setup, catalogue)
}

test('what a roof would cover goes on before the roof; by the other order it could not', () => {
  // A table of 60 mm stands on the pinned hole and reaches over the plain hole, 30 mm above it.
  const roof = tinyPart({
    id: 'roof',
    solids: [
      { kind: 'box', centre: [0, 30, 0], size: [10, 60, 10], matter: 'body' },
      { kind: 'box', centre: [-20, 55, 0], size: [50, 10, 200], matter: 'body' },
    ],
    mounts: [plug('foot', 'thread-1/4')],
  })
  const tiny = tinyRig([cube('a'), roof], [on('roof', 'foot', 'camera', 'pinned'), on('a', 'foot', 'camera', 'hole')])
  const order = buildOrderOf(placedOf(tiny))
  expect(order.knots).toEqual([])
  // The cube is 20 mm tall and has 50 mm: out of its hole by 12 mm and then aside it still goes; so either order is good,
  expect(order.steps.length).toBe(2)
  // and with a roof 25 mm up, which leaves it 5 mm, it has to be first.
  const low = {
    ...roof,
    id: 'low',
    solids: roof.solids.map((solid, i) => (i === 1 ? { ...solid, centre: [-20, 30, 0] as Vec3 } : solid)),
  }
  const tight = tinyRig([cube('a'), low], [on('low', 'foot', 'camera', 'pinned'), on('a', 'foot', 'camera', 'hole')])
  const ids = buildOrderOf(placedOf(tight)).steps.map((item) => (isHolding(item) ? '' : item.piece.instance.id))
  expect(ids).toEqual(['a', 'low'])
})

test('two that each stand in the other’s way are a knot, and the knot names them', () => {
  // Each of the two hooks has a roof over the other: neither can be screwed in last.
  const hook = (id: string, towards: 1 | -1) =>
    tinyPart({
      id,
      solids: [
        { kind: 'box', centre: [0, 10, 0], size: [20, 20, 20], matter: 'body' },
        { kind: 'box', centre: [towards * 25, 23 + (towards > 0 ? 0 : 4), 0], size: [50, 3, 400], matter: 'body' },
      ],
      mounts: [plug('foot', 'thread-1/4')],
    })
  const tiny = tinyRig(
    [hook('a', 1), hook('b', -1)],
    [on('a', 'foot', 'camera', 'hole'), on('b', 'foot', 'camera', 'pinned')],
  )
  const { knots, steps } = buildOrderOf(placedOf(tiny))
  expect(steps).toEqual([])
  expect(knots.map(({ piece, by }) => [piece.instance.id, by.map(({ instance }) => instance.id)])).toEqual([
    ['a', ['b']],
    ['b', ['a']],
  ])
})

test('a step says point, scale, turn, tool with its size, screw and firmness; seconds as the joint takes', () => {
  const pinned = tinyPart({ id: 'pinned', mounts: [plug('foot', 'thread-1/4-pin', { screwMm: 9 })] })
  const slide = tinyPart({ id: 'slide', mounts: [plug('foot', 'nato', { lengthMm: 20 })] })
  const tiny = tinyRig(
    [pinned, slide],
    [on('pinned', 'foot', 'camera', 'pinned', { turnDeg: 90 }), on('slide', 'foot', 'camera', 'rail', { slideMm: -6 })],
  )
  const { steps, seconds, tools } = buildSheetOf(placedOf(tiny), [])
  const of = (id: string) => steps.find(({ instance }) => instance === id)
  expect(of('pinned')).toMatchObject({
    at: 'pinned',
    toolName: '4 mm key',
    screw: { lengthMm: 9 },
    firm: 'firm',
    seconds: 40,
    side: 'above',
    setting: { turnDeg: 90 },
  })
  // The rail runs from -20 to 20 mm towards the back: at -6 its clamp stands 14 mm from the front end.
  expect(of('slide')).toMatchObject({ setting: { scaleMm: 14, from: 'front' }, toolName: 'lever', seconds: 5 })
  expect([seconds, tools]).toEqual([45, ['4 mm key']])
})

test('leads go in last: power before picture; hinges are set once their piece is on', () => {
  const tiny = wiredRig(
    [screen(), hdmiLead()],
    [on('screen', 'foot', 'camera', 'hole')],
    [link('hdmi', 'camera/hdmi', 'screen/in')],
  )
  const { assembly, facts } = evaluate(tiny.rig, 'main', tiny.context)
  const { steps } = buildSheetOf(assembly, facts.leads)
  expect(steps.map(({ do: what, instance }) => `${what} ${instance}`).at(-1)).toBe('plug in hdmi')
  expect(steps[0]?.do).toBe('join')
})

test('two holds by two tools on pieces that want one of them again are no knot', () => {
  const a = tinyPart({
    id: 'a',
    mounts: [
      plug('foot', 'thread-1/4-pin'),
      socket('top', 'thread-1/4-pin', [0, 20, 0]),
      socket('more', 'thread-1/4-pin', [5, 20, 0]),
    ],
  })
  const b = tinyPart({
    id: 'b',
    mounts: [plug('foot', 'thread-1/4-pin'), plug('coin', 'thread-1/4'), plug('key', 'thread-1/4-pin')],
  })
  const tiny = tinyRig([a, b], [on('a', 'foot', 'camera', 'pinned'), on('b', 'foot', 'a', 'top')], {
    setup: { braces: [on('b', 'coin', 'camera', 'hole'), on('b', 'key', 'a', 'more')] },
  })
  const { steps, knots, toolChanges } = buildOrderOf(placedOf(tiny))
  expect(knots).toEqual([])
  // Both pieces and the one hold by the key, then the coin: one change.
  expect([steps.length, toolChanges]).toEqual([4, 1])
})
