import { disc, nd, stepUp, zoom } from '../../testing/glass.ts'
import { filterThread } from './filter-thread.ts'
import { testCheck } from '../tester.ts'
import { shot } from '../../testing/light-rigs.ts'

testCheck(filterThread, {
  speaks: [
    {
      name: 'a filter of 82 and a lens of 77: a ring cures it',
      message: 'ring',
      level: 'risk',
      numbers: { filterMm: 82 },
      parts: ['six'],
      remedies: 1,
      ...shot({ lens: zoom({ threadMm: 77 }), bag: [disc('six', 5, nd(6))], known: [stepUp(77, 82)] }),
    },
    {
      name: 'no ring goes down',
      message: 'never',
      parts: ['six'],
      remedies: 0,
      ...shot({ lens: zoom({ threadMm: 95 }), bag: [disc('six', 5, nd(6))], known: [stepUp(82, 95)] }),
    },
  ],
  silent: [
    { name: 'the same thread', message: 'fits', numbers: { filterMm: 82 }, ...shot({ bag: [disc('six', 5, nd(6))] }) },
    {
      name: 'the ring is in the bag',
      message: 'fits',
      ...shot({ lens: zoom({ threadMm: 77 }), bag: [disc('six', 5, nd(6)), stepUp(77, 82)] }),
    },
  ],
})
