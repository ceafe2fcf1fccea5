import type { PictureFormat } from '@zucchini/core/catalogue'
import {
  made,
  type Maker,
  socket,
  type Spot,
  volts,
  LOW,
  WIDE,
  FIVE,
  upToUhd,
  upToUhd60,
  upToRaw,
  usbPower,
  dcIn,
  hdmiIn,
  hdmiOut,
  phones,
  soundOut,
  cards,
} from './sockets.ts'

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
  socket(id, connector, 'in', spot, {
    carries: ['sound'],
    feeds: ['phantom'],
    label: connector === 'xlr-3' ? 'XLR in' : 'mini XLR in',
  })
const pads = (kind: 'sd' | 'fast', gb: number, writeMBs: number): Maker =>
  made({ media: { stores: { gb, writeMBs, readMBs: writeMBs * 1.2, kind } } })
const charging = (chargesW: number): Maker => made({ power: { chargesW, mains: true } })
const gripTrigger: Maker = (part) => ({
  sockets: [
    socket('trigger', 'trigger-2.5', 'out', [0, 'down', 0.5, 0.5], { carries: ['trigger'], label: 'record trigger' })(
      part,
    ),
  ],
})

/** What each device draws, gives and records, by its id. */
export const deviceElectrics: Readonly<Record<string, Maker>> = {
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
    socket('out', '3.5-trrs', 'out', [2, 'left', 0.5, 0.5], {
      carries: ['sound'],
      feeds: ['plug-in'],
      label: 'sound out, for phones',
    }),
  ),
  'rushlight-digital': micJack(undefined, 1800),
  'rushlight-fur-post': made({}, soundOut([1, 'left', 0.4, 0.5], { feeds: ['plug-in'] })),
  'rushlight-receiver': made(
    { power: { ownMin: 360 } },
    soundOut([1, 'left', 0.3, 0.5]),
    socket('mix', '3.5-trs', 'in', [1, 'left', 0.75, 0.5], {
      carries: ['sound'],
      feeds: ['plug-in'],
      label: 'mic in, mixed to the right',
    }),
  ),
  'luffa-receiver': made(
    { power: { ownMin: 420 } },
    soundOut([1, 'left', 0.25, 0.5]),
    socket('mix', '3.5-trs', 'in', [1, 'left', 0.72, 0.5], {
      carries: ['sound'],
      feeds: ['plug-in'],
      label: 'mic in, mixed to the right',
    }),
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
  'luffa-phones-amp': made(
    { power: { ownMin: 480 } },
    socket('in', '3.5-trs', 'in', [1, 'left', 0.3, 0.5], { carries: ['sound'], label: 'sound in' }),
    phones([1, 'right', 0.3, 0.25]),
    socket('phones-2', '3.5-trs', 'out', [1, 'right', 0.3, 0.75], {
      carries: ['sound'],
      phones: true,
      label: 'headphones 2',
    }),
  ),
  'delicata-mixer-3': made(
    { power: { drawW: 2.5, standbyW: 2.5, ownMin: 360 } },
    xlrIn('in-1', [1, 'back', 0.2, 0.5]),
    xlrIn('in-2', [1, 'back', 0.5, 0.5]),
    socket('in-3', '3.5-trs', 'in', [1, 'back', 0.8, 0.5], {
      carries: ['sound'],
      feeds: ['plug-in'],
      label: 'mic in 3',
    }),
    soundOut([1, 'left', 0.5, 0.3]),
    phones([1, 'left', 0.5, 0.7]),
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
    socket('usb', 'usb-c', 'out', [0, 'left', 0.7, 0.5], {
      carries: ['power'],
      volts: volts(5, 9),
      watts: 18,
      label: 'USB-C out',
    }),
  ),
  'typha-slab-plate-rods': made(
    { seats: LOW },
    socket('dc', 'dc-5.5x2.1', 'out', [0, 'left', 0.3, 0.5], { carries: ['power'], watts: 25, label: 'DC out' }),
    socket('usb', 'usb-c', 'out', [0, 'left', 0.7, 0.5], {
      carries: ['power'],
      volts: FIVE,
      watts: 15,
      label: '5 V out',
    }),
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
    sockets: [
      hdmiIn([1, 'left', 0.25, 0.5], upToUhd),
      hdmiOut([1, 'left', 0.55, 0.5], upToUhd),
      dcIn([1, 'right', 0.3, 0.5], 24),
    ].map((make) => make(part)),
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
      socket('sdi-in', 'sdi', 'in', [1, 'left', 0.25, 0.5], {
        carries: ['picture', 'sound'],
        formats: [...upToUhd],
        label: 'SDI in',
      }),
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
    socket('power', 'pp-2', 'in', [0, 'back', 0.5, 0.5], {
      carries: ['power'],
      volts: WIDE,
      watts: 20,
      label: 'DC in, push-pull',
    }),
  ),
  'cushaw-side-pin': gripTrigger,
  'reedsmith-side-run': gripTrigger,
}
