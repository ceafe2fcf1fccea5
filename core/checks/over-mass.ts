import { z } from 'zod'
import { exceeds } from '../kernel/index.ts'
import { defineCheck } from './check.ts'
import type { Facts } from './facts.ts'
import { carried, dispensable, firstOf, takeOffRemedy } from './places.ts'

/** More in the hand than the brief allows. */
export const overMass = defineCheck<Facts, object>({
  id: 'over-mass',
  title: 'Too heavy for the brief',
  why: 'The arm gives up before the light does; shots get shorter and shakier through the day. Stop when it hurts.',
  level: 'risk',
  source: 'The cap in the brief.',
  options: z.object({}),
  defaults: {},
  needs: ['mass', 'needs'],
  limit: { measured: 'inHandG', allowed: 'capG' },
  messages: {
    speaks: { over: 'Too heavy by {overG}. The rig is {inHandG} in the hand; the brief allows {capG}.' },
    silent: { within: '{inHandG} in the hand of {capG} allowed.' },
    cannotTell: {},
  },
  subjects: (facts) => (facts.assembly.rig.brief.inHandG > 0 && carried(facts) ? [facts] : []),
  judge: ({ mass, assembly }) => {
    const capG = assembly.rig.brief.inHandG
    const numbers = { inHandG: mass.inHandG, capG, overG: mass.inHandG - capG }
    return exceeds(mass.inHandG, capG)
      ? { group: 'speaks', message: 'over', numbers, at: mass.centre }
      : { group: 'silent', message: 'within', numbers }
  },
  remedies: (facts) =>
    firstOf(
      3,
      [...dispensable(facts)].sort((a, b) => b.part.massG - a.part.massG).map((piece) => takeOffRemedy(facts, piece)),
    ),
})
