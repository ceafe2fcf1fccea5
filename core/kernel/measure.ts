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

/**
 * Puts something into each place of a message.
 * @throws {RangeError} for a unit nobody knows: that is the message's fault
 * @example filled('{freeMm:mm} are free', ({ name, unit }) => `12 ${unit}`) is '12 mm are free'
 */
export const filled = (text: string, put: (place: Place) => string | undefined): string =>
  text.replaceAll(PLACE, (whole: string, name: string, unit: string | undefined) => {
    if (unit !== undefined && !isUnit(unit)) throw new RangeError(`There is no unit "${unit}" (in "${text}").`)
    return put({ name, unit }) ?? whole
  })

/** What a message measures: the value of each of its places that has one, with the unit the message states. */
export const measuresIn = (text: string, numbers: Readonly<Record<string, number>>): readonly Measure[] => {
  const found = new Map<string, Measure>()
  filled(text, ({ name, unit }) => {
    const value = numbers[name]
    if (value !== undefined) found.set(name, { name, value, ...(unit ? { unit } : {}) })
    return ''
  })
  return [...found.values()]
}
