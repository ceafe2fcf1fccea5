import type { Unit } from '@zucchini/core/kernel'

/** What an option of a check is a limit of, by the word its name begins with. */
const words: readonly (readonly [RegExp, string])[] = [
  [/^good/, 'good up to'],
  [/^risk/, 'a risk from'],
  [/^(stop|grave)/, 'grave from'],
  [/^(most|safe|usual|support)/, 'at most'],
  [/^(least|wanted|wide|engaged|smallest)/, 'at least'],
  [/^take/, 'long enough from'],
  [/^(night|fresh|reach|recess|spare|meets|sure)/, 'counts as'],
]

export const optionWords = (option: string): string =>
  words.find(([beginning]) => beginning.test(option))?.[1] ?? option

/** Units as they stand behind a field; those not named stand as they are. */
const unitSigns: Partial<Record<Unit, string>> = { deg: '°', times: '×', widths: '× its width', 'long min': 'min' }

/** @param home the currency that prices are kept in */
export const unitSign = (unit: Unit | undefined, home: string): string =>
  unit === 'minor' ? home : unit === undefined ? '' : (unitSigns[unit] ?? unit)
