import { type MountStandard, noObjections } from '../standard.ts'

/** 3/8"-16 UNC: the larger plain thread; a bushing takes it down to 1/4". */
export const threadThreeEighths: MountStandard = {
  id: 'thread-3/8',
  title: '3/8"',
  ends: { holds: '3/8" hole', sits: '3/8" screw' },
  kind: 'thread',
  glyph: 'ring',
  fields: [],
  accepts: ['thread-3/8'],
  holdsTwist: false,
  turnStepDeg: 1,
  mayLift: true,
  limitG: 6000,
  tool: 'coin',
  keySize: '5 mm',
  seconds: 25,
  objections: noObjections,
}
