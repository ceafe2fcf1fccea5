import type { Input, Origin } from '@zucchini/core/assess'

const kinds: readonly (readonly [Input['source']['kind'], string])[] = [
  ['weighed', 'weighed'],
  ['seen', 'seen in shops'],
  ['datasheet', 'as stated'],
  ['typed', 'typed in'],
  ['unknown', 'unknown'],
]

/** How many of the inputs come from where. @example "2 weighed, 14 as stated, 1 unknown" */
export const sourcesInWords = (inputs: readonly Input[]): string =>
  kinds
    .flatMap(([kind, word]) => {
      const count = inputs.filter(({ source }) => source.kind === kind).length
      return count > 0 ? [`${count} ${word}`] : []
    })
    .join(', ')

/** A figure's band and what it is made of, for those who ask. */
export const originInWords = (origin: Origin, say: (value: number) => string): string =>
  origin.inputs.length === 0
    ? ''
    : `${origin.unknown ? 'At least ' : 'Likely '}${say(origin.low)}${origin.unknown ? '' : ` to ${say(origin.high)}`}. Made of ${sourcesInWords(origin.inputs)}.`
