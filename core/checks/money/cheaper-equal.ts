import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { standRoles } from '../../balance/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { perThing } from '../../kernel/index.ts'
import { type Cost, costOf, lineOf } from '../../money/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { cheaperEquals, takesAll } from '../equal.ts'
import { swapRemedy } from '../places.ts'

/** So many cheaper ones are tried, the cheapest first. */
const MOST_TRIED = 4

interface Equal {
  readonly part: Part
  /** What the whole bill falls by: what else comes in either box is in it. */
  readonly savesMinor: number
}

/** What a stand has to bear is for its own rules to judge. */
const canBeWeighed = ({ part }: PlacedPart): boolean => !standRoles.has(part.role)

const inBoxes = perThing(
  'what comes in boxes',
  ({ lines }: Pick<Cost, 'lines'>): ReadonlySet<string> => new Set(lines.flatMap(({ part }) => part.includes ?? [])),
)
/** Neither part has to do with anything else in a box, nor lies in the locker: then the bill falls by their difference. */
const isPlain = ({ context, cost }: Sees<'cost'>, from: Part, to: Part): boolean =>
  [from, to].every((part) => !part.includes?.length && !context.owned.has(part.id) && !inBoxes(cost).has(part.id))

const usualWith = ({ assembly, context }: Sees, piece: PlacedPart, part: Part): number => {
  const kit = assembly.rig.kit.map((one) => (one.id === piece.instance.id ? { ...one, partId: part.id } : one))
  return costOf({ kit }, context.catalogue, context.owned).usual
}

/** The cheapest equal that takes all that sits there, in every set-up, and makes the whole bill smaller. */
const bestOf = (facts: Sees<'cost'>, piece: PlacedPart): Equal | undefined => {
  const { cost } = facts
  for (const part of cheaperEquals(facts, piece).slice(0, MOST_TRIED)) {
    if (!takesAll(facts, piece, part)) continue
    const savesMinor = isPlain(facts, piece.part, part)
      ? piece.part.price.usual - part.price.usual
      : cost.usual - usualWith(facts, piece, part)
    if (savesMinor > 0) return { part, savesMinor }
  }
  return undefined
}

/** Something dearer than it need be for this job. */
export const cheaperEqual = defineCheck<PlacedPart, { leastMinor: number }, 'cost'>({
  id: 'cheaper-equal',
  family: 'money',
  title: 'A cheaper one does the same',
  why: 'The money is missing elsewhere, and nobody sees the difference on this job.',
  level: 'hint',
  source:
    'What this rig uses of it: sockets with a lead, what the brief asks, charge, screen, stops, grams, size; all that sits on it in any set-up goes on, and it is weighed by the whole bill with what else is in either box. 20.00 at least are worth a word.',
  options: z.object({ leastMinor: z.int().positive() }),
  defaults: { leastMinor: 2000 },
  units: { leastMinor: 'minor' },
  needs: ['cost'],
  limit: { measured: 'savesMinor', allowed: 'leastMinor' },
  messages: {
    speaks: {
      cheaper:
        '{other} does the same for this job. It costs {otherMinor:minor} where {part} costs {priceMinor:minor}; the bill falls by {savesMinor:minor}.',
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
      return line && !line.owned && line.usual > 0 && canBeWeighed(piece)
    }),
  judge: (piece, facts, { leastMinor }) => {
    const found = bestOf(facts, piece)
    const names = { part: piece.part.name, other: found?.part.name ?? '' }
    if (!found) return { group: 'silent', message: 'dear', names }
    const { savesMinor } = found
    const numbers = { savesMinor, leastMinor, priceMinor: piece.part.price.usual, otherMinor: found.part.price.usual }
    return savesMinor > leastMinor
      ? { group: 'speaks', message: 'cheaper', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'little', names, numbers }
  },
  remedies: (piece, facts) => {
    const found = bestOf(facts, piece)
    const remedy = found && swapRemedy(facts, piece, found.part)
    return remedy ? [remedy] : []
  },
})
