import { type MountStandard, noObjections } from '../standard.ts'

/** Hook-and-loop pad: quick and weak. */
export const pad: MountStandard = {
  id: 'pad',
  title: 'hook-and-loop pad',
  ends: { holds: 'hook-and-loop pad', sits: 'hook-and-loop back' },
  kind: 'pad',
  glyph: 'pad',
  fields: [],
  accepts: ['pad'],
  holdsTwist: true,
  turnStepDeg: 90,
  mayLift: false,
  limitG: 250,
  tool: 'fingers',
  seconds: 4,
  objections: noObjections,
}
