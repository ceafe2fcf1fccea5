import { entryCheck } from '../entry-check.ts'

/** A dovetail with no open end for a clamp that has to be slid on. */
export const dovetailEntry = entryCheck({
  id: 'dovetail-entry',
  family: 'fit',
  title: 'The plate can not be slid in',
  why: 'On the tripod the rig has to go in from above, and it does not.',
  level: 'risk',
  source: 'One clamp’s length beyond each end of the plate must be free.',
  kind: 'plate',
})
