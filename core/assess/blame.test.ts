import { catalogueOf } from '../catalogue/index.ts'
import { demoParts } from '../../demo/catalogue/index.ts'
import { secondMark } from '../../demo/scenario/index.ts'
import { on, plug, tinyCamera, tinyPart, tinyRig } from '../testing/index.ts'
import { inBay, pack, wiredRig } from '../testing/wired.ts'
import { blameOf, evaluate, limitsOn, massOrigin, tiltOrigin } from './index.ts'

const block = (id: string, massG: number, more = {}) =>
  tinyPart({ id, massG, mounts: [plug('foot', 'thread-1/4')], ...more })
const hanging = (more: object = {}) => {
  const ahead = block('ahead', 600, { centre: [0, -40, -100] })
  const handle = block('handle', 1e-9, { centre: [0, 60, 0], grips: [{ kind: 'top', at: [0, 60, 37.5] }] })
  const { rig, context } = tinyRig(
    [ahead, handle],
    [on('ahead', 'foot', 'camera', 'hole'), on('handle', 'foot', 'camera', 'pinned')],
  )
  return evaluate(rig, 'main', { ...context, ...more })
}
const demo = () => evaluate(secondMark, 'crossing', { catalogue: catalogueOf(demoParts), owned: new Map() })

test('of 1,000 g and 600 g, both as stated, the heavier is to blame for 30 g of the mass and the other for 18', () => {
  const blame = blameOf(hanging(), 'mass')
  expect(blame?.most.map(({ instance, movesBy }) => [instance, movesBy])).toEqual([
    ['camera', expect.closeTo(30, 6)],
    ['ahead', expect.closeTo(18, 6)],
  ])
  expect([blame?.low, blame?.high]).toEqual([
    expect.closeTo(1600 - Math.hypot(30, 18), 6),
    expect.closeTo(1600 + Math.hypot(30, 18), 6),
  ])
  expect([blame?.unit, blame?.unknown]).toEqual(['g', false])
})

test('what was weighed is no longer to blame', () => {
  const blame = blameOf(hanging({ weighed: new Map([[tinyCamera.id, '2026-11-20']]) }), 'mass')
  expect(blame?.most[0]?.instance).toBe('ahead')
  expect(blame?.most[1]).toMatchObject({ instance: 'camera', movesBy: expect.closeTo(1, 6) as number })
})

test('trying each part agrees with the formula: the tilt of the block of 600 g within a hundredth, the demo within a tenth', () => {
  const band = (of: { readonly high: number; readonly low: number } | undefined) => (of?.high ?? 0) - (of?.low ?? 0)
  expect(band(blameOf(hanging(), 'hang')) / band(tiltOrigin(hanging()))).toBeCloseTo(1, 1)
  expect(band(blameOf(demo(), 'hang')) / band(tiltOrigin(demo()))).toBeCloseTo(1, 1)
  expect(band(blameOf(demo(), 'mass')) / band(massOrigin(demo()))).toBeCloseTo(1, 2)
})

test('a pack of 18 Wh under 6 W: the draw, known to a tenth, costs more minutes than the charge', () => {
  const { rig, context } = wiredRig([pack()], [inBay()])
  const blame = blameOf(evaluate(rig, 'main', context), 'day')
  // 6.6 W last 163.6 min of 180; 18.9 Wh last 189.
  expect(blame?.most.map(({ instance, unit, movesBy }) => [instance, unit, movesBy])).toEqual([
    ['camera', 'W', expect.closeTo(163.636 - 180, 2)],
    ['pack', 'Wh', expect.closeTo(9, 6)],
  ])
})

test('lists and what a set-up has not have no band', () => {
  expect(blameOf(hanging(), 'points')).toBeUndefined()
  expect(blameOf(hanging(), 'tip')).toBeUndefined()
})

test('asking for it leaves the set-up as it was', () => {
  const assessment = hanging()
  const before = assessment.facts.mass
  blameOf(assessment, 'hang')
  expect(assessment.facts.mass).toBe(before)
  expect(assessment.facts.mass.inHandG).toBeCloseTo(1600, 6)
})

test('a figure is told with the limits of the rules that read it, measured and allowed, and whose they are', () => {
  const tilt = limitsOn(hanging(), 'hangs').find(({ check }) => check === 'hang-tilt')
  expect(tilt).toMatchObject({
    own: true,
    measured: { unit: 'deg', value: expect.closeTo(36.9, 1) as number },
    allowed: { unit: 'deg' },
  })
  expect(tilt?.source.length).toBeGreaterThan(5)
  expect(limitsOn(hanging(), 'hang').map(({ check }) => check)).toContain('hang-tilt')
  // No rule with a limit reads where the mounts are.
  expect(limitsOn(hanging(), 'deliveries')).toEqual([])
})
