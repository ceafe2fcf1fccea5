import { on, plug, tinyCamera, tinyPart, tinyRig } from '../testing/index.ts'
import { inBay, pack, wiredRig } from '../testing/wired.ts'
import { costOrigin, evaluate, hoursOrigin, massOrigin, momentOrigin, tiltOrigin } from './index.ts'

const cube = (id: string, massG: number, more = {}) =>
  tinyPart({ id, massG, mounts: [plug('foot', 'thread-1/4')], ...more })
const rigOf = (parts: ReturnType<typeof cube>[], more: object = {}) => {
  const places = ['hole', 'pinned', 'shoe']
  const { rig, context } = tinyRig(
    parts,
    parts.map(({ id }, i) => on(id, 'foot', 'camera', places[i] ?? 'hole')),
  )
  return evaluate(rig, 'main', { ...context, ...more })
}

test('a mass carries what it is made of: weighed on a day, by the datasheet, typed, unknown', () => {
  const parts = [cube('weighed', 400), cube('typed', 200)]
  const mass = massOrigin(rigOf(parts, { weighed: new Map([['weighed', '2026-11-20']]), typed: new Set(['typed']) }))
  expect(mass.inputs.map(({ instance, source, error }) => [instance, source.kind, error])).toEqual([
    ['camera', 'datasheet', 30],
    ['weighed', 'weighed', 1],
    ['typed', 'typed', 10],
  ])
  expect(mass.inputs[1]?.source).toEqual({ kind: 'weighed', on: '2026-11-20' })
  // The root of 30^2 + 1 + 10^2.
  expect([mass.value, mass.high - mass.value]).toEqual([1600, expect.closeTo(Math.sqrt(1001), 9)])
  expect([mass.low, mass.unknown]).toEqual([expect.closeTo(1600 - Math.sqrt(1001), 9), false])
  expect(massOrigin(rigOf([cube('odd', 0, { unknown: ['massG'] })])).unknown).toBe(true)
})

test('how far off the hang is for a block of 600 g 100 mm ahead, known to 3 %, under a palm 100 mm over the centre', () => {
  const ahead = cube('ahead', 600, { centre: [0, -40, -100] })
  const handle = cube('handle', 1e-9, { centre: [0, 60, 0], grips: [{ kind: 'top', at: [0, 60, 37.5] }] })
  const found = tiltOrigin(rigOf([ahead, handle]))
  // The centre lies 37.5 mm ahead, 75 mm ahead of the palm and 100 under it. 18 g at 62.5 mm from it and 30 g at 37.5
  // mm, of 1,600 g, move it
  // by the root of 0.703^2 + 0.703^2 = 0.994 mm; across the line from palm to centre: x 100 / (75^2 + 100^2).
  const moved = Math.hypot((18 * 62.5) / 1600, (30 * 37.5) / 1600)
  expect(found?.value).toBeCloseTo((Math.atan2(75, 100) * 180) / Math.PI, 6)
  expect((found?.high ?? 0) - (found?.value ?? 0)).toBeCloseTo(
    (((100 * moved) / (75 ** 2 + 100 ** 2)) * 180) / Math.PI,
    6,
  )
})

test('a bill carries each price: seen on a day, by the catalogue, typed, or unknown', () => {
  const view = { partId: 'a', low: 900, usual: 1000, high: 1300, newestOn: '2026-11-02', points: 7 }
  const parts = [
    cube('a', 100, { price: { low: 900, usual: 1000, high: 1300 } }),
    cube('b', 100),
    cube('c', 100, { price: { low: 0, usual: 0, high: 0 } }),
  ]
  const bill = costOrigin(rigOf(parts, { prices: new Map([['a', view]]) }))
  expect(bill.inputs.map(({ instance, value, error, source }) => [instance, value, error, source.kind])).toEqual([
    ['a', 1000, 200, 'seen'],
    ['b', 1000, 200, 'datasheet'],
    ['c', 0, 0, 'unknown'],
  ])
  expect(bill).toMatchObject({ value: 2000, low: 1700, high: 2500, unknown: true })
  expect(tinyCamera.massG).toBe(1000)
})

test('hours carry charge and draw: 18 Wh known to 5 % under 6 W known to 10 %', () => {
  const { rig, context } = wiredRig([pack()], [inBay()])
  const hours = hoursOrigin(evaluate(rig, 'main', context))
  expect(hours.inputs.map(({ instance, value, error }) => [instance, value, expect.closeTo(error, 9)])).toEqual([
    ['pack', 18, 0.9],
    ['camera', 6, 0.6],
  ])
  // 18.9 / 6 h is 9 min more; 18 / 6.6 h is 180 - 163.6 = 16.4 min less: the root of their squares.
  expect(hours.value).toBeCloseTo(180, 6)
  expect(hours.high - hours.value).toBeCloseTo(Math.hypot(9, 180 - (18 / 6.6) * 60), 6)
  expect([hours.low + hours.high, hours.unknown]).toEqual([expect.closeTo(360, 6), false])
  const dark = wiredRig([], [])
  expect(hoursOrigin(evaluate(dark.rig, 'main', dark.context)).value).toBe(0)
})

test('a moment about a pad carries the masses and how far ahead they lie', () => {
  const moment = momentOrigin(rigOf([cube('ahead', 500, { centre: [0, 0, -100] })]), 80)
  // 1 kg 80 mm and 0.5 kg 180 mm ahead; 30 g and 15 g of error there.
  expect(moment.value).toBeCloseTo(((1 * 80 + 0.5 * 180) * 9.80665) / 1000, 9)
  expect(moment.high - moment.value).toBeCloseTo((Math.hypot(0.03 * 80, 0.015 * 180) * 9.80665) / 1000, 9)
})
