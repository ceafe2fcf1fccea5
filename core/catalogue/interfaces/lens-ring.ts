import type { MountStandard } from '../standard.ts'

/** The focus ring of a lens, and what is clamped round it. Which diameters a clamp closes on is its own data. */
export const lensRing: MountStandard = {
  id: 'lens-ring',
  title: 'lens ring',
  ends: { holds: 'focus ring', sits: 'ring clamp' },
  kind: 'ring',
  glyph: 'gear',
  fields: ['odMm', 'closesOn'],
  accepts: ['lens-ring'],
  holdsTwist: true,
  turnStepDeg: 1,
  mayLift: false,
  limitG: 120,
  goesOn: ['out', 'up', 'down', 'side'],
  closesRound: true,
  tool: 'fingers',
  seconds: 20,
  objections: (lens, clamp) => {
    const { odMm } = lens.mount
    const { closesOn } = clamp.mount
    return odMm !== undefined && closesOn && odMm >= closesOn.minMm && odMm <= closesOn.maxMm
      ? []
      : [
          {
            code: 'ring-size-differs',
            path: clamp.mount.id,
            numbers: { ringMm: odMm ?? 0, minMm: closesOn?.minMm ?? 0, maxMm: closesOn?.maxMm ?? 0 },
          },
        ]
  },
}
