import { sideHandle, topHandle } from '../shapes/index.ts'

export const topHandles = [
  topHandle({ id: 'reedsmith-top-38', name: 'Reedsmith top handle, pinned 3/8"', maker: 'Reedsmith', massG: 212, price: [62, 75, 89], foot: 'thread-3/8-pin', lengthMm: 132, clearMm: 36, slideMm: 0, frontShoe: true, frontRail: true, rearHole: true }),
  topHandle({ id: 'reedsmith-top-38-slide', name: 'Reedsmith sliding top handle, pinned 3/8"', maker: 'Reedsmith', massG: 236, price: [74, 89, 104], foot: 'thread-3/8-pin', lengthMm: 140, clearMm: 38, slideMm: 22, frontShoe: true, frontRail: true, rearHole: true }),
  topHandle({ id: 'sedgewick-top-14', name: 'Sedgewick small top handle, pinned 1/4"', maker: 'Sedgewick', massG: 148, price: [44, 52, 62], foot: 'thread-1/4-pin', lengthMm: 112, clearMm: 34, slideMm: 18, frontShoe: true, frontRail: false, rearHole: true }),
  topHandle({ id: 'sedgewick-top-nato', name: 'Sedgewick top handle on a NATO clamp', maker: 'Sedgewick', massG: 174, price: [55, 65, 75], foot: 'nato', lengthMm: 118, clearMm: 36, slideMm: 0, frontShoe: true, frontRail: false, rearHole: true }),
  topHandle({ id: 'bulrush-top-plain', name: 'Bulrush top handle, plain 1/4"', maker: 'Bulrush', massG: 156, price: [18, 24, 30], foot: 'thread-1/4', lengthMm: 124, clearMm: 32, slideMm: 0, frontShoe: true, frontRail: false, rearHole: false }),
  topHandle({ id: 'typha-top-shoe', name: 'Typha clip-in top handle, shoe foot', maker: 'Typha', massG: 118, price: [14, 19, 25], foot: 'shoe-cold', lengthMm: 120, clearMm: 32, slideMm: 0, frontShoe: true, frontRail: false, rearHole: false }),
  topHandle({ id: 'cushaw-top-long', name: 'Cushaw long top handle, pinned 1/4"', maker: 'Cushaw', massG: 268, price: [98, 119, 140], foot: 'thread-1/4-pin', lengthMm: 168, clearMm: 42, slideMm: 24, frontShoe: true, frontRail: true, rearHole: true }),
]

export const sideHandles = [
  sideHandle({ id: 'reedsmith-side-nato', name: 'Reedsmith side grip, NATO clamp', maker: 'Reedsmith', massG: 142, price: [49, 59, 69], foot: 'nato', tallMm: 118 }),
  sideHandle({ id: 'sedgewick-side-wood', name: 'Sedgewick wooden side grip, NATO clamp', maker: 'Sedgewick', massG: 124, price: [42, 48, 58], foot: 'nato', tallMm: 112 }),
  sideHandle({ id: 'bulrush-side-14', name: 'Bulrush side grip, plain 1/4"', maker: 'Bulrush', massG: 118, price: [17, 22, 28], foot: 'thread-1/4', tallMm: 110 }),
  sideHandle({ id: 'cushaw-side-pin', name: 'Cushaw side grip, pinned 1/4"', maker: 'Cushaw', massG: 156, price: [58, 68, 80], foot: 'thread-1/4-pin', tallMm: 120 }),
  sideHandle({ id: 'typha-side-short', name: 'Typha short side grip, NATO clamp', maker: 'Typha', massG: 86, price: [22, 28, 35], foot: 'nato', tallMm: 92 }),
]
