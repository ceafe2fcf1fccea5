import type { Rig } from '../assembly/index.ts'
import type { Catalogue, Part } from '../catalogue/index.ts'
import { perKey } from '../kernel/index.ts'
import { type PriceView, priceIn, type PriceTerms, rulesIn, termsOf } from '../money/index.ts'
import type { Context } from './context.ts'

const partsIn = (catalogue: Catalogue, terms: PriceTerms): Catalogue => {
  const made = new Map<Part, Part>()
  const priced = (part: Part): Part => {
    const known = made.get(part) ?? { ...part, price: priceIn(part, terms) }
    made.set(part, known)
    return known
  }
  const lists = <K>(groups: ReadonlyMap<K, readonly Part[]>) =>
    new Map([...groups].map(([key, parts]) => [key, parts.map(priced)] as const))
  return {
    parts: new Map([...catalogue.parts].map(([id, part]) => [id, priced(part)] as const)),
    byRole: lists(catalogue.byRole),
    byStandard: lists(catalogue.byStandard),
    gone: catalogue.gone,
  }
}

const viewIn = (view: PriceView, { factor = 0 }: PriceTerms): PriceView => {
  const times = (minor: number) => Math.round(minor * factor)
  return {
    ...view,
    ...priceIn({ price: view }, { factor }),
    usedMinor: view.usedMinor === undefined ? undefined : times(view.usedMinor),
    shippingMinor: times(view.shippingMinor),
    newestMinor: times(view.newestMinor),
    driftMinor: times(view.driftMinor),
  }
}

const pricedContext = perKey<Context, Context>('priced context')

/**
 * What surrounds a rig, with every price in the rig's own currency and with tax: catalogue, ledger, sending. Made once
 * for a currency; asked again with what it gave, it gives the same. Without a rate nothing has a price, and
 * `pricedIn.noRate` says why.
 */
export const contextFor = (rig: Rig, given: Context): Context => {
  const { currency } = rig.brief
  if (given.pricedIn?.currency === currency) return given
  const kept = given.pricedIn?.kept ?? given
  const terms = termsOf(currency, kept)
  if (terms.factor === 1) return kept
  return pricedContext(kept, currency, () => ({
    ...kept,
    catalogue: partsIn(kept.catalogue, terms),
    ...(kept.prices
      ? { prices: new Map([...kept.prices].map(([id, view]) => [id, viewIn(view, terms)] as const)) }
      : {}),
    rules: rulesIn(currency, kept),
    pricedIn: { currency, kept, noRate: terms.factor === undefined },
  }))
}
