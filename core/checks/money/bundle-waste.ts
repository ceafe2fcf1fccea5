import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { lineOf } from '../../money/index.ts'
import { defineCheck } from '../check.ts'
import { isNoLarger, lossesOf, takesAll } from '../equal.ts'
import { lotOfParts, type Sees } from '../../facts/index.ts'
import { rivals } from '../places.ts'

/** Pieces to buy that come with others in their box. */
const boxes = (facts: Sees<'cost'>): readonly PlacedPart[] =>
  inBoxes(facts).filter(({ instance }) => lineOf(facts.cost, instance.id)?.owned === false)
const inBoxes = lotOfParts(({ includes }) => (includes?.length ?? 0) > 0)

/** What of a box the kit has use for. */
const usedOf = (
  { cost }: Sees<'cost'>,
  { instance, part }: PlacedPart,
): { readonly used: readonly Part[]; readonly unused: readonly string[] } => {
  const used = cost.lines.filter(({ inBoxOf }) => inBoxOf === instance.id).map((line) => line.part)
  const left = used.map(({ id }) => id)
  const unused = (part.includes ?? []).filter((id) => {
    const at = left.indexOf(id)
    if (at >= 0) left.splice(at, 1)
    return at < 0
  })
  return { used, unused }
}

/** The cheapest part that does what the box's main piece does and comes alone. */
const single = (facts: Sees, piece: PlacedPart): Part | undefined =>
  rivals(
    facts,
    piece,
    (part) =>
      !part.includes?.length &&
      lossesOf(piece.part, part).length === 0 &&
      isNoLarger(piece.part, part) &&
      takesAll(facts, piece)(part),
  )[0]

/** A box of which half stays in the box. */
export const bundleWaste = defineCheck<PlacedPart, { leastMinor: number }, 'cost'>({
  id: 'bundle-waste',
  family: 'money',
  title: 'Half the box is for nothing',
  why: 'The set was cheaper than its parts, and three of the five lie in the drawer ever after.',
  level: 'hint',
  source: 'What comes in the box against the kit; prices of the single pieces.',
  options: z.object({ leastMinor: z.int().positive() }),
  defaults: { leastMinor: 500 },
  units: { leastMinor: 'minor' },
  needs: ['cost'],
  limit: { measured: 'savesMinor', allowed: 'leastMinor' },
  messages: {
    speaks: {
      waste:
        '{count} things in the box of {part} are for nothing. {other} and what is used of the box cost {savesMinor:minor} less.',
    },
    silent: { worth: 'The box of {part} is worth it.', all: 'All that is in the box of {part} is used.' },
    cannotTell: {},
  },
  subjects: boxes,
  judge: (piece, facts, { leastMinor }) => {
    const { used, unused } = usedOf(facts, piece)
    const other = single(facts, piece)
    const names = { part: piece.part.name, other: other?.name ?? '' }
    const singly = other ? other.price.usual + used.reduce((sum, part) => sum + part.price.usual, 0) : Infinity
    const savesMinor = other ? piece.part.price.usual - singly : 0
    const numbers = { count: unused.length, savesMinor, leastMinor }
    if (unused.length === 0) return { group: 'silent', message: 'all', names, numbers }
    return savesMinor > leastMinor
      ? { group: 'speaks', message: 'waste', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'worth', names, numbers }
  },
  aims: (piece, facts) => {
    const other = single(facts, piece)
    return other ? [{ do: 'swap', piece, for: [other] }] : []
  },
})
