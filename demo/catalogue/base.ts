import type { Solid } from '@zucchini/core/catalogue'
import type { Vec3 } from '@zucchini/core/kernel'
import { ahead, back, bar, block, clampLever, down, holds, part, plate, sits, slot, up } from '../shapes/index.ts'

export const plates = [
  plate({
    id: 'reedsmith-plate-38',
    role: 'plate',
    name: 'Reedsmith 38 mm plate, two screws',
    maker: 'Reedsmith',
    massG: 58,
    size: [38, 10, 60],
    screws: 2,
    foot: 'dovetail-38',
    slideMm: 10,
    price: [22, 28, 34],
  }),
  plate({
    id: 'typha-plate-38',
    role: 'plate',
    name: 'Typha 38 mm plate, one screw',
    maker: 'Typha',
    massG: 44,
    size: [38, 10, 50],
    screws: 1,
    foot: 'dovetail-38',
    slideMm: 0,
    price: [10, 14, 18],
  }),
  plate({
    id: 'cushaw-plate-long',
    role: 'plate',
    name: 'Cushaw long 38 mm plate, two screws',
    maker: 'Cushaw',
    massG: 112,
    size: [38, 12, 120],
    screws: 2,
    foot: 'dovetail-38',
    slideMm: 18,
    price: [39, 46, 55],
  }),
  plate({
    id: 'sedgewick-riser-20',
    role: 'riser',
    name: 'Sedgewick riser, 20 mm',
    maker: 'Sedgewick',
    massG: 76,
    size: [38, 20, 44],
    screws: 2,
    foot: 'thread-1/4',
    slideMm: 0,
    price: [16, 21, 27],
  }),
  plate({
    id: 'bulrush-base',
    role: 'base-plate',
    name: 'Bulrush base plate',
    maker: 'Bulrush',
    massG: 94,
    size: [60, 9, 70],
    screws: 2,
    foot: 'thread-3/8',
    slideMm: 8,
    price: [24, 29, 36],
  }),
]

/** A head rated for so many grams with their centre 60 mm over the plate. N m */
const headNm = (limitG: number): number => Math.round(limitG * 0.0098 * 0.06 * 100) / 100

const clampHead = (
  id: string,
  name: string,
  maker: string,
  massG: number,
  limitG: number,
  price: readonly [number, number, number],
  radius: number,
) =>
  part({
    id,
    role: 'head',
    name,
    maker,
    massG,
    price,
    solids: [
      block([-30, -14, -34], [30, 0, 34], 'metal', 3),
      bar([0, -14, 0], down, 62, radius, 'plain'),
      bar([0, -52, 40], back, 160, 7, 'grip'),
      block([30, -12, -8], [38, -2, 24], 'knob', 2),
    ],
    rooms: [clampLever(54)],
    mounts: [
      sits('clamp', 'dovetail-38', [0, 0, 0], up, { lengthMm: 40, limitG, fromG: 600, momentNm: headNm(limitG) }),
      sits('legs', 'thread-3/8', [0, -76, 0], down),
    ],
    facts: { carries: `${limitG} g` },
  })

/** Three legs spread from a hub to feet on a circle, as they stand on the ground. */
const legs = (downMm: number, feetMm: number) =>
  [90, 210, 330].map((deg): Solid => {
    const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)]
    const way: Vec3 = [c * (feetMm - 26), -downMm, s * (feetMm - 26)]
    const length = Math.hypot(...way)
    return bar([c * 26, -35, s * 26], [way[0] / length, way[1] / length, way[2] / length], length, 13, 'plain')
  })

export const stands = [
  clampHead('gourdwell-head-4', 'Gourdwell fluid head, 4 kg', 'Gourdwell', 1180, 4000, [160, 189, 220], 38),
  clampHead('gourdwell-head-8', 'Gourdwell fluid head, 8 kg', 'Gourdwell', 1940, 8000, [320, 369, 420], 50),
  part({
    id: 'gourdwell-legs',
    role: 'tripod',
    name: 'Gourdwell travel tripod legs',
    maker: 'Gourdwell',
    massG: 1620,
    price: [140, 165, 190],
    solids: [bar([0, -5, 0], down, 30, 34, 'plain'), ...legs(640, 430), bar([0, 0, 0], down, 5, 30, 'metal')],
    under: { kind: 'legs', feetMm: 430 },
    mounts: [holds('top', 'thread-3/8', [0, 0, 0], up, { label: 'tripod top, 3/8"' })],
  }),
  part({
    id: 'marrow-gimbal',
    role: 'gimbal',
    name: 'Marrow small gimbal',
    maker: 'Marrow',
    massG: 1120,
    price: [330, 379, 430],
    solids: [
      block([-24, -18, -60], [24, 0, 60], 'metal', 3),
      bar([0, -18, 30], down, 40, 26, 'plain'),
      bar([0, -58, 30], down, 190, 19, 'grip'),
    ],
    mounts: [
      sits('clamp', 'dovetail-38', [0, 0, 0], up, { lengthMm: 50, limitG: 2000, fromG: 400, travel: slot(ahead, 30) }),
    ],
    under: { kind: 'gimbal', at: [0, 62, 0], reachMm: [30, 40, 18] },
    provides: ['stabiliser'],
    facts: { carries: '2000 g' },
  }),
]

const screwRise = (
  id: string,
  name: string,
  maker: string,
  massG: number,
  heightMm: number,
  radius: number,
  below: string,
  above: string,
  price: readonly [number, number, number],
) =>
  part({
    id,
    role: 'adapter',
    name,
    maker,
    massG,
    price,
    solids: [bar([0, 0, 0], up, heightMm, radius, 'metal')],
    mounts: [
      sits('below', below, [0, 0, 0], down),
      holds('above', above, [0, heightMm, 0], up, { label: `${name}, top` }),
    ],
  })

const stud = (
  id: string,
  name: string,
  maker: string,
  massG: number,
  below: string,
  above: string,
  heightMm: number,
  price: readonly [number, number, number],
) =>
  part({
    id,
    role: 'adapter',
    name,
    maker,
    massG,
    price,
    solids: [bar([0, 0, 0], up, heightMm, 8, 'knob')],
    mounts: [
      sits('below', below, [0, 0, 0], down),
      sits('above', above, [0, heightMm, 0], up, { label: `${name}, top` }),
    ],
  })

export const smallAdapters = [
  screwRise(
    'typha-riser-38',
    'Typha riser block, 1/4" to pinned 3/8"',
    'Typha',
    24,
    10,
    12,
    'thread-1/4-pin',
    'thread-3/8-pin',
    [8, 10, 13],
  ),
  screwRise(
    'typha-bushing-14',
    'Typha bushing, 3/8" down to 1/4"',
    'Typha',
    3,
    2,
    8,
    'thread-3/8',
    'thread-1/4',
    [1, 1.2, 2],
  ),
  screwRise(
    'bulrush-adapter-38',
    'Bulrush adapter, 1/4" to 3/8"',
    'Bulrush',
    9,
    4,
    10,
    'thread-1/4',
    'thread-3/8',
    [3, 4, 6],
  ),
  screwRise(
    'sedgewick-pin-14',
    'Sedgewick pinned 1/4" block on 3/8"',
    'Sedgewick',
    22,
    9,
    12,
    'thread-3/8-pin',
    'thread-1/4-pin',
    [9, 12, 15],
  ),
  screwRise(
    'bulrush-shoe-hole',
    'Bulrush shoe foot with 1/4" hole',
    'Bulrush',
    12,
    6,
    9.5,
    'shoe-cold',
    'thread-1/4',
    [4, 6, 8],
  ),
  stud('typha-shoe-stud', 'Typha shoe foot with 1/4" screw', 'Typha', 11, 'shoe-cold', 'thread-1/4', 7, [3, 5, 7]),
  stud('typha-stud-14', 'Typha double 1/4" stud', 'Typha', 6, 'thread-1/4', 'thread-1/4', 4, [2, 3, 4]),
  stud('bulrush-stud-38', 'Bulrush stud, 3/8" to 1/4"', 'Bulrush', 8, 'thread-3/8', 'thread-1/4', 5, [2, 3, 5]),
  part({
    id: 'reedsmith-nato-screw',
    role: 'adapter',
    name: 'Reedsmith NATO clamp with 1/4" screw',
    maker: 'Reedsmith',
    massG: 46,
    price: [19, 24, 29],
    solids: [block([-16, 0, -15], [16, 12, 15], 'metal', 2)],
    mounts: [
      sits('clamp', 'nato', [0, 0, 0], down, { lengthMm: 30 }),
      sits('screw', 'thread-1/4', [0, 12, 0], up, { carries: true, label: 'clamp top, 1/4" screw' }),
    ],
  }),
  part({
    id: 'sedgewick-cheese',
    role: 'adapter',
    name: 'Sedgewick cheese plate, 60 mm',
    maker: 'Sedgewick',
    massG: 52,
    price: [14, 18, 23],
    solids: [block([-30, 0, -19], [30, 6, 19], 'metal', 2)],
    mounts: [
      sits('screw', 'thread-1/4', [0, 0, 0], down, { screws: 2 }),
      holds('hole-left', 'thread-1/4', [-18, 6, 0], up, { label: 'cheese plate, left 1/4"' }),
      holds('hole-mid', 'thread-3/8', [0, 6, 0], up, { label: 'cheese plate, middle 3/8"' }),
      holds('hole-right', 'thread-1/4', [18, 6, 0], up, { label: 'cheese plate, right 1/4"' }),
    ],
  }),
]

export const bagThings = [
  part({
    id: 'reedsmith-keys',
    role: 'tool',
    name: 'Reedsmith folding hex keys',
    maker: 'Reedsmith',
    massG: 78,
    price: [12, 15, 19],
    solids: [
      block([-42, -8, -12], [42, 8, -7], 'metal', 3),
      block([-38, -6, -7], [40, 7, 7], 'detail', 1),
      block([-42, -8, 7], [42, 8, 12], 'metal', 3),
    ],
    serves: ['2 mm key', '2.5 mm key', '3 mm key', '4 mm key', '5 mm key', '6 mm key'],
  }),
  part({
    id: 'typha-coin-driver',
    role: 'tool',
    name: 'Typha coin driver on a ring',
    maker: 'Typha',
    massG: 14,
    price: [4, 6, 8],
    solids: [bar([0, 0, 0], up, 3, 14, 'metal')],
    serves: ['coin'],
  }),
  part({
    id: 'gourdwell-shoulder-bag',
    role: 'case',
    name: 'Gourdwell shoulder bag',
    maker: 'Gourdwell',
    massG: 1350,
    price: [85, 99, 119],
    solids: [block([-180, 0, -110], [180, 240, 110], 'foam', 20)],
  }),
  part({
    id: 'gourdwell-light-case',
    role: 'case',
    name: 'Gourdwell carry-on case',
    maker: 'Gourdwell',
    massG: 3100,
    price: [165, 189, 229],
    solids: [block([-270, 0, -110], [270, 360, 110], 'plain', 20)],
  }),
  part({
    id: 'luffa-card-128',
    role: 'card',
    name: 'Luffa 128 GB card',
    maker: 'Luffa',
    massG: 3,
    price: [38, 45, 55],
    solids: [block([-12, -16, -1], [12, 16, 1.1], 'plain', 1)],
  }),
]
