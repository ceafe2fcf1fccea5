import { type MountStandard, noObjections } from '../standard.ts'

const CLAMP_MM = 20

/** Two 15 mm rods, 60 mm apart. Clamps go anywhere along them and take their own thickness. */
export const rod15Pair: MountStandard = {
  id: 'rod-15-pair',
  title: 'pair of 15 mm rods',
  ends: { holds: '15 mm rod-pair clamp', sits: 'pair of 15 mm rods' },
  kind: 'rods',
  glyph: 'rods',
  boresMm: [-30, 30],
  fields: ['lengthMm'],
  accepts: ['rod-15-pair'],
  holdsTwist: true,
  turnStepDeg: 180,
  mayLift: true,
  limitG: 6000,
  goesOn: ['along'],
  tool: 'fingers',
  seconds: 15,
  objections: noObjections,
  along: { rail: 'sits', takesMm: (clamp) => clamp.mount.lengthMm ?? CLAMP_MM },
}
