import { z } from 'zod'
import { type PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, piecesThat } from '../check.ts'
import { loadOn, overLimit } from '../places.ts'

/** More mass on an accessory shoe than it carries. */
export const shoeOverload = defineCheck<PlacedPart, object, 'loads'>({
  id: 'shoe-overload',
  family: 'fit',
  title: 'Too heavy for the shoe',
  why: 'The foot bends or the shoe tears out of the top plate, and takes the monitor with it.',
  level: 'stop',
  source: "The part's own rating: over it is a stop. Else 500 g, the usual figure for an accessory shoe: a risk.",
  options: z.object({}),
  defaults: {},
  needs: ['loads'],
  limit: { measured: 'carriedG', allowed: 'limitG' },
  messages: {
    speaks: {
      over: '{part} is too heavy for the shoe. {carriedG:g} is on it; the makers allow {limitG:g}.',
      usual: '{part} is heavy for the shoe. {carriedG:g} is on it; {limitG:g} is usual for a shoe.',
    },
    silent: { light: '{part} puts {carriedG:g} on a shoe that takes {limitG:g}.' },
    cannotTell: {},
  },
  subjects: piecesThat((piece) => piece.mate?.ok && piece.mate.value.standard.kind === 'shoe'),
  judge: (piece, facts) => {
    const carriedG = loadOn(facts, piece).massG
    const limitG = piece.mate?.ok ? piece.mate.value.limitG : Infinity
    const names = { part: piece.part.name }
    const numbers = { carriedG, limitG }
    return exceeds(carriedG, limitG)
      ? {
          group: 'speaks',
          ...overLimit(piece),
          names,
          numbers,
          parts: [piece.instance.id],
          at: piece.centre,
        }
      : { group: 'silent', message: 'light', names, numbers }
  },
})
