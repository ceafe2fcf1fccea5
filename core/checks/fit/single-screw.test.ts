import { placeSetup, type Rig } from '../../assembly/index.ts'
import { factsOf } from '../../facts/index.ts'
import { type Context } from '../../context/index.ts'
import { GRAVITY } from '../../kernel/index.ts'
import { on, plug, tinyCamera, tinyPart, tinyRig } from '../../testing/index.ts'
import { block } from '../../testing/view-rigs.ts'
import { singleScrew } from './single-screw.ts'
import { testCheck } from '../tester.ts'

/** A bar of 500 g whose mass sits `offMm` beside its one screw. */
const bar = (offMm: number, more = {}) =>
  tinyPart({
    id: 'bar',
    massG: 500,
    centre: [offMm, 10, 0],
    mounts: [plug('foot', 'thread-1/4', { tool: 'fingers', ...more })],
  })
const pinnedBar = tinyPart({
  id: 'pinned-bar',
  massG: 500,
  centre: [10, 10, 0],
  mounts: [plug('foot', 'thread-1/4-pin')],
})
const atLimitMm = (0.05 / (0.5 * GRAVITY)) * 1000
const running = { brief: { kind: 'run-and-gun' as const } }
const place = on('bar', 'foot', 'camera', 'pinned')

/** The camera with no hole beside the one the bar sits on. */
const oneHole = { ...tinyCamera, mounts: tinyCamera.mounts.filter(({ id }) => id === 'pinned') }
// The bar stands 15 to 35 mm right of the middle and ends 10 mm behind it; turned by 4 degrees a corner comes 0.67 mm
// farther back.
const beside = (wideMm: number, atMm: number) =>
  tinyRig([bar(20), block('wall', [atMm, 10, 20], [wideMm, 20, 20])], [place, on('wall', 'foot', 'camera', 'hole')])

testCheck(singleScrew, {
  speaks: [
    {
      name: '20 mm off the screw: 0.098 N m',
      message: 'creeps',
      level: 'risk',
      numbers: { twistNm: 0.0980665, riskNm: 0.05 },
      remedies: 0,
      ...tinyRig([bar(20)], [place]),
    },
    {
      name: 'a pinned rival is known',
      message: 'creeps',
      remedies: 1,
      ...tinyRig([bar(20)], [place], { extra: [pinnedBar] }),
    },
    {
      name: '60 mm off while running',
      message: 'turns',
      level: 'risk',
      numbers: { twistNm: 0.2941995 },
      ...tinyRig([bar(60)], [place], running),
    },
    {
      name: '60 mm off on the tripod',
      message: 'creeps',
      level: 'risk',
      ...tinyRig([bar(60)], [place], { ...running, setup: { support: 'tripod' } }),
    },
    {
      name: 'two screws, and the camera has one hole',
      message: 'creeps',
      ...tinyRig([bar(20, { screws: 2 })], [place], { extra: [oneHole] }),
    },
    { name: 'a neighbour at one corner stops it one way only', message: 'creeps', ...beside(4, 33) },
    { name: '60 mm off at the desk', message: 'creeps', level: 'risk', ...tinyRig([bar(60)], [place]) },
  ],
  silent: [
    {
      name: 'a second hold keeps it from turning',
      message: 'braced',
      ...tinyRig(
        [
          {
            ...bar(2 * atLimitMm),
            mounts: [...bar(2 * atLimitMm).mounts, plug('stay', 'thread-1/4', { at: [-25, 0, 0] })],
          },
        ],
        [place],
        { setup: { braces: [on('bar', 'stay', 'camera', 'hole')] } },
      ),
    },
    { name: 'a neighbour’s face along it stops it both ways', message: 'stopped', ...beside(60, 25) },
    {
      name: 'exactly at the limit',
      message: 'light',
      numbers: { twistNm: 0.05 },
      ...tinyRig([bar(atLimitMm)], [place]),
    },
  ],
})

test.each([
  ['fingers', 20, 'hand-low', 0.05],
  // 0.8 / 0.3 of what fingers hold.
  ['coin', 20, 'hand-low', 0.13333],
  ['hex key', 20, 'hand-low', 0.33333],
  // A foot half as wide holds half.
  ['coin', 10, 'hand-low', 0.06667],
  // Nothing shakes it on a tripod.
  ['coin', 20, 'tripod', 0.66667],
] as const)('one screw tightened with %s, foot %d mm, %s: safe up to %d N m', (tool, wide, support, safeNm) => {
  const solids = [
    { kind: 'box' as const, centre: [0, 10, 0] as const, size: [wide, 20, wide] as const, matter: 'body' as const },
  ]
  const at = (twistNm: number) => {
    const offMm = (twistNm / (0.5 * GRAVITY)) * 1000
    const part = tinyPart({
      id: 'bar',
      massG: 500,
      centre: [offMm, 10, 0],
      solids,
      mounts: [plug('foot', 'thread-1/4', { tool })],
    })
    const { rig, context } = tinyRig([part], [place], { setup: { support } })
    return evaluateOne(rig, context)[0]
  }
  expect(at(safeNm * 1.02)).toMatchObject({ group: 'speaks', numbers: { riskNm: expect.closeTo(safeNm, 4) as number } })
  expect(at(safeNm * 0.98)?.group).toBe('silent')
})

test('two screws or a lip stop the turning, so there is nothing to judge', () => {
  for (const more of [{ screws: 2 }, { antiTwist: true }]) {
    const { rig, context } = tinyRig([bar(60, more)], [place])
    expect(evaluateOne(rig, context)).toEqual([])
  }
})
const evaluateOne = (rig: Rig, context: Context) =>
  singleScrew.judgements(factsOf(placeSetup(rig, rig.setups[0] as Rig['setups'][number], context.catalogue), context))

// The camera's two holes are 25 mm apart.
test.each([
  [25, 0, 0],
  [25.4, 0, 0],
  [26, 0, 1],
  // A slot of 6 mm lets its screw wander that far.
  [31, 6, 0],
  [32, 6, 1],
])('screws that stand %d mm apart, with %d mm of slot, on holes 25 mm apart: %d said', (spacingMm, slotMm, said) => {
  const { rig, context } = tinyRig([bar(20, { screws: 2, spacingMm, slotMm })], [place])
  expect(evaluateOne(rig, context).filter(({ group }) => group === 'speaks')).toHaveLength(said)
})

test('two screws that both find holes hold it', () => {
  const { rig, context } = tinyRig([bar(20, { screws: 2 })], [place])
  const [setup] = rig.setups
  expect(setup && singleScrew.judgements(factsOf(placeSetup(rig, setup, context.catalogue), context))).toEqual([])
})
