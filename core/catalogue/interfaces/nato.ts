import type { MountStandard } from '../standard.ts'

const CLAMP_MM = 30

/** 21.2 mm accessory rail: a clamp goes anywhere along it, if the rail is as long as the clamp. */
export const nato: MountStandard = {
  id: 'nato',
  title: 'NATO rail',
  ends: { holds: 'NATO rail', sits: 'NATO clamp' },
  kind: 'rail',
  glyph: 'rail',
  fields: ['lengthMm', 'slidesOn'],
  accepts: ['nato'],
  holdsTwist: true,
  turnStepDeg: 180,
  mayLift: true,
  limitG: 5000,
  goesOn: ['out', 'along'],
  tool: 'lever',
  seconds: 5,
  objections: (rail, clamp) => {
    const railMm = rail.mount.lengthMm ?? 0
    const clampMm = clamp.mount.lengthMm ?? CLAMP_MM
    return railMm >= clampMm ? [] : [{ code: 'rail-too-short', path: rail.mount.id, numbers: { railMm, clampMm } }]
  },
  along: { rail: 'holds', takesMm: (clamp) => clamp.mount.lengthMm ?? CLAMP_MM },
}
