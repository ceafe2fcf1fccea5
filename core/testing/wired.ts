import { type Instance, type Joint, type Link, placeSetup, type Setup } from '../assembly/index.ts'
import type { Brief } from '../brief/index.ts'
import type { Cable, CableEnd, Part, Socket } from '../catalogue/index.ts'
import type { Vec3 } from '../kernel/index.ts'
import { cablesOf, type Network, networkOf } from '../power/index.ts'
import { on, plug, socket as mountOn, tinyCamera, tinyPart, tinyRig, type TinyRig } from './index.ts'

// A tiny camera with sockets, and things to plug in, with round numbers.

const left: Vec3 = [-1, 0, 0]
const port = (id: string, y: number, more: Omit<Socket, 'id' | 'at' | 'out'>): Socket => ({
  id,
  at: [-50, y, 20],
  out: left,
  ...more,
})

/**
 * The tiny camera: 6 W recording and 3 W waiting, a bay for a `cell` pack, and sockets 15 mm apart on its left side.
 */
export const wiredCamera: Part = {
  ...tinyCamera,
  power: { drawW: 6, standbyW: 3 },
  mounts: [
    ...tinyCamera.mounts,
    mountOn('bay', 'pack', [30, -40, 0], [0, -1, 0], { family: 'cell', volts: { min: 6, max: 8.6 } }),
  ],
  sockets: [
    port('mic', 30, { connector: '3.5-trs', direction: 'in', carries: ['sound', 'timecode'], feeds: ['plug-in'] }),
    port('phones', 15, { connector: '3.5-trs', direction: 'out', carries: ['sound'], phones: true }),
    port('usb', 0, {
      connector: 'usb-c',
      direction: 'both',
      carries: ['power', 'data', 'trigger'],
      volts: { min: 5, max: 20 },
      watts: 27,
      needsPack: true,
      chargeW: 5,
    }),
    port('hdmi', -25, {
      connector: 'hdmi-a',
      direction: 'out',
      carries: ['picture', 'sound'],
      formats: ['hd60', 'uhd30'],
    }),
  ],
  media: { codecs: [{ id: 'uhd', title: 'UHD', mbps: 100 }], takes: ['sd'], slots: 1, drive: true },
}

/** A camera pack of 20 Wh: 18 Wh to use when warm. */
export const pack = (id = 'pack', more: Partial<Part> = {}): Part =>
  tinyPart({
    id,
    role: 'battery',
    solids: [{ kind: 'box', centre: [0, 10, 0], size: [20, 20, 20], matter: 'soft' }],
    mounts: [plug('contacts', 'pack', { family: 'cell' })],
    power: { store: { capacityWh: 20, volts: { min: 6, max: 8.4 }, maxW: 40, gauge: true } },
    ...more,
  })
export const inBay = (id = 'pack'): Joint => on(id, 'contacts', 'camera', 'bay')

/** A monitor of 5 W on a quarter-inch foot; its sockets look to the operator. */
export const screen = (id = 'screen', more: Partial<Part> = {}): Part =>
  tinyPart({
    id,
    role: 'monitor',
    mounts: [
      plug('foot', 'thread-1/4'),
      mountOn('seat', 'slab-l', [0, 20, 0], [0, 1, 0], { family: 'l', volts: { min: 6, max: 8.6 } }),
    ],
    power: { drawW: 5, fullW: 8 },
    delayMs: 40,
    sockets: [
      {
        id: 'in',
        connector: 'hdmi-a',
        direction: 'in',
        at: [0, 5, 10],
        out: [0, 0, 1],
        carries: ['picture', 'sound'],
        formats: ['hd60', 'uhd30'],
      },
      {
        id: 'dc',
        connector: 'dc-5.5x2.1',
        direction: 'in',
        at: [10, 10, 0],
        out: [1, 0, 0],
        carries: ['power'],
        volts: { min: 7, max: 17 },
        watts: 20,
      },
    ],
    ...more,
  })

/** A battery of 100 Wh on a quarter-inch foot, with a D-tap and USB-C. */
export const tank = (id = 'tank', more: Partial<Part> = {}): Part =>
  tinyPart({
    id,
    role: 'battery',
    mounts: [plug('foot', 'thread-1/4')],
    power: { store: { capacityWh: 100, volts: { min: 11, max: 16.8 }, maxW: 100, gauge: true } },
    sockets: [
      {
        id: 'tap',
        connector: 'd-tap',
        direction: 'out',
        at: [0, 10, 10],
        out: [0, 0, 1],
        carries: ['power'],
        watts: 90,
      },
      {
        id: 'usb',
        connector: 'usb-c',
        direction: 'out',
        at: [-10, 10, 0],
        out: left,
        carries: ['power'],
        volts: { min: 5, max: 15 },
        watts: 30,
      },
    ],
    ...more,
  })

/** A mic on a shoe foot with a jack. */
export const mic = (id = 'mic', more: Partial<Part> = {}): Part =>
  tinyPart({
    id,
    role: 'mic',
    mounts: [plug('foot', 'shoe-cold')],
    sockets: [
      {
        id: 'out',
        connector: '3.5-trs',
        direction: 'out',
        at: [-10, 10, 0],
        out: left,
        carries: ['sound'],
        feeds: ['plug-in'],
      },
    ],
    ...more,
  })

/** A receiver on a pinned thread that another mic can be mixed into: its `mix` goes out again at its `out`. */
export const mixingReceiver = (): Part => {
  const receiver = mic('receiver', { role: 'receiver', mounts: [plug('foot', 'thread-1/4')] })
  const mix: Socket = {
    id: 'mix',
    connector: '3.5-trs',
    direction: 'in',
    at: [10, 10, 0],
    out: [1, 0, 0],
    carries: ['sound'],
    feeds: ['plug-in'],
  }
  return {
    ...receiver,
    sockets: [...(receiver.sockets ?? []).map(({ feeds: _, ...out }): Socket => out), mix],
  }
}

const end = (connector: CableEnd['connector'], angle: CableEnd['angle'] = 'straight'): CableEnd => ({
  connector,
  angle,
})

/** A lead of 300 mm and 20 g between two connectors; what it carries follows from the first. */
export const lead = (
  id: string,
  a: CableEnd['connector'],
  b: CableEnd['connector'],
  cable: Partial<Cable> = {},
  more: Partial<Part> = {},
): Part =>
  tinyPart({
    id,
    role: 'video-cable',
    massG: 20,
    cable: { a: end(a), b: end(b), lengthMm: 300, thickMm: 4, carries: ['picture'], ...cable },
    ...more,
  })
export const hdmiLead = (id = 'hdmi', cable: Partial<Cable> = {}): Part =>
  lead(id, 'hdmi-a', 'hdmi-a', { carries: ['picture', 'sound'], ...cable })
export const tapLead = (id = 'tap', cable: Partial<Cable> = {}): Part =>
  lead(id, 'd-tap', 'dc-5.5x2.1', { carries: ['power'], ...cable })
export const usbLead = (id = 'usb', cable: Partial<Cable> = {}): Part =>
  lead(id, 'usb-c', 'usb-c', { carries: ['power', 'data'], ...cable })
export const micLead = (id = 'jack', cable: Partial<Cable> = {}): Part =>
  lead(id, '3.5-trs', '3.5-trs', { carries: ['sound'], thickMm: 3, ...cable })

/** `link('hdmi', 'camera/hdmi', 'screen/in')` */
export const link = (cable: string, from: string, to: string, ...through: string[]): Link => {
  const at = (place: string) => ({
    instance: place.slice(0, place.indexOf('/')),
    socket: place.slice(place.indexOf('/') + 1),
  })
  return { cable, from: at(from), to: at(to), through }
}

/** A rig around the wired camera. */
export const wiredRig = (
  parts: readonly Part[],
  joints: readonly Joint[],
  links: readonly Link[] = [],
  more: {
    brief?: Partial<Brief>
    owned?: Record<string, number>
    setup?: Partial<Setup>
    extra?: readonly Part[]
    camera?: Part
    kit?: readonly Instance[]
  } = {},
): TinyRig =>
  tinyRig(parts, joints, {
    ...(more.brief ? { brief: more.brief } : {}),
    ...(more.owned ? { owned: more.owned } : {}),
    ...(more.kit ? { kit: more.kit } : {}),
    setup: { links, ...more.setup },
    extra: [more.camera ?? wiredCamera, ...(more.extra ?? [])],
  })

/** Camera and screen on one 100 Wh battery, the camera by USB-C beside its pack. */
export const onTank = (usbWatts: number, more: Partial<Part> = {}) => {
  const source = tank('tank', more)
  return wiredRig(
    [
      pack(),
      {
        ...source,
        sockets: (source.sockets ?? []).map((socket) =>
          socket.id === 'usb' ? { ...socket, watts: usbWatts } : socket,
        ),
      },
      screen(),
      tapLead(),
      usbLead(),
    ],
    [inBay(), on('tank', 'foot', 'camera', 'hole'), on('screen', 'foot', 'camera', 'pinned')],
    [link('tap', 'tank/tap', 'screen/dc'), link('usb', 'tank/usb', 'camera/usb')],
  )
}

/** Sources, users and feeds of the first set-up of a rig. */
export const networkFor = ({ rig, context }: TinyRig, celsius = 20): Network => {
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  const assembly = placeSetup(rig, setup, context.catalogue)
  return networkOf(
    assembly,
    cablesOf(assembly, (id) => context.catalogue.parts.get(id)),
    celsius,
  )
}
