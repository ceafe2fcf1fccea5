import type { Mount, Part, Solid } from '@zucchini/core/catalogue'
import {
  ahead,
  back,
  bar,
  block,
  device,
  down,
  holds,
  mountArm,
  part,
  plate,
  rodClamp,
  sideHandle,
  sits,
  slot,
  soft,
  up,
} from '../shapes/index.ts'
import { around, given, maker } from './given.ts'

/** A post with a foot below and a hole above. */
const post = (id: string, massG: number, usual: number, name: string, heightMm: number, radius: number) =>
  part({
    ...given(id, name, massG, usual),
    role: 'adapter',
    solids: [bar([0, 0, 0], up, heightMm, radius, 'metal')],
    mounts: [
      sits('below', 'thread-1/4', [0, 0, 0], down),
      holds('above', 'thread-1/4', [0, heightMm, 0], up, { label: `${name}, top` }),
    ],
  })

/** A block with a lip between a base plate and the camera over it; under it there are two holes. */
const riser = (id: string, massG: number, usual: number, name: string, heightMm: number): Part => {
  const block = plate({
    ...given(id, name, massG, usual),
    role: 'riser',
    size: [38, heightMm, 44],
    screws: 2,
    foot: 'thread-1/4',
    slideMm: 0,
  })
  const label = { label: `${name}, below, second hole` }
  return {
    ...block,
    mounts: [
      ...block.mounts.map((mount): Mount => (mount.side === 'sits' ? { ...mount, antiTwist: true } : mount)),
      holds('second', 'thread-1/4', [0, -heightMm, -14], down, label),
    ],
  }
}

/** Something with a foot that offers cold shoes. */
const shoes = (
  id: string,
  massG: number,
  usual: number,
  name: string,
  foot: 'shoe-cold' | 'thread-1/4' | 'nato',
  solids: readonly Solid[],
  places: readonly (readonly [id: string, x: number, y: number])[],
) =>
  part({
    ...given(id, name, massG, usual),
    role: 'adapter',
    solids: [...solids],
    mounts: [
      sits('foot', foot, [0, 0, 0], down, foot === 'nato' ? { lengthMm: 22 } : {}),
      ...places.map(([shoe, x, y]) =>
        holds(shoe, 'shoe-cold', [x, y, 0], up, { label: `${name}, ${shoe}`, limitG: 400 }),
      ),
    ],
  })

/** A plate with a low lip behind, against which what lies on it can't turn. */
const plateWithLip = (): Part => {
  const plain = plate({
    ...given('typha-plate-lip-38', 'Typha 38 mm plate with a lip', 62, 24),
    role: 'plate',
    size: [38, 10, 50],
    screws: 1,
    foot: 'dovetail-38',
    slideMm: 8,
  })
  const withLip = (mount: Mount): Mount => (mount.side === 'sits' ? { ...mount, antiTwist: true } : mount)
  return { ...plain, mounts: plain.mounts.map(withLip) }
}

/** What goes between two parts, holds a third, or hears for the operator: what ways out are made of. */
export const between: readonly Part[] = [
  rodClamp({
    ...given('pattypan-support-telescopic', 'Pattypan telescopic lens support', 132, 64),
    role: 'lens-support',
    tallMm: 20,
    thickMm: 16,
    top: 'none',
    cradleMm: [20, 78],
  }),
  shoes(
    'typha-shoe-riser-30',
    28,
    12,
    'Typha shoe riser, 30 mm',
    'shoe-cold',
    [bar([0, 0, 0], up, 30, 8, 'metal'), block([-11, 30, -11], [11, 34, 11], 'metal', 1)],
    [['shoe', 0, 34]],
  ),
  shoes(
    'typha-shoe-riser-60',
    36,
    14,
    'Typha shoe riser, 60 mm',
    'shoe-cold',
    [bar([0, 0, 0], up, 60, 8, 'metal'), block([-11, 60, -11], [11, 64, 11], 'metal', 1)],
    [['shoe', 0, 64]],
  ),
  shoes(
    'typha-shoe-aside',
    38,
    16,
    'Typha shoe extender, 40 mm to the left',
    'shoe-cold',
    [block([-11, 0, -11], [11, 8, 11], 'metal', 1), block([-51, 3, -9], [-11, 8, 9], 'metal', 1)],
    [
      ['above', 0, 8],
      ['aside', -40, 8],
    ],
  ),
  shoes(
    'bulrush-14-shoe',
    14,
    8,
    'Bulrush cold shoe on a 1/4" screw',
    'thread-1/4',
    [block([-11, 0, -11], [11, 7, 11], 'metal', 1)],
    [['shoe', 0, 7]],
  ),
  shoes(
    'reedsmith-nato-shoe',
    32,
    19,
    'Reedsmith NATO clamp with cold shoe',
    'nato',
    [block([-14, 0, -11], [14, 12, 11], 'metal', 2)],
    [['shoe', 0, 12]],
  ),
  part({
    ...given('typha-pad-stick', 'Typha adhesive pad, hook-and-loop', 4, 4),
    role: 'adapter',
    solids: [soft(block([-14, 0, -9], [14, 3, 9], 'foam', 1))],
    mounts: [
      sits('back', 'face', [0, 0, 0], down, { faceMm: [28, 18] }),
      holds('loops', 'pad', [0, 3, 0], up, { label: 'adhesive pad, loops' }),
    ],
  }),
  part({
    ...given('typha-pad-14', 'Typha adhesive disc with 1/4" hole', 18, 9),
    role: 'adapter',
    solids: [bar([0, 0, 0], up, 8, 13, 'metal')],
    mounts: [
      sits('back', 'face', [0, 0, 0], down, { faceMm: [26, 26] }),
      holds('above', 'thread-1/4', [0, 8, 0], up, { label: 'adhesive disc, 1/4"', limitG: 150 }),
    ],
  }),
  plateWithLip(),
  part({
    ...given('sedgewick-rod-cross', 'Sedgewick cross-clamp for two 15 mm rods', 58, 26),
    role: 'rod-clamp',
    solids: [block([-13, -13, -13], [13, 13, 13], 'metal', 3)],
    mounts: [
      holds('rod', 'rod-15', [0, -13, 0], down),
      holds('across', 'rod-15', [0, 13, 0], up, { label: 'cross-clamp, second rod' }),
    ],
  }),
  part({
    ...given('pattypan-brace', 'Pattypan telescopic brace, two 1/4" screws', 66, 34),
    role: 'adapter',
    solids: [bar([0, 4, 0], up, 82, 6, 'metal'), bar([0, 0, 0], up, 4, 9, 'knob'), bar([0, 86, 0], up, 4, 9, 'knob')],
    mounts: [
      sits('below', 'thread-1/4', [0, 0, 0], down),
      sits('above', 'thread-1/4', [0, 90, 0], up, { travel: slot(up, 30) }),
    ],
  }),
  mountArm({
    id: 'crookneck-hinge-14',
    role: 'monitor-mount',
    name: 'Crookneck hinged tilt, 1/4" screw',
    maker: 'Crookneck',
    massG: 38,
    price: [17, 22, 26],
    foot: 'thread-1/4',
    tallMm: 28,
    aheadMm: 0,
    leanDeg: 15,
    limitG: 800,
  }),
  mountArm({
    id: 'tromba-ball-nato',
    role: 'monitor-mount',
    name: 'Tromba ball mount, NATO clamp',
    maker: 'Tromba',
    massG: 66,
    price: [24, 29, 35],
    foot: 'nato',
    tallMm: 44,
    aheadMm: 0,
    leanDeg: 0,
    limitG: 900,
    turns: true,
  }),
  post('typha-extender-15', 14, 5, 'Typha extender, 15 mm, 1/4"', 15, 7),
  post('typha-extender-50', 42, 8, 'Typha extender, 50 mm, 1/4"', 50, 7),
  riser('bulrush-riser-5', 19, 12, 'Bulrush riser, 5 mm', 5),
  riser('bulrush-riser-15', 54, 18, 'Bulrush riser, 15 mm', 15),
  riser('sedgewick-riser-30', 108, 27, 'Sedgewick riser, 30 mm', 30),
  part({
    ...given('typha-angle-14', 'Typha angle plate, 1/4"', 44, 15),
    role: 'adapter',
    solids: [block([-14, 0, -14], [14, 5, 14], 'metal', 1), block([-14, 5, 9], [14, 40, 14], 'metal', 1)],
    mounts: [
      sits('below', 'thread-1/4', [0, 0, 0], down),
      holds('ahead', 'thread-1/4', [0, 26, 9], ahead, { label: 'angle plate, ahead' }),
      holds('behind', 'thread-1/4', [0, 26, 14], back, { label: 'angle plate, behind' }),
    ],
  }),
  part({
    ...given('typha-cable-nato', 'Typha cable clip, NATO clamp', 22, 12),
    role: 'cable-clamp',
    solids: [block([-12, 0, -8], [12, 10, 8], 'metal', 2), bar([0, 10, 0], up, 8, 6, 'plain')],
    mounts: [sits('foot', 'nato', [0, 0, 0], down, { lengthMm: 16 })],
  }),
  sideHandle({
    id: 'reedsmith-side-run',
    name: 'Reedsmith side grip with record button, NATO clamp',
    maker: 'Reedsmith',
    massG: 176,
    foot: 'nato',
    tallMm: 118,
    price: around(99),
  }),
  part({
    ...given('typha-hand-strap', 'Typha hand strap, 1/4" screw', 38, 18),
    role: 'strap',
    solids: [bar([0, 0, 0], up, 4, 8, 'metal'), soft(block([-12, 4, -3], [12, 60, 3], 'foam', 2))],
    mounts: [sits('foot', 'thread-1/4', [0, 0, 0], down)],
  }),
  device({
    id: 'luffa-phones-amp',
    role: 'headphone-tap',
    name: 'Luffa headphone amplifier, two outlets',
    maker: maker('Luffa'),
    massG: 62,
    size: [48, 34, 22],
    foot: 'shoe-cold',
    price: around(59),
    provides: ['headphones'],
    face: 'detail',
  }),
  device({
    id: 'delicata-mixer-3',
    role: 'preamp',
    name: 'Delicata three-way mixer',
    maker: maker('Delicata'),
    massG: 214,
    size: [96, 36, 58],
    foot: 'thread-1/4',
    price: around(189),
    provides: ['xlr', 'headphones'],
  }),
]
