import { type Card, type Line } from '@zucchini/core/assess'
import { type Finding, findingKey } from '@zucchini/core/checks'
import { figure, type Style } from '../../wording.ts'

/**
 * What is said of a line that stands for several findings of one rule: how many more, and from where to where its first
 * figure runs. @example "Three more like it, 2.1 stops to 6.4 stops."
 */
export const rangeWords = ({ all, ranges: [range] }: Line, style: Style): string => {
  if (all.length < 2) return ''
  const more = all.length - 1
  const count = `${['One', 'Two', 'Three', 'Four', 'Five'][more - 1] ?? String(more)} more like it`
  return range
    ? `${count}, ${figure(range.from, range.unit, style)} to ${figure(range.to, range.unit, style)}.`
    : `${count}.`
}

/** On which card of a list a finding is, counted from 1; undefined when it is on none. */
export const cardNumbers = (cards: readonly Card[]): ReadonlyMap<string, number> =>
  new Map(
    cards.flatMap(({ root, follows }, i) =>
      [root, ...follows].flatMap(({ all }) => all.map((finding): [string, number] => [findingKey(finding), i + 1])),
    ),
  )

/** A finding in a word or two: its first sentence without the full stop. */
export const shortly = (text: string): string => text.replace(/\.$/, '')

export const keyOfCard = ({ root: { finding } }: { readonly root: { readonly finding: Finding } }): string =>
  findingKey(finding)
