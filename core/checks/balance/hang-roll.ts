import { z } from 'zod'
import type { Hang } from '../../balance/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import { hangs, hasItsLens } from '../places.ts'

/** The rig leans to one side when it hangs from its top handle. */
export const hangRoll = defineCheck<Hang, { goodDeg: number; riskDeg: number }, 'hangs' | 'mass'>({
  id: 'hang-roll',
  family: 'balance',
  title: 'Leans to one side',
  why: 'Every horizon is crooked, or the wrist holds it straight all day.',
  level: 'hint',
  source: 'Workshop practice: under 3 degrees is not felt; over 8 degrees it shows in every shot.',
  options: z.object({ goodDeg: z.number().positive(), riskDeg: z.number().positive() }),
  defaults: { goodDeg: 3, riskDeg: 8 },
  units: { goodDeg: 'deg', riskDeg: 'deg' },
  needs: ['hangs', 'mass'],
  limit: { measured: 'rollDeg', allowed: 'goodDeg' },
  messages: {
    speaks: {
      leans: 'Leans {rollDeg:deg} to the {side}. The centre lies {offMm:mm} beside {handle}; {goodDeg:deg} is good.',
    },
    silent: { upright: 'Hangs upright within {rollDeg:deg}; {goodDeg:deg} is good.' },
    cannotTell: {},
  },
  subjects: (facts) => (hasItsLens(facts) && hangs(facts) ? facts.hangs.filter(({ underMm }) => underMm > 0) : []),
  judge: (hang, { mass }, { goodDeg, riskDeg }) => {
    const rollDeg = Math.abs(hang.rollDeg)
    const numbers = { rollDeg, goodDeg, riskDeg, offMm: Math.abs(mass.centre[0] - hang.grip[0]) }
    const names = { handle: hang.handle.part.name, side: hang.rollDeg > 0 ? 'right' : 'left' }
    if (!exceeds(rollDeg, goodDeg)) return { group: 'silent', message: 'upright', numbers, names }
    return {
      group: 'speaks',
      message: 'leans',
      level: exceeds(rollDeg, riskDeg) ? 'risk' : 'hint',
      numbers,
      names,
      parts: [hang.handle.instance.id],
      at: hang.grip,
    }
  },
})
