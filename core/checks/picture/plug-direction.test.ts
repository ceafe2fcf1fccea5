import { on, plug, tinyPart } from '../../testing/index.ts'
import { hdmiLead, link, screen, tank, tapLead, usbLead, wiredRig } from '../../testing/wired.ts'
import { plugDirection } from './plug-direction.ts'
import { testCheck } from '../tester.ts'
import { shown, drive } from '../../testing/lead-rigs.ts'

/**
 * A screen whose input looks right, so placed that the tap lead from the tank leaves its plug, angled up, at exactly
 * 120 degrees.
 */
const D = 26

const square = screen('screen', {
  sockets: [
    {
      id: 'dc',
      connector: 'dc-5.5x2.1',
      direction: 'in',
      at: [D - 46 - 25, 24.4 - D / Math.sqrt(3), 16],
      out: [1, 0, 0],
      carries: ['power'],
    },
  ],
})

const boxAt = tinyPart({ id: 'block', mounts: [plug('foot', 'nato', { lengthMm: 20 })] })

testCheck(plugDirection, {
  speaks: [
    {
      name: 'a plug angled down for a screen above; one angled up lies flat',
      message: 'away',
      level: 'hint',
      remedies: 1,
      ...shown(hdmiLead('hdmi', { a: { connector: 'hdmi-a', angle: 'down' } }), [
        hdmiLead('rising', { a: { connector: 'hdmi-a', angle: 'up' } }),
      ]),
    },
    {
      name: 'a block stands right before the socket',
      message: 'tight',
      level: 'risk',
      numbers: { freeMm: 0, roomMm: 40 },
      ...wiredRig(
        [boxAt, drive, usbLead()],
        [on('block', 'foot', 'camera', 'rail', { slideMm: 15 }), on('drive', 'back', 'camera', 'hole')],
        [link('usb', 'camera/usb', 'drive/data')],
      ),
    },
  ],
  silent: [
    {
      name: 'at 120 degrees',
      message: 'flat',
      numbers: { turnsDeg: 120, mostDeg: 120 },
      ...wiredRig(
        [square, tank(), tapLead('tap', { a: { connector: 'd-tap', angle: 'up' } })],
        [on('screen', 'foot', 'camera', 'pinned'), on('tank', 'foot', 'camera', 'hole')],
        [link('tap', 'tank/tap', 'screen/dc')],
      ),
    },
  ],
})
