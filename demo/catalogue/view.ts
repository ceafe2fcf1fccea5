import { ahead, block, holds, left, monitor, mountArm, part, sits, down } from '../shapes/index.ts'

export const monitors = [
  monitor({ id: 'crookneck-m5', name: 'Crookneck 5 in monitor, 1,000 nit', maker: 'Crookneck', massG: 205, inches: 5, nits: 1000, deepMm: 19, price: [189, 219, 259], provides: ['screen', 'sun-view'] }),
  monitor({ id: 'crookneck-m7', name: 'Crookneck 7 in monitor, 1,800 nit', maker: 'Crookneck', massG: 520, inches: 7, nits: 1800, deepMm: 26, price: [399, 459, 520], provides: ['screen', 'sun-view'] }),
  monitor({ id: 'delicata-55', name: 'Delicata 5.5 in monitor, 1,200 nit', maker: 'Delicata', massG: 248, inches: 5.5, nits: 1200, deepMm: 20, price: [269, 299, 345], provides: ['screen', 'sun-view', 'headphones'] }),
  monitor({ id: 'tromba-35', name: 'Tromba 3.5 in monitor, 500 nit', maker: 'Tromba', massG: 118, inches: 3.5, nits: 500, deepMm: 17, price: [99, 119, 139], provides: ['screen'] }),
  monitor({ id: 'delicata-7', name: 'Delicata 7 in recorder, 1,500 nit', maker: 'Delicata', massG: 685, inches: 7, nits: 1500, deepMm: 34, price: [640, 699, 780], provides: ['screen', 'sun-view', 'headphones'] }),
  monitor({ id: 'bulrush-5', name: 'Bulrush 5 in monitor, 350 nit', maker: 'Bulrush', massG: 168, inches: 5, nits: 350, deepMm: 18, price: [85, 99, 119], provides: ['screen'] }),
]

export const viewMounts = [
  mountArm({ id: 'crookneck-tilt-shoe', role: 'monitor-mount', name: 'Crookneck tilt mount, shoe foot', maker: 'Crookneck', massG: 46, price: [26, 32, 38], foot: 'shoe-cold', tallMm: 34, aheadMm: 0, leanDeg: 15, limitG: 700 }),
  mountArm({ id: 'crookneck-tilt-nato', role: 'monitor-mount', name: 'Crookneck tilt mount, NATO clamp', maker: 'Crookneck', massG: 54, price: [32, 39, 46], foot: 'nato', tallMm: 36, aheadMm: 0, leanDeg: 15, limitG: 1000 }),
  mountArm({ id: 'pattypan-low-14', role: 'monitor-mount', name: 'Pattypan low mount, pinned 1/4"', maker: 'Pattypan', massG: 44, price: [28, 34, 40], foot: 'thread-1/4-pin', tallMm: 26, aheadMm: 0, leanDeg: 20, limitG: 900 }),
  mountArm({ id: 'tromba-ball-shoe', role: 'monitor-mount', name: 'Tromba ball mount, shoe foot', maker: 'Tromba', massG: 52, price: [12, 17, 22], foot: 'shoe-cold', tallMm: 42, aheadMm: 0, leanDeg: 0, limitG: 400 }),
  mountArm({ id: 'tromba-ball-14', role: 'monitor-mount', name: 'Tromba ball mount, 1/4" screw', maker: 'Tromba', massG: 58, price: [14, 19, 24], foot: 'thread-1/4', tallMm: 44, aheadMm: 0, leanDeg: 0, limitG: 500 }),
  mountArm({ id: 'pattypan-arm-110', role: 'arm', name: 'Pattypan arm, 110 mm reach, NATO clamp', maker: 'Pattypan', massG: 104, price: [36, 44, 54], foot: 'nato', tallMm: 62, aheadMm: 90, leanDeg: 10, limitG: 800 }),
  mountArm({ id: 'pattypan-arm-180', role: 'arm', name: 'Pattypan arm, 180 mm reach, 1/4" screw', maker: 'Pattypan', massG: 142, price: [42, 52, 64], foot: 'thread-1/4', tallMm: 120, aheadMm: 120, leanDeg: 10, limitG: 800 }),
  mountArm({ id: 'tromba-riser-shoe', role: 'arm', name: 'Tromba tall arm, shoe foot', maker: 'Tromba', massG: 92, price: [15, 19, 25], foot: 'shoe-cold', tallMm: 128, aheadMm: 0, leanDeg: 0, limitG: 400 }),
  part({
    id: 'typha-double-shoe', role: 'monitor-mount', name: 'Typha twin cold-shoe bar', maker: 'Typha', massG: 42, price: [11, 15, 19],
    solids: [block([-9, 0, -9], [9, 4, 9], 'metal', 1), block([-50, 4, -9], [50, 9, 9], 'metal', 2)],
    mounts: [
      sits('foot', 'shoe-cold', [0, 0, 0], down),
      holds('shoe-left', 'shoe-cold', [-36, 9, 0], [0, 1, 0], { label: 'twin bar, left shoe', limitG: 250 }),
      holds('shoe-right', 'shoe-cold', [36, 9, 0], [0, 1, 0], { label: 'twin bar, right shoe', limitG: 250 }),
      holds('end', 'thread-1/4', [-50, 6.5, 0], left, { label: 'twin bar, left end 1/4"' }),
      holds('face', 'thread-1/4', [20, 6.5, -9], ahead, { label: 'twin bar, front 1/4"' }),
    ],
  }),
]
