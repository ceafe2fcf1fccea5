import { on, plug, socket, tinyPart } from './index.ts'

/** An arm on the camera's hole and a cube on the arm, as days in the field speak of them. */
export const loggedParts = [
  tinyPart({
    id: 'arm',
    role: 'arm',
    mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])],
  }),
  tinyPart({ id: 'cube', mounts: [plug('foot', 'thread-1/4')] }),
]
export const loggedJoints = [on('arm', 'foot', 'camera', 'hole'), on('cube', 'foot', 'arm', 'top')]
/** What one day taught. */
export const taughtOnce = { value: 1, times: 1, last: '2026-11-17', shoot: 'the slip' }
