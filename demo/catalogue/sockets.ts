import type { ConnectorId, Media, Part, PictureFormat, Power, Socket, Solid, Volts } from '@zucchini/core/catalogue'
import type { Vec3 } from '@zucchini/core/kernel'
import { ahead, back, down, left, right, up } from '../shapes/index.ts'

/** What a part's shape does not tell: its sockets, what it draws, gives and records. */
export interface Electrics {
  readonly power?: Power
  readonly media?: Media
  readonly delayMs?: number
  readonly sockets?: readonly Socket[]
  /** The voltage its battery seats bear. */
  readonly seats?: Volts
}

const faces = { left, right, up, down, ahead, back } as const
type Face = keyof typeof faces

/** The span of a solid along an axis of its part. */
const span = (solid: Solid, axis: 0 | 1 | 2): readonly [number, number] =>
  solid.kind === 'box'
    ? [solid.centre[axis] - solid.size[axis] / 2, solid.centre[axis] + solid.size[axis] / 2]
    : [solid.centre[axis] - solid.radius, solid.centre[axis] + solid.radius]

/** A point on a face of a solid: a and b run from 0 to 1 along its other two axes, x before y before z. */
const onFace = (solid: Solid, face: Face, a: number, b: number): Vec3 => {
  const out = faces[face]
  const axis = out.findIndex((value) => value !== 0)
  const free = [0, 1, 2].filter((other) => other !== axis)
  const at = [0, 1, 2].map((k) => {
    const [low, high] = span(solid, k as 0 | 1 | 2)
    if (k === axis) return (out[k as 0 | 1 | 2] ?? 0) > 0 ? high : low
    return low + (high - low) * (k === free[0] ? a : b)
  })
  return at.map((value) => Math.round(value * 100) / 100) as unknown as Vec3
}

type More = Partial<Omit<Socket, 'id' | 'connector' | 'direction' | 'at' | 'out'>>
export type Spot = readonly [solid: number, face: Face, a: number, b: number]
export const socket =
  (id: string, connector: ConnectorId, direction: Socket['direction'], [index, face, a, b]: Spot, more: More) =>
  ({ solids }: Part): Socket => ({
    id,
    connector,
    direction,
    at: onFace(solids[index] as Solid, face, a, b),
    out: faces[face],
    ...more,
  })

export type Maker = (part: Part) => Electrics
export const made = (
  electrics: Omit<Electrics, 'sockets'>,
  ...sockets: readonly ReturnType<typeof socket>[]
): Maker => {
  return (part) => ({ ...electrics, ...(sockets.length > 0 ? { sockets: sockets.map((make) => make(part)) } : {}) })
}

export const volts = (min: number, max: number): Volts => ({ min, max })
/** What a 7.2 V device bears at its battery contacts, and what a wide input bears. */
export const LOW = volts(6, 8.6)
export const WIDE = volts(6, 17)
export const USB = volts(5, 20)
export const FIVE = volts(4.8, 5.3)

export const upToUhd: readonly PictureFormat[] = ['hd60', 'uhd30']
export const upToUhd60: readonly PictureFormat[] = ['hd60', 'uhd30', 'uhd60']
export const upToRaw: readonly PictureFormat[] = ['hd60', 'uhd30', 'uhd60', 'raw']

export const usbPower = (spot: Spot, watts: number, more: More = {}) =>
  socket('power', 'usb-c', 'in', spot, { carries: ['power'], volts: FIVE, watts, label: 'USB-C power in', ...more })
export const dcIn = (spot: Spot, watts: number, window = WIDE) =>
  socket('power', 'dc-5.5x2.1', 'in', spot, { carries: ['power'], volts: window, watts, label: 'DC in' })
export const hdmiIn = (spot: Spot, formats: readonly PictureFormat[]) =>
  socket('hdmi-in', 'hdmi-a', 'in', spot, { carries: ['picture', 'sound'], formats, label: 'HDMI in' })
export const hdmiOut = (spot: Spot, formats: readonly PictureFormat[], id = 'hdmi-out') =>
  socket(id, 'hdmi-a', 'out', spot, { carries: ['picture', 'sound'], formats, label: 'HDMI out' })
export const phones = (spot: Spot) =>
  socket('phones', '3.5-trs', 'out', spot, { carries: ['sound'], phones: true, label: 'headphones' })
export const soundOut = (spot: Spot, more: More = {}) =>
  socket('out', '3.5-trs', 'out', spot, { carries: ['sound'], label: 'sound out', ...more })

const codecs = {
  hd: { id: 'hd', title: 'HD, 50 Mbps', mbps: 50 },
  uhd: { id: 'uhd', title: 'UHD, 150 Mbps', mbps: 150 },
  'uhd-intra': { id: 'uhd-intra', title: 'UHD all-intra, 400 Mbps', mbps: 400 },
  raw: { id: 'raw', title: 'raw, 1,100 Mbps', mbps: 1100 },
}
export const cards = (
  takes: readonly string[],
  slots: number,
  kinds: readonly (keyof typeof codecs)[],
  drive: boolean,
): Media => ({
  codecs: kinds.map((kind) => codecs[kind]),
  takes: [...takes],
  slots,
  ...(drive ? { drive } : {}),
})
