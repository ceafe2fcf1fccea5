import { issueWords } from '@zucchini/contract'
import { LONG_MIN } from '@zucchini/core/balance'
import { isUnknown, type Part } from '@zucchini/core/catalogue'
import { isPriced } from '@zucchini/core/money'
import { filled, type Issue, type Measure, type Unit } from '@zucchini/core/kernel'

export type Units = 'metric' | 'imperial'

export interface Style {
  readonly currency: string
  readonly units: Units
}

/** Formats are dear to make and cheap to use. */
const formats = new Map<string, Intl.NumberFormat>()
const formatOf = (key: string, locale: string, options: Intl.NumberFormatOptions): Intl.NumberFormat => {
  const known = formats.get(key) ?? new Intl.NumberFormat(locale, options)
  formats.set(key, known)
  return known
}
const number = (value: number, digits: number): string =>
  formatOf(String(digits), 'en', { minimumFractionDigits: digits, maximumFractionDigits: digits })
    .format(value)
    .replace('-', '−')

const G_PER_OZ = 28.349523125
const MM_PER_IN = 25.4

export const money = (minor: number, currency: string): string =>
  formatOf(currency, 'en-IE', { style: 'currency', currency })
    .format(minor / 100)
    .replace('-', '−')

/** A mass with its unit: "2,214 g" or "78.1 oz". */
export const grams = (value: number, units: Units = 'metric'): string =>
  units === 'metric' ? `${number(value, 0)} g` : `${number(value / G_PER_OZ, 1)} oz`

/** The mass of something, or that nobody knows it. */
export const partGrams = (part: Pick<Part, 'massG' | 'unknown'>, units: Units = 'metric'): string =>
  isUnknown(part, 'massG') ? '? g' : grams(part.massG, units)

/** What a part usually costs, or that nobody knows it. */
export const partPrice = (part: Pick<Part, 'price'>, currency: string): string =>
  isPriced(part) ? money(part.price.usual, currency) : '?'

/** A sum that leaves something out says so. */
export const atLeast = (words: string, partial: boolean): string => (partial ? `≥ ${words}` : words)

/** A length with its unit; tenths below 10 mm. */
export const millimetres = (value: number, units: Units = 'metric'): string =>
  units === 'metric'
    ? `${number(value, Math.abs(value) < 10 && value % 1 !== 0 ? 1 : 0)} mm`
    : `${number(value / MM_PER_IN, 2)} in`

export const degrees = (value: number): string => `${number(value, 1)}°`

/** With a sign that is always there: "+64 g", "−22 mm", "0". */
export const signed = (value: number, write: (value: number) => string): string =>
  value > 0 ? `+${write(value)}` : write(value)

/** A span in words: "2.5 min", "long" without an end. */
export const minutes = (value: number): string =>
  Number.isFinite(value) ? `${number(value, value < 10 ? 1 : 0)} min` : 'long'

/** Watts, tenths below 100: "6.5 W". */
export const watts = (value: number): string => `${number(value, Math.abs(value) < 100 && value % 1 !== 0 ? 1 : 0)} W`
export const wattHours = (value: number): string =>
  `${number(value, Math.abs(value) < 100 && value % 1 !== 0 ? 1 : 0)} Wh`
export const volts = (value: number): string => `${number(value, value % 1 === 0 ? 0 : 1)} V`
/** A span of volts: "11 to 16.8 V", or "5 V" when both ends are the same. */
export const voltSpan = ({ min, max }: { readonly min: number; readonly max: number }): string =>
  min === max ? volts(max) : `${volts(min).replace(' V', '')} to ${volts(max)}`

/** A part of a day: "58 min", "5 h 06", "for ever" without an end. */
export const hours = (minutes: number): string => {
  if (!Number.isFinite(minutes)) return 'for ever'
  const whole = Math.round(minutes)
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
}

const SHORT_LETTERS = 25
/** A part’s name without its maker and its figures, with its number when there are several: "camera pack, no. 2". */
export const shortName = (name: string): string => {
  const [head = '', ...rest] = name.split(', ')
  const count = rest.find((part) => part.startsWith('no. '))
  const words = head.split(' ').slice(1).join(' ') || head
  const room = SHORT_LETTERS - (count ? count.length + 2 : 0)
  const fitting = words.length > room ? `${words.slice(0, room - 1)}…` : words
  return count ? `${fitting}, ${count}` : fitting
}

const inUnits: Readonly<Record<Unit, (value: number, style: Style) => string>> = {
  minor: (value, { currency }) => money(value, currency),
  mm: (value, style) => millimetres(value, style.units),
  g: (value, style) => grams(value, style.units),
  'N m': (value) => `${number(value, 2)} N m`,
  min: (value) => hours(value),
  'long min': (value) => minutes(value),
  s: (value) => `${number(value, 0)} s`,
  W: (value) => watts(value),
  Wh: (value) => wattHours(value),
  V: (value) => volts(value),
  'MB/s': (value) => `${number(value, value % 1 === 0 ? 0 : 1)} MB/s`,
  '%': (value) => `${number(value, value % 1 === 0 ? 0 : 1)} %`,
  days: (value) => number(value, 0),
  stops: (value) => `${number(value, 1)} stops`,
  times: (value) => `${number(value, 2)} ×`,
  widths: (value) => `${number(value, 1)} × its width`,
  deg: (value) => degrees(value),
}

/** A measured value in words, in the operator's own units; without a unit a plain count. */
export const figure = (value: number, unit: Unit | undefined, style: Style): string =>
  unit === undefined ? number(value, 0) : inUnits[unit](value, style)

/** A measure as it is told: value and unit together. */
export const inMeasure = ({ value, unit }: Measure, style: Style): string => figure(value, unit, style)

/** A day stays on one line: a browser breaks lines behind any hyphen. */
const unbroken = (name: string): string => (/^\d{4}-\d\d-\d\d$/.test(name) ? name.replaceAll('-', '-\u2060') : name)

/**
 * Puts names and measured numbers into a message. A place with nothing to fill it stays visible, as a defect should.
 */
export const fill = (
  text: string,
  numbers: Readonly<Record<string, number>>,
  names: Readonly<Record<string, string>>,
  style: Style,
): string =>
  filled(text, ({ name, unit }) => {
    const value = numbers[name]
    if (value !== undefined) return figure(value, unit, style)
    const said = names[name]
    return said === undefined ? undefined : unbroken(said)
  })

/** A filter by typed words: a text passes when every word is somewhere in it, large or small letters alike. */
export const wordFilter = (typed: string): ((text: string) => boolean) => {
  const wanted = typed.toLowerCase().split(/\s+/).filter(Boolean)
  return (text) => {
    const said = text.toLowerCase()
    return wanted.every((word) => said.includes(word))
  }
}

/** The first sentence, which says what is wrong, and the rest, which says how much. */
export const headline = (text: string): { readonly head: string; readonly rest: string } => {
  const end = text.search(/\.\s/)
  return end < 0 ? { head: text, rest: '' } : { head: text.slice(0, end + 1), rest: text.slice(end + 2) }
}

/** Why two ends do not go together, or an edit can't be done. */
export const refusal = (issue: Issue, style: Style): string =>
  fill(issueWords[issue.code] ?? `That can't be done (${issue.code}).`, issue.numbers ?? {}, issue.names ?? {}, style)

/** The same as a sentence of its own. */
export const refusalSentence = (issue: Issue, style: Style): string => {
  const said = refusal(issue, style)
  return `${said[0]?.toUpperCase() ?? ''}${said.slice(1)}${said.endsWith('.') ? '' : '.'}`
}

/** Seconds as people say them: "40 s", "5 min 17 s", "−53 s". */
export const hoursMinutes = (seconds: number): string =>
  seconds < 0
    ? `−${hoursMinutes(-seconds)}`
    : seconds < 60
      ? `${seconds} s`
      : `${Math.floor(seconds / 60)} min ${String(seconds % 60).padStart(2, '0')} s`

/** How long something can be held, for people: "long", "12 min", "40 s". */
export const holdWords = (minutes: number): string =>
  minutes > LONG_MIN ? 'long' : minutes >= 1.5 ? `${Math.round(minutes)} min` : `${Math.round(minutes * 60)} s`

/** How the saving of the open rig stands. */
export const saveWords = {
  saved: 'saved',
  saving: 'saving',
  waiting: 'not saved yet, trying again',
  conflict: 'two versions',
  refused: 'not saved',
  removed: 'off the shelf',
} as const

/** Why an edit waits, and where it is meanwhile. */
const waits: Readonly<Record<string, string>> = {
  'database-down': 'Storage is down. Your edit is kept in this browser and goes on by itself when storage is back.',
  'disk-full': 'The disk is full. Your edit is kept in this browser and is stored by itself once there is room.',
  'no-connection':
    'The program does not answer. Your edit is kept in this browser and goes on by itself when it is back.',
}
export const waitingWords = (code: string): string =>
  waits[code] ?? 'Something went wrong on the way. Your edit is kept in this browser and is tried again by itself.'

const mends: Readonly<Record<string, (names: Readonly<Record<string, string>>) => string>> = {
  'part-unknown': ({ part }) => `the part “${part ?? ''}” is no longer known and stands as a block`,
  'lens-unknown': ({ part }) => `the lens “${part ?? ''}” left the lens kit`,
  'mount-unknown': ({ part, mount }) => `${part ?? 'a part'} has no point “${mount ?? ''}” any more`,
  'pose-unknown': ({ instance }) => `“${instance ?? ''}” is back in its first pose`,
  'socket-unknown': ({ instance }) => `a lead at “${instance ?? ''}” was unplugged`,
  'cable-unknown': ({ cable }) => `the lead “${cable ?? ''}” was unplugged`,
}
const MOST_MENDS = 3

/** What had to be mended to open a rig. */
export const mendedWords = {
  mended: (issues: readonly Issue[], changed: boolean): string => {
    const said = [
      ...new Set(
        issues.map(({ code, names }) => mends[code]?.(names ?? {}) ?? `something did not hold together (${code})`),
      ),
    ]
    const list = said.slice(0, MOST_MENDS).join('; ')
    const more = said.length > MOST_MENDS ? `; and ${said.length - MOST_MENDS} more` : ''
    return `Opened with a mend: ${list}${more}. ${changed ? 'The rig as it was stays in the history.' : 'Nothing of the rig was changed.'}`
  },
  hopeless: (why: readonly string[]): string =>
    `This state of the rig can’t be laid out. ${[...new Set(why)].slice(0, MOST_MENDS).join(' ')} Go back in its history, or take it out as a file.`,
} as const
