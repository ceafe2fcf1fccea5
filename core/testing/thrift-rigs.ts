import { on, plug, tinyPart } from './index.ts'

export const mic = (id: string, more = {}) =>
  tinyPart({
    id,
    role: 'mic',
    provides: ['scratch-sound'],
    mounts: [plug('foot', 'shoe-cold'), plug('screw', 'thread-1/4-pin')],
    ...more,
  })

export const inShoe = on('mic', 'foot', 'camera', 'shoe')

export const wants = { brief: { wishes: {} } }

export const screw = (id: string) => tinyPart({ id, mounts: [plug('foot', 'thread-1/4')] })
