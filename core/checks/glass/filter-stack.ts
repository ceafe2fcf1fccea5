import { z } from 'zod'
import { type PlacedPart, ridesOn } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { filterOf, lensOf } from '../../optics/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'

interface Stack {
  readonly lens: PlacedPart
  readonly filters: readonly PlacedPart[]
}

const stackOf = ({ assembly }: Sees): readonly Stack[] => {
  const lens = lensOf(assembly)?.lens
  const filters = lens ? assembly.placed.filter((piece) => ridesOn(piece, lens) && filterOf(piece.part)) : []
  return lens && filters.length > 0 ? [{ lens, filters }] : []
}

/** More glass on the front than the picture bears. */
export const filterStack = defineCheck<Stack, { most: number }>({
  id: 'filter-stack',
  family: 'glass',
  title: 'Too many filters on each other',
  why: 'Every pane adds two reflections: a lamp becomes a row of ghosts, and threads cross and jam.',
  level: 'risk',
  source: 'Workshop practice: two filters on each other; more belong in trays.',
  options: z.object({ most: z.int().positive() }),
  defaults: { most: 2 },
  about: 'glass',
  needs: [],
  limit: { measured: 'count', allowed: 'most' },
  messages: {
    speaks: { many: '{count} filters on each other on {lens}. {most} are plenty.' },
    silent: { few: '{count} on {lens}.' },
    cannotTell: {},
  },
  subjects: stackOf,
  judge: ({ lens, filters }, _, { most }) => {
    const names = { lens: lens.part.name }
    const numbers = { count: filters.length, most }
    return exceeds(filters.length, most)
      ? {
          group: 'speaks',
          message: 'many',
          names,
          numbers,
          parts: filters.map(({ instance }) => instance.id),
          at: filters[0]?.centre ?? lens.centre,
        }
      : { group: 'silent', message: 'few', names, numbers }
  },
})
