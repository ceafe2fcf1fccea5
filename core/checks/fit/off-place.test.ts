import { tinyPart } from '../../testing/index.ts'
import { inBay, link, pack, tank, usbLead, wiredRig } from '../../testing/wired.ts'
import { testCheck } from '../tester.ts'
import { offPlace } from './off-place.ts'

const long = usbLead('usb', { lengthMm: 3000 })
const worn = (
  at: 'belt' | 'stand-leg',
  links: Parameters<typeof wiredRig>[2] = [],
  support: 'hand-low' | 'tripod' = 'hand-low',
) => wiredRig([pack(), tank(), long], [inBay()], links, { setup: { support, off: [{ instance: 'tank', at }] } })
const joined = [link('usb', 'tank/usb', 'camera/usb')]

testCheck(offPlace, {
  speaks: [
    {
      name: 'a leg of the stand, in the hand',
      message: 'legless',
      level: 'risk',
      parts: ['tank'],
      ...worn('stand-leg', joined),
    },
    {
      name: 'a battery on the belt that nothing joins',
      message: 'alone',
      level: 'hint',
      parts: ['tank'],
      ...worn('belt'),
    },
  ],
  silent: [
    { name: 'a leg of the stand, on sticks', message: 'joined', ...worn('stand-leg', joined, 'tripod') },
    { name: 'the same battery on its lead', message: 'joined', ...worn('belt', joined) },
    {
      name: 'a thing without sockets',
      message: 'apart',
      ...wiredRig([tinyPart({ id: 'pouch' })], [], [], { setup: { off: [{ instance: 'pouch', at: 'belt' }] } }),
    },
  ],
})
