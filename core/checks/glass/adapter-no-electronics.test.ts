import { adapterTo } from '../../testing/glass.ts'
import { adapterNoElectronics } from './adapter-no-electronics.ts'
import { testCheck } from '../tester.ts'
import { shot, foreign, withForeign } from '../../testing/light-rigs.ts'

testCheck(adapterNoElectronics, {
  speaks: [
    {
      name: 'an autofocus lens behind bare metal; one with contacts cures it',
      message: 'dead',
      level: 'risk',
      numbers: { share: 30 },
      remedies: 1,
      ...shot({
        known: [foreign, adapterTo('other', true, 'smart')],
        bag: [adapterTo('other', false)],
        brief: withForeign,
      }),
    },
  ],
  silent: [
    {
      name: 'contacts',
      message: 'joined',
      ...shot({ known: [foreign], bag: [adapterTo('other', true)], brief: withForeign }),
    },
  ],
})
