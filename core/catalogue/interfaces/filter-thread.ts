import { sameSize } from '../families.ts'
import type { MountStandard } from '../standard.ts'

/** The thread on a lens front; only the same diameter goes in. Pitch 0.75 mm. */
export const filterThread: MountStandard = {
  id: 'filter-thread',
  title: 'filter thread',
  ends: { holds: 'filter thread', sits: 'filter ring' },
  kind: 'filter',
  glyph: 'filter',
  fields: ['family'],
  accepts: ['filter-thread'],
  holdsTwist: true,
  turnStepDeg: 360,
  mayLift: false,
  limitG: 400,
  tool: 'fingers',
  seconds: 15,
  sized: true,
  objections: sameSize('filter-size-differs'),
}
