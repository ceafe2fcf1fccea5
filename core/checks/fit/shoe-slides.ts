import { z } from 'zod'
import type { PlacedPart } from '../../assembly/index.ts'
import { standardOf } from '../../catalogue/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck, piecesThat } from '../check.ts'
import { isBraced, loadOn, onTheRun } from '../places.ts'

const isShoe = (standard: string): boolean => standardOf(standard).kind === 'shoe'

/** A foot in a shoe that nothing keeps there, on the run. */
export const shoeSlides = defineCheck<PlacedPart, { lightG: number }, 'loads'>({
  id: 'shoe-slides',
  family: 'fit',
  title: 'Slides out of its shoe',
  why: 'A shoe is open behind: step by step the foot creeps back, turns, and is gone.',
  level: 'risk',
  source:
    'ISO 518 leaves the foot 0.3 mm of play and one side open; the springs of a shoe press with about 3 N: at a brisk step, 1.65 g, friction of 0.3 holds 55 g. A nut, a pin or a latch holds the rest.',
  options: z.object({ lightG: z.number().positive() }),
  defaults: { lightG: 55 },
  units: { lightG: 'g' },
  needs: ['loads'],
  limit: { measured: 'carriedG', allowed: 'lightG' },
  messages: {
    speaks: {
      slides:
        '{part} can slide out of its shoe. {carriedG:g} stands there without a nut or pin; its springs hold {lightG:g} while you move.',
    },
    silent: {
      locked: '{part} is kept in its shoe by its {lock}.',
      light: '{part} is light enough for the springs of its shoe: {carriedG:g}.',
      braced: '{part} has a second hold.',
    },
    cannotTell: {},
  },
  subjects: piecesThat((piece) => piece.mate?.ok === true && piece.mate.value.standard.kind === 'shoe', onTheRun),
  judge: (piece, facts, { lightG }) => {
    const { lock, antiTwist } = piece.mate?.ok ? piece.mate.value.plug.mount : {}
    const numbers = { carriedG: loadOn(facts, piece).massG, lightG }
    const names = { part: piece.part.name, lock: lock ?? 'pin' }
    if (lock || antiTwist) return { group: 'silent', message: 'locked', names, numbers }
    if (isBraced(facts.assembly, piece)) return { group: 'silent', message: 'braced', names, numbers }
    return exceeds(numbers.carriedG, lightG)
      ? { group: 'speaks', message: 'slides', names, numbers, parts: [piece.instance.id], at: piece.centre }
      : { group: 'silent', message: 'light', names, numbers }
  },
  aims: (piece) => [
    { do: 'move', piece, to: ({ mount }) => !isShoe(mount.standard) },
    {
      do: 'swap',
      piece,
      for: ({ mounts, provides }) =>
        mounts.some(({ standard, side, lock }) => side === 'sits' && isShoe(standard) && lock) &&
        piece.part.provides.every((gift) => provides.includes(gift)),
    },
  ],
})
