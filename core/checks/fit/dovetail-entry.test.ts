import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { dovetailEntry } from './dovetail-entry.ts'
import { testCheck } from '../tester.ts'
import { foot, cheek } from '../../testing/fit-rigs.ts'

const tail = tinyPart({
  id: 'tail',
  mounts: [
    foot,
    socket('dovetail', 'dovetail-38', [0, 20, 0], [0, 1, 0], {
      lengthMm: 60,
      travel: { along: [0, 0, -1], minMm: -10, maxMm: 10, stepMm: 1 },
    }),
  ],
})

const sled = tinyPart({ id: 'sled', mounts: [plug('jaw', 'dovetail-38', { slidesOn: true, lengthMm: 20 })] })

/** The dovetail's face is 60 mm over the camera's middle; its ends are 30 mm ahead and behind. */
const posts = [cheek('ahead', [0, 26, -45]), cheek('behind', [-25, 26, 45])]

const plated = (all: boolean) =>
  tinyRig(
    [tail, sled, ...posts],
    [
      on('tail', 'foot', 'camera', 'hole'),
      on('sled', 'jaw', 'tail', 'dovetail'),
      on('behind', 'foot', 'camera', 'pinned'),
      ...(all ? [on('ahead', 'foot', 'camera', 'hole')] : []),
    ],
  )

testCheck(dovetailEntry, {
  speaks: [{ name: 'posts before and behind', message: 'shut', parts: ['sled', 'behind', 'ahead'], ...plated(true) }],
  silent: [{ name: 'a post behind only', message: 'open', ...plated(false) }],
})
