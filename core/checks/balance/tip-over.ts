import { z } from 'zod'
import type { Sees } from '../../facts/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import { hasItsLens } from '../places.ts'

/** Legs that a knock or a gust brings down. */
export const tipOver = defineCheck<Sees<'tip'>, { safeDeg: number }, 'tip'>({
  id: 'tip-over',
  family: 'balance',
  title: 'Tips over easily',
  why: 'A passer-by, a gust, a ferry’s roll: the whole rig lies on the slip. Spread the legs, hang the bag under them, stay beside it.',
  level: 'risk',
  source: 'Lean at which the centre of mass passes the line between two feet; under 6 degrees a hand’s push does it.',
  options: z.object({ safeDeg: z.number() }),
  defaults: { safeDeg: 6 },
  units: { safeDeg: 'deg' },
  needs: ['tip'],
  limit: { measured: 'lacksDeg', allowed: 'allowedDeg' },
  messages: {
    speaks: {
      falls: '{legs} falls over. The centre lies {outMm:mm} outside its feet.',
      near: '{legs} goes over at a lean of {tipDeg:deg}. {safeDeg:deg} stands a push; the centre is {heightMm:mm} up, {marginMm:mm} inside the feet.',
    },
    silent: { stands: '{legs} goes over only at a lean of {tipDeg:deg}.' },
    cannotTell: {},
  },
  subjects: (facts) => (hasItsLens(facts) && facts.tip ? [facts] : []),
  judge: ({ tip }, _, { safeDeg }) => {
    if (!tip) throw new RangeError('tip-over needs legs; its subjects see to that')
    const { marginMm, heightMm, tipDeg } = tip
    const names = { legs: tip.legs.part.name }
    const numbers = {
      marginMm,
      heightMm,
      tipDeg,
      safeDeg,
      outMm: Math.max(0, -marginMm),
      lacksDeg: safeDeg - tipDeg,
      allowedDeg: 0,
    }
    const parts = [tip.legs.instance.id]
    if (marginMm <= 0)
      return { group: 'speaks', message: 'falls', level: 'stop', names, numbers, parts, at: tip.legs.centre }
    return exceeds(safeDeg, tipDeg)
      ? { group: 'speaks', message: 'near', names, numbers, parts, at: tip.legs.centre }
      : { group: 'silent', message: 'stands', names, numbers }
  },
})
