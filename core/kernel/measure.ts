/** Units in which figures are told. A length, mass or sum is turned into the operator's own only where it is shown. */
export const units = [
  'mm',
  'g',
  'minor',
  'N m',
  'min',
  'long min',
  's',
  'W',
  'Wh',
  'V',
  'MB/s',
  '%',
  'days',
  'stops',
  'times',
  'widths',
  'deg',
] as const
export type Unit = (typeof units)[number]

/** A measured value or a limit, with its unit. */
export interface Measure {
  readonly name: string
  readonly value: number
  /** Left out for a plain count. */
  readonly unit?: Unit
}

const isUnit = (text: string | undefined): text is Unit => (units as readonly (string | undefined)[]).includes(text)

/** A place in a message that something is put into: `{part}`, `{count}`, or with a unit `{freeMm:mm}`. */
export interface Place {
  readonly name: string
  readonly unit: Unit | undefined
}

const PLACE = /\{(\w+)(?::([^{}]+))?\}/g

const checkedUnit = (unit: string | undefined, text: string): Unit | undefined => {
  if (unit !== undefined && !isUnit(unit)) throw new RangeError(`There is no unit "${unit}" (in "${text}").`)
  return unit
}

/**
 * Puts something into each place of a message.
 * @throws {RangeError} for a unit nobody knows: that is the message's fault
 * @example filled('{freeMm:mm} are free', ({ name, unit }) => `12 ${unit}`) is '12 mm are free'
 */
export const filled = (text: string, put: (place: Place) => string | undefined): string =>
  text.replaceAll(
    PLACE,
    (whole: string, name: string, unit: string | undefined) => put({ name, unit: checkedUnit(unit, text) }) ?? whole,
  )

/** The places of each message, each name once; there are as many messages as rules state. */
const known = new Map<string, readonly Place[]>()
const placesIn = (text: string): readonly Place[] => {
  const before = known.get(text)
  if (before) return before
  const found = new Map<string, Place>()
  for (const [, name = '', unit] of text.matchAll(PLACE)) found.set(name, { name, unit: checkedUnit(unit, text) })
  const places = [...found.values()]
  known.set(text, places)
  return places
}

/** What a message measures: the value of each of its places that has one, with the unit the message states. */
export const measuresIn = (text: string, numbers: Readonly<Record<string, number>>): readonly Measure[] =>
  placesIn(text).reduce<Measure[]>((measures, { name, unit }) => {
    const value = numbers[name]
    if (value !== undefined) measures.push(unit ? { name, value, unit } : { name, value })
    return measures
  }, [])
