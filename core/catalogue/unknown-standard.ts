import { type MountStandard, noObjections } from './standard.ts'

/**
 * How a part nobody knows any more holds on: nothing is known of it, so nothing is held against it. Only placeholders
 * have it.
 */
export const unknownStandard: MountStandard = {
  id: 'unknown',
  title: 'unknown',
  ends: { holds: 'unknown point', sits: 'unknown foot' },
  kind: 'thread',
  glyph: 'ring',
  fields: [],
  accepts: ['unknown'],
  meetsAny: true,
  holdsTwist: true,
  turnStepDeg: 1,
  mayLift: true,
  tool: 'fingers',
  seconds: 0,
  objections: noObjections,
}
