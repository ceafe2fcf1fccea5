import { z } from 'zod'
import type { Sees } from '../../facts/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'

/** Two hands that hold too close together, or only one place to hold. */
export const gripSpread = defineCheck<Sees<'hands'>, { wideMm: number }, 'hands'>({
  id: 'grip-spread',
  family: 'balance',
  title: 'Hands too close together',
  why: 'Two fists side by side shake like one; a hand’s breadth more and the horizon stays.',
  level: 'hint',
  source:
    'A millimetre of tremor in each hand turns the rig by 1.4 mm / spread: 0.6 degrees at 140 mm, more on anything narrower.',
  options: z.object({ wideMm: z.number().positive() }),
  defaults: { wideMm: 140 },
  units: { wideMm: 'mm' },
  needs: ['hands'],
  limit: { measured: 'lacksMm', allowed: 'allowedMm' },
  messages: {
    speaks: {
      close: 'The grips stand {spreadMm:mm} apart. From {wideMm:mm} two hands are steadier than one.',
      one: 'Two hands, and one place to hold. Put on a second grip.',
    },
    silent: { wide: 'The grips stand {spreadMm:mm} apart.' },
    cannotTell: {},
  },
  subjects: (facts) => (['two-hand', 'chest'].includes(facts.assembly.setup.support) ? [facts] : []),
  judge: ({ hands, assembly }, _, { wideMm }) => {
    if (!hands)
      return {
        group: 'speaks',
        message: 'one',
        parts: [assembly.setup.root],
        numbers: { wideMm, spreadMm: 0, lacksMm: wideMm, allowedMm: 0 },
      }
    const numbers = { spreadMm: hands.spreadMm, wideMm, lacksMm: wideMm - hands.spreadMm, allowedMm: 0 }
    return exceeds(wideMm, hands.spreadMm)
      ? {
          group: 'speaks',
          message: 'close',
          numbers,
          parts: [hands.left.piece.instance.id, hands.right.piece.instance.id],
          at: hands.left.at,
        }
      : { group: 'silent', message: 'wide', numbers }
  },
  aims: (_, { hands }) => (hands ? [] : [{ do: 'add', parts: ({ role }) => role === 'side-handle', tried: 5 }]),
})
