import { type Card, type Line, type Way } from '@zucchini/core/assess'
import { type Finding, findingKey, type Remedy } from '@zucchini/core/checks'
import { figure, type Style } from '../../wording.ts'

/** Who else it is true of: the first name in the words that is another one in each of the other findings. */
const othersIn = ({ finding, all }: Line): readonly string[] => {
  const names = [...finding.text.matchAll(/\{(\w+)\}/g)].map(([, name = '']) => name)
  const differs = names.find((name) => new Set(all.map((one) => one.names[name])).size > 1)
  const others = differs === undefined ? [] : all.flatMap((one) => one.names[differs] ?? [])
  return [...new Set(others)].filter((name) => name !== finding.names[differs ?? ''])
}

const listed = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`

/**
 * What is said of a line that stands for several findings of one rule: of whom else it is true, or how many more there
 * are, and from where to where its first figure runs. @example "Likewise dusk and the slip, 2.1 stops to 6.4 stops."
 */
export const rangeWords = (line: Line, style: Style): string => {
  const { all, ranges } = line
  if (all.length < 2) return ''
  const [range] = ranges
  const more = all.length - 1
  const others = othersIn(line)
  const whom =
    others.length > 0
      ? `Likewise ${listed(others)}`
      : `${['One', 'Two', 'Three', 'Four', 'Five'][more - 1] ?? String(more)} more like it`
  return `${whom}${range ? `, ${figure(range.from, range.unit, style)} to ${figure(range.to, range.unit, style)}` : ''}.`
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

/** Ways out without those that are the same edits again. */
export const distinctCures = <C extends { readonly remedy: Remedy }>(cures: readonly C[]): readonly C[] => [
  ...new Map(cures.map((cure) => [JSON.stringify(cure.remedy.commands), cure])).values(),
]

/**
 * At what price a way out is had: how many risks are new, and in which other set-ups. @example "2 new risks, 1 of them
 * in slip"
 */
export const priceWords = (
  { gained }: Pick<Way, 'gained'>,
  here: string,
  nameOf: (setup: string) => string,
): string => {
  if (gained.length === 0) return ''
  const elsewhere = gained.filter(({ setup }) => setup !== here)
  const all = `${gained.length} new ${gained.length === 1 ? 'risk' : 'risks'}`
  if (elsewhere.length === 0) return all
  const where = listed([...new Set(elsewhere.map(({ setup }) => nameOf(setup)))])
  if (elsewhere.length === gained.length) return `${all}, in ${where}`
  return `${all}, ${elsewhere.length} of them in ${where}`
}

/** So many hints are named; of more there is only the number. */
const NAMED = 2

/**
 * What a way out brings that is worth a word and no more. What one rule says of several pieces is one hint.
 * @param headOf a finding in a few words
 * @example brings a hint: “The lead lies under the handle”
 */
export const hintWords = (
  { hints }: Pick<Way, 'hints'>,
  here: string,
  nameOf: (setup: string) => string,
  headOf: (finding: Finding) => string,
): string => {
  const said = new Map<string, string>()
  for (const { setup, finding } of hints) {
    const where = setup === here ? '' : `, in ${nameOf(setup)}`
    const key = `${setup} ${finding.check}`
    if (!said.has(key)) said.set(key, `“${headOf(finding)}”${where}`)
  }
  if (said.size === 0) return ''
  const many = said.size === 1 ? 'a hint' : `${said.size} hints`
  return said.size > NAMED ? `brings ${many}` : `brings ${many}: ${[...said.values()].join('; ')}`
}
