import { flatMap } from '../kernel/index.ts'
import type { Catalogue, FilterOptics, Part } from '../catalogue/index.ts'
import { type FilterEconomy, filterEconomy } from './chains.ts'
import { filterOf, stepOf, traysOf } from './day.ts'
import { type LensFit, sizeOn } from './kit.ts'

/** Opening a tray, changing nothing, closing it; and clamping a box on the next lens. s */
const CLAMP_SECONDS = 15

const has = (owned: ReadonlyMap<string, number>, part: Part): boolean => (owned.get(part.id) ?? 0) > 0
const costIn = (owned: ReadonlyMap<string, number>, part: Part): number => (has(owned, part) ? 0 : part.price.usual)

/** What is bought for one way, for the list beside its figures. */
export interface EconomyWay extends Omit<FilterEconomy, 'way'> {
  readonly way: FilterEconomy['way'] | 'drop-in'
}

/** One box with one drop-in filter: on rods it suits every lens, clamped on only those with a front of its size. */
const dropIn = (
  fits: readonly LensFit[],
  effect: FilterOptics['effect'],
  catalogue: Catalogue,
  owned: ReadonlyMap<string, number>,
): EconomyWay | undefined => {
  const filters = (catalogue.byRole.get('filter') ?? []).filter(
    (part) => traysOf(part, 'sits').length > 0 && filterOf(part)?.effect === effect,
  )
  const ways = flatMap(catalogue.byRole.get('matte-box') ?? [], (box): EconomyWay[] => {
    const trays = traysOf(box, 'holds')
    const clampMm = sizeOn(box, 'clamp', 'sits')
    return filters
      .filter((filter) => traysOf(filter, 'sits').some((tray) => trays.includes(tray)))
      .map((filter) => ({
        way: 'drop-in',
        costMinor: costIn(owned, box) + costIn(owned, filter),
        massG: box.massG + filter.massG,
        secondsPerChange: clampMm === undefined ? 0 : CLAMP_SECONDS,
        without:
          clampMm === undefined
            ? []
            : fits.filter(({ frontMm }) => frontMm !== clampMm).map(({ threadMm }) => threadMm ?? 0),
      }))
  })
  return ways.sort((a, b) => a.without.length - b.without.length || a.costMinor - b.costMinor || a.massG - b.massG)[0]
}

/**
 * One kind of filter for every lens of a kit, three ways: one large one with rings, one for each thread, one dropped
 * into a box. Money counts what is not owned; grams count everything that is carried; seconds what a change of lens
 * takes for the filter alone.
 */
export const economyOf = (
  fits: readonly LensFit[],
  effect: FilterOptics['effect'],
  catalogue: Catalogue,
  owned: ReadonlyMap<string, number>,
): readonly EconomyWay[] => {
  const sized = flatMap(catalogue.byRole.get('filter') ?? [], (part) => {
    const threadMm = sizeOn(part, 'filter', 'sits')
    return threadMm !== undefined && filterOf(part)?.effect === effect
      ? [{ threadMm, costMinor: costIn(owned, part), massG: part.massG }]
      : []
  })
  const rings = flatMap(catalogue.byRole.get('step-ring') ?? [], (part) => stepOf(part, has(owned, part)) ?? [])
  const boxed = dropIn(fits, effect, catalogue, owned)
  const threads = flatMap(fits, ({ threadMm }) => threadMm ?? [])
  return threads.length === 0 ? [] : [...filterEconomy(threads, sized, rings), ...(boxed ? [boxed] : [])]
}
