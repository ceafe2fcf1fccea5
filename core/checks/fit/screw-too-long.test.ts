import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { screwTooLong } from './screw-too-long.ts'
import { testCheck } from '../tester.ts'
import { foot } from '../../testing/fit-rigs.ts'

const blind = (screwMm: number | undefined, extra: ReturnType<typeof tinyPart>[] = []) =>
  tinyRig(
    [
      tinyPart({ id: 'hole', mounts: [foot, socket('deep', 'thread-1/4', [0, 20, 0], [0, 1, 0], { deepMm: 5.5 })] }),
      tinyPart({
        id: 'plate',
        role: 'plate',
        mounts: [plug('screw', 'thread-1/4', screwMm === undefined ? {} : { screwMm })],
      }),
    ],
    [on('hole', 'foot', 'camera', 'hole'), on('plate', 'screw', 'hole', 'deep')],
    { extra },
  )

const shorter = tinyPart({ id: 'shorter', role: 'plate', mounts: [plug('screw', 'thread-1/4', { screwMm: 5 })] })

testCheck(screwTooLong, {
  speaks: [
    {
      name: '6 mm into 5.5',
      message: 'long',
      level: 'stop',
      numbers: { screwMm: 6, deepMm: 5.5 },
      remedies: 2,
      ...blind(6, [shorter]),
    },
    {
      name: '4 mm of thread',
      message: 'short',
      level: 'risk',
      numbers: { screwMm: 4, engagedMm: 4.5 },
      remedies: 1,
      ...blind(4),
    },
  ],
  silent: [
    { name: 'exactly to the bottom', message: 'right', ...blind(5.5) },
    { name: 'exactly enough thread', message: 'right', ...blind(4.5) },
  ],
  cannotTell: [
    {
      name: 'a screw nobody measured',
      message: 'unmeasured',
      level: 'hint',
      numbers: { deepMm: 5.5 },
      ...blind(undefined),
    },
  ],
})
