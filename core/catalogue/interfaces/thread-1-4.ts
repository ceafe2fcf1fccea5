import { type MountStandard, noObjections } from '../standard.ts'

/** 1/4"-20 UNC: a plain screw in a plain hole. Alone it can turn. */
export const threadQuarter: MountStandard = {
  id: 'thread-1/4',
  title: '1/4"',
  ends: { holds: '1/4" hole', sits: '1/4" screw' },
  kind: 'thread',
  glyph: 'ring',
  fields: [],
  accepts: ['thread-1/4'],
  holdsTwist: false,
  turnStepDeg: 1,
  mayLift: true,
  limitG: 3000,
  tool: 'coin',
  keySize: '4 mm',
  seconds: 25,
  objections: noObjections,
}
