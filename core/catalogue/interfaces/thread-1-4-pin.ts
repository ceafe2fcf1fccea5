import { type MountStandard, noObjections } from '../standard.ts'

/** 1/4"-20 UNC with locating pins. A plain screw enters the pinned hole too, but then nothing stops it turning. */
export const threadQuarterPinned: MountStandard = {
  id: 'thread-1/4-pin',
  title: 'pinned 1/4"',
  ends: { holds: 'pinned 1/4" hole', sits: 'pinned 1/4" screw' },
  kind: 'thread',
  glyph: 'ring-pins',
  fields: [],
  accepts: ['thread-1/4', 'thread-1/4-pin'],
  holdsTwist: true,
  turnStepDeg: 180,
  mayLift: true,
  limitG: 4000,
  tool: 'hex key',
  keySize: '4 mm',
  seconds: 40,
  objections: noObjections,
}
