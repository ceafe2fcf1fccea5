import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { mountMismatch } from './mount-mismatch.ts'
import { testCheck } from '../tester.ts'

const pinned38 = tinyPart({ id: 'handle', mounts: [plug('foot', 'thread-3/8-pin')] })
const pinned14 = tinyPart({ id: 'block', mounts: [plug('foot', 'thread-1/4-pin')] })
const bridge = tinyPart({
  id: 'bridge',
  massG: 24,
  mounts: [plug('below', 'thread-1/4'), socket('above', 'thread-3/8-pin', [0, 20, 0])],
})
const holeOnly = tinyPart({ id: 'monitor', mounts: [socket('base', 'thread-1/4', [0, 0, 0], [0, -1, 0])] })
const fitClamp = tinyPart({ id: 'clamp-60', mounts: [plug('foot', 'nato', { lengthMm: 60 })] })
const budLens = tinyPart({ id: 'lens', role: 'lens', mounts: [plug('bayonet', 'lens-mount', { family: 'bud' })] })
const filtered = tinyPart({
  id: 'ring',
  mounts: [plug('foot', 'thread-1/4'), socket('thread', 'filter-thread', [0, 20, 0], [0, 1, 0], { family: '67' })],
})
const pairPart = (id: string, spacingMm: number) =>
  tinyPart({ id, mounts: [plug('foot', 'two-screw', { spacingMm, slotMm: 2 })] })
const holder = tinyPart({
  id: 'holder',
  mounts: [
    plug('foot', 'thread-1/4'),
    socket('pair', 'two-screw', [0, 20, 0], [0, 1, 0], { spacingMm: 30 }),
    socket('bay', 'pack', [0, 20, 0], [0, 1, 0], { family: 'p72', almost: ['p72-old'] }),
    socket('front', 'clamp-on', [0, 20, 0], [0, 1, 0], { family: '95' }),
    socket('ring', 'lens-ring', [0, 20, 0], [0, 1, 0], { odMm: 70 }),
    socket('bayonet', 'lens-mount', [0, 20, 0], [0, 1, 0], { family: 'stem', flangeMm: 20 }),
    socket('tray', 'tray', [0, 20, 0], [0, 1, 0], { family: '4x5.65' }),
  ],
})
const held = (guest: ReturnType<typeof tinyPart>, mount: string, hostMount: string) =>
  tinyRig([holder, guest], [on('holder', 'foot', 'camera', 'hole'), on(guest.id, mount, 'holder', hostMount)])
const packPart = (family: string) => tinyPart({ id: 'pack', mounts: [plug('back', 'pack', { family })] })
const filter = tinyPart({ id: 'filter', mounts: [plug('rear', 'filter-thread', { family: '82' })] })

/** A back of so many millimetres on a face of 30 by 60. */
const onFace = (faceMm: readonly [number, number]) =>
  tinyRig(
    [
      tinyPart({
        id: 'flat',
        mounts: [plug('foot', 'thread-1/4'), socket('side', 'face', [0, 20, 0], [0, 1, 0], { faceMm: [30, 60] })],
      }),
      tinyPart({ id: 'box', mounts: [plug('back', 'pad', { faceMm })] }),
    ],
    [on('flat', 'foot', 'camera', 'hole'), on('box', 'back', 'flat', 'side')],
  )

testCheck(mountMismatch, {
  speaks: [
    {
      name: 'pinned 3/8 in a 1/4 hole, adapter known',
      message: 'standards-differ',
      level: 'stop',
      parts: ['handle'],
      remedies: 2,
      ...tinyRig([pinned38], [on('handle', 'foot', 'camera', 'hole')], { extra: [bridge] }),
    },
    {
      name: 'a pinned foot wants a pinned hole, one is free',
      message: 'standards-differ',
      remedies: 2,
      ...tinyRig([pinned14], [on('block', 'foot', 'camera', 'hole')]),
    },
    {
      name: 'hole on hole',
      message: 'same-gender',
      remedies: 1,
      ...tinyRig([holeOnly], [on('monitor', 'base', 'camera', 'hole')]),
    },
    {
      name: 'another lens mount',
      message: 'lens-mount-differs',
      ...tinyRig([budLens], [on('lens', 'bayonet', 'camera', 'lens')]),
    },
    {
      name: 'another filter size',
      message: 'filter-size-differs',
      numbers: { lensMm: 67, filterMm: 82 },
      ...tinyRig([filtered, filter], [on('ring', 'foot', 'camera', 'hole'), on('filter', 'rear', 'ring', 'thread')]),
    },
    {
      name: 'a thread whose size was typed as words',
      message: 'filter-size-differs',
      ...tinyRig(
        [filtered, tinyPart({ id: 'filter', mounts: [plug('rear', 'filter-thread', { family: 'large' })] })],
        [on('ring', 'foot', 'camera', 'hole'), on('filter', 'rear', 'ring', 'thread')],
      ),
    },
    {
      // 30 mm of face, less 3 at either edge.
      name: 'a pad a millimetre too wide for its face',
      message: 'face-small',
      numbers: { wantsMm: 25, highMm: 25, freeMm: 24, tallMm: 54 },
      ...onFace([25, 25]),
    },
    {
      name: 'a clamp too wide for the ring',
      message: 'ring-size-differs',
      numbers: { ringMm: 70, minMm: 71, maxMm: 80 },
      ...held(
        tinyPart({ id: 'gear', mounts: [plug('clamp', 'lens-ring', { closesOn: { minMm: 71, maxMm: 80 } })] }),
        'clamp',
        'ring',
      ),
    },
    {
      name: 'the right bayonet, 2 mm off the sensor',
      message: 'flange-differs',
      numbers: { wantsMm: 18, holdsMm: 20 },
      ...held(
        tinyPart({
          id: 'lens',
          role: 'lens',
          mounts: [plug('bayonet', 'lens-mount', { family: 'stem', flangeMm: 18 })],
        }),
        'bayonet',
        'bayonet',
      ),
    },
    { name: 'another pack', message: 'pack-differs', ...held(packPart('q80'), 'back', 'bay') },
    {
      name: 'a clamp ring of another size',
      message: 'clamp-size-differs',
      ...held(tinyPart({ id: 'box', mounts: [plug('ring', 'clamp-on', { family: '80' })] }), 'ring', 'front'),
    },
    {
      name: 'a square filter in the wide tray',
      message: 'tray-differs',
      ...held(tinyPart({ id: 'glass', mounts: [plug('edge', 'tray', { family: '4x4' })] }), 'edge', 'tray'),
    },
  ],
  silent: [
    { name: 'a pad as wide as its face is free, stuck on across', message: 'fits', ...onFace([54, 24]) },
    {
      name: 'one size, typed in two ways',
      message: 'fits',
      ...tinyRig(
        [filtered, tinyPart({ id: 'filter', mounts: [plug('rear', 'filter-thread', { family: '67 mm' })] })],
        [on('ring', 'foot', 'camera', 'hole'), on('filter', 'rear', 'ring', 'thread')],
      ),
    },
    {
      name: 'screws 32 mm apart in holes at 30 with 2 mm of slot',
      message: 'fits',
      ...held(pairPart('pair', 32), 'foot', 'pair'),
    },
    {
      name: 'a pack that goes in without latching is another check’s business',
      message: 'fits',
      ...held(packPart('p72-old'), 'back', 'bay'),
    },
    {
      name: 'a clamp exactly as long as the rail',
      message: 'fits',
      ...tinyRig([fitClamp], [on('clamp-60', 'foot', 'camera', 'rail')]),
    },
    {
      name: 'a plain screw in a pinned hole',
      message: 'fits',
      ...tinyRig([bridge], [on('bridge', 'below', 'camera', 'pinned')]),
    },
  ],
})
