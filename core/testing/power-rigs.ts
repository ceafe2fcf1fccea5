import type { Phase } from '../brief/index.ts'
import type { Part } from '../catalogue/index.ts'
import { on } from './index.ts'
import { inBay, lead, link, pack, tank, usbLead, wiredRig } from './wired.ts'

export const day = (...parts: readonly (readonly [Phase['kind'], number])[]) => ({
  phases: parts.map(([kind, minutes]): Phase => ({ name: kind, kind, minutes, mains: false })),
})

export type Sockets = NonNullable<Part['sockets']>

/** A part with one of its sockets changed. */
export const changed = (part: Part, id: string, more: Partial<Sockets[number]>): Part => ({
  ...part,
  sockets: (part.sockets ?? []).map((own) => (own.id === id ? { ...own, ...more } : own)),
})

export const withStore = (part: Part, more: Partial<NonNullable<NonNullable<Part['power']>['store']>>): Part => {
  const store = part.power?.store
  return store ? { ...part, power: { ...part.power, store: { ...store, ...more } } } : part
}

/** A screen fed from a tank beside it. */
export const tapped = (tankPart: Part, screenPart: Part, cable: Part, extra: readonly Part[] = []) =>
  wiredRig(
    [pack(), screenPart, tankPart, cable],
    [inBay(), on('screen', 'foot', 'camera', 'pinned'), on('tank', 'foot', 'camera', 'hole')],
    [link(cable.id, 'tank/tap', 'screen/dc')],
    { extra },
  )

/** The camera fed from the tank by USB-C, with its own pack or without. */
export const trickled = (
  usbWatts: number,
  more: { pack?: boolean; camera?: Part; tank?: Part; extra?: readonly Part[] } = {},
) => {
  const source = changed(more.tank ?? tank(), 'usb', { watts: usbWatts })
  return wiredRig(
    [...(more.pack === false ? [] : [pack()]), source, usbLead()],
    [...(more.pack === false ? [] : [inBay()]), on('tank', 'foot', 'camera', 'hole')],
    [link('usb', 'tank/usb', 'camera/usb')],
    { ...(more.camera ? { camera: more.camera } : {}), extra: more.extra ?? [] },
  )
}

export const dc = (id: string) => lead(id, 'dc-5.5x2.1', 'dc-5.5x2.1', { carries: ['power'] })
