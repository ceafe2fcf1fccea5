import { daysBetween } from '../kernel/index.ts'

const RAD = Math.PI / 180
const DAYS = 365

/** The number of a day in its year, from 1. @example 2026-02-01: 32 */
export const dayOfYear = (date: string): number => daysBetween(`${date.slice(0, 4)}-01-01`, date) + 1

/**
 * How high the sun stands, degrees: `sin h = sin(lat) sin(dec) + cos(lat) cos(dec) cos(H)` with the declination
 * `-23.44 cos(360 (N + 10) / 365)` and the hour angle 15 degrees an hour from noon. Hours are the sun's own: a clock is off
 * by up to a quarter of an hour, and by the longitude within its zone.
 * @example noon at 50 degrees north on 21 June: 63.4
 */
export const sunAltitudeDeg = (latitudeDeg: number, date: string, minute: number): number => {
  const declination = -23.44 * RAD * Math.cos((2 * Math.PI * (dayOfYear(date) + 10)) / DAYS)
  const hour = ((minute - 720) / 4) * RAD
  const lat = latitudeDeg * RAD
  return Math.asin(Math.sin(lat) * Math.sin(declination) + Math.cos(lat) * Math.cos(declination) * Math.cos(hour)) / RAD
}

/** Air masses the light comes through (Kasten and Young 1989): 1 overhead, about 38 at the horizon. */
export const airMass = (altitudeDeg: number): number => 1 / (Math.sin(altitudeDeg * RAD) + 0.50572 * (altitudeDeg + 6.07995) ** -1.6364)

/** What a clear sky takes of the light for each air mass, as an optical depth for the eye. */
const CLEAR_AIR = 0.21
/** The tables of exposure are made for a sun this high. */
const TABLE_SUN_DEG = 45

/**
 * Stops by which a sun lower than the tables' is dimmer: `0.21 (m - m45) / ln 2`, m the air mass; 0 for a higher one.
 * @example 10 degrees: 5.6 air masses, 1.27 stops
 */
export const lowSunStops = (altitudeDeg: number): number =>
  altitudeDeg >= TABLE_SUN_DEG ? 0 : (CLEAR_AIR * (airMass(Math.max(0, altitudeDeg)) - airMass(TABLE_SUN_DEG))) / Math.LN2
