import { adapterTo } from '../../testing/glass.ts'
import { lensMount } from './lens-mount.ts'
import { testCheck } from '../tester.ts'
import { shot, foreign, withForeign } from '../../testing/light-rigs.ts'

testCheck(lensMount, {
  speaks: [
    {
      name: 'another mount, and an adapter in the shop',
      message: 'adapter',
      level: 'risk',
      // Its faces lie 10 mm apart.
      numbers: { longMm: 10 },
      remedies: 1,
      ...shot({ known: [foreign, adapterTo('other', true)], brief: withForeign }),
    },
    {
      name: 'another mount, and no adapter',
      message: 'never',
      remedies: 0,
      ...shot({ known: [foreign], brief: withForeign }),
    },
  ],
  silent: [
    { name: 'the camera’s own mount', message: 'direct', ...shot() },
    {
      name: 'the adapter is in the bag',
      message: 'along',
      ...shot({ known: [foreign], bag: [adapterTo('other', true)], brief: withForeign }),
    },
  ],
})
