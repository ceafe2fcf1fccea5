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

/** The unit an option is typed in, by the ending of its name. */
const units: readonly (readonly [RegExp, string])[] = [
  [/Nm$/, 'N m'],
  [/Mm$|^mm$/, 'mm'],
  [/Deg$/, '°'],
  [/Minutes$|Min$/, 'min'],
  [/Days$/, 'days'],
  [/Percent$/, '%'],
  [/G$/, 'g'],
  [/^(recordSpare|writeSpare|packDepth|converter)Times$/, '×'],
  [/Times$/, '× its width'],
]
/** @param home the currency that prices are kept in */
export const optionUnit = (option: string, home: string): string =>
  option.endsWith('Minor') ? home : (units.find(([ending]) => ending.test(option))?.[1] ?? '')
