import type { PlacedPart } from '../../assembly/index.ts'
import { exceeds } from '../../kernel/index.ts'
import type { Clean, Front } from '../../optics/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Facts, Sees } from '../../facts/index.ts'
import type { Aim } from '../aim.ts'

interface Stack {
  readonly front: Front
  readonly clean: Clean
}

const stackOf = ({ front, clean }: Sees<'front' | 'clean'>): readonly Stack[] =>
  front && clean && front.openings.length > 0 ? [{ front, clean }] : []

/** Is the stack clean at least from a shorter focal length on after this edit? */
const cleanSooner =
  ({ clean: before }: Stack) =>
  ({ clean }: Facts): boolean =>
    clean?.fromMm !== undefined && clean.fromMm < (before.fromMm ?? Infinity) - 1e-6

/** Dark corners from what stands before the lens. */
export const stackVignettes = defineCheck<Stack, object, 'front' | 'clean'>({
  id: 'stack-vignettes',
  family: 'glass',
  title: 'Dark corners at the wide end',
  why: 'The filter’s rim shows in every wide shot, and the zoom’s short end was paid for in vain.',
  level: 'risk',
  source:
    'A ring at depth L before the entrance pupil has to leave clear L x diagonal / 2f + f / 2T; a box the same by width and height.',
  ...noOptions,
  about: 'glass',
  needs: ['front', 'clean'],
  limit: { measured: 'cleanMm', allowed: 'shortMm', over: 'overMm' },
  messages: {
    speaks: {
      short:
        '{part} stands in the corners. The picture is clean from {cleanMm:mm} on; {lens} begins at {shortMm:mm}, where it is {overMm:mm} short of clear.',
      never:
        '{part} stands in the corners. {lens} is never clean with it; at {shortMm:mm} it is {overMm:mm} short of clear.',
    },
    silent: { clean: 'The corners are clean from {cleanMm:mm} on.' },
    cannotTell: {},
  },
  subjects: stackOf,
  judge: ({ front, clean }) => {
    const [worst] = clean.by
    const shortMm = front.glass.focalMinMm
    const names = { part: worst?.piece.part.name ?? '', lens: front.lens.part.name }
    const numbers = { cleanMm: clean.fromMm ?? front.glass.focalMaxMm, shortMm, overMm: worst?.overMm ?? 0 }
    if (clean.fromMm !== undefined && !exceeds(clean.fromMm, shortMm))
      return { group: 'silent', message: 'clean', names, numbers }
    return {
      group: 'speaks',
      message: clean.fromMm === undefined ? 'never' : 'short',
      names,
      numbers,
      parts: clean.by.map(({ piece }) => piece.instance.id),
      ...(worst ? { at: worst.piece.centre } : {}),
    }
  },
  aims: (stack, { assembly }) => {
    const pieces: readonly PlacedPart[] = stack.clean.by.map(({ piece }) => piece)
    const until = cleanSooner(stack)
    const swaps = pieces.map((piece): Aim => ({
      do: 'swap',
      piece,
      until,
      for: ({ provides, optics }) =>
        piece.part.provides.every((gift) => provides.includes(gift)) &&
        (optics?.kind !== 'filter' ||
          piece.part.optics?.kind !== 'filter' ||
          optics.effect === piece.part.optics.effect),
    }))
    const bare = pieces.filter((piece) => !assembly.placed.some(({ host }) => host === piece))
    return [
      { do: 'any', of: swaps },
      { do: 'any', of: bare.map((piece): Aim => ({ do: 'take-off', piece, until })) },
    ]
  },
})
