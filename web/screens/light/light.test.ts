import { evaluate } from '@zucchini/core/assess'
import { catalogueOf } from '@zucchini/core/catalogue'
import { viewfinderOf } from '@zucchini/core/clearance'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { dayChart, stateOf } from './day-chart.ts'
import { frontDrawing } from './front-drawing.ts'
import { choiceName, clock, ev, filterName, fNumber, iso, minuteOf, stopSpan } from './light-words.ts'
import { darkRims, intruders, plateOf } from './picture.ts'

const catalogue = catalogueOf(demoParts)
const context = { catalogue, owned: new Map(Object.entries(demoLocker)) }
const first = evaluate(firstMark, 'crossing', context)
const second = evaluate(secondMark, 'crossing', context)

test('figures as a camera shows them', () => {
  expect([fNumber(2.8), fNumber(29.43), ev(15.396), iso(1225), iso(306), iso(12_800)]).toEqual([
    'f/2.8',
    'f/29.4',
    'EV 15.4',
    'ISO 1,200',
    'ISO 310',
    'ISO 13,000',
  ])
  expect([stopSpan(6, 6), stopSpan(2, 8)]).toEqual(['6 stops', '2 to 8 stops'])
  expect([clock(705), clock(0), clock(1445)]).toEqual(['11:45', '00:00', '00:05'])
  expect([minuteOf('11:45'), minuteOf('24:00'), minuteOf('noon')]).toEqual([705, undefined, undefined])
})

test('filters by their names, and the camera’s own by its stops', () => {
  expect(filterName('phragma-vnd-67', catalogue)).toBe('Phragma variable ND, 67 mm')
  expect(filterName('camera 4', catalogue)).toBe('the camera’s ND, 4 stops')
  expect(filterName('camera', catalogue)).toBe('the camera’s own ND')
  expect(choiceName({ ids: [] }, catalogue)).toBe('the bare lens')
  expect(choiceName({ ids: ['camera 2', 'phragma-nd-67'] }, catalogue, true)).toBe(
    'the camera’s ND, 2 stops with ND 1.8',
  )
})

test('the day of the second mark: two scenes held by the variable filter, two by a higher ISO', () => {
  const plan = second.facts.light
  const chart = dayChart(plan)
  expect(chart?.blocks.map(({ state, letters }) => [state, letters])).toEqual([
    ['held', 'A'],
    ['held', 'A'],
    ['dark', ''],
    ['dark', ''],
  ])
  // f/2.8 at 1/50 s and ISO 100 is right at log2(7.84 x 50) = 8.61; 2 to 8 stops over it, a third let pass, is A.
  expect(chart?.baseEv).toBeCloseTo(8.615, 3)
  expect(chart?.holders.map(({ letter }) => letter)).toEqual(['–', 'A'])
  expect(chart?.holders[1]?.fromEv).toBeCloseTo(8.615 + 2 - 1 / 3, 3)
  expect(chart?.holders[1]?.toEv).toBeCloseTo(8.615 + 8 + 1 / 3, 3)
  expect([chart?.fromMin, chart?.toMin]).toEqual([735, 1065])
})

test('the day of the first mark is too bright for its fixed filter; a camera that ends early is too dark at night', () => {
  const plan = first.facts.light
  expect(plan.phases.map((phase) => stateOf(phase, plan))).toEqual(['bright', 'bright', 'dark', 'dark'])
  expect(plan.phases.map((phase) => stateOf(phase, { ...plan, isoMax: 800 }))).toEqual([
    'bright',
    'bright',
    'dark',
    'pitch',
  ])
  expect(dayChart({ ...plan, phases: [] })).toBeUndefined()
})

test('the front to scale: three rims, the outermost in the corner ray', () => {
  const { front, picture, clean } = first.facts
  if (!front || !picture || !clean) throw new Error('the zoom sees')
  const drawn = frontDrawing(first.assembly, front, picture, clean, { width: 540, height: 400 })
  expect(drawn.rims.map(({ id, clips }) => [id, clips])).toEqual([
    ['guard', false],
    ['nd', false],
    ['mist', true],
  ])
  expect(drawn.clean).toBe(false)
  // The upper ray has risen past the clear edge where the mist filter ends, and not where the neutral density ends. On
  // the sheet up is less.
  const [from, to] = drawn.rays[0] ?? []
  if (!from || !to) throw new Error('there is a ray')
  const yAt = (x: number) => from[1] + ((to[1] - from[1]) * (x - from[0])) / (to[0] - from[0])
  const over = (id: string) => {
    const rim = drawn.rims.find((one) => one.id === id)
    return rim ? yAt(rim.upper[0]) < rim.upper[1] : undefined
  }
  expect([over('nd'), over('mist')]).toEqual([false, true])
  for (const point of [...drawn.axis, from, to]) {
    expect(point[0]).toBeGreaterThanOrEqual(0)
    expect(point[0]).toBeLessThanOrEqual(540)
  }
})

test('the picture on the sheet, level and upright', () => {
  const level = plateOf({ wideMm: 36, tallMm: 20.25 }, false, 400, 400)
  expect([level.wide, level.tall]).toEqual([400, 225])
  expect(level.at([-1, 1])).toEqual([0, 0])
  expect(level.at([1, -1])).toEqual([400, 225])
  const upright = plateOf({ wideMm: 36, tallMm: 20.25 }, true, 400, 400)
  expect([upright.wide, upright.tall]).toEqual([225, 400])
  // The camera’s right side is up: what stands at its right edge is at the top of the picture, its own top to the left.
  expect(upright.at([1, 0])).toEqual([112.5, 0])
  expect(upright.at([0, 1])).toEqual([0, 200])
  expect(upright.reach([1, 0.5])).toEqual([56.25, 200])
})

test('dark corners are drawn only where the stack clips, the mic only where it stands in the picture', () => {
  const picture = first.facts.picture
  if (!picture) throw new Error('the camera has a sensor')
  const plate = plateOf(picture, false, 400, 225)
  const at = (focal: number) => viewfinderOf(first.assembly, focal, picture) ?? { silhouettes: [], edges: [] }
  expect(new Set(darkRims(at(24), plate).map(({ key }) => key.split(' ')[0]))).toEqual(new Set(['mist']))
  expect(darkRims(at(27), plate)).toEqual([])
  expect(intruders(at(24), plate)).toEqual([])
  const wheelhouse = evaluate(firstMark, 'wheelhouse', context)
  const seen = viewfinderOf(wheelhouse.assembly, 20, picture) ?? { silhouettes: [], edges: [] }
  expect(intruders(seen, plate).map(({ id }) => id)).toEqual(['gun'])
})
