import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { mate, mountOf, type Part } from '../../catalogue/index.ts'
import { perPair } from '../../kernel/index.ts'
import { lineOf } from '../../money/index.ts'
import { defineCheck, piecesThat } from '../check.ts'
import { type Sees, takenFrom } from '../../facts/index.ts'
import { spareOwned, afterSwap } from '../places.ts'

/** Does a part go where this piece sits, with a joint that neither turns nor lets go where this one's does not? */
const sitsAsFirmly = perPair('sits as firmly', (piece: PlacedPart, part: Part): boolean => {
  const mount = piece.host && mountOf(piece.host.part, piece.joint?.hostMount ?? '')
  if (!piece.host || !mount) return false
  const host = { part: piece.host.part, mount }
  const before = piece.mate?.ok ? piece.mate.value : undefined
  return part.mounts.some((own) => {
    const made = mate(host, { part, mount: own })
    return (
      made.ok &&
      (made.value.holdsTwist || before?.holdsTwist === false) &&
      (made.value.mayLift || before?.mayLift === false)
    )
  })
})

/** The part of the locker that does the same and can be put in, in every set-up. */
const fromLocker = (facts: Sees, piece: PlacedPart): Part | undefined => {
  const { catalogue, owned } = facts.context
  const alike = (catalogue.byRole.get(piece.part.role) ?? []).filter(
    (part) =>
      owned.has(part.id) &&
      part.id !== piece.part.id &&
      spareOwned(facts, part) &&
      piece.part.provides.every((gift) => part.provides.includes(gift)) &&
      sitsAsFirmly(piece, part),
  )
  return alike.sort((a, b) => (a.id < b.id ? -1 : 1)).find((part) => afterSwap(facts, piece, part) !== undefined)
}

/** About to buy what the locker already has. */
export const duplicateOwned = defineCheck<PlacedPart, object, 'cost'>({
  id: 'duplicate-owned',
  family: 'money',
  title: 'The locker has one that does',
  why: 'Money goes out for something that lies in the drawer.',
  level: 'hint',
  source: 'The locker, and what the parts give.',
  options: z.object({}),
  defaults: {},
  needs: ['cost'],
  messages: {
    speaks: { owned: 'No need to buy {part}. {owned} in the locker does the same here and saves {priceMinor:minor}.' },
    silent: {
      paid: '{part} is not to be bought.',
      none: 'Nothing in the locker does what {part} does.',
    },
    cannotTell: {},
  },
  subjects: piecesThat((piece) => piece.joint !== undefined && piece.part.provides.length > 0),
  judge: (piece, facts) => {
    const bought = takenFrom(facts, ({ cost }) => lineOf(cost, piece.instance.id)?.owned === false)
    if (!bought) return { group: 'silent', message: 'paid', names: { part: piece.part.name } }
    const owned = fromLocker(facts, piece)
    const names = { part: piece.part.name, owned: owned?.name ?? '' }
    return owned
      ? {
          group: 'speaks',
          message: 'owned',
          names,
          numbers: { priceMinor: piece.part.price.usual },
          parts: [piece.instance.id],
          at: piece.centre,
        }
      : { group: 'silent', message: 'none', names }
  },
  aims: (piece, facts) => {
    const owned = fromLocker(facts, piece)
    return owned ? [{ do: 'swap', piece, for: [owned] }] : []
  },
})
