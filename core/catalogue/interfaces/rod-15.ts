import { type MountStandard, noObjections } from '../standard.ts'

const CLAMP_MM = 20

/** One 15 mm rod: a clamp holds by friction and may turn round it. */
export const rod15: MountStandard = {
  id: 'rod-15',
  title: '15 mm rod',
  ends: { holds: '15 mm rod clamp', sits: '15 mm rod' },
  kind: 'rods',
  glyph: 'rods',
  boresMm: [0],
  fields: ['lengthMm'],
  accepts: ['rod-15'],
  holdsTwist: false,
  turnStepDeg: 1,
  mayLift: true,
  limitG: 2500,
  goesOn: ['along'],
  tool: 'fingers',
  seconds: 15,
  objections: noObjections,
  along: { rail: 'sits', takesMm: (clamp) => clamp.mount.lengthMm ?? CLAMP_MM },
}
