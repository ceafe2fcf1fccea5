import { ahead, block, cage, down, holds, part, sits, slot, up } from '../shapes/index.ts'
import { bodies } from './cameras.ts'

const { calabash, kabocha, chayote } = bodies

/** Full and half cages for each body, and an L-bracket that goes under anything. */
export const cages = [
  cage(calabash, { id: 'reedsmith-full-h1', name: 'Reedsmith full cage for H1', maker: 'Reedsmith', massG: 246, price: [95, 119, 135], kind: 'full', pinned38: true, leftRail: true, rightRail: true, dovetail: true, lip: true }),
  cage(calabash, { id: 'sedgewick-half-h1', name: 'Sedgewick half cage for H1', maker: 'Sedgewick', massG: 168, price: [69, 79, 89], kind: 'half', pinned38: false, leftRail: true, rightRail: false, dovetail: false, lip: true }),
  cage(calabash, { id: 'bulrush-basic-h1', name: 'Bulrush basic cage for H1', maker: 'Bulrush', massG: 212, price: [39, 49, 59], kind: 'full', pinned38: false, leftRail: false, rightRail: false, dovetail: false, lip: false }),
  cage(kabocha, { id: 'reedsmith-full-ks', name: 'Reedsmith full cage for Kabocha S', maker: 'Reedsmith', massG: 262, price: [110, 129, 145], kind: 'full', pinned38: true, leftRail: true, rightRail: true, dovetail: true, lip: true }),
  cage(chayote, { id: 'sedgewick-half-m', name: 'Sedgewick half cage for Chayote M', maker: 'Sedgewick', massG: 139, price: [55, 65, 75], kind: 'half', pinned38: false, leftRail: true, rightRail: false, dovetail: false, lip: true }),
  part({
    id: 'typha-l-bracket', role: 'cage', name: 'Typha generic L-bracket', maker: 'Typha', massG: 118, price: [19, 25, 32],
    solids: [block([-74, -6, -18], [46, 0, 18], 'metal', 2), block([-80, -6, -16], [-74, 82, 16], 'metal', 2)],
    mounts: [
      sits('screw', 'thread-1/4', [0, 0, 0], up, { travel: slot([1, 0, 0], 12), tool: 'coin' }),
      holds('side-high', 'thread-1/4', [-80, 64, 0], [-1, 0, 0], { label: 'bracket side, high, 1/4"' }),
      holds('side-low', 'thread-1/4', [-80, 24, 0], [-1, 0, 0], { label: 'bracket side, low, 1/4"' }),
      holds('shoe', 'shoe-cold', [-77, 82, 0], up, { label: 'bracket top, cold shoe' }),
      holds('base', 'thread-1/4', [0, -6, 0], down, { label: 'bracket base, 1/4"' }),
    ],
    notes: 'Goes under any body on its one tripod screw.',
  }),
  part({
    id: 'bulrush-rail-70', role: 'cage-part', name: 'Bulrush NATO rail, 70 mm', maker: 'Bulrush', massG: 26, price: [9, 12, 15],
    solids: [block([-10.6, 0, -35], [10.6, 6, 35], 'metal', 1)],
    mounts: [sits('screw', 'thread-1/4-pin', [0, 0, 0], down), holds('rail', 'nato', [0, 6, 0], up, { lengthMm: 70, travel: slot(ahead, 18), label: 'rail, 70 mm' })],
  }),
  part({
    id: 'typha-shoe-block', role: 'cage-part', name: 'Typha screw-on cold shoe', maker: 'Typha', massG: 14, price: [6, 8, 11],
    solids: [block([-11, 0, -10], [11, 6, 10], 'metal', 1)],
    mounts: [sits('screw', 'thread-1/4', [0, 0, 0], down), holds('shoe', 'shoe-cold', [0, 6, 0], up, { label: 'screw-on cold shoe' })],
  }),
]
