import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, piecesThat } from '../check.ts'
import { loadOn, isBraced, onTheRun } from '../places.ts'

const FRICTION: ReadonlySet<string> = new Set(['pad', 'clamp'])

/** Held by friction alone while running. */
export const frictionHolder = defineCheck<PlacedPart, { safeG: number }, 'loads'>({
  id: 'friction-holder',
  family: 'fit',
  title: 'Held by friction on the run',
  why: 'It shakes loose between two takes, and is found by somebody else.',
  level: 'hint',
  source:
    'A pad holds 250 g at rest; a brisk step weighs 1.4 to 1.8 times as much (peak acceleration of the trunk in walking): 250 / 1.65.',
  options: z.object({ safeG: z.number().positive() }),
  defaults: { safeG: 150 },
  units: { safeG: 'g' },
  needs: ['loads'],
  limit: { measured: 'carriedG', allowed: 'safeG' },
  messages: {
    speaks: {
      loose:
        'Only friction holds {part}. {carriedG:g} hangs there while you move; {safeG:g} stays put. Tether it or screw it on.',
    },
    silent: {
      light: '{part} is held by friction, and light: {carriedG:g} of {safeG:g}.',
      braced: '{part} has a second hold.',
    },
    cannotTell: {},
  },
  subjects: piecesThat((piece) => piece.mate?.ok === true && FRICTION.has(piece.mate.value.standard.kind), onTheRun),
  judge: (piece, facts, { safeG }) => {
    const numbers = { carriedG: loadOn(facts, piece).massG, safeG }
    const names = { part: piece.part.name }
    if (isBraced(facts.assembly, piece)) return { group: 'silent', message: 'braced', names, numbers }
    return exceeds(numbers.carriedG, safeG)
      ? { group: 'speaks', message: 'loose', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'light', names, numbers }
  },
})
