import type { Part } from '../../catalogue/index.ts'
import { on } from '../../testing/index.ts'
import { inBay, link, pack, screen, tank, tapLead, usbLead, wiredCamera, wiredRig } from '../../testing/wired.ts'
import { diesFirst } from './dies-first.ts'
import { testCheck } from '../tester.ts'
import { changed, trickled } from '../../testing/power-rigs.ts'

const free = changed(wiredCamera, 'usb', { needsPack: false })

const oneForAll = (parts: readonly Part[], joints: Parameters<typeof wiredRig>[1]) =>
  wiredRig(
    [...parts, screen(), tank(), tapLead(), usbLead()],
    [...joints, on('screen', 'foot', 'camera', 'pinned'), on('tank', 'foot', 'camera', 'hole')],
    [link('tap', 'tank/tap', 'screen/dc'), link('usb', 'tank/usb', 'camera/usb')],
    { camera: free },
  )

testCheck(diesFirst, {
  speaks: [
    {
      name: 'camera and screen on one tank, no pack in the body',
      message: 'all',
      level: 'hint',
      numbers: { together: 2, lastMin: (90 / (5 + 6 / 0.9)) * 60 },
      ...oneForAll([], []),
    },
  ],
  silent: [
    { name: 'a pack in the body bridges it', message: 'apart', ...oneForAll([pack()], [inBay()]) },
    {
      name: 'the camera alone',
      message: 'apart',
      numbers: { together: 1, mostTogether: 1 },
      ...trickled(30, { pack: false, camera: free }),
    },
  ],
})
