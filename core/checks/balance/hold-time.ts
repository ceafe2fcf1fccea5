import { z } from 'zod'
import { holdMinutes, isPosture } from '../../balance/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { dispensable, heaviestFirst } from '../places.ts'

/** The rig can not be held as long as a take lasts. */
export const holdTime = defineCheck<Sees<'mass'>, { takeMinutes: number; riskMinutes: number }, 'mass'>({
  id: 'hold-time',
  family: 'balance',
  title: 'The arms give up first',
  why: 'The second half of every take shakes. An estimate for an average adult, not medical advice: stop when it hurts.',
  level: 'hint',
  source: 'Rohmert (1960), shoulder moment against strength; a take of three minutes.',
  options: z.object({ takeMinutes: z.number(), riskMinutes: z.number() }),
  defaults: { takeMinutes: 3, riskMinutes: 1 },
  units: { takeMinutes: 'long min', riskMinutes: 'long min' },
  needs: ['mass'],
  limit: { measured: 'lacksMinutes', allowed: 'allowedMinutes', sum: true },
  messages: {
    speaks: {
      tires:
        'Held still for about {heldMinutes:long min}, by estimate. A take wants {takeMinutes:long min}; rest between takes.',
    },
    silent: { holds: 'Can be held through a take.' },
    cannotTell: {},
  },
  subjects: (facts) => (isPosture(facts.assembly.setup.support) ? [facts] : []),
  judge: ({ mass, assembly: { setup }, context }, _, { takeMinutes, riskMinutes }) => {
    const heldMinutes = isPosture(setup.support) ? holdMinutes(mass.inHandG, setup.support, context.operator) : Infinity
    const numbers = {
      heldMinutes,
      takeMinutes,
      riskMinutes,
      lacksMinutes: takeMinutes - heldMinutes,
      allowedMinutes: 0,
    }
    if (!exceeds(takeMinutes, heldMinutes)) return { group: 'silent', message: 'holds', numbers }
    return {
      group: 'speaks',
      message: 'tires',
      level: exceeds(riskMinutes, heldMinutes) ? 'risk' : 'hint',
      numbers,
      at: mass.centre,
    }
  },
  aims: (_, facts) =>
    heaviestFirst(dispensable(facts))
      .slice(0, 1)
      .map((piece) => ({ do: 'take-off', piece })),
})
