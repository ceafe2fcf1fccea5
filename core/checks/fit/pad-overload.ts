import type { PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, noOptions, piecesThat } from '../check.ts'
import { loadOn } from '../places.ts'

/** More on a hook-and-loop pad than it holds. */
export const padOverload = defineCheck<PlacedPart, object, 'loads'>({
  id: 'pad-overload',
  family: 'fit',
  title: 'Too heavy for a pad',
  why: 'It peels off in the cold, or in the rain, or over the rail.',
  level: 'risk',
  source: 'Hook and loop of a hand’s width: 250 g, less when it is wet.',
  ...noOptions,
  needs: ['loads'],
  limit: { measured: 'carriedG', allowed: 'limitG' },
  messages: {
    speaks: { peels: '{part} is too heavy for its pad. {carriedG:g} hangs there; it holds {limitG:g}.' },
    silent: { holds: '{part} puts {carriedG:g} on a pad that holds {limitG:g}.' },
    cannotTell: {},
  },
  subjects: piecesThat((piece) => piece.mate?.ok && piece.mate.value.standard.kind === 'pad'),
  judge: (piece, facts) => {
    const numbers = {
      carriedG: loadOn(facts, piece).massG,
      limitG: piece.mate?.ok ? piece.mate.value.limitG : Infinity,
    }
    const names = { part: piece.part.name }
    return exceeds(numbers.carriedG, numbers.limitG)
      ? { group: 'speaks', message: 'peels', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'holds', names, numbers }
  },
})
