import type { ConnectorId, Media, Part, PictureFormat, Power, Socket, Solid, Volts } from '@zucchini/core/catalogue'
import type { Vec3 } from '@zucchini/core/kernel'
import { ahead, back, down, left, right, up } from '../shapes/index.ts'

/** What a part's shape does not tell: its sockets, what it draws, gives and records. */
interface Electrics {
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
type Spot = readonly [solid: number, face: Face, a: number, b: number]
const socket =
  (id: string, connector: ConnectorId, direction: Socket['direction'], [index, face, a, b]: Spot, more: More) =>
  ({ solids }: Part): Socket => ({
    id,
    connector,
    direction,
    at: onFace(solids[index] as Solid, face, a, b),
    out: faces[face],
    ...more,
  })

type Maker = (part: Part) => Electrics
const made = (electrics: Omit<Electrics, 'sockets'>, ...sockets: readonly ReturnType<typeof socket>[]): Maker => {
  return (part) => ({ ...electrics, ...(sockets.length > 0 ? { sockets: sockets.map((make) => make(part)) } : {}) })
}

const volts = (min: number, max: number): Volts => ({ min, max })
/** What a 7.2 V device bears at its battery contacts, and what a wide input bears. */
const LOW = volts(6, 8.6)
const WIDE = volts(6, 17)
const USB = volts(5, 20)
const FIVE = volts(4.8, 5.3)

const upToUhd: readonly PictureFormat[] = ['hd60', 'uhd30']
const upToUhd60: readonly PictureFormat[] = ['hd60', 'uhd30', 'uhd60']
const upToRaw: readonly PictureFormat[] = ['hd60', 'uhd30', 'uhd60', 'raw']

const usbPower = (spot: Spot, watts: number, more: More = {}) =>
  socket('power', 'usb-c', 'in', spot, { carries: ['power'], volts: FIVE, watts, label: 'USB-C power in', ...more })
const dcIn = (spot: Spot, watts: number, window = WIDE) =>
  socket('power', 'dc-5.5x2.1', 'in', spot, { carries: ['power'], volts: window, watts, label: 'DC in' })
const hdmiIn = (spot: Spot, formats: readonly PictureFormat[]) =>
  socket('hdmi-in', 'hdmi-a', 'in', spot, { carries: ['picture', 'sound'], formats, label: 'HDMI in' })
const hdmiOut = (spot: Spot, formats: readonly PictureFormat[], id = 'hdmi-out') =>
  socket(id, 'hdmi-a', 'out', spot, { carries: ['picture', 'sound'], formats, label: 'HDMI out' })
const phones = (spot: Spot) => socket('phones', '3.5-trs', 'out', spot, { carries: ['sound'], phones: true, label: 'headphones' })
const soundOut = (spot: Spot, more: More = {}) => socket('out', '3.5-trs', 'out', spot, { carries: ['sound'], label: 'sound out', ...more })

const codecs = {
  hd: { id: 'hd', title: 'HD, 50 Mbps', mbps: 50 },
  uhd: { id: 'uhd', title: 'UHD, 150 Mbps', mbps: 150 },
  'uhd-intra': { id: 'uhd-intra', title: 'UHD all-intra, 400 Mbps', mbps: 400 },
  raw: { id: 'raw', title: 'raw, 1,100 Mbps', mbps: 1100 },
}
const cards = (takes: readonly string[], slots: number, kinds: readonly (keyof typeof codecs)[], drive: boolean): Media => ({
  codecs: kinds.map((kind) => codecs[kind]),
  takes: [...takes],
  slots,
  ...(drive ? { drive } : {}),
})

const MINUTES = /^(\d+) min$/
/** Packs by camera family: what they hold, Wh. The draw follows from the minutes the maker states. */
const bodies: Readonly<Record<string, { wh: number; volts: Volts; standby: number; formats: readonly PictureFormat[]; media: Media }>> = {
  'calabash-h1': { wh: 16, volts: LOW, standby: 0.42, formats: upToUhd60, media: cards(['sd'], 2, ['hd', 'uhd', 'uhd-intra'], false) },
  'calabash-h2': { wh: 16, volts: LOW, standby: 0.45, formats: upToRaw, media: cards(['sd', 'fast'], 2, ['uhd', 'uhd-intra', 'hd'], true) },
  'kabocha-s': { wh: 22, volts: LOW, standby: 0.5, formats: upToUhd60, media: cards(['sd'], 2, ['uhd', 'uhd-intra'], true) },
  'kabocha-cube': { wh: 0, volts: LOW, standby: 0.7, formats: upToRaw, media: cards(['fast'], 1, ['uhd-intra', 'uhd'], true) },
  'chayote-m': { wh: 8, volts: LOW, standby: 0.4, formats: upToUhd, media: cards(['sd'], 1, ['hd', 'uhd'], false) },
  'chayote-x': { wh: 8, volts: LOW, standby: 0.42, formats: upToUhd, media: cards(['sd'], 1, ['uhd', 'hd'], false) },
  'cushaw-c6': {
    wh: 45,
    volts: volts(11, 17),
    standby: 0.7,
    formats: upToRaw,
    media: cards(['fast', 'sd'], 2, ['uhd-intra', 'uhd'], true),
  },
  'pepita-p4': { wh: 12, volts: LOW, standby: 0.6, formats: upToUhd60, media: cards(['sd'], 1, ['raw', 'uhd-intra'], true) },
}
/** A camera's sockets, told by what they are and in which order they come. */
const cameraSockets = (part: Part): readonly Socket[] => {
  const { formats } = bodies[part.id] ?? { formats: upToUhd }
  const usbRuns = part.facts?.['USB-C power'] === true
  const xlr = part.provides.includes('xlr')
  let jacks = 0
  return (part.sockets ?? []).map((own): Socket => {
    const { label: _, ...bare } = own
    switch (own.connector) {
      case '3.5-trs': {
        const ears = part.provides.includes('headphones') && (xlr || jacks++ > 0)
        return ears
          ? { ...bare, direction: 'out', carries: ['sound'], phones: true, label: 'headphones' }
          : { ...bare, direction: 'in', carries: ['sound', 'timecode'], feeds: ['plug-in'], label: 'mic in' }
      }
      case 'xlr-mini':
        return { ...bare, direction: 'in', carries: ['sound'], feeds: ['phantom'], label: 'mini XLR in' }
      case 'usb-c':
        return usbRuns
          ? {
              ...bare,
              direction: 'both',
              carries: ['power', 'data', 'trigger'],
              volts: USB,
              watts: 27,
              ...(part.id === 'kabocha-cube' ? {} : { needsPack: part.id !== 'kabocha-s', chargeW: 6 }),
              label: 'USB-C',
            }
          : { ...bare, direction: 'both', carries: ['data'], label: 'USB-C, data only' }
      case 'pp-2':
        return { ...bare, direction: 'in', carries: ['power'], volts: volts(10.5, 17), watts: 60, label: 'DC in, push-pull' }
      default:
        return {
          ...bare,
          direction: 'out',
          carries: ['picture', 'sound'],
          formats: [...formats],
          label: own.connector === 'sdi' ? 'SDI out' : 'HDMI out',
        }
    }
  })
}

const USABLE = 0.9
const CUBE_W = 11
const cameraElectrics = (part: Part): Electrics => {
  const body = bodies[part.id]
  if (!body) return {}
  const minutes = Number(MINUTES.exec(String(part.facts?.['internal pack']))?.[1])
  const drawW = minutes > 0 ? Math.round(((body.wh * USABLE * 60) / minutes) * 10) / 10 : CUBE_W
  return {
    power: { drawW, standbyW: Math.round(drawW * body.standby * 10) / 10 },
    media: body.media,
    sockets: cameraSockets(part),
    seats: body.volts,
  }
}

const store = (capacityWh: number, window: Volts, maxW: number, gauge: boolean): Power => ({
  store: { capacityWh, volts: window, maxW, gauge },
})
const batteryWatts = 2
const cellVolts = { low: volts(6, 8.4), brick: volts(11, 16.8) }

/** A battery's figures from what it says on it; bricks have a D-tap and USB-C of their own. */
const batteryElectrics = (part: Part): Electrics => {
  const wh = Number(part.facts?.['Wh'])
  const [seat] = part.mounts
  if (!seat || !(wh > 0)) return {}
  const brick = seat.standard === 'v-lock' || seat.standard === 'three-stud' || seat.family === 'cus-45'
  const gauge = /gauge|V-mount|three-stud|bank/.test(part.name)
  const power = store(wh, brick ? cellVolts.brick : cellVolts.low, Math.max(18, wh * batteryWatts), gauge)
  const outlets: ReturnType<typeof socket>[] = []
  if (brick && seat.standard !== 'pack')
    outlets.push(
      socket('d-tap', 'd-tap', 'out', [0, 'left', 0.78, 0.5], { carries: ['power'], watts: 96, label: 'D-tap' }),
      socket('usb-c', 'usb-c', 'out', [0, 'left', 0.3, 0.5], { carries: ['power'], volts: USB, watts: 45, label: 'USB-C out' }),
    )
  if (seat.standard === 'slab-l' && /gauge/.test(part.name))
    outlets.push(
      socket('usb-c', 'usb-c', 'out', [0, 'left', 0.3, 0.5], { carries: ['power'], volts: volts(5, 9), watts: 18, label: 'USB-C out' }),
    )
  if (part.id === 'gourdwell-bank-74')
    outlets.push(socket('usb-c', 'usb-c', 'out', [0, 'left', 0.5, 0.5], { carries: ['power'], volts: USB, watts: 30, label: 'USB-C out' }))
  return { power, ...(outlets.length > 0 ? { sockets: outlets.map((make) => make(part)) } : {}) }
}

const screenOf = (
  drawW: number,
  fullW: number,
  more: { loop?: boolean; phones?: boolean; usb?: boolean; records?: boolean; formats?: readonly PictureFormat[] },
): Maker => {
  const formats = more.formats ?? upToUhd60
  return (part) => ({
    power: { drawW, standbyW: drawW, fullW },
    delayMs: 40,
    seats: LOW,
    ...(more.records ? { media: cards(['fast'], 1, ['uhd-intra', 'raw'], false) } : {}),
    sockets: [
      hdmiIn([0, 'left', 0.25, 0.5], formats),
      more.usb ? usbPower([0, 'right', 0.3, 0.5], 10) : dcIn([0, 'right', 0.3, 0.5], 30),
      ...(more.loop ? [hdmiOut([0, 'left', 0.5, 0.5], formats)] : []),
      ...(more.phones ? [phones([0, 'right', 0.62, 0.5])] : []),
    ].map((make) => make(part)),
  })
}

const micJack = (feed?: 'plug-in', ownMin?: number): Maker =>
  made(ownMin ? { power: { ownMin } } : {}, soundOut([2, 'left', 0.5, 0.5], feed ? { feeds: [feed] } : {}))
const phantomMic: Maker = made(
  {},
  socket('out', 'xlr-3', 'out', [2, 'back', 0.5, 0.5], { carries: ['sound'], feeds: ['phantom'], label: 'XLR out' }),
)
const timecodeBox: Maker = made(
  { power: { ownMin: 1200 } },
  socket('out', 'timecode-3.5', 'out', [1, 'left', 0.5, 0.5], { carries: ['timecode'], label: 'timecode out' }),
)
const lamp = (ownMin: number): Maker => made({ power: { drawW: 8, ownMin } })
const driveOf = (gb: number, writeMBs: number): Maker =>
  made(
    { media: { stores: { gb, writeMBs, readMBs: writeMBs, kind: 'drive' } } },
    socket('data', 'usb-c', 'both', [0, 'ahead', 0.5, 0.5], { carries: ['data'], label: 'USB-C' }),
  )
const xlrIn = (id: string, spot: Spot, connector: 'xlr-3' | 'xlr-mini' = 'xlr-3') =>
  socket(id, connector, 'in', spot, { carries: ['sound'], feeds: ['phantom'], label: connector === 'xlr-3' ? 'XLR in' : 'mini XLR in' })
const pads = (kind: 'sd' | 'fast', gb: number, writeMBs: number): Maker =>
  made({ media: { stores: { gb, writeMBs, readMBs: writeMBs * 1.2, kind } } })
const charging = (chargesW: number): Maker => made({ power: { chargesW, mains: true } })
const gripTrigger: Maker = (part) => ({
  sockets: [socket('trigger', 'trigger-2.5', 'out', [0, 'down', 0.5, 0.5], { carries: ['trigger'], label: 'record trigger' })(part)],
})

const electrics: Readonly<Record<string, Maker>> = {
  'crookneck-m5': screenOf(6.5, 11, { loop: false }),
  'crookneck-m7': screenOf(16, 24, { loop: true }),
  'delicata-55': screenOf(9, 14, { phones: true, loop: true }),
  'tromba-35': screenOf(4, 5.5, { usb: true, formats: upToUhd }),
  'delicata-7': screenOf(22, 28, { loop: true, phones: true, records: true, formats: upToRaw }),
  'bulrush-5': screenOf(6, 7, { formats: ['hd60'] }),
  'tromba-5-bright': screenOf(14, 19, { loop: true }),
  'crookneck-6': screenOf(11, 16, {}),
  'delicata-7-bright': screenOf(24, 29, { loop: true }),
  'delicata-5-recorder': screenOf(14, 18, { loop: true, phones: true, records: true, formats: upToRaw }),
  'tromba-finder': (part) => ({
    power: { drawW: 3, standbyW: 3 },
    delayMs: 20,
    sockets: [hdmiIn([1, 'left', 0.3, 0.4], upToUhd), usbPower([1, 'left', 0.7, 0.4], 8)].map((make) => make(part)),
  }),
  'papyr-scratch': micJack('plug-in'),
  'papyr-shotgun': phantomMic,
  'papyr-long': phantomMic,
  'rushlight-onboard': micJack(undefined, 3000),
  'luffa-stereo': micJack('plug-in'),
  'papyr-mini': made(
    {},
    socket('out', '3.5-trrs', 'out', [2, 'left', 0.5, 0.5], { carries: ['sound'], feeds: ['plug-in'], label: 'sound out, for phones' }),
  ),
  'rushlight-digital': micJack(undefined, 1800),
  'rushlight-fur-post': made({}, soundOut([1, 'left', 0.4, 0.5], { feeds: ['plug-in'] })),
  'rushlight-receiver': made(
    { power: { ownMin: 360 } },
    soundOut([1, 'left', 0.3, 0.5]),
    socket('mix', '3.5-trs', 'in', [1, 'left', 0.75, 0.5], { carries: ['sound'], feeds: ['plug-in'], label: 'mic in, mixed to the right' }),
  ),
  'luffa-receiver': made(
    { power: { ownMin: 420 } },
    soundOut([1, 'left', 0.25, 0.5]),
    socket('mix', '3.5-trs', 'in', [1, 'left', 0.72, 0.5], { carries: ['sound'], feeds: ['plug-in'], label: 'mic in, mixed to the right' }),
  ),
  'papyr-receiver-pro': made(
    { power: { drawW: 2.4, standbyW: 2.4 } },
    socket('out', 'xlr-mini', 'out', [1, 'left', 0.2, 0.5], { carries: ['sound'], label: 'mini XLR out' }),
    phones([1, 'left', 0.5, 0.5]),
    usbPower([1, 'left', 0.8, 0.5], 10),
  ),
  'rushlight-quad': made({ power: { ownMin: 420 } }, soundOut([1, 'left', 0.3, 0.5]), phones([1, 'left', 0.7, 0.5])),
  'delicata-preamp': made(
    { power: { drawW: 3, standbyW: 3 } },
    xlrIn('in-1', [1, 'back', 0.2, 0.5]),
    xlrIn('in-2', [1, 'back', 0.5, 0.5]),
    soundOut([1, 'left', 0.5, 0.2]),
    phones([1, 'left', 0.5, 0.5]),
    usbPower([1, 'left', 0.5, 0.8], 10),
  ),
  'tromba-preamp': made(
    { power: { drawW: 2, standbyW: 2 } },
    xlrIn('in-1', [1, 'back', 0.25, 0.5]),
    xlrIn('in-2', [1, 'back', 0.7, 0.5]),
    soundOut([1, 'left', 0.5, 0.3]),
    usbPower([1, 'left', 0.5, 0.7], 10),
  ),
  'delicata-preamp-4': made(
    { power: { drawW: 4.5, standbyW: 4.5 } },
    xlrIn('in-1', [1, 'back', 0.15, 0.5]),
    xlrIn('in-2', [1, 'back', 0.38, 0.5]),
    xlrIn('in-3', [1, 'back', 0.6, 0.5], 'xlr-mini'),
    xlrIn('in-4', [1, 'back', 0.8, 0.5], 'xlr-mini'),
    soundOut([1, 'left', 0.5, 0.2]),
    phones([1, 'left', 0.5, 0.5]),
    usbPower([1, 'left', 0.5, 0.8], 10),
  ),
  'luffa-tap': made(
    { power: { ownMin: 600 } },
    socket('in', '3.5-trs', 'in', [1, 'left', 0.3, 0.5], { carries: ['sound'], label: 'sound in' }),
    phones([1, 'right', 0.3, 0.5]),
  ),
  'papyr-timecode': timecodeBox,
  'luffa-timecode': timecodeBox,
  'gourdwell-v-plate-rods': made(
    { seats: volts(11, 17) },
    socket('d-tap', 'd-tap', 'out', [0, 'left', 0.8, 0.5], { carries: ['power'], watts: 96, label: 'D-tap' }),
    socket('dc-12', 'dc-5.5x2.1', 'out', [0, 'left', 0.24, 0.5], {
      carries: ['power'],
      volts: volts(11.8, 12.2),
      watts: 36,
      label: '12 V out',
    }),
  ),
  'typha-v-plate-14': made(
    { seats: volts(11, 17) },
    socket('d-tap', 'd-tap', 'out', [0, 'left', 0.8, 0.5], { carries: ['power'], watts: 96, label: 'D-tap' }),
    socket('dc-8', 'dc-5.5x2.5', 'out', [0, 'left', 0.24, 0.5], {
      carries: ['power'],
      volts: volts(7.6, 8.2),
      watts: 25,
      label: '8 V out',
    }),
  ),
  'gourdwell-stud-plate-rods': made(
    { seats: volts(11, 17) },
    socket('d-tap', 'd-tap', 'out', [0, 'left', 0.8, 0.5], { carries: ['power'], watts: 96, label: 'D-tap' }),
    socket('pp-2', 'pp-2', 'out', [0, 'left', 0.24, 0.5], { carries: ['power'], watts: 60, label: 'push-pull out' }),
  ),
  'typha-slab-plate': made(
    { seats: LOW },
    socket('dc', 'dc-5.5x2.1', 'out', [0, 'left', 0.3, 0.5], { carries: ['power'], watts: 25, label: 'DC out' }),
    socket('usb', 'usb-c', 'out', [0, 'left', 0.7, 0.5], { carries: ['power'], volts: volts(5, 9), watts: 18, label: 'USB-C out' }),
  ),
  'typha-slab-plate-rods': made(
    { seats: LOW },
    socket('dc', 'dc-5.5x2.1', 'out', [0, 'left', 0.3, 0.5], { carries: ['power'], watts: 25, label: 'DC out' }),
    socket('usb', 'usb-c', 'out', [0, 'left', 0.7, 0.5], { carries: ['power'], volts: FIVE, watts: 15, label: '5 V out' }),
  ),
  'calabash-charger': charging(9),
  'chayote-charger': charging(5),
  'gourdwell-v-charger': charging(60),
  'luffa-slab-charger': charging(14),
  'kabocha-charger': charging(12),
  'cushaw-charger': charging(30),
  'pepita-charger': charging(8),
  'luffa-drive-1': driveOf(1000, 450),
  'luffa-drive-2': driveOf(2000, 450),
  'luffa-drive-4': driveOf(4000, 520),
  'marrow-drive-1': driveOf(1000, 110),
  'luffa-card-64': pads('sd', 64, 30),
  'luffa-card-128': pads('sd', 128, 80),
  'luffa-card-256': pads('sd', 256, 90),
  'luffa-card-512': pads('sd', 512, 90),
  'papyr-card-325': pads('fast', 325, 800),
  'crookneck-link': (part) => ({
    power: { drawW: 9, standbyW: 9 },
    delayMs: 60,
    sockets: [hdmiIn([1, 'left', 0.25, 0.5], upToUhd), hdmiOut([1, 'left', 0.55, 0.5], upToUhd), dcIn([1, 'right', 0.3, 0.5], 24)].map(
      (make) => make(part),
    ),
  }),
  'crookneck-link-small': (part) => ({
    power: { drawW: 6, standbyW: 6 },
    delayMs: 70,
    sockets: [hdmiIn([1, 'left', 0.3, 0.5], upToUhd), dcIn([1, 'right', 0.3, 0.5], 24)].map((make) => make(part)),
  }),
  'delicata-sdi-hdmi': (part) => ({
    power: { drawW: 1.5, standbyW: 1.5 },
    delayMs: 1,
    sockets: [
      socket('sdi-in', 'sdi', 'in', [1, 'left', 0.25, 0.5], { carries: ['picture', 'sound'], formats: [...upToUhd], label: 'SDI in' }),
      hdmiOut([1, 'right', 0.25, 0.5], upToUhd),
      usbPower([1, 'left', 0.75, 0.5], 8),
    ].map((make) => make(part)),
  }),
  'typha-hdmi-split': (part) => ({
    power: { drawW: 2, standbyW: 2 },
    delayMs: 1,
    sockets: [
      hdmiIn([1, 'left', 0.3, 0.5], upToUhd),
      hdmiOut([1, 'right', 0.25, 0.5], upToUhd),
      hdmiOut([1, 'right', 0.7, 0.5], upToUhd, 'hdmi-out-2'),
      usbPower([1, 'left', 0.75, 0.5], 8),
    ].map((make) => make(part)),
  }),
  'rushlight-panel': lamp(95),
  'rushlight-tube': lamp(120),
  'bulrush-panel': lamp(70),
  'marrow-gimbal': made({ power: { drawW: 6, ownMin: 720 } }),
  'marrow-gimbal-large': made({ power: { drawW: 8, ownMin: 720 } }),
  'marrow-motor': made(
    { power: { drawW: 5, standbyW: 1 } },
    socket('power', 'pp-2', 'in', [1, 'right', 0.5, 0.5], { carries: ['power'], volts: WIDE, watts: 20, label: 'DC in, push-pull' }),
  ),
  'cushaw-side-pin': gripTrigger,
}

const dummyElectrics = (part: Part): Electrics => ({
  power: { doorOpen: true },
  sockets: [
    {
      id: 'lead',
      connector: 'dummy',
      direction: 'in',
      at: [0, 0, 0],
      out: back,
      carries: ['power'],
      volts: part.mounts[0]?.family === 'cus-45' ? volts(11, 17) : volts(6.5, 8.6),
      watts: 40,
      label: 'dummy lead',
    },
  ],
})

const clampElectrics = (part: Part): Partial<Part> => ({
  holdsCable: { at: [0, 10, 0], ...(part.id === 'reedsmith-cable-hdmi' ? { plug: true } : {}) },
})

/** Where the record button of a body with a hand grip lies: on the shutter button. */
const recordButton = (part: Part): Partial<Part> => {
  const knob = part.solids.find((solid) => solid.look === 'knob' && solid.kind === 'cylinder')
  return knob ? { recordAt: knob.centre } : {}
}

const electricsOf = (part: Part): Electrics & Partial<Part> => {
  switch (part.role) {
    case 'camera':
      return { ...cameraElectrics(part), ...recordButton(part) }
    case 'battery':
      return batteryElectrics(part)
    case 'dummy':
      return dummyElectrics(part)
    case 'cable-clamp':
      return clampElectrics(part)
    default:
      return electrics[part.id]?.(part) ?? {}
  }
}

/** A part of the catalogue with its sockets, its draw and what it records. */
export const withElectrics = (part: Part): Part => {
  const { seats, ...more } = electricsOf(part)
  const recordAt = part.id === 'cushaw-side-pin' ? { recordAt: [-30, 30, 14] as const } : {}
  return {
    ...part,
    ...more,
    ...recordAt,
    ...(seats
      ? {
          mounts: part.mounts.map((mount) =>
            mount.side === 'holds' && ['pack', 'slab-l', 'v-lock', 'three-stud'].includes(mount.standard)
              ? { ...mount, volts: seats }
              : mount,
          ),
        }
      : {}),
  }
}

/** Parts that are told about here but stand nowhere in the catalogue; a test keeps this empty. */
export const unknownElectrics = (ids: ReadonlySet<string>): readonly string[] =>
  [...Object.keys(electrics), ...Object.keys(bodies)].filter((id) => !ids.has(id))
