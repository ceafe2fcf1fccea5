import { on, tinyRig } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { untetheredOverhead } from './untethered-overhead.ts'
import { tether, over } from '../../testing/fit-rigs.ts'

testCheck(untetheredOverhead, {
  speaks: [
    {
      name: 'over the rail without a tether',
      message: 'untethered',
      level: 'risk',
      remedies: 1,
      ...tinyRig([], [], over),
    },
  ],
  silent: [
    { name: 'tethered', message: 'tethered', ...tinyRig([tether], [on('tether', 'foot', 'camera', 'hole')], over) },
  ],
})
