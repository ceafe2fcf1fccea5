import type { Part } from '../catalogue/index.ts'
import { on, plug, socket, tinyPart } from './index.ts'
import { link, screen, wiredCamera, wiredRig } from './wired.ts'

export const onHole = on('screen', 'foot', 'camera', 'hole')

/** A screen on the camera with one picture lead; see the cabling tests for its way: 44 + hypot(94, 70, 34) + 44 mm. */
export const NEED_MM = 88 + Math.hypot(94, 70, 34)

export const shown = (cable: Part, extra: readonly Part[] = [], more: Partial<Part> = {}, camera?: Part) =>
  wiredRig([screen('screen', more), cable], [onHole], [link(cable.id, 'camera/hdmi', 'screen/in')], {
    extra,
    ...(camera ? { camera } : {}),
  })

export const drive = tinyPart({
  id: 'drive',
  role: 'drive',
  mounts: [plug('back', 'thread-1/4')],
  sockets: [{ id: 'data', connector: 'usb-c', direction: 'both', at: [0, 10, 10], out: [0, 0, 1], carries: ['data'] }],
  media: { stores: { gb: 1000, writeMBs: 400, readMBs: 400, kind: 'drive' } },
})

/**
 * A clip that stands on a peg beside the camera and holds a lead 16 mm above where the plug's cable comes free: 60 mm
 * along its way.
 */
export const clip = (id = 'clip', above = 20, more: Partial<Part> = {}) =>
  tinyPart({
    id,
    role: 'cable-clamp',
    mounts: [plug('foot', 'thread-1/4')],
    holdsCable: { at: [0, above, 0] },
    ...more,
  })

export const pegged: Part = {
  ...wiredCamera,
  mounts: [...wiredCamera.mounts, socket('peg', 'thread-1/4', [-94, -29, 20])],
}

export const micro: Part = {
  ...wiredCamera,
  sockets: (wiredCamera.sockets ?? []).map((own) =>
    own.id === 'hdmi' ? { ...own, connector: 'hdmi-d' as const } : own,
  ),
}
