import type { PlacedPart } from '../../assembly/index.ts'
import { type Sees, takenFrom } from '../../facts/index.ts'
import { defineCheck, noOptions, piecesThat } from '../check.ts'
import { joinedAs } from '../places.ts'

const taughtOf = ({ context }: Sees, piece: PlacedPart) => context.learnt?.inTheWay.get(joinedAs(piece))

/** Something that got in the way on a shoot day, and is on the rig again. */
export const wasInTheWay = defineCheck<PlacedPart, object>({
  id: 'was-in-the-way',
  family: 'clearance',
  title: 'Got in the way in the field',
  why: 'What a hand met once it will meet again, in the same place and in the same take.',
  level: 'hint',
  source: 'The log of your own days. Take the word back once it sits where it is in nobody’s way.',
  ...noOptions,
  needs: [],
  messages: {
    speaks: { there: '{part} got in the way. At {shoot}, on {day}; it sits by the same joint still.' },
    silent: { elsewhere: '{part} has been in nobody’s way.' },
    cannotTell: {},
  },
  subjects: piecesThat(
    (piece) => piece.host !== undefined && piece.joint !== undefined,
    ({ context }) => (context.learnt?.inTheWay.size ?? 0) > 0,
  ),
  judge: (piece, facts) => {
    const taught = takenFrom(facts, piece, taughtOf)
    const names = { part: piece.part.name, shoot: taught?.shoot ?? '', day: taught?.last ?? '' }
    if (!taught) return { group: 'silent', message: 'elsewhere', names }
    return {
      group: 'speaks',
      message: 'there',
      names,
      parts: [piece.instance.id],
      at: piece.centre,
    }
  },
  aims: (piece) => [{ do: 'move', piece, to: () => true, most: 2 }],
})
