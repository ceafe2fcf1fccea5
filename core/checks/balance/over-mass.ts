import { z } from 'zod'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees } from '../../facts/index.ts'
import { dispensable, isCarried, heaviestFirst } from '../places.ts'

/** A set-up's own cap; without one, what is carried has the brief's. */
const capOf = ({ assembly }: Pick<Sees, 'assembly'>): number =>
  assembly.setup.capG || (isCarried(assembly.setup.support) ? assembly.rig.brief.inHandG : 0)

/** More in the hand than the brief allows. */
export const overMass = defineCheck<Sees<'mass'>, object, 'mass'>({
  id: 'over-mass',
  family: 'balance',
  title: 'Too heavy for the brief',
  why: 'The arm gives up before the light does; shots get shorter and shakier through the day. Stop when it hurts.',
  level: 'risk',
  source: 'The cap of the set-up, else of the brief.',
  options: z.object({}),
  defaults: {},
  needs: ['mass'],
  limit: { measured: 'inHandG', allowed: 'capG', sum: true },
  messages: {
    speaks: { over: 'Too heavy by {overG:g}. The rig is {inHandG:g} in the hand; {capG:g} is allowed.' },
    silent: { within: '{inHandG:g} in the hand of {capG:g} allowed.' },
    cannotTell: {
      unweighed: 'At least {inHandG:g} in the hand of {capG:g} allowed. Nobody knows what {part} weighs; weigh it.',
    },
  },
  subjects: (facts) => (capOf(facts) > 0 ? [facts] : []),
  judge: ({ mass, assembly }) => {
    const capG = capOf({ assembly })
    const numbers = { inHandG: mass.inHandG, capG, overG: mass.inHandG - capG }
    const [unweighed] = mass.unknown
    if (exceeds(mass.inHandG, capG)) return { group: 'speaks', message: 'over', numbers, at: mass.centre }
    return unweighed
      ? {
          group: 'cannotTell',
          message: 'unweighed',
          numbers,
          names: { part: unweighed.part.name },
          parts: [unweighed.instance.id],
        }
      : { group: 'silent', message: 'within', numbers }
  },
  aims: (_, facts) =>
    heaviestFirst(dispensable(facts))
      .slice(0, 3)
      .map((piece) => ({ do: 'take-off', piece })),
})
