import { type MountStandard, noObjections } from '../standard.ts'

/** Module 0.8 focus gear: a ring on the lens that a follow focus drives. */
export const gear08: MountStandard = {
  id: 'gear-0.8',
  title: 'focus gear 0.8',
  ends: { holds: '0.8 gear ring', sits: '0.8 drive gear' },
  kind: 'gear',
  glyph: 'gear',
  fields: ['odMm'],
  accepts: ['gear-0.8'],
  holdsTwist: false,
  turnStepDeg: 1,
  mayLift: false,
  limitG: 200,
  tool: 'fingers',
  seconds: 15,
  objections: noObjections,
}
