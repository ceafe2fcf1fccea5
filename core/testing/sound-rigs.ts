import type { Part } from '../catalogue/index.ts'
import { on } from './index.ts'
import { wiredCamera } from './wired.ts'

export const inShoe = (id = 'mic') => on(id, 'foot', 'camera', 'shoe')

export const without = (...ids: string[]): Part => ({
  ...wiredCamera,
  sockets: (wiredCamera.sockets ?? []).filter(({ id }) => !ids.includes(id)),
})
