import {
  ahead,
  back,
  bar,
  block,
  down,
  dropIn,
  holds,
  matteBox,
  part,
  right,
  ring,
  rodClamp,
  sits,
  soft,
  up,
} from '../shapes/index.ts'
import { given } from './given.ts'

/** A geared wheel on a rod clamp, or a small motor. */
const focus = (id: string, name: string, massG: number, usual: number, by: 'rod-15-pair' | 'rod-15', motor: boolean) =>
  part({
    ...given(id, name, massG, usual),
    role: 'follow-focus',
    solids: [
      block([-14, 0, -12], [14, 30, 12], 'metal', 2),
      bar([14, motor ? 20 : 28, 0], right, motor ? 22 : 34, motor ? 17 : 26, 'knob'),
      bar([-20, 34, 0], right, 8, 14, 'ribs'),
    ],
    mounts: [
      holds('clamp', by, [0, 0, 0], down, { lengthMm: 24 }),
      sits('gear', 'gear-0.8', [-16, 48, 0], up, { carries: true, odMm: 28 }),
    ],
  })

/**
 * A printed ring clamped round a focus ring. Origin: on the lens, at the top of its ring; the ring itself gives way
 * where barrels taper.
 */
const gearRing = (id: string, massG: number, usual: number, minMm: number, maxMm: number) => {
  const name = `Typha gear ring for ${minMm} to ${maxMm} mm`
  const inside = (minMm + maxMm) / 4
  return part({
    ...given(id, name, massG, usual),
    role: 'gear-ring',
    solids: [
      block([-6, 0, -4.5], [6, 6, 4.5], 'ribs', 1),
      soft(ring(bar([0, -inside, 4.5], ahead, 9, inside + 6, 'ribs'), inside)),
    ],
    mounts: [
      sits('seat', 'lens-ring', [0, 0, 0], down, { closesOn: { minMm, maxMm } }),
      holds('gear', 'gear-0.8', [0, 6, 0], up, { label: `${name}, teeth` }),
    ],
  })
}

/** A round shade that screws into the front of a lens. Origin: the middle of its rear ring. */
const shade = (id: string, threadMm: number, longMm: number, massG: number, usual: number) => {
  const inside = threadMm / 2 + 5
  return part({
    ...given(id, `Phragma screw-in hood, ${threadMm} mm`, massG, usual),
    role: 'hood',
    solids: [
      ring(bar([0, 0, 0], ahead, 4, threadMm / 2 + 7, 'ribs'), threadMm / 2 - 2),
      ring(bar([0, 0, -4], ahead, longMm, inside + 2, 'plain'), inside),
    ],
    centre: [0, 0, -longMm / 2],
    opening: { at: [0, 0, -4 - longMm], clearMm: 2 * inside },
    mounts: [sits('rear', 'filter-thread', [0, 0, 0], back, { family: String(threadMm) })],
  })
}

const cap = (threadMm: number, massG: number) =>
  part({
    ...given(`papyr-cap-${threadMm}`, `Papyr front cap, ${threadMm} mm`, massG, 8),
    role: 'cap',
    solids: [bar([0, 0, 0], ahead, 6, threadMm / 2 + 1, 'plain')],
    mounts: [sits('rear', 'filter-thread', [0, 0, 0], back, { family: String(threadMm) })],
  })

export const frontGear = [
  matteBox({ ...given('phragma-matte-rods', 'Phragma matte box on rods', 412, 219), by: 'rods' }),
  matteBox({
    ...given('phragma-matte-110', 'Phragma clamp-on matte box, 110 mm', 288, 159),
    by: 'clamp-on',
    odMm: 110,
  }),
  focus('reedsmith-follow', 'Reedsmith follow focus on a pair of rods', 318, 189, 'rod-15-pair', false),
  focus('bulrush-follow', 'Bulrush follow focus on one rod', 214, 69, 'rod-15', false),
  focus('marrow-motor', 'Marrow focus motor on one rod', 168, 329, 'rod-15', true),
  gearRing('typha-gear-64', 22, 14, 60, 66),
  gearRing('typha-gear-70', 24, 14, 66, 72),
  gearRing('typha-gear-80', 27, 14, 76, 82),
  gearRing('typha-gear-86', 30, 16, 82, 90),
  gearRing('typha-gear-104', 36, 18, 98, 106),
  shade('phragma-hood-67', 67, 16, 28, 16),
  shade('phragma-hood-77', 77, 22, 34, 18),
  shade('phragma-hood-82', 82, 20, 36, 18),
  cap(67, 12),
  cap(82, 16),
  part({
    ...given('phragma-flag', 'Phragma top flag for matte boxes', 64, 29),
    role: 'hood',
    solids: [block([-10, 0, -12], [10, 6, 12], 'metal', 1), block([-76, 6, -92], [76, 8, -8], 'plain', 1)],
    mounts: [sits('foot', 'thread-1/4', [0, 0, 0], down)],
  }),
  dropIn({ ...given('phragma-nd-06-44', 'Phragma ND 0.6, 4x4', 104, 59), family: '4x4', effect: 'nd', stops: 2 }),
  dropIn({ ...given('phragma-nd-18-44', 'Phragma ND 1.8, 4x4', 104, 62), family: '4x4', effect: 'nd', stops: 6 }),
  dropIn({
    ...given('phragma-pol-565', 'Phragma drop-in polariser, 4 x 5.65 in', 146, 148),
    family: '4x5.65',
    effect: 'polariser',
    stops: 1.5,
  }),
  rodClamp({
    ...given('sedgewick-support-tall', 'Sedgewick tall lens support', 118, 46),
    role: 'lens-support',
    tallMm: 48,
    thickMm: 20,
    top: 'none',
    cradleMm: [36, 64],
  }),
  part({
    ...given('typha-rod-single', 'Typha single 15 mm rod, 150 mm, 1/4" end', 62, 14),
    role: 'rods',
    rod: { count: 1, acrossMm: 15, wallMm: 1.5, matter: 'aluminium' },
    solids: [bar([0, 0, 0], ahead, 150, 7.5, 'metal')],
    mounts: [
      sits('end', 'thread-1/4', [0, 0, 0], back),
      sits('above', 'rod-15', [0, 7.5, -75], up, {
        lengthMm: 150,
        travel: { along: ahead, minMm: -60, maxMm: 60, stepMm: 1 },
        carries: true,
        label: 'single rod',
      }),
    ],
  }),
  part({
    ...given('typha-rod-clamp-14', 'Typha single-rod clamp, 1/4" hole', 34, 11),
    role: 'rod-clamp',
    solids: [block([-13, -13, -10], [13, 13, 10], 'metal', 2)],
    mounts: [
      holds('clamp', 'rod-15', [0, -13, 0], down, { lengthMm: 20 }),
      holds('hole', 'thread-1/4', [0, 13, 0], up, { label: 'rod clamp, 1/4"' }),
    ],
  }),
  part({
    ...given('phragma-tray-44', 'Phragma 4x4 tray holder, clamp-on 95 mm', 146, 89),
    role: 'matte-box',
    solids: [
      block([-56, -56, -14], [56, -51, 0], 'plain', 2),
      block([-56, -51, -14], [-51, 56, 0], 'plain', 2),
      block([51, -51, -14], [56, 56, 0], 'plain', 2),
      ring(bar([0, 0, 0], back, 7, 54, 'ribs'), 47.5),
    ],
    centre: [0, 0, -4],
    opening: { at: [0, 2.5, -14], wideMm: 102, tallMm: 107 },
    // Its clamp closes on the lens where a hood would be.
    order: { offFirst: ['hood'] },
    mounts: [
      sits('ring', 'clamp-on', [0, 0, 7], back, { family: '95' }),
      holds('tray', 'tray', [0, -51, -7], up, { family: '4x4', label: 'tray, 4x4' }),
    ],
  }),
]
