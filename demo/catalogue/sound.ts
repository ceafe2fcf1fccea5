import { device, down, bar, mic, part, sits, soft } from '../shapes/index.ts'

export const sound = [
  mic({ id: 'papyr-scratch', name: 'Papyr small scratch mic', maker: 'Papyr', massG: 46, tubeMm: 78, radiusMm: 9, foam: true, riseMm: 22, price: [39, 49, 59], provides: ['scratch-sound'] }),
  mic({ id: 'papyr-shotgun', name: 'Papyr short shotgun mic', maker: 'Papyr', massG: 118, tubeMm: 172, radiusMm: 10, foam: true, riseMm: 30, price: [149, 179, 210], provides: ['scratch-sound'] }),
  mic({ id: 'rushlight-onboard', name: 'Rushlight on-camera mic with fur', maker: 'Rushlight', massG: 84, tubeMm: 96, radiusMm: 10, foam: true, riseMm: 24, price: [75, 89, 109], provides: ['scratch-sound', 'wind-cover'] }),
  mic({ id: 'luffa-stereo', name: 'Luffa stereo mic', maker: 'Luffa', massG: 96, tubeMm: 70, radiusMm: 14, foam: false, riseMm: 26, price: [119, 139, 165], provides: ['scratch-sound'] }),
  mic({ id: 'papyr-long', name: 'Papyr long shotgun mic', maker: 'Papyr', massG: 164, tubeMm: 258, radiusMm: 10, foam: true, riseMm: 32, price: [259, 299, 349], provides: ['scratch-sound', 'wind-cover'] }),
  device({ id: 'rushlight-receiver', role: 'receiver', name: 'Rushlight twin receiver', maker: 'Rushlight', massG: 38, size: [46, 40, 16], foot: 'shoe-cold', price: [169, 199, 235], provides: ['wireless-sound'] }),
  device({ id: 'luffa-receiver', role: 'receiver', name: 'Luffa single receiver', maker: 'Luffa', massG: 31, size: [40, 34, 15], foot: 'shoe-cold', price: [89, 109, 129], provides: ['wireless-sound'] }),
  device({ id: 'papyr-receiver-pro', role: 'receiver', name: 'Papyr slot receiver with jack', maker: 'Papyr', massG: 148, size: [62, 78, 24], foot: 'shoe-cold', price: [420, 489, 560], provides: ['wireless-sound', 'headphones'] }),
  device({ id: 'delicata-preamp', role: 'preamp', name: 'Delicata two-channel XLR preamp', maker: 'Delicata', massG: 322, size: [118, 46, 64], foot: 'thread-1/4', price: [215, 249, 289], provides: ['xlr', 'headphones'] }),
  device({ id: 'tromba-preamp', role: 'preamp', name: 'Tromba shoe-mount XLR adapter', maker: 'Tromba', massG: 268, size: [86, 42, 60], foot: 'shoe-cold', price: [310, 359, 410], provides: ['xlr'] }),
  device({ id: 'luffa-tap', role: 'headphone-tap', name: 'Luffa headphone tap', maker: 'Luffa', massG: 44, size: [38, 30, 20], foot: 'shoe-cold', price: [35, 42, 52], provides: ['headphones'], face: 'detail' }),
  part({
    id: 'rushlight-fur-post', role: 'mic-mount', name: 'Rushlight mic post with fur cover', maker: 'Rushlight', massG: 62, price: [28, 34, 42],
    solids: [bar([0, 0, 0], [0, 1, 0], 4, 9, 'metal'), bar([0, 4, 0], [0, 1, 0], 20, 5, 'plain'), soft(bar([0, 42, 50], [0, 0, -1], 100, 19, 'foam'))],
    mounts: [sits('foot', 'shoe-cold', [0, 0, 0], down)],
    provides: ['wind-cover', 'scratch-sound'],
    notes: 'A small capsule inside its own fur.',
  }),
]
