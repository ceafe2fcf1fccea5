import { on } from '../../testing/index.ts'
import { hdmiLead, mic, micLead, screen, usbLead, wiredRig } from '../../testing/wired.ts'
import { noCable } from './no-cable.ts'
import { testCheck } from '../tester.ts'
import { onHole, shown, drive } from '../../testing/lead-rigs.ts'

testCheck(noCable, {
  speaks: [
    {
      name: 'a screen without a picture; a lead from the shop cures it',
      message: 'picture',
      level: 'risk',
      parts: ['screen'],
      remedies: 1,
      ...wiredRig([screen()], [onHole], [], { extra: [hdmiLead()] }),
    },
    {
      name: 'a mic that nobody hears',
      message: 'sound',
      parts: ['mic'],
      remedies: 1,
      ...wiredRig([mic()], [on('mic', 'foot', 'camera', 'shoe')], [], { extra: [micLead()] }),
    },
    {
      name: 'a drive that is joined to nothing',
      message: 'data',
      parts: ['drive'],
      remedies: 1,
      ...wiredRig([drive], [on('drive', 'back', 'camera', 'hole')], [], { extra: [usbLead()] }),
    },
  ],
  silent: [{ name: 'a lead from the camera', message: 'joined', ...shown(hdmiLead()) }],
})
