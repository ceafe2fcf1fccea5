import { exceeds } from '../../kernel/index.ts'
import { CRADLE_MM, type SupportReach } from '../../optics/index.ts'
import { defineCheck, noOptions } from '../check.ts'
import type { Part } from '../../catalogue/index.ts'

/** A lens support that does not get to the lens. */
export const supportReach = defineCheck<SupportReach, object, 'supports'>({
  id: 'support-reach',
  family: 'glass',
  title: 'The lens support does not reach',
  why: 'It looks as if the lens were held, and the mount carries it all the same; or it lifts the lens out of true.',
  level: 'risk',
  source:
    'The height of the lens’s underside over the rods against the travel of the cradle; a millimetre is let pass.',
  ...noOptions,
  needs: ['supports'],
  limit: { measured: 'neededMm', allowed: 'reachMm' },
  messages: {
    speaks: {
      low: '{support} does not come up to {lens}. It reaches {reachMm:mm} over the rods; the lens lies at {neededMm:mm}.',
      high: '{support} presses {lens} up. At its lowest it stands {reachMm:mm} over the rods; the lens lies at {neededMm:mm}.',
      beside: '{support} stands beside {lens}. With the camera upright nothing under the lens holds it.',
      past: '{support} holds nothing. {lens} does not come over it.',
    },
    silent: { holds: '{support} holds {lens} at {neededMm:mm} over the rods.' },
    cannotTell: {},
  },
  subjects: ({ supports }) => supports,
  judge: ({ piece, lens, neededMm, lowMm, highMm, beside }) => {
    const names = { support: piece.part.name, lens: lens.part.name }
    const where = { parts: [piece.instance.id], at: piece.centre }
    const numbers = {
      neededMm: neededMm ?? 0,
      reachMm: (neededMm ?? 0) < lowMm ? lowMm - CRADLE_MM : highMm + CRADLE_MM,
    }
    if (beside) return { group: 'speaks', message: 'beside', names, numbers, ...where }
    if (neededMm === undefined) return { group: 'speaks', message: 'past', names, numbers, ...where }
    if (exceeds(neededMm, highMm + CRADLE_MM)) return { group: 'speaks', message: 'low', names, numbers, ...where }
    if (exceeds(lowMm - CRADLE_MM, neededMm)) return { group: 'speaks', message: 'high', names, numbers, ...where }
    return { group: 'silent', message: 'holds', names, numbers }
  },
  aims: ({ piece, neededMm }) => [
    ...(neededMm === undefined
      ? []
      : [
          {
            do: 'swap' as const,
            piece,
            for: ({ optics }: Part) =>
              optics?.kind === 'support' && optics.lowMm <= neededMm && optics.highMm >= neededMm,
          },
        ]),
    { do: 'take-off', piece },
  ],
})
