import { almostFault, familyOrAlmost } from '../families.ts'
import type { MountStandard } from '../standard.ts'

/** A camera's own battery bay: only packs of its family, or those it takes without latching. */
export const pack: MountStandard = {
  id: 'pack',
  title: 'camera pack',
  ends: { holds: 'pack bay', sits: 'camera pack' },
  kind: 'battery',
  glyph: 'brick',
  inside: true,
  fields: ['family', 'almost'],
  accepts: ['pack'],
  holdsTwist: true,
  turnStepDeg: 360,
  mayLift: false,
  limitG: 400,
  tool: 'fingers',
  seconds: 4,
  objections: familyOrAlmost('pack-differs'),
  fault: almostFault('goes in but does not latch'),
}
