import { type MountStandard, noObjections } from '../standard.ts'

/** 3/8"-16 UNC with locating pins beside it. */
export const threadThreeEighthsPinned: MountStandard = {
  id: 'thread-3/8-pin',
  title: 'pinned 3/8"',
  ends: { holds: 'pinned 3/8" hole', sits: 'pinned 3/8" screw' },
  kind: 'thread',
  glyph: 'ring-pins',
  fields: [],
  accepts: ['thread-3/8', 'thread-3/8-pin'],
  holdsTwist: true,
  turnStepDeg: 180,
  mayLift: true,
  limitG: 6000,
  tool: 'hex key',
  keySize: '5 mm',
  seconds: 40,
  objections: noObjections,
}
