import { GRAVITY, point } from '../../kernel/index.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { rodSingle } from './rod-single.ts'
import { testCheck } from '../tester.ts'
import { foot, rod, swinger } from '../../testing/fit-rigs.ts'
import { placeSetup } from '../../assembly/index.ts'

const swinging = (offMm: number, braces: ReturnType<typeof on>[] = []) =>
  tinyRig([rod, swinger(offMm)], [on('rod', 'end', 'camera', 'pinned'), on('swinger', 'hold', 'rod', 'along')], {
    setup: { braces },
  })

const rodLimitMm = (0.15 / (0.1 * GRAVITY)) * 1000

const bracedSwinger = (() => {
  const steady = tinyPart({
    id: 'swinger',
    centre: [0, 200, 0],
    mounts: [
      socket('hold', 'rod-15', [0, 0, 0], [0, -1, 0], { lengthMm: 20 }),
      plug('stay', 'thread-1/4', { at: [25, -10, -30] }),
    ],
  })
  const tiny = tinyRig([rod, steady], [on('rod', 'end', 'camera', 'pinned'), on('swinger', 'hold', 'rod', 'along')])
  const [setup] = tiny.rig.setups
  if (!setup) throw new Error('a set-up')
  const host = { ...tinyPart({ id: 'stay', mounts: [socket('here', 'thread-1/4', stayAt(tiny), [0, 1, 0]), foot] }) }
  return tinyRig([rod, steady, host], [...setup.joints, on('stay', 'foot', 'camera', 'hole')], {
    setup: { braces: [on('swinger', 'stay', 'stay', 'here')] },
  })
})()

testCheck(rodSingle, {
  speaks: [
    {
      name: '100 g 200 mm off the rod',
      message: 'swings',
      level: 'risk',
      numbers: { twistNm: 0.1 * GRAVITY * 0.2, carriedG: 100 },
      parts: ['swinger'],
      ...swinging(200),
    },
  ],
  silent: [
    { name: 'exactly what the clamp holds', message: 'holds', numbers: { twistNm: 0.15 }, ...swinging(rodLimitMm) },
    { name: 'with a second hold', message: 'braced', ...bracedSwinger },
  ],
})

function stayAt(tiny: ReturnType<typeof tinyRig>): readonly [number, number, number] {
  const { rig, context } = tiny
  const [setup] = rig.setups
  const piece = setup && placeSetup(rig, setup, context.catalogue).byInstance.get('swinger')
  const mount = piece?.part.mounts.find(({ id }) => id === 'stay')
  if (!piece || !mount) throw new Error('the swinger has a stay')
  const [x, y, z] = point(piece.frame, mount.at)
  return [x, y - 40, z]
}
