import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, piecesThat } from '../check.ts'
import { isBraced, loadOn } from '../places.ts'

/** Something on one rod, with nothing that keeps it from swinging round. */
export const rodSingle = defineCheck<PlacedPart, { safeNm: number }, 'loads'>({
  id: 'rod-single',
  family: 'fit',
  title: 'Wobbles on one rod',
  why: 'It swings round the rod at the first knock, and the focus mark is gone.',
  level: 'risk',
  source: 'Workshop practice: a thumb-tight clamp on one 15 mm rod holds about 0.15 N m.',
  options: z.object({ safeNm: z.number().positive() }),
  defaults: { safeNm: 0.15 },
  units: { safeNm: 'N m' },
  needs: ['loads'],
  limit: { measured: 'twistNm', allowed: 'safeNm' },
  messages: {
    speaks: {
      swings:
        '{part} can swing round its rod. {carriedG:g} pulls with {twistNm:N m}; one clamp holds {safeNm:N m}. Brace it, or use two rods.',
    },
    silent: {
      holds: '{part} pulls at its rod with {twistNm:N m} of {safeNm:N m}.',
      braced: '{part} has a second hold.',
    },
    cannotTell: {},
  },
  subjects: piecesThat(
    (piece) => piece.mate?.ok && piece.mate.value.standard.kind === 'rods' && !piece.mate.value.holdsTwist,
  ),
  judge: (piece, facts, { safeNm }) => {
    const { twistNm: turning, massG: carriedG } = loadOn(facts, piece)
    const names = { part: piece.part.name }
    const numbers = { twistNm: turning, safeNm, carriedG }
    if (isBraced(facts.assembly, piece)) return { group: 'silent', message: 'braced', names, numbers }
    return exceeds(turning, safeNm)
      ? { group: 'speaks', message: 'swings', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'holds', names, numbers }
  },
})
