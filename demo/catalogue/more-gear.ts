import type { Capability, Part } from '@zucchini/core/catalogue'
import {
  ahead,
  back,
  bar,
  block,
  device,
  down,
  holds,
  mic,
  monitor,
  part,
  plate,
  right,
  ring,
  rodBase,
  sits,
  soft,
  up,
} from '../shapes/index.ts'
import { given } from './given.ts'

const screen = (
  id: string,
  name: string,
  massG: number,
  usual: number,
  inches: number,
  nits: number,
  deepMm: number,
  provides: readonly Capability[],
) => monitor({ ...given(id, name, massG, usual), inches, nits, deepMm, provides })

export const moreMonitors = [
  screen('tromba-5-bright', 'Tromba 5 in monitor, 2,200 nit', 262, 329, 5, 2200, 24, ['screen', 'sun-view']),
  screen('crookneck-6', 'Crookneck 6 in touch monitor, 1,300 nit', 318, 349, 6, 1300, 23, ['screen', 'sun-view']),
  screen('delicata-7-bright', 'Delicata 7 in monitor, 2,500 nit', 590, 620, 7, 2500, 30, ['screen', 'sun-view']),
  {
    ...screen('delicata-5-recorder', 'Delicata 5 in recorder, 1,000 nit', 388, 499, 5, 1000, 32, [
      'screen',
      'sun-view',
      'headphones',
    ]),
    role: 'recorder' as const,
  },
  part({
    ...given('tromba-finder', 'Tromba electronic finder on a rod foot', 268, 560),
    role: 'finder',
    solids: [
      block([-9, 0, -9], [9, 6, 9], 'metal', 1),
      block([-22, 6, -60], [22, 50, 20], 'plain', 5),
      soft(bar([0, 28, 20], back, 26, 22, 'foam')),
    ],
    mounts: [sits('foot', 'thread-1/4', [0, 0, 0], down)],
    rooms: [
      {
        kind: 'view',
        shape: { kind: 'box', centre: [0, 28, 62], size: [40, 40, 30] },
        lost: 'the eye does not come to the finder',
      },
    ],
    provides: ['screen', 'sun-view'],
  }),
  part({
    ...given('bulrush-hood-7', 'Bulrush sun hood with its own frame', 96, 29),
    role: 'monitor-mount',
    solids: [block([-86, 0, 0], [86, 4, 60], 'plain', 1), block([-9, -6, 4], [9, 0, 22], 'metal', 1)],
    mounts: [sits('foot', 'thread-1/4', [0, -6, 13], down)],
    shade: 0.6,
  }),
]

export const moreSound = [
  mic({
    ...given('papyr-mini', 'Papyr pocket mic', 28, 35),
    tubeMm: 54,
    radiusMm: 8,
    foam: true,
    riseMm: 16,
    provides: ['scratch-sound'],
  }),
  mic({
    ...given('rushlight-digital', 'Rushlight digital shotgun with fur', 132, 249),
    tubeMm: 150,
    radiusMm: 11,
    foam: true,
    riseMm: 28,
    provides: ['scratch-sound', 'wind-cover'],
  }),
  device({
    ...given('rushlight-quad', 'Rushlight four-way receiver', 92, 349),
    role: 'receiver',
    size: [58, 62, 20],
    channels: 4,
    foot: 'shoe-cold',
    provides: ['wireless-sound', 'headphones'],
  }),
  device({
    ...given('delicata-preamp-4', 'Delicata four-channel preamp', 486, 429),
    role: 'preamp',
    size: [142, 54, 84],
    foot: 'thread-1/4',
    provides: ['xlr', 'headphones'],
  }),
  device({
    ...given('papyr-timecode', 'Papyr timecode box', 42, 189),
    role: 'timecode',
    size: [42, 42, 14],
    foot: 'shoe-cold',
    provides: [],
  }),
  device({
    ...given('luffa-timecode', 'Luffa timecode box, small', 24, 129),
    role: 'timecode',
    size: [34, 32, 12],
    foot: 'shoe-cold',
    provides: [],
  }),
  part({
    ...given('rushlight-fur-small', 'Rushlight fur for short mics', 22, 19),
    role: 'windscreen',
    solids: [block([-5, 0, -5], [5, 3, 5], 'detail', 1), soft(bar([0, 24, 40], ahead, 86, 21, 'foam'))],
    mounts: [sits('loop', 'pad', [0, 0, 0], down)],
    provides: ['wind-cover'],
  }),
]

export const morePlates = [
  plate({
    ...given('gourdwell-plate-38', 'Gourdwell 38 mm plate with pins', 66, 32),
    role: 'plate',
    size: [38, 11, 70],
    screws: 2,
    foot: 'dovetail-38',
    slideMm: 12,
  }),
  plate({
    ...given('bulrush-riser-10', 'Bulrush riser, 10 mm', 38, 12),
    role: 'riser',
    size: [34, 10, 40],
    screws: 2,
    foot: 'thread-1/4',
    slideMm: 0,
  }),
  plate({
    ...given('cushaw-riser-35', 'Cushaw riser, 35 mm', 118, 32),
    role: 'riser',
    size: [38, 35, 50],
    screws: 2,
    foot: 'thread-3/8',
    slideMm: 0,
  }),
  plate({
    ...given('typha-base-small', 'Typha small base plate', 62, 16),
    role: 'base-plate',
    size: [46, 8, 50],
    screws: 1,
    foot: 'thread-1/4',
    slideMm: 0,
  }),
  rodBase({ ...given('bulrush-rod-base-38', 'Bulrush rod base, 3/8" foot', 198, 52), dovetail: false }),
]

const screwTo = (
  id: string,
  name: string,
  massG: number,
  usual: number,
  below: string,
  above: string,
  heightMm: number,
  radius: number,
) =>
  part({
    ...given(id, name, massG, usual),
    role: 'adapter',
    solids: [bar([0, 0, 0], up, heightMm, radius, 'metal')],
    mounts: [
      sits('below', below, [0, 0, 0], down),
      holds('above', above, [0, heightMm, 0], up, { label: `${name}, top` }),
    ],
  })

export const moreSmall = [
  screwTo('typha-spigot', 'Typha spigot, 3/8" to pinned 1/4"', 38, 9, 'thread-3/8', 'thread-1/4-pin', 28, 8),
  screwTo('typha-extender-30', 'Typha extender, 30 mm, 1/4"', 26, 6, 'thread-1/4', 'thread-1/4', 30, 7),
  screwTo('bulrush-shoe-38', 'Bulrush shoe foot with 3/8" hole', 16, 8, 'shoe-cold', 'thread-3/8', 8, 10),
  screwTo(
    'reedsmith-rosette-bolt',
    'Reedsmith rosette on a pinned 1/4"',
    34,
    19,
    'thread-1/4-pin',
    'rosette-m6',
    12,
    16,
  ),
]

const cableClamp = (
  id: string,
  name: string,
  massG: number,
  usual: number,
  foot: 'thread-1/4' | 'shoe-cold' | 'pad',
): Part =>
  part({
    ...given(id, name, massG, usual),
    role: 'cable-clamp',
    solids: [block([-8, 0, -8], [8, 6, 8], 'metal', 1), block([-6, 6, -5], [6, 14, 5], 'plain', 2)],
    mounts: [sits('foot', foot, [0, 0, 0], down)],
  })

export const clamps = [
  cableClamp('reedsmith-cable-hdmi', 'Reedsmith HDMI lock clamp, 1/4"', 14, 16, 'thread-1/4'),
  cableClamp('typha-cable-14', 'Typha cable clip, 1/4"', 9, 5, 'thread-1/4'),
  cableClamp('typha-cable-shoe', 'Typha cable clip, shoe', 11, 6, 'shoe-cold'),
  cableClamp('typha-cable-pad', 'Typha cable clip, hook-and-loop', 5, 3, 'pad'),
]

const rail = (id: string, name: string, massG: number, usual: number, longMm: number, limitG: number) =>
  part({
    ...given(id, name, massG, usual),
    role: 'slider',
    solids: [
      block([-40, -50, -longMm / 2], [40, -20, longMm / 2], 'metal', 4),
      block([-34, -20, -40], [34, 0, 40], 'plain', 4),
    ],
    mounts: [
      sits('clamp', 'dovetail-38', [0, 0, 0], up, { lengthMm: 50, limitG }),
      sits('legs', 'thread-3/8', [0, -50, 0], down),
    ],
  })

export const moreStands = [
  rail('cushaw-slider-60', 'Cushaw slider, 60 cm', 2150, 329, 600, 6000),
  rail('bulrush-slider-40', 'Bulrush slider, 40 cm', 1380, 149, 400, 4000),
  part({
    ...given('marrow-gimbal-large', 'Marrow large gimbal', 1580, 620),
    role: 'gimbal',
    solids: [
      block([-28, -20, -70], [28, 0, 70], 'metal', 3),
      bar([0, -20, 34], down, 44, 30, 'plain'),
      bar([0, -64, 34], down, 210, 20, 'grip'),
    ],
    under: { kind: 'gimbal', at: [0, 70, 0], reachMm: [40, 50, 30] },
    mounts: [
      sits('clamp', 'dovetail-38', [0, 0, 0], up, {
        lengthMm: 60,
        limitG: 3600,
        fromG: 700,
        travel: { along: ahead, minMm: -45, maxMm: 45, stepMm: 1 },
      }),
    ],
    provides: ['stabiliser'],
    facts: { carries: '3600 g' },
  }),
  part({
    ...given('gourdwell-ball-head', 'Gourdwell ball head, 1/4" screw', 412, 79),
    role: 'head',
    solids: [bar([0, 0, 0], down, 14, 24, 'metal'), bar([0, -14, 0], down, 44, 26, 'plain')],
    mounts: [
      sits('screw', 'thread-1/4', [0, 0, 0], up, { limitG: 5000, momentNm: 3, screwMm: 5 }),
      sits('legs', 'thread-3/8', [0, -58, 0], down),
    ],
  }),
]

const bag = (id: string, name: string, massG: number, usual: number, [w, h, d]: readonly [number, number, number]) =>
  part({
    ...given(id, name, massG, usual),
    role: 'case',
    solids: [block([-w / 2, 0, -d / 2], [w / 2, h, d / 2], 'foam', 20)],
  })
const tool = (
  id: string,
  name: string,
  massG: number,
  usual: number,
  solids: Part['solids'],
  serves: readonly string[] = [],
) =>
  part({
    ...given(id, name, massG, usual),
    role: 'tool',
    solids,
    ...(serves.length > 0 ? { serves } : {}),
  })
/** A key bent at one end. */
const bentKey = (longMm: number, thickMm: number): Part['solids'] => [
  bar([-longMm / 2, 0, 0], right, longMm, thickMm / 2, 'metal'),
  bar([-longMm / 2 + thickMm / 2, 0, 0], ahead, 24, thickMm / 2, 'metal'),
]
/** A bar with a bubble in its middle. */
const level: Part['solids'] = [
  block([-20, -6, -6], [20, 4, 6], 'metal', 2),
  bar([-11, 3, 0], right, 22, 3, 'glass'),
  block([-2, 2, -3.2], [2, 6.4, 3.2], 'detail', 1),
]
const blower: Part['solids'] = [bar([-60, 0, 0], right, 66, 20, 'grip'), bar([6, 0, 0], right, 54, 3, 'plain')]
const tapeRoll: Part['solids'] = [ring(bar([0, -20, 0], up, 40, 25, 'grip'), 13)]
/** Two flanks, and what folds out between them. */
const multitool: Part['solids'] = [
  block([-48, -9, -9], [48, 9, -4], 'metal', 5),
  block([-44, -7, -4], [44, 8.5, 4], 'detail', 2),
  block([-48, -9, 4], [48, 9, 9], 'metal', 5),
]

export const moreBag = [
  bag('gourdwell-backpack', 'Gourdwell backpack', 1780, 189, [330, 500, 200]),
  bag('bulrush-pouch', 'Bulrush belt pouch', 180, 24, [180, 140, 80]),
  bag('reedsmith-lens-wrap', 'Reedsmith lens wrap', 120, 19, [240, 160, 60]),
  bag('gourdwell-hard-case', 'Gourdwell hard case', 4200, 219, [480, 370, 190]),
  tool('reedsmith-hex-4', 'Reedsmith 4 mm hex key', 10, 4, bentKey(80, 4), ['4 mm key']),
  tool('reedsmith-hex-5', 'Reedsmith 5 mm hex key', 17, 4, bentKey(86, 5), ['5 mm key']),
  tool('typha-level', 'Typha spirit level', 12, 7, level),
  tool('papyr-blower', 'Papyr air blower', 48, 12, blower),
  tool('bulrush-tape', 'Bulrush cloth tape, small roll', 96, 6, tapeRoll),
  tool('typha-multi', 'Typha folding multitool', 142, 32, multitool, ['coin', '4 mm key', '5 mm key']),
]
