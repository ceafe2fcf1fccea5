import { sameSize } from '../families.ts'
import type { MountStandard } from '../standard.ts'

/** A matte box clamped on a lens front by its outer diameter. It turns when the ring under it turns. */
export const clampOn: MountStandard = {
  id: 'clamp-on',
  title: 'clamp-on front',
  ends: { holds: 'lens front', sits: 'clamp-on ring' },
  kind: 'clamp',
  glyph: 'filter',
  fields: ['family'],
  accepts: ['clamp-on'],
  holdsTwist: false,
  turnStepDeg: 1,
  mayLift: false,
  limitG: 600,
  closesRound: true,
  tool: 'fingers',
  seconds: 15,
  sized: true,
  objections: sameSize('clamp-size-differs'),
}
