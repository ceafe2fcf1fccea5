import { catalogueOf } from '../catalogue/index.ts'
import { demoParts } from '../../demo/catalogue/index.ts'
import { demoLocker, demoRigs } from '../../demo/scenario/index.ts'
import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'
import { evaluate, figureIds, reckoningOf } from './index.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const all = demoRigs.flatMap((rig) =>
  rig.setups.map(({ id }) => [`${rig.id} ${id}`, evaluate(rig, id, context)] as const),
)

test.each(all)('%s: every figure is what its terms and the rest come to', (_, assessment) => {
  const sumOf = (id: (typeof figureIds)[number]) => {
    const found = reckoningOf(assessment, id)
    return found && [found.value, found.terms.reduce((sum, { value }) => sum + value, found.rest.value)]
  }
  for (const id of ['in-hand', 'to-buy', 'tall', 'set-up'] as const) {
    const [value, sum] = sumOf(id) ?? []
    expect(sum).toBeCloseTo(value ?? NaN, 6)
  }
  // The parts of the way from palm to centre add up to that way.
  const hangs = reckoningOf(assessment, 'hangs')
  if (hangs)
    expect(hangs.terms.reduce((sum, { value }) => sum + value, hangs.rest.value)).toBeCloseTo(
      hangs.numbers['aheadMm'] ?? NaN,
      6,
    )
  for (const id of figureIds) {
    const found = reckoningOf(assessment, id)
    if (found) expect([id, found.low <= found.value, found.value <= found.high]).toEqual([id, true, true])
  }
})

const block = tinyPart({ id: 'block', massG: 500, centre: [0, 0, -60], mounts: [plug('foot', 'thread-1/4')] })
const handle = tinyPart({
  id: 'handle',
  massG: 1e-9,
  grips: [{ kind: 'top', at: [0, 60, 0] }],
  mounts: [plug('foot', 'thread-1/4')],
})

test('a rig of three by hand: what hangs ahead is named first, with its part of the way', () => {
  const { rig, context: around } = tinyRig(
    [block, handle],
    [on('block', 'foot', 'camera', 'hole'), on('handle', 'foot', 'camera', 'pinned')],
    { brief: { inHandG: 2000 } },
  )
  const assessment = evaluate(rig, 'main', { ...around, limits: { 'hang-tilt': { goodDeg: 2 } } })
  // 500 g 60 mm ahead of 1,000 g: the centre lies 20 mm ahead, all of it the block's.
  const hangs = reckoningOf(assessment, 'hangs')
  expect(hangs?.numbers).toMatchObject({ aheadMm: expect.closeTo(20, 6), pieces: 3 })
  expect(hangs?.terms[0]).toMatchObject({ name: 'block', value: expect.closeTo(20, 6) })
  expect(hangs?.bound).toEqual({ value: 2, from: 'how-i-work', check: 'hang-tilt' })
  expect(reckoningOf(assessment, 'in-hand')).toMatchObject({
    value: expect.closeTo(1500, 6),
    bound: { value: 2000, from: 'brief' },
    rest: { count: 0 },
  })
  const held = reckoningOf(assessment, 'held')
  // 1.5 kg at 120 mm and 3.5 kg of arm half way, of 60 N m.
  expect(held?.numbers).toMatchObject({
    momentNm: expect.closeTo((1.5 * 0.12 + 3.5 * 0.06) * 9.80665, 6),
    strengthNm: 60,
  })
  const standing = evaluate(
    { ...rig, setups: rig.setups.map((setup) => ({ ...setup, support: 'tripod' as const })) },
    'main',
    around,
  )
  expect([reckoningOf(standing, 'held'), reckoningOf(standing, 'in-hand')?.bound]).toEqual([undefined, undefined])
})
