import { tzOffset } from '@date-fns/tz'
import { daysOf } from '../kernel/index.ts'

const RAD = Math.PI / 180
const DAY_MS = 86_400_000
const MINUTE_MS = 60_000

/** Where on the earth, and by which clock, a day is spent. */
export interface Whereabouts {
  readonly latitudeDeg: number
  /** East is positive. */
  readonly longitudeDeg: number
  /** An IANA time zone, `Europe/Lisbon`. */
  readonly zone: string
}

/** Asking a calendar takes long and a day is asked for the same moments again: so many answers are kept. */
const MOST_KEPT = 5000
const MOST_ZONES = 50
const offsets = new Map<string, Map<number, number>>()
const offsetsIn = (zone: string): Map<number, number> => {
  const known = offsets.get(zone)
  if (known && known.size < MOST_KEPT) return known
  if (offsets.size >= MOST_ZONES) offsets.clear()
  const made = new Map<number, number>()
  offsets.set(zone, made)
  return made
}
/** What the clocks of a zone are ahead of UTC at a moment, ms. */
const offsetAt = (zone: string, at: number): number => {
  const kept = offsetsIn(zone)
  const known = kept.get(at)
  if (known !== undefined) return known
  const made = tzOffset(zone, new Date(at)) * MINUTE_MS
  kept.set(at, made)
  return made
}

/**
 * The moment at which clocks of a zone show a time of day, ms since 1970 in UTC; minutes over 1,440 run into the next
 * day. In the hour that is skipped in spring it is the moment an hour before; in the one that comes twice in autumn the
 * first.
 * @example 2026-11-17, 12:00, Europe/Berlin: 11:00 UTC
 */
export const instantOf = (date: string, minute: number, zone: string): number => {
  const asUtc = daysOf(date) * DAY_MS + minute * MINUTE_MS
  return asUtc - offsetAt(zone, asUtc - offsetAt(zone, asUtc))
}

/**
 * Where the sun stands, degrees: its true height, the height at which the air lets it appear, and its bearing from
 * north over east.
 */
export interface SunPosition {
  readonly trueDeg: number
  readonly apparentDeg: number
  readonly azimuthDeg: number
}

const turn = (deg: number): number => ((deg % 360) + 360) % 360

/**
 * What the air lifts a low sun by, degrees, for its true height (Saemundsson 1986): `1.02 / tan(h + 10.3 / (h + 5.11))`
 * minutes of arc; nothing once it is well under the horizon. @example on the horizon: 0.48
 */
export const refractionDeg = (trueDeg: number): number =>
  trueDeg < -1 ? 0 : 1.02 / 60 / Math.tan((trueDeg + 10.3 / (trueDeg + 5.11)) * RAD)

/**
 * Position of the sun by the low-precision formulas of the Astronomical Almanac (U.S. Naval Observatory): mean
 * longitude and anomaly, ecliptic longitude, right ascension and declination, sidereal time. Good to 0.02 degrees from
 * 1950 to 2050; the equation of time is in it.
 */
export const sunAt = (
  atMs: number,
  { latitudeDeg, longitudeDeg }: Pick<Whereabouts, 'latitudeDeg' | 'longitudeDeg'>,
): SunPosition => {
  // Days since noon of 1 January 2000, universal time.
  const days = atMs / DAY_MS - 10_957.5
  const anomaly = turn(357.529 + 0.98560028 * days) * RAD
  const longitude = turn(280.459 + 0.98564736 * days + 1.915 * Math.sin(anomaly) + 0.02 * Math.sin(2 * anomaly)) * RAD
  const tilt = (23.439 - 0.00000036 * days) * RAD
  const ascension = Math.atan2(Math.cos(tilt) * Math.sin(longitude), Math.cos(longitude))
  const declination = Math.asin(Math.sin(tilt) * Math.sin(longitude))
  const siderealDeg = (18.697374558 + 24.06570982441908 * days) * 15 + longitudeDeg
  const hour = turn(siderealDeg) * RAD - ascension
  const latitude = latitudeDeg * RAD
  const sine = Math.sin(latitude) * Math.sin(declination) + Math.cos(latitude) * Math.cos(declination) * Math.cos(hour)
  const trueDeg = Math.asin(Math.max(-1, Math.min(1, sine))) / RAD
  const south = Math.cos(hour) * Math.sin(latitude) - Math.tan(declination) * Math.cos(latitude)
  return {
    trueDeg,
    apparentDeg: trueDeg + refractionDeg(trueDeg),
    azimuthDeg: turn(Math.atan2(Math.sin(hour), south) / RAD + 180),
  }
}

/**
 * The sun's upper edge touches the horizon when its middle stands here: 34' of refraction and 16' of its own radius.
 * Degrees
 */
export const RISE_DEG = -0.833
/** Below this the last of the day is gone: the end of civil twilight. Degrees */
export const NIGHT_DEG = -6

/** The turns of a day by its sun, minutes after local midnight; undefined where the sun does not cross that height. */
export interface SunTimes {
  readonly dawn: number | undefined
  readonly rise: number | undefined
  readonly set: number | undefined
  readonly dusk: number | undefined
}

/** A day is looked through in steps of this, then halved to the second. Minutes */
const STEP_MIN = 10
const HALVINGS = 10

/** First light, sunrise, sunset and last light of a day by its own clocks. */
export const sunTimesOf = (date: string, where: Whereabouts): SunTimes => {
  const height = (minute: number): number => sunAt(instantOf(date, minute, where.zone), where).trueDeg
  const heights = Array.from({ length: 1440 / STEP_MIN + 1 }, (_, i) => height(i * STEP_MIN))
  const crossing = (wanted: number, up: boolean): number | undefined => {
    const i = heights.findIndex((deg, n) => {
      const next = heights[n + 1]
      return next !== undefined && (up ? deg < wanted && next >= wanted : deg >= wanted && next < wanted)
    })
    if (i < 0) return undefined
    let [low, high] = [i * STEP_MIN, (i + 1) * STEP_MIN]
    for (let n = 0; n < HALVINGS; n++) {
      const middle = (low + high) / 2
      if (height(middle) < wanted === up) low = middle
      else high = middle
    }
    return (low + high) / 2
  }
  return {
    dawn: crossing(NIGHT_DEG, true),
    rise: crossing(RISE_DEG, true),
    set: crossing(RISE_DEG, false),
    dusk: crossing(NIGHT_DEG, false),
  }
}

/** Air masses the light comes through (Kasten and Young 1989): 1 overhead, about 38 at the horizon. */
export const airMass = (altitudeDeg: number): number =>
  1 / (Math.sin(altitudeDeg * RAD) + 0.50572 * (altitudeDeg + 6.07995) ** -1.6364)

/** What a clear sky takes of the light for each air mass, as an optical depth for the eye. */
const CLEAR_AIR = 0.21
/** The tables of exposure are made for a sun this high. */
const TABLE_SUN_DEG = 45

/**
 * Stops by which a sun lower than the tables' is dimmer: `0.21 (m - m45) / ln 2`, m the air mass; 0 for a higher one.
 * @example 10 degrees: 5.6 air masses, 1.27 stops
 */
export const lowSunStops = (altitudeDeg: number): number =>
  altitudeDeg >= TABLE_SUN_DEG
    ? 0
    : (CLEAR_AIR * (airMass(Math.max(0, altitudeDeg)) - airMass(TABLE_SUN_DEG))) / Math.LN2

/** Light under a closed sky, klx on the level (Krochmann and Seidl 1974): `0.3 + 21 sin h`. */
const overcastKlx = (altitudeDeg: number): number => 0.3 + 21 * Math.sin(Math.max(0, altitudeDeg) * RAD)

/**
 * Stops by which a closed sky is darker than the tables', whose sun stands at 45 degrees behind the cloud; 0 for a
 * higher one.
 * @example 10 degrees: 15.1 klx against 3.9, 1.94 stops
 */
export const lowCloudStops = (altitudeDeg: number): number =>
  altitudeDeg >= TABLE_SUN_DEG ? 0 : Math.log2(overcastKlx(TABLE_SUN_DEG) / overcastKlx(altitudeDeg))
