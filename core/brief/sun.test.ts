import { airMass, type Brief, dayLight, dayOfYear, emptyBrief, evAt, filmedLight, lightOf, lowSunStops, sunAltitudeDeg } from './index.ts'

test('days of the year', () => {
  expect([dayOfYear('2026-01-01'), dayOfYear('2026-02-01'), dayOfYear('2026-12-31'), dayOfYear('2028-12-31')]).toEqual([1, 32, 365, 366])
})

// At noon the sun stands 90 - latitude + declination high; the declination is +-23.44 at the solstices and about nothing between.
test.each([
  [50, '2026-06-21', 720, 63.4],
  [50, '2026-12-21', 720, 16.6],
  [0, '2026-03-21', 720, 90],
  [50, '2026-03-21', 360, 0],
  [53.5, '2026-11-17', 720, 17.3],
  [-35, '2026-12-21', 720, 78.4],
])('at latitude %d on %s, minute %d, the sun stands %d degrees high', (latitude, date, minute, wanted) =>
  expect(Math.abs(sunAltitudeDeg(latitude, date, minute) - wanted)).toBeLessThan(0.6),
)

// Published air masses: 1 overhead, 2.00 at 30 degrees, 5.6 at 10, about 38 at the horizon.
test.each([
  [90, 1, 0.01],
  [30, 1.995, 0.01],
  [10, 5.59, 0.02],
  [0, 38, 0.3],
])('%d degrees: %d air masses', (deg, wanted, off) => expect(Math.abs(airMass(deg) - wanted)).toBeLessThan(off))

test('a low sun is dimmer: 1.27 stops at 10 degrees, nothing above the tables\u2019 own, and never darker than dusk', () => {
  expect(lowSunStops(10)).toBeCloseTo((0.21 * (airMass(10) - airMass(45))) / Math.LN2, 12)
  expect(lowSunStops(10)).toBeCloseTo(1.27, 1)
  expect(lowSunStops(60)).toBe(0)
  expect(evAt('sun', 60)).toBe(15)
  expect(evAt('sun', 10)).toBeCloseTo(15 - lowSunStops(10), 12)
  expect(evAt('water-in-sun', -3)).toBe(9)
  expect(evAt('indoor', 10)).toBe(7)
})

const brief = (more: Partial<Brief>): Brief => ({ ...emptyBrief, ...more })
const part = (name: string, kind: 'off' | 'roll' | 'setup', minutes: number, scene?: 'indoor' | 'sun') => ({
  name,
  kind,
  minutes,
  mains: false,
  ...(scene ? { scene } : {}),
})

test('the day by its parts: named scenes, suggested ones, and nothing for a camera that is off', () => {
  const day = brief({
    conditions: ['sun'],
    light: { ...emptyBrief.light, startMin: 720 },
    phases: [part('setting up', 'setup', 60), part('lunch', 'off', 60), part('office', 'roll', 60, 'indoor'), part('yard', 'roll', 600)],
  })
  expect(dayLight(day).map(({ phase, scene, named, fromMin }) => [phase.name, scene, named, fromMin])).toEqual([
    ['setting up', 'sun', false, 720],
    ['office', 'indoor', true, 840],
    // 15:00 to 01:00, judged at 20:00 in June, with the sun just setting; its brightest and darkest moments are both known.
    ['yard', 'sun', false, 900],
  ])
  const yard = dayLight(day)[2]
  expect(yard?.brightEv).toBeCloseTo(evAt('sun', sunAltitudeDeg(50, '2026-06-21', 900)), 9)
  expect(yard?.darkEv).toBe(9)
  expect(filmedLight(day).map(({ phase }) => phase.name)).toEqual(['office', 'yard'])
  expect(lightOf(day)).toMatchObject({ lowEv: 7, scenes: ['indoor', 'sun'] })
})

test('when nobody says: shade without sun, water with spray, dusk and night by the hour', () => {
  const at = (startMin: number, conditions: Brief['conditions']) =>
    dayLight(brief({ conditions, phases: [part('x', 'roll', 10)], light: { ...emptyBrief.light, startMin } }))[0]?.scene
  expect(at(720, [])).toBe('overcast')
  expect(at(720, ['sun'])).toBe('sun')
  expect(at(720, ['sun', 'spray'])).toBe('water-in-sun')
  expect(at(1215, ['sun'])).toBe('dusk')
  expect(at(0, ['sun'])).toBe('night')
})

test('a day without hours is overcast', () => {
  expect(lightOf(brief({ hoursOnLocation: 0, hoursRolling: 0 }))).toEqual({ lowEv: 12, highEv: 12, scenes: ['overcast'] })
})
