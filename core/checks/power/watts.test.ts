import { screen, tank, tapLead } from '../../testing/wired.ts'
import { testCheck } from '../tester.ts'
import { watts } from './watts.ts'
import { changed, withStore, tapped } from '../../testing/power-rigs.ts'

testCheck(watts, {
  speaks: [
    {
      name: 'a battery made for 3 W that gives 5',
      message: 'battery',
      level: 'risk',
      numbers: { watts: 5, mostWatts: 3 },
      parts: ['tank'],
      ...tapped(withStore(tank(), { maxW: 3 }), screen(), tapLead()),
    },
    {
      name: 'an outlet of 4 W for a screen of 5',
      message: 'outlet',
      numbers: { watts: 5, mostWatts: 4 },
      parts: ['screen'],
      ...tapped(changed(tank(), 'tap', { watts: 4 }), screen(), tapLead()),
    },
  ],
  silent: [
    { name: 'exactly as much', message: 'enough', ...tapped(withStore(tank(), { maxW: 5 }), screen(), tapLead()) },
  ],
})
