import type { Catalogue, Part, Role } from '@zucchini/core/catalogue'
import { wordFilter } from '../../wording.ts'

/** What the catalogue is narrowed down to; empty fields ask for nothing. */
export interface PartFilter {
  readonly text: string
  readonly role: Role | ''
  readonly standard: string
  readonly mostG: number
  readonly mostMinor: number
  readonly only: '' | 'owned' | 'own'
}

export const noFilter: PartFilter = { text: '', role: '', standard: '', mostG: 0, mostMinor: 0, only: '' }

export type PartOrder = 'name' | 'mass' | 'price'

const orders: Readonly<Record<PartOrder, (a: Part, b: Part) => number>> = {
  name: (a, b) => a.name.localeCompare(b.name, 'en'),
  mass: (a, b) => a.massG - b.massG,
  price: (a, b) => a.price.usual - b.price.usual,
}

/** The parts that a filter lets through, in an order; ids settle what is equal. */
export const listParts = (
  parts: Iterable<Part>,
  filter: PartFilter,
  order: PartOrder,
  owned: ReadonlyMap<string, number>,
  own: ReadonlySet<string>,
): readonly Part[] => {
  const said = wordFilter(filter.text)
  const wanted = (part: Part): boolean => {
    if (filter.role && part.role !== filter.role) return false
    if (filter.standard && !part.mounts.some(({ standard }) => standard === filter.standard)) return false
    if (filter.mostG > 0 && part.massG > filter.mostG) return false
    if (filter.mostMinor > 0 && part.price.usual > filter.mostMinor) return false
    if (filter.only === 'owned' && !(owned.get(part.id) ?? 0)) return false
    if (filter.only === 'own' && !own.has(part.id)) return false
    return said(`${part.name} ${part.role} ${part.maker} ${part.provides.join(' ')} ${part.notes ?? ''}`)
  }
  return [...parts].filter(wanted).sort((a, b) => orders[order](a, b) || (a.id < b.id ? -1 : 1))
}

/** An id from a name: lower-case, hyphens, and free in the catalogue. */
export const idFrom = (name: string, catalogue: Catalogue | undefined): string => {
  const base =
    name
      .toLowerCase()
      .normalize('NFKD')
      .replaceAll(/\p{M}/gu, '')
      .replaceAll(/[^a-z0-9]+/g, '-')
      .replaceAll(/^-+|-+$/g, '')
      .slice(0, 56) || 'part'
  let id = base
  for (let n = 2; catalogue?.parts.has(id); n++) id = `${base}-${n}`
  return id
}
