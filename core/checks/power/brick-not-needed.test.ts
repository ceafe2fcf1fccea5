import { on, plug, socket } from '../../testing/index.ts'
import { inBay, link, pack, tank, usbLead, wiredCamera, wiredRig } from '../../testing/wired.ts'
import { brickNotNeeded } from './brick-not-needed.ts'
import { testCheck } from '../tester.ts'
import { day } from '../../testing/power-rigs.ts'

const bricked = (minutes: number) => {
  const brick = { ...tank('brick'), mounts: [plug('back', 'v-lock')] }
  return wiredRig(
    [pack(), brick, usbLead()],
    [inBay(), on('brick', 'back', 'camera', 'v-plate')],
    [link('usb', 'brick/usb', 'camera/usb')],
    {
      brief: day(['roll', minutes]),
      camera: { ...wiredCamera, mounts: [...wiredCamera.mounts, socket('v-plate', 'v-lock', [0, 0, 30], [0, 0, 1])] },
    },
  )
}

testCheck(brickNotNeeded, {
  speaks: [
    {
      name: 'two hours, and the pack lasts three',
      message: 'spare',
      level: 'hint',
      numbers: { massG: 100 },
      parts: ['brick'],
      remedies: 1,
      ...bricked(120),
    },
  ],
  silent: [{ name: 'four hours', message: 'needed', ...bricked(240) }],
})
