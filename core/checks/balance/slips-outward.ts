import { z } from 'zod'
import type { Grip } from '../../balance/index.ts'
import { type Vec3, exceeds, flatMap } from '../../kernel/index.ts'
import { defineCheck } from '../check.ts'
import type { Sees, Facts } from '../../facts/index.ts'

/** A bar as level as this has no lower end for the hand to slide to: sine of a tenth of a degree. */
const LEVEL = 0.0017

/**
 * How far the lower end of a side grip points away from the rig, degrees from upright; below zero it points in, and a
 * level bar, or one right over the middle, points neither way.
 */
const outwardDeg = ({ at }: Grip, axis: Vec3, middleMm: number): number => {
  if (Math.abs(axis[1]) < LEVEL) return 0
  const lowerX = axis[1] > 0 ? -axis[0] : axis[0]
  return (Math.atan2(Math.sign(at[0] - middleMm) * lowerX, Math.abs(axis[1])) * 180) / Math.PI
}

const sideGrips = (facts: Sees<'grips'>) =>
  flatMap(facts.grips, (grip) => (grip.kind === 'side' && grip.axis ? [{ grip, axis: grip.axis }] : []))

/** A side grip down which the hand slides off the rig. */
export const slipsOutward = defineCheck<{ grip: Grip; axis: Vec3 }, { mostDeg: number }, 'grips' | 'mass'>({
  id: 'slips-outward',
  family: 'balance',
  title: 'The hand slips off the grip',
  why: 'The fingers clench to hold on instead of steering.',
  level: 'hint',
  source:
    'Friction alone holds a hand on a slope up to atan(mu): 30 degrees at 0.58, dry skin on rubber; a wet glove has less.',
  options: z.object({ mostDeg: z.number() }),
  defaults: { mostDeg: 30 },
  units: { mostDeg: 'deg' },
  needs: ['grips', 'mass'],
  limit: { measured: 'outDeg', allowed: 'mostDeg' },
  messages: {
    speaks: { slips: '{part} points {outDeg:deg} out and down. Past {mostDeg:deg} the hand slides off; turn it in.' },
    silent: { holds: '{part} points {outDeg:deg} outward of {mostDeg:deg}.' },
    cannotTell: {},
  },
  subjects: sideGrips,
  judge: ({ grip, axis }, { mass }, { mostDeg }) => {
    const names = { part: grip.piece.part.name }
    const numbers = { outDeg: outwardDeg(grip, axis, mass.centre[0]), mostDeg }
    return exceeds(numbers.outDeg, mostDeg)
      ? { group: 'speaks', message: 'slips', names, numbers, parts: [grip.piece.instance.id], at: grip.at }
      : { group: 'silent', message: 'holds', names, numbers }
  },
  aims: ({ grip: { piece } }, _, __, { mostDeg }) => {
    const { joint, mate } = piece
    if (!joint || !mate?.ok || mate.value.turnStepDeg >= 360) return []
    const step = Math.max(6, mate.value.turnStepDeg)
    const toDeg: number[] = []
    for (let turn = step; turn < 360; turn += step) toDeg.push(((joint.turnDeg + turn + 540) % 360) - 180)
    const holds = (after: Facts): boolean => {
      const now = sideGrips(after).find(({ grip }) => grip.piece.instance.id === piece.instance.id)
      return now !== undefined && outwardDeg(now.grip, now.axis, after.mass.centre[0]) <= mostDeg
    }
    return [{ do: 'turn', piece, toDeg, until: holds }]
  },
})
