import { type MountStandard, noObjections } from '../standard.ts'

/** 18.6 mm accessory shoe with contacts (ISO 518). Takes a plain shoe foot as well. */
export const shoeHot: MountStandard = {
  id: 'shoe-hot',
  title: 'hot shoe',
  ends: { holds: 'hot shoe', sits: 'hot-shoe foot' },
  kind: 'shoe',
  glyph: 'shoe',
  fields: [],
  accepts: ['shoe-cold', 'shoe-hot'],
  holdsTwist: true,
  turnStepDeg: 180,
  mayLift: false,
  limitG: 500,
  goesOn: ['down', 'up'],
  tool: 'fingers',
  seconds: 15,
  objections: noObjections,
}
