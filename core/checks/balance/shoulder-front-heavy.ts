import { z } from 'zod'
import type { Sees } from '../../facts/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import { hasItsLens } from '../places.ts'

/** The rig wants to fall off the shoulder to the front. */
export const shoulderFrontHeavy = defineCheck<Sees<'shoulder'>, { goodNm: number; riskNm: number }, 'shoulder'>({
  id: 'shoulder-front-heavy',
  family: 'balance',
  title: 'Front-heavy on the shoulder',
  why: 'The hands carry what the shoulder should, and the back pays for it. Stop when it hurts.',
  level: 'hint',
  source:
    'A hand 250 mm ahead of the pad lifts 1.2 kg at 3 N m: with the arm itself 15 % of an average shoulder, the end of what is held for long (Rohmert 1960); a third of it goes unnoticed.',
  options: z.object({ goodNm: z.number(), riskNm: z.number() }),
  defaults: { goodNm: 1, riskNm: 3 },
  units: { goodNm: 'N m', riskNm: 'N m' },
  needs: ['shoulder'],
  limit: { measured: 'momentNm', allowed: 'goodNm' },
  messages: {
    speaks: {
      front:
        'Front-heavy by {momentNm:N m}: the centre lies {aheadMm:mm} ahead of the pad. {counterweightG:g} hung {behindMm:mm} behind it would level it.',
    },
    silent: { level: 'Rests on the shoulder with {momentNm:N m} of {goodNm:N m}.' },
    cannotTell: { padless: 'No shoulder pad is on the rig; where it would rest is unknown.' },
  },
  subjects: (facts) => (hasItsLens(facts) && facts.assembly.setup.support === 'shoulder' ? [facts] : []),
  judge: ({ shoulder }, _, { goodNm, riskNm }) => {
    if (!shoulder) return { group: 'cannotTell', message: 'padless' }
    const { momentNm, aheadMm, behindMm, counterweightG } = shoulder
    const numbers = { momentNm, goodNm, riskNm, aheadMm, behindMm, counterweightG }
    if (!exceeds(momentNm, goodNm)) return { group: 'silent', message: 'level', numbers }
    const level = exceeds(momentNm, riskNm) ? 'risk' : 'hint'
    return { group: 'speaks', message: 'front', level, numbers, parts: [shoulder.pad.instance.id], at: shoulder.at }
  },
  aims: (_, { shoulder }) => (shoulder ? [] : [{ do: 'add', parts: ({ role }) => role === 'shoulder-pad', tried: 4 }]),
})
