import type { Cable, Carried, ConnectorId, Coupler, Part, PlugAngle, Role, Volts } from '@zucchini/core/catalogue'
import { bar, block, part, up } from '../shapes/index.ts'
import { given } from './given.ts'

type End = readonly [ConnectorId, PlugAngle?]
type More = Pick<Cable, 'coil' | 'converts' | 'upTo'>

/**
 * A lead coiled up as it lies in the bag: its ring is as wide as a hand can coil it, and no denser than rubber and
 * copper.
 */
const lead =
  (role: Role, carries: readonly Carried[], thickMm: number) =>
  (
    id: string,
    name: string,
    massG: number,
    usual: number,
    lengthMm: number,
    [a, angleA]: End,
    [b, angleB]: End,
    more: More = {},
  ): Part =>
    part({
      ...given(id, name, massG, usual),
      role,
      solids: [
        bar(
          [0, 0, 0],
          up,
          thickMm * 3,
          Math.max(22, Math.sqrt((massG * 1000) / (0.9 * Math.PI * thickMm * 3))),
          'plain',
        ),
      ],
      cable: {
        a: { connector: a, angle: angleA ?? 'straight' },
        b: { connector: b, angle: angleB ?? 'straight' },
        lengthMm,
        thickMm,
        carries: [...carries],
        ...more,
      },
    })

const hdmi = lead('video-cable', ['picture', 'sound'], 4)
const thinHdmi = lead('video-cable', ['picture', 'sound'], 3)
const sdi = lead('video-cable', ['picture', 'sound'], 4.5)
const audio = lead('audio-cable', ['sound'], 2.8)
const xlr = lead('audio-cable', ['sound'], 6)
const power = lead('power-cable', ['power'], 3.4)
const usb = lead('data-cable', ['data', 'power'], 4)
const time = lead('audio-cable', ['timecode'], 2.8)
const trigger = lead('data-cable', ['trigger'], 2.4)

const range = (min: number, max: number): Volts => ({ min, max })
const to = (min: number, max: number, watts: number): More => ({ converts: { volts: range(min, max), watts } })
const HDMI: End = ['hdmi-a']
const DTAP: End = ['d-tap']

/** Leads for pictures, sound, power, data, timecode and the trigger. */
export const cables: readonly Part[] = [
  hdmi('papyr-hdmi-150', 'Papyr HDMI lead, 15 cm', 24, 14, 150, HDMI, HDMI, { upTo: 'uhd60' }),
  hdmi('papyr-hdmi-300', 'Papyr HDMI lead, 30 cm', 32, 14, 300, HDMI, HDMI, { upTo: 'uhd60' }),
  hdmi('papyr-hdmi-500', 'Papyr HDMI lead, 50 cm', 44, 16, 500, HDMI, HDMI, { upTo: 'uhd60' }),
  hdmi('bulrush-hdmi-1000', 'Bulrush HDMI lead, 1 m', 86, 9, 1000, HDMI, HDMI, { upTo: 'uhd30' }),
  hdmi('bulrush-hdmi-2000', 'Bulrush HDMI lead, 2 m', 168, 12, 2000, HDMI, HDMI, { upTo: 'uhd30' }),
  thinHdmi('papyr-hdmi-up-300', 'Papyr thin HDMI lead, 30 cm, angled up', 21, 22, 300, ['hdmi-a', 'up'], HDMI, {
    upTo: 'uhd60',
  }),
  thinHdmi('papyr-hdmi-down-300', 'Papyr thin HDMI lead, 30 cm, angled down', 21, 22, 300, ['hdmi-a', 'down'], HDMI, {
    upTo: 'uhd60',
  }),
  thinHdmi(
    'papyr-hdmi-up-450',
    'Papyr thin HDMI lead, 45 cm, angled up both ends',
    27,
    26,
    450,
    ['hdmi-a', 'up'],
    ['hdmi-a', 'up'],
    {
      upTo: 'uhd60',
    },
  ),
  thinHdmi(
    'reedsmith-hdmi-swivel',
    'Reedsmith thin HDMI lead, 35 cm, swivel ends',
    26,
    34,
    350,
    ['hdmi-a', 'swivel'],
    ['hdmi-a', 'swivel'],
    {
      upTo: 'raw',
    },
  ),
  thinHdmi('reedsmith-hdmi-coil', 'Reedsmith spring HDMI lead, 25 cm', 48, 36, 250, HDMI, HDMI, {
    coil: true,
    upTo: 'uhd60',
  }),
  thinHdmi('papyr-hdmi-d-300', 'Papyr micro HDMI to HDMI lead, 30 cm', 22, 18, 300, ['hdmi-d'], HDMI, {
    upTo: 'uhd30',
  }),
  thinHdmi('papyr-hdmi-d-down', 'Papyr micro HDMI to HDMI lead, 40 cm, angled', 24, 22, 400, ['hdmi-d', 'down'], HDMI, {
    upTo: 'uhd30',
  }),
  thinHdmi('bulrush-hdmi-d-600', 'Bulrush micro HDMI to HDMI lead, 60 cm', 34, 12, 600, ['hdmi-d'], HDMI, {
    upTo: 'uhd30',
  }),
  sdi('papyr-sdi-300', 'Papyr SDI lead, 30 cm', 34, 18, 300, ['sdi'], ['sdi']),
  sdi('papyr-sdi-600', 'Papyr SDI lead, 60 cm, one end angled', 52, 22, 600, ['sdi', 'up'], ['sdi']),

  audio('luffa-trs-150', 'Luffa TRS lead, 15 cm', 8, 7, 150, ['3.5-trs'], ['3.5-trs']),
  audio('luffa-trs-300', 'Luffa TRS lead, 30 cm', 12, 8, 300, ['3.5-trs'], ['3.5-trs']),
  audio('luffa-trs-angled', 'Luffa TRS lead, 30 cm, angled ends', 13, 11, 300, ['3.5-trs', 'up'], ['3.5-trs', 'up']),
  audio('luffa-trs-coil', 'Luffa spring TRS lead, 20 cm', 22, 12, 200, ['3.5-trs'], ['3.5-trs', 'up'], { coil: true }),
  audio('rushlight-trrs', 'Rushlight TRRS to TRS lead, 25 cm', 11, 12, 250, ['3.5-trrs'], ['3.5-trs']),
  audio('luffa-trs-600', 'Luffa TRS lead, 60 cm', 18, 9, 600, ['3.5-trs'], ['3.5-trs']),
  xlr('delicata-xlr-500', 'Delicata XLR lead, 50 cm', 86, 16, 500, ['xlr-3'], ['xlr-3']),
  xlr('delicata-xlr-300', 'Delicata XLR lead, 30 cm, angled', 72, 18, 300, ['xlr-3', 'up'], ['xlr-3']),
  xlr('delicata-xlr-mini', 'Delicata XLR to mini XLR lead, 40 cm', 68, 19, 400, ['xlr-3'], ['xlr-mini']),
  xlr('delicata-xlr-mini-300', 'Delicata mini XLR lead, 30 cm', 40, 17, 300, ['xlr-mini'], ['xlr-mini']),
  audio('delicata-mini-trs', 'Delicata mini XLR to TRS lead, 40 cm', 34, 18, 400, ['xlr-mini'], ['3.5-trs']),

  time('papyr-tc-trs-300', 'Papyr timecode lead to mic jack, 30 cm', 14, 19, 300, ['timecode-3.5'], ['3.5-trs']),
  time('papyr-tc-coil', 'Papyr spring timecode lead to mic jack', 24, 26, 180, ['timecode-3.5'], ['3.5-trs', 'up'], {
    coil: true,
  }),
  trigger('cushaw-trigger-usb', 'Cushaw trigger lead to USB-C, 30 cm', 12, 24, 300, ['trigger-2.5'], ['usb-c']),
  trigger(
    'cushaw-trigger-usb-up',
    'Cushaw trigger lead to USB-C, 40 cm, angled',
    14,
    27,
    400,
    ['trigger-2.5'],
    ['usb-c', 'up'],
  ),

  power('gourdwell-tap-dc-400', 'Gourdwell D-tap to DC lead, 40 cm', 38, 15, 400, DTAP, ['dc-5.5x2.1']),
  power('gourdwell-tap-dc-angled', 'Gourdwell D-tap to angled DC lead, 60 cm', 44, 17, 600, DTAP, ['dc-5.5x2.1', 'up']),
  power('typha-tap-dummy', 'Typha D-tap to dummy lead, straight through', 42, 12, 450, DTAP, ['dummy']),
  power(
    'gourdwell-tap-dummy-8',
    'Gourdwell D-tap to dummy lead, 7.6 V regulator',
    74,
    39,
    450,
    DTAP,
    ['dummy', 'down'],
    to(7.4, 7.8, 30),
  ),
  power('typha-dc-dummy', 'Typha 8 V DC to dummy lead', 34, 14, 400, ['dc-5.5x2.5'], ['dummy', 'down']),
  power('typha-dc-25-21', 'Typha DC lead, 2.5 to 2.1 mm, 40 cm', 30, 9, 400, ['dc-5.5x2.5'], ['dc-5.5x2.1']),
  power('luffa-dc-300', 'Luffa DC lead, 30 cm', 24, 8, 300, ['dc-5.5x2.1'], ['dc-5.5x2.1']),
  power('luffa-dc-500', 'Luffa DC lead, 50 cm, angled', 31, 9, 500, ['dc-5.5x2.1', 'up'], ['dc-5.5x2.1']),
  power('gourdwell-tap-usb', 'Gourdwell D-tap to USB-C lead, 27 W', 58, 29, 500, DTAP, ['usb-c', 'up'], to(5, 9, 27)),
  power('gourdwell-tap-5v', 'Gourdwell D-tap to 5 V USB-C lead', 46, 19, 500, DTAP, ['usb-c'], to(4.9, 5.2, 12)),
  power('gourdwell-tap-pp', 'Gourdwell D-tap to push-pull lead, 50 cm', 62, 34, 500, DTAP, ['pp-2']),
  power('gourdwell-pp-pp', 'Gourdwell push-pull lead, 40 cm', 66, 38, 400, ['pp-2'], ['pp-2']),
  power(
    'typha-dc-usb',
    'Typha DC to 5 V USB-C lead, 40 cm',
    36,
    15,
    400,
    ['dc-5.5x2.1'],
    ['usb-c', 'up'],
    to(4.9, 5.2, 15),
  ),
  power(
    'typha-usb-dc-12',
    'Typha USB-C to 12 V DC lead, 40 cm',
    38,
    18,
    400,
    ['usb-c'],
    ['dc-5.5x2.1'],
    to(11.8, 12.2, 30),
  ),
  power(
    'typha-usb-dummy',
    'Typha USB-C to dummy lead, 7.6 V',
    44,
    24,
    450,
    ['usb-c'],
    ['dummy', 'down'],
    to(7.4, 7.8, 24),
  ),
  usb('papyr-usb-200', 'Papyr USB-C lead, 20 cm', 18, 12, 200, ['usb-c'], ['usb-c']),
  usb('papyr-usb-300', 'Papyr USB-C lead, 30 cm, angled', 22, 15, 300, ['usb-c', 'up'], ['usb-c', 'up']),
  usb('papyr-usb-500', 'Papyr USB-C lead, 50 cm, one end angled', 30, 17, 500, ['usb-c', 'up'], ['usb-c']),
  usb('bulrush-usb-1000', 'Bulrush USB-C lead, 1 m', 48, 9, 1000, ['usb-c'], ['usb-c']),
]

/** A plug with a socket behind it: it stays in the camera and takes the wear, or turns the plug along the body. */
const saver = (
  id: string,
  name: string,
  massG: number,
  usual: number,
  connector: ConnectorId,
  angle: PlugAngle,
  longMm: number,
  upTo?: Coupler['upTo'],
): Part =>
  part({
    ...given(id, name, massG, usual),
    role: 'coupler',
    solids: [
      block([-8, 0, -longMm / 2], [8, 11, longMm / 2], 'plain', 2),
      block([-6, 2, -longMm / 2 - 9], [6, 9, -longMm / 2], 'metal', 1),
    ],
    coupler: { connector, angle, longMm, ...(upTo ? { upTo } : {}) },
  })

export const savers = [
  saver('papyr-saver-hdmi-d', 'Papyr port saver, HDMI D', 9, 9, 'hdmi-d', 'straight', 32, 'uhd30'),
  saver('papyr-saver-hdmi-c', 'Papyr port saver, HDMI C', 10, 9, 'hdmi-c', 'straight', 33, 'uhd30'),
  saver('papyr-saver-hdmi-a', 'Papyr port saver, HDMI A', 12, 11, 'hdmi-a', 'straight', 36),
  saver('reedsmith-hdmi-a-down', 'Reedsmith angled coupler, HDMI A, down', 11, 10, 'hdmi-a', 'down', 22),
  saver('reedsmith-hdmi-a-left', 'Reedsmith angled coupler, HDMI A, left', 11, 10, 'hdmi-a', 'left', 22),
  saver('reedsmith-hdmi-a-swivel', 'Reedsmith swivel coupler, HDMI A', 14, 16, 'hdmi-a', 'swivel', 26, 'uhd60'),
  saver('typha-usb-c-saver', 'Typha port saver, USB-C', 7, 8, 'usb-c', 'straight', 28),
  saver('typha-usb-c-up', 'Typha angled coupler, USB-C, up', 7, 9, 'usb-c', 'up', 18),
]
