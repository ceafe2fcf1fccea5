import { roomCheck } from '../room-check.ts'

/** A ring on the lens that has to be turned, and can not. */
export const ringRoom = roomCheck({
  id: 'ring-room',
  family: 'clearance',
  title: 'A ring can not be turned',
  why: 'Zoom, focus or the variable ND stays where it is.',
  level: 'risk',
  source: 'Two fingers’ width round each ring in the part’s data.',
  kind: 'turn',
  // What drives the ring turns it.
  among: ({ invasions }) => invasions.filter(({ by }) => by.part.role !== 'follow-focus'),
})
