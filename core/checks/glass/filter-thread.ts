import type { Part } from '../../catalogue/index.ts'
import { goesBefore, sizeOn } from '../../optics/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { kitThat, ringsBetween } from '../places.ts'

interface Held {
  readonly id: string
  readonly part: Part
}

/** Filters that lie in the bag: those on the rig have found their thread. */
const inBag = (facts: Sees<'lensKit'>): readonly Held[] =>
  facts.lensKit.length === 0
    ? []
    : kitThat(facts, ({ role }) => role === 'filter').filter(({ id }) => !facts.assembly.byInstance.has(id))

/** A filter that goes before no lens of the kit. */
export const filterThread = defineCheck<Held, object, 'lensKit'>({
  id: 'filter-thread',
  family: 'glass',
  title: 'A filter for no lens',
  why: 'The thread is one size off, and the right ring is at home.',
  level: 'risk',
  source: 'The threads of filter, lenses and rings of the kit; at most three rings on each other.',
  ...noOptions,
  about: 'glass',
  needs: ['lensKit'],
  messages: {
    speaks: {
      ring: '{filter} goes before no lens of the kit. It is {filterMm:mm}; {lens} takes it with {rings}.',
      never: '{filter} goes before no lens of the kit. No ring or box is known that would hold it.',
    },
    silent: { fits: '{filter} goes before {lens}.' },
    cannotTell: {},
  },
  subjects: inBag,
  judge: ({ id, part }, facts) => {
    const kit = kitThat(facts, () => true).map((held) => held.part)
    const fit = facts.lensKit.find((lens) => goesBefore(part, lens.part, kit))
    const way = wayOf(facts, part)
    const key = id
    const names = {
      filter: part.name,
      lens: fit?.part.name ?? way?.lens.name ?? '',
      rings: way?.rings.map(({ name }) => name).join(' and ') ?? '',
    }
    const numbers = { filterMm: sizeOn(part, 'filter', 'sits') ?? 0 }
    if (fit) return { group: 'silent', message: 'fits', names, key, station: 'glass', numbers }
    return { group: 'speaks', message: way ? 'ring' : 'never', names, key, station: 'glass', numbers, parts: [id] }
  },
  aims: ({ part }, facts) => [{ do: 'along', choices: [wayOf(facts, part)?.rings] }],
})

/** The lens of the kit that is used most of those that rings lead to. */
const wayOf = (
  facts: Sees<'lensKit'>,
  filter: Part,
): { readonly lens: Part; readonly rings: readonly Part[] } | undefined => {
  const toMm = sizeOn(filter, 'filter', 'sits')
  if (toMm === undefined) return undefined
  for (const { part, threadMm } of [...facts.lensKit].sort((a, b) => b.share - a.share)) {
    const rings = threadMm === undefined ? undefined : ringsBetween(facts, threadMm, toMm)
    if (rings && rings.length > 0) return { lens: part, rings }
  }
  return undefined
}
