import { entryCheck } from '../entry-check.ts'

/** A rail with no open end for a clamp that has to be slid on. */
export const railEntry = entryCheck({
  id: 'rail-entry',
  family: 'fit',
  title: 'No open end to slide on',
  why: 'The clamp goes on only before its neighbours do: half the rig comes off for one handle.',
  level: 'risk',
  source: 'One clamp’s length beyond each end of the rail must be free.',
  kind: 'rail',
})
