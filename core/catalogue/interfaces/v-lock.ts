import { type MountStandard, noObjections } from '../standard.ts'

/** The wedge plate of V-mount bricks. Plate up or plate down are both allowed. */
export const vLock: MountStandard = {
  id: 'v-lock',
  title: 'V-mount',
  ends: { holds: 'V-mount plate', sits: 'V-mount brick' },
  kind: 'battery',
  glyph: 'wedge',
  fields: [],
  accepts: ['v-lock'],
  holdsTwist: true,
  turnStepDeg: 360,
  mayLift: false,
  limitG: 2500,
  goesOn: ['up', 'down'],
  tool: 'fingers',
  seconds: 4,
  objections: noObjections,
}
