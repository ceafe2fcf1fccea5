import { roomCheck } from '../room-check.ts'

/** Something stands where the eye goes to the finder. */
export const eyeBlocked = roomCheck({
  id: 'eye-blocked',
  family: 'clearance',
  title: 'The finder can not be used',
  why: 'In full sun the finder is the only picture left, and the nose meets a screw.',
  level: 'hint',
  source: 'The eye’s room behind the finder in the camera’s data.',
  kind: 'view',
})
