import { type MountStandard, noObjections } from '../standard.ts'

const CLAMP_MM = 40

/** The common 38 mm, 45 degree quick-release plate: slides in its clamp, then locks. */
export const dovetail38: MountStandard = {
  id: 'dovetail-38',
  title: '38 mm dovetail',
  ends: { holds: '38 mm dovetail', sits: '38 mm clamp' },
  kind: 'plate',
  glyph: 'dovetail',
  fields: ['lengthMm'],
  accepts: ['dovetail-38'],
  holdsTwist: true,
  turnStepDeg: 90,
  mayLift: true,
  limitG: 10_000,
  goesOn: ['out', 'along'],
  tool: 'lever',
  seconds: 5,
  objections: noObjections,
  along: { rail: 'holds', takesMm: (clamp) => clamp.mount.lengthMm ?? CLAMP_MM },
}
