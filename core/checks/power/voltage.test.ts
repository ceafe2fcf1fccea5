import { inBay, lead, pack, screen, tank, tapLead, wiredCamera, wiredRig } from '../../testing/wired.ts'
import { testCheck } from '../tester.ts'
import { voltage } from './voltage.ts'
import { type Sockets, changed, withStore, tapped, trickled } from '../../testing/power-rigs.ts'

const bears = (min: number, max: number) => changed(screen(), 'dc', { volts: { min, max } })

const { volts: _volts, ...bareDc } = (screen().sockets ?? [])[1] as Sockets[number]

testCheck(voltage, {
  speaks: [
    {
      name: 'a tap of up to 16.8 V into an input for 12; a lead that steps down cures it',
      message: 'over',
      level: 'stop',
      numbers: { volts: 16.8, mostVolts: 12 },
      parts: ['tap', 'tank', 'screen'],
      remedies: 2,
      ...tapped(tank(), bears(6, 12), tapLead(), [
        lead('step', 'd-tap', 'dc-5.5x2.1', {
          carries: ['power'],
          converts: { volts: { min: 11.8, max: 12 }, watts: 20 },
        }),
      ]),
    },
    {
      // 90 Wh at 5 W are 1080 min; from 12 V down to 11 is 1 of 5.8 V.
      name: 'a battery that falls below what the input wants ends a part of its charge earlier',
      message: 'early',
      level: 'hint',
      numbers: { lowVolts: 11, leastVolts: 12, earlierMin: 1080 / 5.8 },
      ...tapped(tank(), bears(12, 17), tapLead()),
    },
    {
      name: 'what draws nothing has no minutes to lose: a hint without them, and no endless number',
      message: 'under',
      level: 'hint',
      numbers: { lowVolts: 11, leastVolts: 12 },
      ...tapped(tank(), { ...bears(12, 17), power: {} }, tapLead()),
    },
    {
      name: 'a battery that never gives what the input wants',
      message: 'under',
      level: 'risk',
      numbers: { lowVolts: 11, leastVolts: 18 },
      ...tapped(tank(), bears(18, 20), tapLead()),
    },
    {
      name: 'no USB-C step that both know',
      message: 'step',
      level: 'risk',
      parts: ['usb', 'tank', 'camera'],
      ...trickled(30, { camera: changed(wiredCamera, 'usb', { volts: { min: 20, max: 20 } }) }),
    },
    {
      name: 'a pack of the wrong voltage in the bay',
      message: 'over',
      parts: ['pack', 'camera'],
      remedies: 1,
      ...wiredRig([withStore(pack(), { volts: { min: 11, max: 16.8 } })], [inBay()]),
    },
  ],
  silent: [
    {
      name: 'exactly what is borne',
      message: 'suits',
      numbers: { volts: 16.8, mostVolts: 16.8 },
      ...tapped(tank(), bears(11, 16.8), tapLead()),
    },
  ],
  cannotTell: [
    {
      name: 'an input that states nothing',
      message: 'unknown',
      ...tapped(
        tank(),
        screen('screen', { sockets: [(screen().sockets ?? [])[0] as Sockets[number], bareDc] }),
        tapLead(),
      ),
    },
  ],
})
