import { roomCheck } from '../room-check.ts'

/** A lever or knob that can not be turned. */
export const leverRoom = roomCheck({
  id: 'lever-room',
  family: 'clearance',
  title: 'A lever can not be reached',
  why: 'The clamp stays loose, or a tool is needed where fingers should do.',
  level: 'risk',
  source: 'The sweep of each lever in the part’s data; 18 mm round a knob.',
  kind: 'lever',
})
