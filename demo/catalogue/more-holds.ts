import type { Part } from '@zucchini/core/catalogue'
import {
  ahead,
  bar,
  block,
  down,
  holds,
  left,
  mountArm,
  part,
  right,
  sideHandle,
  sits,
  slot,
  soft,
  topHandle,
  up,
} from '../shapes/index.ts'
import { given } from './given.ts'

export const moreHandles = [
  topHandle({
    ...given('cushaw-top-low', 'Cushaw low top handle, pinned 3/8"', 172, 69),
    foot: 'thread-3/8-pin',
    lengthMm: 118,
    clearMm: 37,
    slideMm: 14,
    frontShoe: true,
    frontRail: false,
    rearHole: true,
  }),
  topHandle({
    ...given('typha-top-nato', 'Typha top handle on a NATO clamp', 188, 39),
    foot: 'nato',
    lengthMm: 126,
    clearMm: 36,
    slideMm: 0,
    frontShoe: true,
    frontRail: true,
    rearHole: true,
  }),
  sideHandle({
    ...given('reedsmith-side-pin', 'Reedsmith side grip, pinned 1/4"', 148, 62),
    foot: 'thread-1/4-pin',
    tallMm: 116,
  }),
  sideHandle({
    ...given('marrow-side-nato', 'Marrow side grip with wrist strap, NATO clamp', 164, 54),
    foot: 'nato',
    tallMm: 120,
  }),
]

/** A loop or line on a small shoe foot or screw. */
const line = (
  id: string,
  role: 'strap' | 'tether',
  name: string,
  massG: number,
  usual: number,
  foot: 'thread-1/4' | 'nato',
) =>
  part({
    ...given(id, name, massG, usual),
    role,
    solids: [block([-9, 0, -9], [9, 7, 9], 'metal', 2), soft(block([-22, 7, -9], [22, 45, 9], 'foam', 4))],
    mounts: [sits('foot', foot, [0, 0, 0], down, foot === 'nato' ? { lengthMm: 18 } : {})],
    provides: role === 'tether' ? ['tether'] : [],
    notes: role === 'tether' ? 'Rated by its maker for what it catches; clip the far end to something that stays.' : '',
  })

export const straps = [
  line('typha-tether-14', 'tether', 'Typha safety tether, 1/4" screw', 38, 16, 'thread-1/4'),
  line('reedsmith-tether-nato', 'tether', 'Reedsmith safety tether, NATO clip', 44, 24, 'nato'),
  line('bulrush-wrist', 'strap', 'Bulrush wrist strap, 1/4" screw', 46, 14, 'thread-1/4'),
  line('cushaw-neck', 'strap', 'Cushaw neck strap, NATO clip', 92, 29, 'nato'),
]

const pad = (id: string, name: string, massG: number, usual: number, longMm: number, by: 'rods' | 'dovetail-38') =>
  part({
    ...given(id, name, massG, usual),
    role: 'shoulder-pad',
    solids: [
      block([-44, -8, -longMm / 2], [44, 0, longMm / 2], 'metal', 3),
      soft(block([-44, -30, -longMm / 2], [44, -8, longMm / 2], 'foam', 8)),
    ],
    mounts: [
      by === 'rods'
        ? holds('clamp', 'rod-15-pair', [0, 0, 0], up, { lengthMm: 40 })
        : sits('clamp', 'dovetail-38', [0, 0, -longMm / 2 + 24], up, { lengthMm: 40 }),
    ],
    grips: [{ kind: 'shoulder', at: [0, -30, 0] }],
  })

export const shoulderPads = [
  pad('gourdwell-pad-rods', 'Gourdwell shoulder pad on rods', 268, 79, 130, 'rods'),
  pad('bulrush-pad-38', 'Bulrush shoulder pad, 38 mm clamp', 224, 45, 170, 'dovetail-38'),
]

/** Two links between three joints that are set in steps; the tip carries a screw. */
const jointed = (
  id: string,
  name: string,
  massG: number,
  usual: number,
  linkMm: number,
  foot: 'thread-1/4-pin' | 'nato' | 'shoe-cold',
  limitG: number,
): Part => {
  const positions = [0, 30, 60, 90, -30, -60, -90].map((deg) => ({
    id: deg < 0 ? `back-${-deg}` : deg === 0 ? 'straight' : `ahead-${deg}`,
    label: deg === 0 ? 'straight' : `${Math.abs(deg)}° ${deg > 0 ? 'ahead' : 'back'}`,
    deg: -deg + 0,
  }))
  const elbow = 14 + linkMm
  const tip = elbow + linkMm
  return part({
    ...given(id, name, massG, usual),
    role: 'arm',
    solids: [
      block([-13, 0, -13], [13, 10, 13], 'metal', 2),
      bar([-9, 14, 0], right, 18, 8, 'knob'),
      block([-5, 14, -6], [5, elbow, 6], 'metal', 3),
      bar([-9, elbow, 0], right, 18, 9, 'knob'),
      block([-5, elbow, -6], [5, tip, 6], 'metal', 3),
      bar([0, tip, 0], up, 8, 8, 'knob'),
    ],
    mounts: [
      sits('foot', foot, [0, 0, 0], down, foot === 'nato' ? { lengthMm: 26 } : {}),
      sits('stud', 'thread-1/4', [0, tip + 8, 0], up, {
        limitG,
        antiTwist: true,
        carries: true,
        label: 'arm tip, 1/4" screw',
      }),
    ],
    hinges: [
      {
        id: 'low',
        label: 'lower joint',
        at: [0, 14, 0],
        axis: right,
        solids: [2, 3, 4, 5],
        mounts: ['stud'],
        positions,
      },
      { id: 'elbow', label: 'elbow', at: [0, elbow, 0], axis: right, solids: [4, 5], mounts: ['stud'], positions },
      { id: 'tip', label: 'tip joint', at: [0, tip, 0], axis: right, solids: [5], mounts: ['stud'], positions },
    ],
  })
}

export const moreArms = [
  jointed('pattypan-jointed-60', 'Pattypan jointed arm, two 60 mm links, NATO clamp', 168, 74, 60, 'nato', 900),
  jointed('tromba-jointed-45', 'Tromba jointed arm, two 45 mm links, pinned 1/4"', 122, 39, 45, 'thread-1/4-pin', 600),
  mountArm({
    ...given('pattypan-rod-mount', 'Pattypan tilt mount, pinned 1/4", low', 40, 29),
    role: 'monitor-mount',
    foot: 'thread-1/4-pin',
    tallMm: 20,
    aheadMm: 0,
    leanDeg: 30,
    limitG: 800,
  }),
  mountArm({
    ...given('reedsmith-swivel-nato', 'Reedsmith swivel mount, NATO clamp, low', 62, 49),
    role: 'monitor-mount',
    foot: 'nato',
    tallMm: 26,
    aheadMm: 0,
    leanDeg: 20,
    limitG: 1200,
    turns: true,
  }),
]

/** A holder that grips a round thing by friction, or a jaw on a table edge. */
export const jaws = [
  part({
    ...given('bulrush-jaw', 'Bulrush jaw clamp with 1/4" stud', 186, 22),
    role: 'adapter',
    solids: [block([-18, 0, -12], [18, 12, 12], 'metal', 2), block([-18, 12, -12], [-8, 60, 12], 'metal', 3)],
    mounts: [
      holds('hole', 'thread-1/4', [8, 12, 0], up, { label: 'jaw clamp, 1/4"' }),
      sits('foot', 'thread-3/8', [0, 0, 0], down),
    ],
  }),
  part({
    ...given('sedgewick-side-plate', 'Sedgewick upright plate for the cage side', 74, 34),
    role: 'plate',
    solids: [block([-10, -19, -30], [0, 19, 30], 'metal', 1)],
    mounts: [
      sits('screw', 'thread-1/4-pin', [0, 0, 0], right, { screwMm: 5 }),
      holds('foot', 'dovetail-38', [-10, 0, 0], left, {
        lengthMm: 60,
        travel: slot(ahead, 12),
        label: 'side plate, 38 mm dovetail',
      }),
    ],
    provides: ['quick-plate'],
  }),
  part({
    ...given('reedsmith-l-plate', 'Reedsmith upright plate with two dovetails', 168, 72),
    role: 'plate',
    solids: [block([-40, -12, -30], [40, 0, 30], 'metal', 1), block([-52, -12, -30], [-40, 78, 30], 'metal', 1)],
    mounts: [
      sits('screw', 'thread-1/4', [0, 0, 0], up, { screws: 2, travel: slot(ahead, 12) }),
      holds('foot', 'dovetail-38', [0, -12, 0], down, {
        lengthMm: 60,
        travel: slot(ahead, 12),
        label: 'level dovetail',
      }),
      holds('side', 'dovetail-38', [-52, 40, 0], left, {
        lengthMm: 60,
        travel: slot(ahead, 12),
        label: 'upright dovetail',
      }),
    ],
    provides: ['quick-plate'],
  }),
  part({
    ...given('reedsmith-top-click', 'Reedsmith click-in top handle', 158, 64),
    role: 'top-handle',
    solids: [
      block([-11, 0, -16], [11, 6, 16], 'metal', 2),
      block([-8, 6, -12], [8, 36, 10], 'plain', 3),
      block([-11, 36, -82], [11, 60, 30], 'grip', 9),
    ],
    mounts: [
      sits('foot', 'nato', [0, 0, 0], down, { lengthMm: 32, slidesOn: true }),
      holds('shoe', 'shoe-cold', [0, 60, -68], up, { label: 'handle top, cold shoe', limitG: 400 }),
    ],
    grips: [{ kind: 'top', at: [0, 46, -26], axis: ahead }],
    provides: ['top-handle'],
    needsOneOf: ['bulrush-rail-70'],
    notes: 'Slides on to its own 70 mm rail only.',
  }),
]
