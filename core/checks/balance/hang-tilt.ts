import { z } from 'zod'
import { type Hang, hangCure } from '../../balance/index.ts'
import { exceeds } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import { hangs, hasItsLens } from '../places.ts'

/** The rig does not hang level from its top handle. */
export const hangTilt = defineCheck<Hang, { goodDeg: number; riskDeg: number }, 'hangs'>({
  id: 'hang-tilt',
  family: 'balance',
  title: 'Hangs out of level',
  why: 'The wrist fights it all day, and the horizon shows who won.',
  level: 'hint',
  source: 'Workshop practice: under 3 degrees is not felt; over 8 degrees it slips out of the fingers.',
  options: z.object({ goodDeg: z.number().positive(), riskDeg: z.number().positive() }),
  defaults: { goodDeg: 3, riskDeg: 8 },
  units: { goodDeg: 'deg', riskDeg: 'deg' },
  needs: ['hangs'],
  limit: { measured: 'tiltDeg', allowed: 'goodDeg' },
  messages: {
    speaks: {
      nose: 'Nose heavy by {offMm:mm}. From {handle} it tips {tiltDeg:deg} forward; {goodDeg:deg} is good.',
      tail: 'Tail heavy by {offMm:mm}. From {handle} it tips {tiltDeg:deg} back; {goodDeg:deg} is good.',
      over: 'It turns over in the hand. The centre of mass lies {overMm:mm} above {handle}.',
    },
    silent: { level: 'Hangs within {tiltDeg:deg} of level; {goodDeg:deg} is good.' },
    cannotTell: {},
  },
  subjects: (facts) => (hasItsLens(facts) && hangs(facts) ? facts.hangs : []),
  judge: (hang, _, { goodDeg, riskDeg }) => {
    const tiltDeg = Math.abs(hang.tiltDeg)
    const numbers = { tiltDeg, goodDeg, riskDeg, offMm: Math.abs(hang.aheadMm), overMm: -hang.underMm }
    const names = { handle: hang.handle.part.name }
    const parts = [hang.handle.instance.id]
    if (hang.underMm <= 0)
      return { group: 'speaks', message: 'over', level: 'risk', numbers, names, parts, at: hang.grip }
    if (!exceeds(tiltDeg, goodDeg)) return { group: 'silent', message: 'level', numbers, names }
    return {
      group: 'speaks',
      message: hang.tiltDeg > 0 ? 'nose' : 'tail',
      level: exceeds(tiltDeg, riskDeg) ? 'risk' : 'hint',
      numbers,
      names,
      parts,
      at: hang.grip,
    }
  },
  aims: (hang, { assembly, mass }) => {
    const cure = hangCure(assembly, mass, hang)
    return cure ? [{ do: 'slide', piece: cure.piece, slideMm: cure.slideMm, leavesDeg: Math.abs(cure.tiltDeg) }] : []
  },
})
