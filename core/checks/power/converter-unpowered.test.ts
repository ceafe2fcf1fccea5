import type { Part } from '../../catalogue/index.ts'
import { on, plug, tinyPart } from '../../testing/index.ts'
import { inBay, link, pack, tank, usbLead, wiredRig } from '../../testing/wired.ts'
import { converterUnpowered } from './converter-unpowered.ts'
import { testCheck } from '../tester.ts'

const converter = tinyPart({
  id: 'converter',
  role: 'converter',
  mounts: [plug('foot', 'thread-1/4')],
  power: { drawW: 2 },
  sockets: [
    {
      id: 'power',
      connector: 'usb-c',
      direction: 'in',
      at: [10, 10, 0],
      out: [1, 0, 0],
      carries: ['power'],
      volts: { min: 5, max: 5 },
      watts: 8,
    },
  ],
})

const converting = (links: Parameters<typeof wiredRig>[2], parts: readonly Part[], extra: readonly Part[] = []) =>
  wiredRig(
    [pack(), converter, tank(), ...parts],
    [inBay(), on('converter', 'foot', 'camera', 'pinned'), on('tank', 'foot', 'camera', 'hole')],
    links,
    {
      extra,
    },
  )

testCheck(converterUnpowered, {
  speaks: [
    {
      name: 'no lead',
      message: 'dark',
      level: 'risk',
      numbers: { watts: 2 },
      parts: ['converter'],
      remedies: 1,
      ...converting([], [], [usbLead()]),
    },
  ],
  silent: [
    { name: 'fed by USB-C', message: 'fed', ...converting([link('usb', 'tank/usb', 'converter/power')], [usbLead()]) },
  ],
})
