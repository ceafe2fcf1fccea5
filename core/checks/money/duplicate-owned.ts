import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { mate, mountOf, type Part } from '../../catalogue/index.ts'
import { perPairKey } from '../../kernel/index.ts'
import { lineOf } from '../../money/index.ts'
import { defineCheck, piecesThat } from '../check.ts'
import { type Sees, takenFrom } from '../../facts/index.ts'
import { spareOwned, afterSwap } from '../places.ts'

/** Whether a part goes on a mount of another, without turning or letting go where that is asked: known for each two parts. */
const goesFirmly = perPairKey<Part, Part, boolean>('goes firmly')

/** Does a part go where this piece sits, with a joint that neither turns nor lets go where this one's does not? */
const sitsAsFirmly = ({ host: on, joint, mate: made }: PlacedPart, part: Part): boolean => {
  const mount = on && mountOf(on.part, joint?.hostMount ?? '')
  if (!on || !mount) return false
  const mayTurn = made?.ok === true && !made.value.holdsTwist
  const mayLift = made?.ok === true && !made.value.mayLift
  return goesFirmly(on.part, part, `${mount.id} ${mayTurn} ${mayLift}`, () =>
    part.mounts.some((own) => {
      const now = mate({ part: on.part, mount }, { part, mount: own })
      return now.ok && (now.value.holdsTwist || mayTurn) && (now.value.mayLift || mayLift)
    }),
  )
}

/** The part of the locker that does the same and can be put in, in every set-up. */
const fromLocker = (facts: Sees, piece: PlacedPart): Part | undefined => {
  const { catalogue, owned } = facts.context
  const alike = (catalogue.byRole.get(piece.part.role) ?? []).filter(
    (part) =>
      owned.has(part.id) &&
      part.id !== piece.part.id &&
      piece.part.provides.every((gift) => part.provides.includes(gift)) &&
      takenFrom(facts, part, spareOwned) &&
      sitsAsFirmly(piece, part),
  )
  return alike.sort((a, b) => (a.id < b.id ? -1 : 1)).find((part) => afterSwap(facts, piece, part) !== undefined)
}

const isBought = ({ cost }: Sees<'cost'>, { instance }: PlacedPart): boolean =>
  lineOf(cost, instance.id)?.owned === false

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
    const bought = takenFrom(facts, piece, isBought)
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
