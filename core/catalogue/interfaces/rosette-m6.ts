import { type MountStandard, noObjections } from '../standard.ts'

/** 31.8 mm toothed joint with an M6 bolt: 60 teeth, so it sets every 6 degrees and can not slip. */
export const rosetteM6: MountStandard = {
  id: 'rosette-m6',
  title: 'M6 rosette',
  ends: { holds: 'M6 rosette', sits: 'M6 rosette bolt' },
  kind: 'rosette',
  glyph: 'rosette',
  fields: [],
  accepts: ['rosette-m6'],
  holdsTwist: true,
  turnStepDeg: 6,
  mayLift: true,
  limitG: 8000,
  tool: 'lever',
  seconds: 15,
  objections: noObjections,
}
