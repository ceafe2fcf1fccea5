import { on, plug, tinyPart } from './index.ts'

export const cube = (id: string, more = {}) => tinyPart({ id, mounts: [plug('foot', 'thread-1/4')], ...more })

export const onHole = on('cube', 'foot', 'camera', 'hole')
