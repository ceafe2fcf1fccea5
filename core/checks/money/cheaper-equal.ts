import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { lineOf } from '../../money/index.ts'
import { defineCheck } from '../check.ts'
import { cheapestEqual } from '../equal.ts'
import { swapRemedy } from '../places.ts'

/** Something dearer than it need be for this job. */
export const cheaperEqual = defineCheck<PlacedPart, { leastMinor: number }, 'cost'>({
  id: 'cheaper-equal',
  family: 'money',
  title: 'A cheaper one does the same',
  why: 'The money is missing elsewhere, and nobody sees the difference on this job.',
  level: 'hint',
  source: 'What both give, their sockets, charge, screen, stops and grams; 20.00 at least are worth a word.',
  options: z.object({ leastMinor: z.int().positive() }),
  defaults: { leastMinor: 2000 },
  units: { leastMinor: 'minor' },
  needs: ['cost'],
  limit: { measured: 'savesMinor', allowed: 'leastMinor' },
  messages: {
    speaks: {
      cheaper:
        '{other} does the same for this job. It costs {otherMinor:minor} where {part} costs {priceMinor:minor}: {savesMinor:minor} less.',
    },
    silent: {
      dear: 'Nothing cheaper does what {part} does.',
      little: '{other} would save {savesMinor:minor}: too little for a word.',
    },
    cannotTell: {},
  },
  subjects: ({ assembly, cost }) =>
    assembly.placed.filter((piece) => {
      const line = piece.joint && lineOf(cost, piece.instance.id)
      return line && !line.owned && line.usual > 0
    }),
  judge: (piece, facts, { leastMinor }) => {
    const found = cheapestEqual(facts, piece)
    const names = { part: piece.part.name, other: found?.name ?? '' }
    if (!found) return { group: 'silent', message: 'dear', names }
    const savesMinor = piece.part.price.usual - found.price.usual
    const numbers = { savesMinor, leastMinor, priceMinor: piece.part.price.usual, otherMinor: found.price.usual }
    return savesMinor > leastMinor
      ? { group: 'speaks', message: 'cheaper', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'little', names, numbers }
  },
  remedies: (piece, facts) => {
    const found = cheapestEqual(facts, piece)
    const remedy = found && swapRemedy(facts, piece, found)
    return remedy ? [remedy] : []
  },
})
