import { flatMap } from '../../kernel/index.ts'
import { goesBefore, type LensFit, ndOf, sizeOn } from '../../optics/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { byReadiness, kitThat, ringsBetween } from '../places.ts'

/** Lenses that need a filter: those that are used, when the day wants one and the camera has none inside. */
const wanting = (facts: Sees<'lensKit' | 'light' | 'needs'>): readonly LensFit[] =>
  facts.needs.some(({ capability }) => capability === 'nd') &&
  facts.lensKit.length > 1 &&
  !facts.light.filters.some(({ inside }) => inside)
    ? facts.lensKit.filter(({ way }) => way !== 'none')
    : []

/** The cheapest way to a filter on a lens: rings to one the kit has, or a filter of its own. */
const wayTo = (facts: Sees, { threadMm }: LensFit): readonly Part[] => {
  if (threadMm === undefined) return []
  const nds = flatMap(
    kitThat(facts, (part) => ndOf(part, true) !== undefined),
    ({ part }) => sizeOn(part, 'filter', 'sits') ?? [],
  )
  const chains = flatMap(nds, (toMm) => {
    const rings = ringsBetween(facts, threadMm, toMm)
    return rings && rings.length > 0 ? [rings] : []
  })
  const [rings] = chains.sort((a, b) => a.length - b.length)
  if (rings) return rings
  const [own] = [...(facts.context.catalogue.byRole.get('filter') ?? [])]
    .filter((part) => ndOf(part, true)?.variable && sizeOn(part, 'filter', 'sits') === threadMm)
    .sort(byReadiness(facts))
  return own ? [own] : []
}

/** A lens of the kit without neutral density of its size. */
export const filterPerLens = defineCheck<LensFit, object, 'lensKit' | 'needs' | 'light'>({
  id: 'filter-per-lens',
  family: 'glass',
  title: 'A lens without its filter',
  why: 'After the change of lens the filter does not go on, and the scene is shot wide open with a short shutter.',
  level: 'hint',
  source: 'Neutral density and rings of the kit against the thread of each lens.',
  ...noOptions,
  about: 'glass',
  needs: ['lensKit', 'needs', 'light'],
  messages: {
    speaks: {
      bare: 'No neutral density for {lens}. Its thread is {threadMm:mm}; {way} would do.',
      threadless: 'No neutral density for {lens}. Its front has no thread.',
    },
    silent: { has: '{filter} goes before {lens}.' },
    cannotTell: {},
  },
  subjects: wanting,
  judge: (fit, facts) => {
    const all = kitThat(facts, () => true).map(({ part }) => part)
    const filter = all.find((part) => ndOf(part, true) && goesBefore(part, fit.part, all))
    const way = filter ? [] : wayTo(facts, fit)
    const key = fit.part.id
    const names = {
      lens: fit.part.name,
      filter: filter?.name ?? '',
      way: way.map(({ name }) => name).join(' and ') || 'none that is known',
    }
    const numbers = { threadMm: fit.threadMm ?? 0 }
    if (filter) return { group: 'silent', message: 'has', names, key, station: 'glass', numbers }
    return {
      group: 'speaks',
      message: fit.threadMm === undefined ? 'threadless' : 'bare',
      names,
      key,
      station: 'glass',
      numbers,
    }
  },
  aims: (fit, facts) => [{ do: 'along', choices: [wayTo(facts, fit)] }],
})
