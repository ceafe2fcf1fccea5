import { lead, screen, tank, tapLead } from '../../testing/wired.ts'
import { polarityPlug } from './polarity-plug.ts'
import { testCheck } from '../tester.ts'
import { tapped } from '../../testing/power-rigs.ts'

testCheck(polarityPlug, {
  speaks: [
    {
      name: 'a 2.5 mm plug over a 2.1 mm pin; the right lead cures it',
      message: 'differs',
      level: 'risk',
      parts: ['wide', 'tank', 'screen'],
      remedies: 1,
      ...tapped(tank(), screen(), lead('wide', 'd-tap', 'dc-5.5x2.5', { carries: ['power'] }), [tapLead('right')]),
    },
  ],
  silent: [{ name: 'the plug the socket wants', message: 'same', ...tapped(tank(), screen(), tapLead()) }],
})
