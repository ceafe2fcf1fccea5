import type { FigureId, Input, Reckoning, Term, Unit } from '@zucchini/core/assess'
import {
  degrees,
  grams,
  holdWords,
  hours,
  hoursMinutes,
  millimetres,
  money,
  type Style,
  wattHours,
  watts,
} from './wording.ts'

export const figureTitles: Readonly<Record<FigureId, string>> = {
  'in-hand': 'In the hand',
  'to-buy': 'Still to buy',
  runs: 'Runs, everything rolling',
  hangs: 'Hangs',
  tall: 'Tall',
  'set-up': 'Set up in',
  held: 'Held still for',
}

/** A value in its unit. */
export const inUnit = (value: number, unit: Unit, style: Style): string =>
  ({
    g: () => grams(value, style.units),
    money: () => money(value, style.currency),
    min: () => hours(value),
    deg: () => degrees(value),
    mm: () => millimetres(Math.round(value * 10) / 10, style.units),
    s: () => hoursMinutes(value),
    Nm: () => `${value.toFixed(2)} N m`,
    W: () => watts(value),
    Wh: () => wattHours(value),
    share: () => `${Math.round(value * 100)} %`,
  })[unit]()

const n = (reckoning: Reckoning, name: string): number => reckoning.numbers[name] ?? 0
const count = (many: number, one: string, more = `${one}s`): string => `${many} ${many === 1 ? one : more}`

/** The formula of a figure in words, with its numbers in it. */
export const formulaWords = (reckoning: Reckoning, style: Style): string => {
  const mm = (name: string) => inUnit(Math.abs(n(reckoning, name)), 'mm', style)
  return {
    'in-hand': () =>
      `the sum of ${count(n(reckoning, 'pieces'), 'piece')}${n(reckoning, 'leads') > 0 ? ` and ${count(n(reckoning, 'leads'), 'lead')}` : ''}, without what stands under the rig`,
    'to-buy': () =>
      `the sum of ${count(n(reckoning, 'buy'), 'price')}; ${count(n(reckoning, 'owned'), 'piece')} owned${n(reckoning, 'boxed') > 0 ? `, ${n(reckoning, 'boxed')} in the box of another` : ''}`,
    runs: () =>
      `until the first piece goes dark: ${wattHours(n(reckoning, 'wattHours'))} on the rig, ${watts(n(reckoning, 'watts'))} drawn`,
    hangs: () =>
      `atan ( ${mm('aheadMm')} ${n(reckoning, 'aheadMm') < 0 ? 'behind' : 'ahead'} ÷ ${mm('underMm')} below the hand )`,
    tall: () => `${mm('above')} over the optical axis + ${mm('below')} under it`,
    'set-up': () =>
      `${count(n(reckoning, 'joints'), 'joint')} by their standards${n(reckoning, 'leads') > 0 ? ` and ${count(n(reckoning, 'leads'), 'lead')} of ${n(reckoning, 'lead')} s` : ''}${n(reckoning, 'balancing') > 0 ? `, then ${n(reckoning, 'balancing')} s of balancing` : ''}`,
    held: () =>
      `the shoulder works at ${inUnit(n(reckoning, 'share'), 'share', style)} of its strength (Rohmert 1960); an estimate, stop when it hurts`,
  }[reckoning.id]()
}

const from = { 'set-up': 'this set-up’s cap', brief: 'your brief', 'how-i-work': 'How I work' } as const
export const boundWords = ({ bound, unit }: Reckoning, style: Style): string =>
  bound ? `limit ${inUnit(bound.value, unit, style)}: ${from[bound.from]}` : ''

const times = (n: number): string => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`)

/** Where a term comes from, and how far it may be off. */
export const sourceWords = ({ source, error, unit, lever }: Term, style: Style): string => {
  if (lever)
    return `${inUnit(lever.massG, 'g', style)}, ${inUnit(Math.abs(Math.round(lever.aheadMm)), 'mm', style)} ${lever.aheadMm < 0 ? 'behind' : 'ahead of'} the palm`
  const off = error ? ` (± ${inUnit(error, unit, style)})` : ''
  const words = (given: Input['source']): string => {
    if (given.kind === 'weighed') return `weighed on ${given.on}`
    if (given.kind === 'field') return `shown in the field, ${times(given.times)}, last on ${given.on}`
    if (given.kind === 'seen') return `seen on ${given.on}, ${count(given.points, 'price')}`
    return {
      datasheet: 'as its maker states it',
      typed: 'typed in',
      unknown: 'nobody knows it: in the sum as nothing',
    }[given.kind]
  }
  return source ? `${words(source)}${off}` : ''
}

/** The figure itself with its band. */
export const valueWords = ({ id, value, low, high, unit, unknown }: Reckoning, style: Style): string => {
  const said = id === 'held' ? holdWords(value) : Number.isFinite(value) ? inUnit(value, unit, style) : 'without end'
  const sign = unknown ? (id === 'runs' || id === 'held' ? '≤ ' : '≥ ') : ''
  if (!(high > low) || !Number.isFinite(high)) return `${sign}${said}`
  const even = Math.abs(high + low - 2 * value) < (high - low) * 0.02
  return `${sign}${said} ${even ? `± ${inUnit(high - value, unit, style)}` : `(${inUnit(low, unit, style)} to ${inUnit(high, unit, style)})`}`
}
