import { type MountStandard, noObjections } from '../standard.ts'

/** 18.6 mm accessory shoe without contacts (ISO 518). For light things; never to lift a rig by. */
export const shoeCold: MountStandard = {
  id: 'shoe-cold',
  title: 'cold shoe',
  ends: { holds: 'cold shoe', sits: 'shoe foot' },
  kind: 'shoe',
  glyph: 'shoe',
  fields: [],
  accepts: ['shoe-cold'],
  holdsTwist: true,
  turnStepDeg: 180,
  mayLift: false,
  limitG: 500,
  goesOn: ['down', 'up'],
  tool: 'fingers',
  seconds: 15,
  objections: noObjections,
}
