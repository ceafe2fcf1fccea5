import type { Media, Part, PictureFormat, Power, Socket, Volts } from '@zucchini/core/catalogue'
import { cards, type Electrics, socket, upToRaw, upToUhd, upToUhd60, USB, LOW, volts } from './sockets.ts'

const MINUTES = /^(\d+) min$/
/** Packs by camera family: what they hold, Wh. The draw follows from the minutes the maker states. */
export const bodies: Readonly<
  Record<string, { wh: number; volts: Volts; standby: number; formats: readonly PictureFormat[]; media: Media }>
> = {
  'calabash-h1': {
    wh: 16,
    volts: LOW,
    standby: 0.42,
    formats: upToUhd60,
    media: cards(['sd'], 2, ['hd', 'uhd', 'uhd-intra'], false),
  },
  'calabash-h2': {
    wh: 16,
    volts: LOW,
    standby: 0.45,
    formats: upToRaw,
    media: cards(['sd', 'fast'], 2, ['uhd', 'uhd-intra', 'hd'], true),
  },
  'kabocha-s': {
    wh: 22,
    volts: LOW,
    standby: 0.5,
    formats: upToUhd60,
    media: cards(['sd'], 2, ['uhd', 'uhd-intra'], true),
  },
  'kabocha-cube': {
    wh: 0,
    volts: LOW,
    standby: 0.7,
    formats: upToRaw,
    media: cards(['fast'], 1, ['uhd-intra', 'uhd'], true),
  },
  'chayote-m': { wh: 8, volts: LOW, standby: 0.4, formats: upToUhd, media: cards(['sd'], 1, ['hd', 'uhd'], false) },
  'chayote-x': { wh: 8, volts: LOW, standby: 0.42, formats: upToUhd, media: cards(['sd'], 1, ['uhd', 'hd'], false) },
  'cushaw-c6': {
    wh: 45,
    volts: volts(11, 17),
    standby: 0.7,
    formats: upToRaw,
    media: cards(['fast', 'sd'], 2, ['uhd-intra', 'uhd'], true),
  },
  'pepita-p4': {
    wh: 12,
    volts: LOW,
    standby: 0.6,
    formats: upToUhd60,
    media: cards(['sd'], 1, ['raw', 'uhd-intra'], true),
  },
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
        return {
          ...bare,
          direction: 'in',
          carries: ['power'],
          volts: volts(10.5, 17),
          watts: 60,
          label: 'DC in, push-pull',
        }
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
export const cameraElectrics = (part: Part): Electrics => {
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
export const batteryElectrics = (part: Part): Electrics => {
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
      socket('usb-c', 'usb-c', 'out', [0, 'left', 0.3, 0.5], {
        carries: ['power'],
        volts: USB,
        watts: 45,
        label: 'USB-C out',
      }),
    )
  if (seat.standard === 'slab-l' && /gauge/.test(part.name))
    outlets.push(
      socket('usb-c', 'usb-c', 'out', [0, 'left', 0.3, 0.5], {
        carries: ['power'],
        volts: volts(5, 9),
        watts: 18,
        label: 'USB-C out',
      }),
    )
  if (part.id === 'gourdwell-bank-74')
    outlets.push(
      socket('usb-c', 'usb-c', 'out', [0, 'left', 0.5, 0.5], {
        carries: ['power'],
        volts: USB,
        watts: 30,
        label: 'USB-C out',
      }),
    )
  return { power, ...(outlets.length > 0 ? { sockets: outlets.map((make) => make(part)) } : {}) }
}
