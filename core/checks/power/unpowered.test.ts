import { inBay, pack, screen, tank, tapLead, wiredRig } from '../../testing/wired.ts'
import { testCheck } from '../tester.ts'
import { unpowered } from './unpowered.ts'
import { changed, tapped } from '../../testing/power-rigs.ts'

testCheck(unpowered, {
  speaks: [
    {
      name: 'an empty bay; a pack goes in',
      message: 'none',
      level: 'stop',
      numbers: { watts: 6 },
      parts: ['camera'],
      remedies: 1,
      ...wiredRig([], [], [], { extra: [pack()] }),
    },
    {
      name: 'a lead that gives too little',
      message: 'little',
      parts: ['screen'],
      ...tapped(changed(tank(), 'tap', { watts: 4 }), screen(), tapLead()),
    },
  ],
  silent: [{ name: 'a pack in the bay', message: 'fed', ...wiredRig([pack()], [inBay()]) }],
})
