import type { PlacedPart } from '../../assembly/index.ts'
import { inHand } from '../../balance/index.ts'
import { takenFrom } from '../../facts/index.ts'
import { lineOf } from '../../money/index.ts'
import { defineCheck, noOptions, piecesThat } from '../check.ts'

/** A part that was along on several shoots in a row and never used. */
export const staysUnused = defineCheck<PlacedPart, object, 'cost'>({
  id: 'stays-unused',
  family: 'need',
  title: 'Along, and never used',
  why: 'Whatever the plan says of it, nobody reached for it: it is carried, set up and paid for in vain.',
  level: 'hint',
  source: 'The log of your own days: so many shoots in a row on which it was along and named as never used.',
  ...noOptions,
  needs: ['cost'],
  messages: {
    speaks: {
      idle: '{part} was never used. {shoots} shoots in a row, last at {shoot}, on {day}; leaving it out saves {massG:g} and {priceMinor:minor}.',
    },
    silent: { used: '{part} is used, as far as anybody has said.' },
    cannotTell: {},
  },
  subjects: piecesThat(
    (piece) => piece.host !== undefined && inHand(piece),
    ({ context }) => (context.learnt?.unused.size ?? 0) > 0,
  ),
  judge: (piece, facts) => {
    const taught = takenFrom(facts, ({ context }) => context.learnt?.unused.get(piece.part.id))
    const names = { part: piece.part.name, shoot: taught?.shoot ?? '', day: taught?.last ?? '' }
    if (!taught) return { group: 'silent', message: 'used', names }
    const priceMinor = takenFrom(facts, ({ cost }) => lineOf(cost, piece.instance.id)?.usual ?? 0)
    return {
      group: 'speaks',
      message: 'idle',
      numbers: { shoots: taught.times, massG: piece.part.massG, priceMinor },
      names,
      parts: [piece.instance.id],
      at: piece.centre,
    }
  },
  aims: (piece) => [{ do: 'set-aside', piece }],
})
