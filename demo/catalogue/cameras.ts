import { camera, type CameraFacts } from '../shapes/index.ts'

/** Three bodies that lack different things. Figures are invented and plausible. */
export const bodies = {
  calabash: {
    id: 'calabash-h1', name: 'Calabash H1 hybrid body', maker: 'Calabash', massG: 658, family: 'calabash-h1',
    wideMm: 131, downMm: 42, upMm: 36, humpMm: 55, frontMm: 12, backMm: 34, lensFamily: 'tendril', flangeMm: 18, grip: true, screen: 'flip',
    provides: ['screen', 'headphones', 'stabiliser'], price: [1650, 1890, 2100],
    facts: { sensor: 'full frame, 36 x 24 mm', 'internal pack': '72 min', XLR: false, ND: false, 'headphone jack': true, 'flip screen': true, 'USB-C power': true },
  },
  kabocha: {
    id: 'kabocha-s', name: 'Kabocha S compact cinema body', maker: 'Kabocha', massG: 716, family: 'kabocha-s',
    wideMm: 128, downMm: 40, upMm: 38, humpMm: 38, frontMm: 12, backMm: 42, lensFamily: 'tendril', flangeMm: 18, grip: true, screen: 'flip',
    provides: ['screen', 'headphones', 'nd', 'stabiliser'], price: [3400, 3790, 4100],
    facts: { sensor: 'full frame, 36 x 24 mm', 'internal pack': '95 min', XLR: false, ND: true, 'headphone jack': true, 'flip screen': true, 'USB-C power': true },
  },
  chayote: {
    id: 'chayote-m', name: 'Chayote M small-sensor body', maker: 'Chayote', massG: 448, family: 'chayote-m',
    wideMm: 119, downMm: 36, upMm: 32, humpMm: 32, frontMm: 11, backMm: 28, lensFamily: 'tendril', flangeMm: 18, grip: true, screen: 'tilt',
    provides: ['stabiliser'], price: [780, 890, 980],
    facts: { sensor: 'APS-C, 23.5 x 15.6 mm', 'internal pack': '48 min', XLR: false, ND: false, 'headphone jack': false, 'flip screen': false, 'USB-C power': true },
  },
} as const satisfies Record<string, CameraFacts>

export const cameras = [camera(bodies.calabash), camera(bodies.kabocha), camera(bodies.chayote)]
