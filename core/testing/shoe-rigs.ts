import { on, plug, socket, tinyPart } from './index.ts'

export const foot = (id: string, massG: number, more = {}) =>
  tinyPart({ id, massG, mounts: [plug('foot', 'shoe-cold', more), socket('top', 'thread-1/4', [0, 20, 0])] })

export const onShoe = on('arm', 'foot', 'camera', 'shoe')
