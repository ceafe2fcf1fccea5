import { disc, nd, stepUp } from '../../testing/glass.ts'
import { filterPerLens } from './filter-per-lens.ts'
import { testCheck } from '../tester.ts'
import { shot, sun, wanted, two, small } from '../../testing/light-rigs.ts'

testCheck(filterPerLens, {
  speaks: [
    {
      name: 'the small lens goes bare; a ring brings it to the large filter',
      message: 'bare',
      level: 'hint',
      numbers: { threadMm: 67 },
      remedies: 1,
      ...shot({ bag: [disc('v', 7, nd(2, 8))], known: [small, stepUp(67, 82)], brief: { ...sun, ...wanted, ...two } }),
    },
    {
      name: 'no ring is known: a filter of its own',
      message: 'bare',
      remedies: 1,
      ...shot({
        bag: [disc('v', 7, nd(2, 8))],
        known: [small, disc('v67', 7, nd(2, 8), {}, 67)],
        brief: { ...sun, ...wanted, ...two },
      }),
    },
    {
      name: 'a front without a thread',
      message: 'threadless',
      remedies: 0,
      ...shot({
        bag: [disc('v', 7, nd(2, 8))],
        known: [{ ...small, mounts: small.mounts.filter(({ id }) => id !== 'thread') }],
        brief: { ...sun, ...wanted, ...two },
      }),
    },
  ],
  silent: [
    {
      name: 'a ring in the bag serves both',
      message: 'has',
      ...shot({ bag: [disc('v', 7, nd(2, 8)), stepUp(67, 82)], known: [small], brief: { ...sun, ...wanted, ...two } }),
    },
  ],
})
