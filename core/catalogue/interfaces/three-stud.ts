import { type MountStandard, noObjections } from '../standard.ts'

/** The plate of three-stud bricks. */
export const threeStud: MountStandard = {
  id: 'three-stud',
  title: 'three-stud',
  ends: { holds: 'three-stud plate', sits: 'three-stud brick' },
  kind: 'battery',
  glyph: 'studs',
  fields: [],
  accepts: ['three-stud'],
  holdsTwist: true,
  turnStepDeg: 360,
  mayLift: false,
  limitG: 2500,
  tool: 'fingers',
  seconds: 4,
  objections: noObjections,
}
