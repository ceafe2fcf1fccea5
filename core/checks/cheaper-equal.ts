import { z } from 'zod'
import type { PlacedPart } from '../assembly/index.ts'
import type { Part } from '../catalogue/index.ts'
import { defineCheck, type Remedy } from './check.ts'
import { cheaperHere, holdsAsWell, lossesOf } from './equal.ts'
import type { Facts } from './facts.ts'
import { spareOwned, swapRemedy } from './places.ts'

/** The readiest part that does all a piece does, sits as firmly and costs less; with the edit that puts it there. */
const equalFor = (facts: Facts, piece: PlacedPart): { readonly part: Part; readonly remedy: Remedy } | undefined => {
  for (const part of cheaperHere(facts, piece)) {
    if (spareOwned(facts, part) || lossesOf(piece.part, part).length > 0 || !holdsAsWell(piece, part)) continue
    const remedy = swapRemedy(facts, piece, part)
    if (remedy) return { part, remedy }
  }
  return undefined
}

/** Something dearer than it need be for this job. */
export const cheaperEqual = defineCheck<PlacedPart, { leastMinor: number }>({
  id: 'cheaper-equal',
  title: 'A cheaper one does the same',
  why: 'The money is missing elsewhere, and nobody sees the difference on this job.',
  level: 'hint',
  source: 'What both give, their sockets, charge, screen, stops and grams; 20.00 at least are worth a word.',
  options: z.object({ leastMinor: z.int().positive() }),
  defaults: { leastMinor: 2000 },
  needs: ['cost'],
  limit: { measured: 'savesMinor', allowed: 'leastMinor' },
  messages: {
    speaks: { cheaper: '{other} does the same for this job. It costs {otherMinor} where {part} costs {priceMinor}: {savesMinor} less.' },
    silent: { dear: 'Nothing cheaper does what {part} does.', little: '{other} would save {savesMinor}: too little for a word.' },
    cannotTell: {},
  },
  subjects: ({ assembly, cost }) =>
    assembly.placed.filter(
      (piece) => piece.joint && cost.lines.some((line) => line.instance === piece.instance.id && !line.owned && line.usual > 0),
    ),
  judge: (piece, facts, { leastMinor }) => {
    const found = equalFor(facts, piece)
    const names = { part: piece.part.name, other: found?.part.name ?? '' }
    if (!found) return { group: 'silent', message: 'dear', names }
    const savesMinor = piece.part.price.usual - found.part.price.usual
    const numbers = { savesMinor, leastMinor, priceMinor: piece.part.price.usual, otherMinor: found.part.price.usual }
    return savesMinor > leastMinor
      ? { group: 'speaks', message: 'cheaper', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'little', names, numbers }
  },
  remedies: (piece, facts) => {
    const found = equalFor(facts, piece)
    return found ? [found.remedy] : []
  },
})
