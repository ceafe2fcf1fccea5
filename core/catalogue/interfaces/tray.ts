import { sameFamily } from '../families.ts'
import type { MountStandard } from '../standard.ts'

/** A filter tray of a matte box: 4 x 5.65 in or 4 x 4 in. */
export const tray: MountStandard = {
  id: 'tray',
  title: 'filter tray',
  ends: { holds: 'filter tray', sits: 'drop-in filter' },
  kind: 'tray',
  glyph: 'filter',
  fields: ['family'],
  accepts: ['tray'],
  holdsTwist: true,
  turnStepDeg: 360,
  mayLift: false,
  limitG: 400,
  goesOn: ['up', 'out', 'side', 'down'],
  tool: 'fingers',
  seconds: 5,
  objections: sameFamily('tray-differs'),
}
