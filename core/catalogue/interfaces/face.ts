import type { MountStandard } from '../standard.ts'

/** Of a flat face, so much along every edge is rounded, lettered or gets warm: no pad there. mm */
const KEEP_OFF_MM = 3
/** A pad whose size is not told. mm */
const PAD_MM = 20

/** A flat place that nothing screws to: the adhesive of a pad holds on it. Its size is as wide and tall as it is flat. */
export const face: MountStandard = {
  id: 'face',
  title: 'flat face',
  ends: { holds: 'flat face', sits: 'adhesive back' },
  kind: 'pad',
  glyph: 'pad',
  fields: ['faceMm'],
  accepts: ['face', 'pad'],
  holdsTwist: true,
  turnStepDeg: 90,
  mayLift: false,
  limitG: 250,
  tool: 'fingers',
  seconds: 30,
  objections: (flat, back) => {
    const [wide, tall] = flat.mount.faceMm ?? [0, 0]
    const [wants, high] = back.mount.faceMm ?? [PAD_MM, PAD_MM]
    const free = (mm: number) => mm - 2 * KEEP_OFF_MM
    // It may be stuck on along or across.
    const goes = (a: number, b: number) => a <= free(wide) && b <= free(tall)
    return goes(wants, high) || goes(high, wants)
      ? []
      : [
          {
            code: 'face-small',
            path: back.mount.id,
            numbers: { wantsMm: wants, highMm: high, freeMm: Math.max(0, free(wide)), tallMm: Math.max(0, free(tall)) },
          },
        ]
  },
}
