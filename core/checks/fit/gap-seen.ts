import type { PlacedPart } from '../../assembly/index.ts'
import { type Sees, takenFrom } from '../../facts/index.ts'
import { defineCheck, noOptions, piecesThat } from '../check.ts'
import { joinedAs } from '../places.ts'

const taughtOf = ({ context }: Sees, piece: PlacedPart) => context.learnt?.gaps.get(joinedAs(piece))

/** A joint that did not close as drawn when it was tried with the hands. */
export const gapSeen = defineCheck<PlacedPart, object>({
  id: 'gap-seen',
  family: 'fit',
  title: 'Did not go on as drawn',
  why: 'The drawing stands for the parts, not the other way round: what stays open there stays open at every shoot.',
  level: 'risk',
  source: 'The log of your own days, measured with a rule or a gauge. Weigh it against the parts as they are known.',
  ...noOptions,
  needs: [],
  messages: {
    speaks: {
      open: '{part} did not go on as drawn. {gapMm:mm} stayed open at {shoot}, on {day}; it sits by the same joint still.',
    },
    silent: { closed: '{part} goes on as drawn, as far as anybody has said.' },
    cannotTell: {},
  },
  subjects: piecesThat(
    (piece) => piece.mate?.ok && piece.host !== undefined,
    ({ context }) => (context.learnt?.gaps.size ?? 0) > 0,
  ),
  judge: (piece, facts) => {
    const taught = takenFrom(facts, piece, taughtOf)
    const names = { part: piece.part.name, shoot: taught?.shoot ?? '', day: taught?.last ?? '' }
    if (!taught) return { group: 'silent', message: 'closed', names }
    return {
      group: 'speaks',
      message: 'open',
      numbers: { gapMm: taught.value },
      names,
      parts: [piece.instance.id],
      at: piece.centre,
    }
  },
  aims: (piece) => [
    { do: 'move', piece, to: () => true, most: 2 },
    {
      do: 'swap',
      piece,
      most: 2,
      for: (other) =>
        other.role === piece.part.role && piece.part.provides.every((gift) => other.provides.includes(gift)),
    },
  ],
})
