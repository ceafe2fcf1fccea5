import type { Look } from '@zucchini/core/catalogue'
import {
  ahead,
  back,
  bar,
  block,
  down,
  filter,
  flangesMm,
  holds,
  lens,
  type LensFacts,
  part,
  sits,
  stepRing,
} from '../shapes/index.ts'
import { around, maker } from './given.ts'

/** A lens of ordinary build: a mount, a barrel, one or two rings, a front. */
const of = (
  id: string,
  name: string,
  massG: number,
  usual: number,
  shape: { readonly long: number; readonly radius: number; readonly rings: 1 | 2 },
  facts: Omit<LensFacts, 'id' | 'name' | 'maker' | 'massG' | 'price' | 'sections'>,
) => {
  const { long, radius, rings } = shape
  const ring = (long - 22) * (rings === 2 ? 0.26 : 0.42)
  const rest = long - 22 - ring * rings
  const sections: [number, number, Look][] = [
    [6, Math.min(31, radius), 'metal'],
    [16, Math.min(radius - 2, 32.5), 'plain'],
    [ring, radius, 'ribs'],
    ...(rings === 2 ? ([[ring, radius, 'ribs']] as [number, number, Look][]) : []),
    [rest, radius + 0.5, 'plain'],
  ]
  return lens({ id, name, maker: maker(name), massG, price: around(usual), sections, ...facts })
}

export const moreLenses = [
  of(
    'calabash-35',
    'Calabash 35 mm f/1.8 prime',
    298,
    480,
    { long: 62, radius: 33, rings: 1 },
    {
      family: 'tendril',
      threadMm: 55,
      focal: [35, 35],
      stop: 1.8,
      provides: [],
      facts: { focal: '35 mm', autofocus: true },
    },
  ),
  of(
    'calabash-85',
    'Calabash 85 mm f/1.8 prime',
    371,
    560,
    { long: 82, radius: 39, rings: 1 },
    {
      family: 'tendril',
      threadMm: 67,
      focal: [85, 85],
      stop: 1.8,
      provides: [],
      facts: { focal: '85 mm', autofocus: true },
    },
  ),
  of(
    'kabocha-16-35',
    'Kabocha 16–35 mm f/4 zoom',
    353,
    990,
    { long: 88, radius: 40, rings: 2 },
    {
      family: 'tendril',
      threadMm: 72,
      focal: [16, 35],
      stop: 4,
      provides: ['wide-view'],
      facts: { focal: '16–35 mm', autofocus: true },
    },
  ),
  of(
    'kabocha-28-135',
    'Kabocha 28–135 mm f/4 video zoom',
    1215,
    1980,
    { long: 162, radius: 52, rings: 2 },
    {
      family: 'tendril',
      threadMm: 95,
      frontMm: 110,
      focal: [28, 135],
      stop: 4,
      footAtMm: 70,
      provides: ['wide-view'],
      facts: { focal: '28–135 mm', autofocus: true },
    },
  ),
  of(
    'chayote-11',
    'Chayote 11 mm f/2 small-sensor prime',
    178,
    420,
    { long: 54, radius: 32, rings: 1 },
    {
      family: 'tendril',
      threadMm: 58,
      focal: [11, 11],
      stop: 2,
      circleMm: 28.4,
      provides: ['wide-view'],
      facts: { focal: '11 mm', autofocus: true },
    },
  ),
  of(
    'pattypan-24-cine',
    'Pattypan 24 mm T1.5 cine prime',
    560,
    590,
    { long: 92, radius: 40, rings: 2 },
    {
      family: 'bud',
      threadMm: 77,
      frontMm: 80,
      focal: [24, 24],
      stop: 1.5,
      geared: true,
      provides: ['wide-view'],
      throwDeg: 270,
      facts: { focal: '24 mm', autofocus: false },
    },
  ),
  of(
    'pattypan-50-cine',
    'Pattypan 50 mm T1.5 cine prime',
    552,
    560,
    { long: 92, radius: 40, rings: 2 },
    {
      family: 'bud',
      threadMm: 77,
      frontMm: 80,
      focal: [50, 50],
      stop: 1.5,
      geared: true,
      provides: [],
      throwDeg: 270,
      facts: { focal: '50 mm', autofocus: false },
    },
  ),
  of(
    'cushaw-18-80',
    'Cushaw 18–80 mm T4.4 cine zoom',
    1240,
    3600,
    { long: 178, radius: 47, rings: 2 },
    {
      family: 'bine',
      threadMm: 77,
      frontMm: 95,
      focal: [18, 80],
      stop: 4.4,
      geared: true,
      circleMm: 31.5,
      provides: ['wide-view'],
      throwDeg: 300,
      facts: { focal: '18–80 mm', autofocus: false },
    },
  ),
  of(
    'cushaw-24-105',
    'Cushaw 24–105 mm f/4 zoom',
    700,
    980,
    { long: 108, radius: 42, rings: 2 },
    {
      family: 'bine',
      threadMm: 77,
      focal: [24, 105],
      stop: 4,
      provides: ['wide-view'],
      facts: { focal: '24–105 mm', autofocus: true },
    },
  ),
  of(
    'typha-28-vintage',
    'Typha 28 mm f/2.8 hand-me-down',
    214,
    90,
    { long: 48, radius: 31.5, rings: 2 },
    {
      family: 'pip',
      threadMm: 52,
      turnsFront: true,
      throwDeg: 190,
      focal: [28, 28],
      stop: 2.8,
      provides: ['wide-view'],
      facts: { focal: '28 mm', autofocus: false },
    },
  ),
  of(
    'typha-58-vintage',
    'Typha 58 mm f/2 hand-me-down',
    238,
    75,
    { long: 52, radius: 31.5, rings: 2 },
    {
      family: 'pip',
      threadMm: 49,
      turnsFront: true,
      throwDeg: 220,
      focal: [58, 58],
      stop: 2,
      provides: [],
      facts: { focal: '58 mm', autofocus: false },
    },
  ),
]

const adapter = (
  id: string,
  name: string,
  massG: number,
  usual: number,
  rear: string,
  front: string,
  thickMm: number,
  radius: number,
  notes: string,
  { contacts = false, footed = false } = {},
) =>
  part({
    id,
    role: 'lens-adapter',
    name,
    maker: maker(name),
    massG,
    price: around(usual),
    solids: [
      bar([0, 0, 0], ahead, thickMm, radius, 'metal'),
      ...(footed
        ? [block([-11, -radius - 10, -thickMm / 2 - 9], [11, -radius + 3, -thickMm / 2 + 9], 'metal', 2)]
        : []),
    ],
    mounts: [
      sits('rear', 'lens-mount', [0, 0, 0], back, { family: rear, flangeMm: flangesMm[rear] }),
      holds('front', 'lens-mount', [0, 0, -thickMm], ahead, {
        family: front,
        flangeMm: flangesMm[front],
        momentNm: 1,
        label: 'adapter front',
      }),
      ...(footed
        ? [holds('foot', 'thread-1/4', [0, -radius - 10, -thickMm / 2], down, { label: 'adapter foot, 1/4"' })]
        : []),
    ],
    optics: { kind: 'adapter', contacts },
    notes,
  })

export const moreLensAdapters = [
  adapter(
    'luffa-bine-tendril',
    'Luffa adapter with contacts, bine lens to tendril body',
    44,
    189,
    'tendril',
    'bine',
    2,
    32,
    'Contacts: focus and iris from the body.',
    { contacts: true },
  ),
  adapter(
    'typha-pip-tendril',
    'Typha adapter, pip lens to tendril body',
    96,
    24,
    'tendril',
    'pip',
    27.5,
    32,
    'No contacts: focus and iris by hand.',
  ),
  adapter(
    'typha-pip-bine',
    'Typha adapter, pip lens to bine body',
    92,
    26,
    'bine',
    'pip',
    25.5,
    32,
    'No contacts: focus and iris by hand.',
  ),
  adapter(
    'luffa-bud-bine',
    'Luffa adapter, bud lens to bine body',
    118,
    79,
    'bine',
    'bud',
    24,
    32,
    'No contacts: focus and iris by hand. Its foot takes a heavy lens.',
    { footed: true },
  ),
]

/** What each kind takes, in stops. */
const taken = {
  vnd: ['variable-nd', 1, 5],
  nd: ['nd', 6, 6],
  nd9: ['nd', 3, 3],
  cpl: ['polariser', 1.5, 1.5],
  mist: ['mist', 0.3, 0.3],
  uv: ['clear', 0, 0],
} as const

const screwIn = (kind: keyof typeof taken, threadMm: number, massG: number, usual: number) => {
  const [effect, minStops, maxStops] = taken[kind]
  const names = {
    vnd: 'variable ND, slim',
    nd: 'ND 1.8',
    nd9: 'ND 0.9',
    cpl: 'polariser',
    mist: '1/8 mist',
    uv: 'clear guard',
  } as const
  const makerName = kind === 'mist' ? 'Rushlight' : 'Phragma'
  return filter({
    id: `${makerName.toLowerCase()}-${kind}-${threadMm}${kind === 'vnd' ? '-slim' : ''}`,
    name: `${makerName} ${names[kind]}, ${threadMm} mm`,
    maker: makerName,
    massG,
    threadMm,
    thickMm: kind === 'vnd' ? 7 : kind === 'cpl' ? 6.5 : 4.5,
    price: around(usual),
    effect,
    stops: [minStops, maxStops],
    provides: effect === 'nd' || effect === 'variable-nd' ? ['nd'] : [],
    turns: kind === 'vnd' || kind === 'cpl',
  })
}

const ring = (fromMm: number, toMm: number, massG: number) =>
  stepRing({
    id: `phragma-step-${fromMm}-${toMm}`,
    name: `Phragma step ring ${fromMm} to ${toMm} mm`,
    maker: 'Phragma',
    massG,
    fromMm,
    toMm,
    price: around(9),
  })

export const moreFilters = [
  screwIn('vnd', 55, 34, 58),
  screwIn('vnd', 72, 52, 92),
  screwIn('nd', 67, 26, 39),
  screwIn('nd', 77, 31, 46),
  screwIn('nd', 82, 34, 49),
  screwIn('nd9', 67, 26, 34),
  screwIn('nd9', 82, 34, 44),
  screwIn('vnd', 82, 56, 104),
  screwIn('vnd', 67, 44, 79),
  screwIn('cpl', 67, 30, 48),
  screwIn('cpl', 82, 40, 64),
  screwIn('mist', 67, 24, 38),
  screwIn('mist', 77, 30, 44),
  screwIn('uv', 82, 26, 29),
  screwIn('nd', 95, 44, 69),
  screwIn('uv', 95, 32, 39),
  ring(49, 52, 8),
  ring(52, 55, 9),
  ring(55, 67, 14),
  ring(58, 67, 13),
  ring(67, 77, 16),
  ring(72, 77, 14),
  ring(72, 82, 18),
  ring(82, 95, 24),
]
