import { inBay, pack, screen, tank, tapLead, wiredRig } from '../../testing/wired.ts'
import { plug, socket, tinyPart } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { unpowered } from './unpowered.ts'
import { changed, tapped } from '../../testing/power-rigs.ts'

/** What the tank is without its cells: a plate with a tap, and a brick that goes on it. */
const barePlate = tank('tank', {
  role: 'battery-plate',
  power: {},
  mounts: [
    plug('foot', 'thread-1/4'),
    socket('plate', 'v-lock', [0, 10, 10], [0, 0, 1], { volts: { min: 11, max: 17 } }),
  ],
})
const brick = tinyPart({
  id: 'brick',
  role: 'battery',
  mounts: [plug('back', 'v-lock')],
  power: { store: { capacityWh: 50, volts: { min: 11, max: 16.8 }, maxW: 100, gauge: true } },
})

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
      name: 'the plate that feeds it is bare; a pack of its kind goes on it',
      message: 'empty',
      level: 'risk',
      parts: ['screen'],
      remedies: 1,
      ...tapped(barePlate, screen(), tapLead(), [brick]),
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
