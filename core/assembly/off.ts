import type { Part } from '../catalogue/index.ts'
import type { OffPlace, Support } from './rig.ts'

/** Can it go along off the rig? What works on a lead alone can; a lead itself can not, and the camera carries the rest. */
export const canGoOff = ({ sockets = [], cable, role }: Part): boolean =>
  sockets.length > 0 && !cable && role !== 'camera'

/** Where it goes along then: a screen for others and what hangs on the wall stand beside, all else is worn. */
export const offPlaceFor = ({ role, power }: Part): OffPlace => (role === 'monitor' || power?.mains ? 'beside' : 'belt')

/** Places off the rig, as they are said. */
export const offPlaceWords: Readonly<Record<OffPlace, string>> = {
  belt: 'on the belt',
  pocket: 'in a pocket',
  bag: 'in the shoulder bag',
  'stand-leg': 'on a leg of the stand',
  beside: 'beside the rig',
}

/**
 * How far a place off the rig is from the rig's underside, mm, where a lead has to reach it through all that this way
 * of holding does. On the operator: an arm's reach of 700 mm and the height of the shoulder over the belt, 400 mm; a
 * pocket or a shoulder bag lies a hand lower. On the shoulder and on the knees the rig stays near. By the sticks the
 * operator steps about them; a leg's clamp sits half way down. Beside: a table or another stand two steps away. Usual
 * figures of a grown-up of 1.75 m; a longer lead always does.
 */
export const OFF_MM: Readonly<Record<OffPlace, Readonly<Record<Support, number>>>> = {
  belt: near(1100, { shoulder: 800, lap: 500, tripod: 1400 }),
  pocket: near(1200, { shoulder: 900, lap: 500, tripod: 1500 }),
  bag: near(1200, { shoulder: 900, lap: 600, tripod: 1500 }),
  'stand-leg': near(700),
  beside: near(2500),
}

function near(mm: number, but: Partial<Record<Support, number>> = {}): Readonly<Record<Support, number>> {
  const all = { 'hand-low': mm, 'two-hand': mm, chest: mm, shoulder: mm, lap: mm, tripod: mm, gimbal: mm }
  return { ...all, ...but }
}
