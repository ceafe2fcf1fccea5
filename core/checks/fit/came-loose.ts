import type { PlacedPart } from '../../assembly/index.ts'
import { type Sees, takenFrom } from '../../facts/index.ts'
import { defineCheck, noOptions, piecesThat } from '../check.ts'
import { firmerSeats, joinedAs } from '../places.ts'

const taughtOf = ({ context }: Sees, piece: PlacedPart) => context.learnt?.loose.get(joinedAs(piece))

/** A joint that came loose in the field and is made the same way still. */
export const cameLoose = defineCheck<PlacedPart, object>({
  id: 'came-loose',
  family: 'fit',
  title: 'Came loose in the field',
  why: 'What a figure calls firm and a day shook loose is not firm: the day is right.',
  level: 'risk',
  source: 'The log of your own days. Once the joint is made otherwise, or you take the word back, it is silent.',
  ...noOptions,
  needs: [],
  messages: {
    speaks: {
      once: '{part} came loose. At {shoot}, on {day}; it sits by the same joint still.',
      again: '{part} keeps coming loose. {times} days, last at {shoot}, on {day}; it sits by the same joint still.',
    },
    silent: { held: '{part} has not come loose yet.' },
    cannotTell: {},
  },
  subjects: piecesThat(
    (piece) => piece.mate?.ok && piece.host !== undefined,
    ({ context }) => (context.learnt?.loose.size ?? 0) > 0,
  ),
  judge: (piece, facts) => {
    const taught = takenFrom(facts, piece, taughtOf)
    const names = { part: piece.part.name, shoot: taught?.shoot ?? '', day: taught?.last ?? '' }
    if (!taught) return { group: 'silent', message: 'held', names }
    return {
      group: 'speaks',
      message: taught.times > 1 ? 'again' : 'once',
      numbers: { times: taught.times },
      names,
      parts: [piece.instance.id],
      at: piece.centre,
    }
  },
  aims: firmerSeats,
})
