import { emptySetup } from '../assembly/index.ts'
import { on, plug, tinyPart } from './index.ts'

export const mic = tinyPart({
  id: 'mic',
  role: 'mic',
  provides: ['scratch-sound'],
  mounts: [plug('foot', 'shoe-cold')],
})

export const spare = tinyPart({
  id: 'spare-mic',
  role: 'mic',
  provides: ['scratch-sound'],
  mounts: [plug('foot', 'shoe-cold')],
})

export const second = { ...emptySetup, id: 'other', name: 'other', joints: [on('mic', 'foot', 'camera', 'shoe')] }
