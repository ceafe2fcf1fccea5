import { type MountStandard, noObjections } from '../standard.ts'

const CLAMP_MM = 60

/** The wide plate of video heads: slides in from the back, then locks. */
export const slide50: MountStandard = {
  id: 'slide-50',
  title: '50 mm slide plate',
  ends: { holds: '50 mm slide plate', sits: '50 mm slide clamp' },
  kind: 'plate',
  glyph: 'dovetail',
  fields: ['lengthMm'],
  accepts: ['slide-50'],
  holdsTwist: true,
  turnStepDeg: 180,
  mayLift: true,
  limitG: 15_000,
  goesOn: ['along'],
  tool: 'lever',
  seconds: 5,
  objections: noObjections,
  along: { rail: 'holds', takesMm: (clamp) => clamp.mount.lengthMm ?? CLAMP_MM },
}
