import type { MountStandard } from '../standard.ts'

/** Two 1/4" threads side by side: the spacing has to meet, within the length of the slots. */
export const twoScrew: MountStandard = {
  id: 'two-screw',
  title: 'two 1/4" screws',
  ends: { holds: 'pair of 1/4" holes', sits: 'pair of 1/4" screws' },
  kind: 'thread',
  glyph: 'ring-pins',
  fields: ['spacingMm', 'slotMm'],
  accepts: ['two-screw'],
  holdsTwist: true,
  turnStepDeg: 180,
  mayLift: true,
  limitG: 6000,
  tool: 'coin',
  seconds: 50,
  objections: (holes, screws) => {
    const [holesMm, screwsMm] = [holes.mount.spacingMm ?? 0, screws.mount.spacingMm ?? 0]
    const slotMm = (holes.mount.slotMm ?? 0) + (screws.mount.slotMm ?? 0)
    return Math.abs(holesMm - screwsMm) <= slotMm
      ? []
      : [{ code: 'spacing-differs', path: screws.mount.id, numbers: { holesMm, screwsMm, slotMm } }]
  },
}
