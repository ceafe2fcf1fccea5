import { roomCheck } from '../room-check.ts'

/** A battery, card or socket door that can not open. */
export const doorBlocked = roomCheck({
  id: 'door-blocked',
  family: 'clearance',
  title: 'A door can not open',
  why: 'The pack runs out on a take, and half the rig has to come off to change it.',
  level: 'risk',
  source: 'The way of each door in the part’s data.',
  kind: 'door',
})
