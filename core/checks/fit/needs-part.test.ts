import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { needsPart } from './needs-part.ts'
import { testCheck } from '../tester.ts'
import { foot } from '../../testing/fit-rigs.ts'

const partner = tinyPart({ id: 'partner', mounts: [plug('foot', 'thread-1/4-pin')] })

const lonely = tinyPart({ id: 'lonely', mounts: [foot], needsOneOf: ['partner'] })

testCheck(needsPart, {
  speaks: [
    {
      name: 'its partner is at home',
      message: 'alone',
      level: 'stop',
      parts: ['lonely'],
      remedies: 2,
      ...tinyRig([lonely], [on('lonely', 'foot', 'camera', 'hole')], { extra: [partner] }),
    },
  ],
  silent: [
    {
      name: 'its partner is on the rig',
      message: 'paired',
      ...tinyRig(
        [lonely, partner],
        [on('lonely', 'foot', 'camera', 'hole'), on('partner', 'foot', 'camera', 'pinned')],
      ),
    },
  ],
})
