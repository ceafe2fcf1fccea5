import { tzOffset } from '@date-fns/tz'
import fc from 'fast-check'
import * as suncalc from 'suncalc'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import {
  airMass,
  type Brief,
  dayLight,
  emptyBrief,
  evAt,
  filmedLight,
  instantOf,
  lightOf,
  lowCloudStops,
  lowSunStops,
  type Place,
  placeSchema,
  refractionDeg,
  sunAt,
  sunTimesOf,
  towns,
} from './index.ts'

const town = (name: string): Place => towns.find((place) => place.name === name) as Place
const clockAt = (minute: number | undefined): string =>
  minute === undefined
    ? '-'
    : `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(Math.round(minute) % 60).padStart(2, '0')}`

test('clocks of a place: winter and summer time, the day that has 23 hours, the other side of the earth', () => {
  expect(instantOf('2026-11-17', 720, 'Europe/Berlin')).toBe(Date.UTC(2026, 10, 17, 11))
  expect(instantOf('2026-07-01', 720, 'Europe/Berlin')).toBe(Date.UTC(2026, 6, 1, 10))
  expect(instantOf('2026-03-29', 240, 'Europe/Berlin')).toBe(Date.UTC(2026, 2, 29, 2))
  expect(instantOf('2026-12-21', 30, 'Australia/Sydney')).toBe(Date.UTC(2026, 11, 20, 13, 30))
  expect(instantOf('2026-11-17', 1500, 'UTC')).toBe(Date.UTC(2026, 10, 18, 1))
})

// Sunrise and sunset as almanacs print them, to the minute.
test.each([
  ['London', '2026-06-21', '04:43', '21:21'],
  ['London', '2026-12-21', '08:04', '15:53'],
  ['Sydney', '2026-12-21', '05:41', '20:05'],
  ['New York', '2026-03-20', '06:59', '19:08'],
  ['Singapore', '2026-02-11', '07:17', '19:20'],
])('%s on %s: the sun rises at %s and sets at %s', (name, date, rise, set) => {
  const times = sunTimesOf(date, town(name))
  const off = (found: number | undefined, wanted: string) =>
    Math.abs((found ?? 9e9) - Number(wanted.slice(0, 2)) * 60 - Number(wanted.slice(3)))
  expect([clockAt(times.rise), off(times.rise, rise) <= 1.5]).toEqual([expect.any(String), true])
  expect([clockAt(times.set), off(times.set, set) <= 1.5]).toEqual([expect.any(String), true])
})

test('beyond the polar circle there is a summer without sunset and a winter without sunrise, but with a twilight', () => {
  expect(sunTimesOf('2026-06-21', town('Tromso'))).toEqual({
    dawn: undefined,
    rise: undefined,
    set: undefined,
    dusk: undefined,
  })
  const winter = sunTimesOf('2026-12-21', town('Tromso'))
  expect([winter.rise, winter.set]).toEqual([undefined, undefined])
  expect((winter.dusk ?? 0) - (winter.dawn ?? 0)).toBeGreaterThan(120)
})

test('the air lifts a sun on the horizon by half a degree, one overhead by nothing', () => {
  expect(refractionDeg(0)).toBeCloseTo(0.48, 2)
  expect(refractionDeg(10)).toBeCloseTo(0.09, 2)
  expect(Math.abs(refractionDeg(89))).toBeLessThan(0.001)
})

test('an independent almanac agrees to 0.3 degrees anywhere, at any time of twenty years', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -66, max: 66, noNaN: true }),
      fc.double({ min: -180, max: 180, noNaN: true }),
      fc.integer({ min: Date.UTC(2020, 0), max: Date.UTC(2040, 0) }),
      (latitudeDeg, longitudeDeg, at) => {
        const ours = sunAt(at, { latitudeDeg, longitudeDeg })
        const theirs = suncalc.getPosition(new Date(at), latitudeDeg, longitudeDeg)
        const rad = Math.PI / 180
        // Both directions as unit vectors, so that the bearing of a sun overhead does not count.
        const between =
          Math.sin(ours.apparentDeg * rad) * Math.sin(theirs.altitude * rad) +
          Math.cos(ours.apparentDeg * rad) *
            Math.cos(theirs.altitude * rad) *
            Math.cos((ours.azimuthDeg - theirs.azimuth) * rad)
        // Under the horizon it goes on lifting the sun by half a degree, where nobody sees it.
        expect(Math.acos(Math.min(1, between)) / rad).toBeLessThan(ours.trueDeg > -1 ? 0.3 : 0.6)
      },
    ),
    { numRuns: trialRuns(200), seed: trialSeed },
  )
})

test('every town lies where its clocks say, and its name comes once', () => {
  expect(new Set(towns.map(({ name }) => name)).size).toBe(towns.length)
  for (const place of towns) {
    expect(placeSchema.safeParse(place).success).toBe(true)
    // Clocks are never more than three hours off the sun.
    const winter = tzOffset(place.zone, new Date(Date.UTC(2026, 0, 1)))
    expect([place.name, Math.abs(winter - place.longitudeDeg * 4) < 180]).toEqual([place.name, true])
  }
  expect(placeSchema.safeParse({ ...town('Oslo'), zone: 'Middle/Nowhere' }).success).toBe(false)
})

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
  expect(evAt('sun', 0)).toBe(9)
  // Halfway between sunset (-0.83) and the end of twilight (-6): halfway from 9 to 5.
  expect(evAt('water-in-sun', -3.4165)).toBeCloseTo(7, 6)
  expect([evAt('sun', -7), evAt('dusk', -7), evAt('dusk', 3)]).toEqual([5, 5, 9])
  expect([evAt('indoor', 10), evAt('indoor', -20), evAt('night', 10)]).toEqual([7, 7, 5])
  // A closed sky: 15.15 klx at 45 degrees, 3.95 at 10.
  expect(lowCloudStops(10)).toBeCloseTo(Math.log2((0.3 + 21 * Math.SQRT1_2) / (0.3 + 21 * Math.sin(Math.PI / 18))), 9)
  expect([evAt('overcast', 60), evAt('overcast', 10)]).toEqual([12, expect.closeTo(12 - 1.94, 2)])
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
    phases: [
      part('setting up', 'setup', 60),
      part('lunch', 'off', 60),
      part('office', 'roll', 60, 'indoor'),
      part('yard', 'roll', 600),
    ],
  })
  expect(dayLight(day).map(({ phase, scene, named, fromMin }) => [phase.name, scene, named, fromMin])).toEqual([
    ['setting up', 'sun', false, 720],
    ['office', 'indoor', true, 840],
    // 15:00 to 01:00, its middle at 20:00 in June, with the sun just setting.
    ['yard', 'sun', false, 900],
  ])
  const yard = dayLight(day)[2]
  expect(yard?.scenes).toEqual(['sun', 'dusk', 'night'])
  expect(yard?.brightEv).toBeCloseTo(
    15 - lowSunStops(sunAt(Date.UTC(2026, 5, 21, 15), { latitudeDeg: 50, longitudeDeg: 0 }).trueDeg),
    9,
  )
  expect(yard?.darkEv).toBe(5)
  expect(filmedLight(day).map(({ phase }) => phase.name)).toEqual(['office', 'yard'])
  expect(lightOf(day)).toMatchObject({ lowEv: 5, scenes: ['indoor', 'sun', 'dusk', 'night'] })
})

test('sun is refused for a part at night, and what the hour gives is taken; across sunset it stands', () => {
  const named = (startMin: number) =>
    dayLight(
      brief({ conditions: ['sun'], phases: [part('x', 'roll', 120, 'sun')], light: { ...emptyBrief.light, startMin } }),
    )[0]
  expect(named(1320)).toMatchObject({ refused: 'sun-is-down', scene: 'night', named: false, brightEv: 5 })
  expect(named(1160)).toMatchObject({ refused: undefined, scene: 'sun', named: true })
  expect(named(1160)?.darkEv).toBeLessThan(9)
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
  expect(lightOf(brief({ hoursOnLocation: 0, hoursRolling: 0 }))).toEqual({
    lowEv: 12,
    highEv: 12,
    scenes: ['overcast'],
  })
})
