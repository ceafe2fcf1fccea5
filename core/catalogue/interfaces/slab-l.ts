import { almostFault, familyOrAlmost } from '../families.ts'
import type { MountStandard } from '../standard.ts'

/** The slide-on bay of L-series slabs, 7.2 V. Some bays take a longer or an older slab without latching it. */
export const slabL: MountStandard = {
  id: 'slab-l',
  title: 'L-series slab',
  ends: { holds: 'L-series bay', sits: 'L-series slab' },
  kind: 'battery',
  glyph: 'brick',
  fields: ['family', 'almost'],
  accepts: ['slab-l'],
  holdsTwist: true,
  turnStepDeg: 360,
  mayLift: false,
  limitG: 600,
  goesOn: ['up', 'down', 'side'],
  tool: 'fingers',
  seconds: 4,
  objections: familyOrAlmost('pack-differs'),
  fault: almostFault('slides in but does not latch'),
}
