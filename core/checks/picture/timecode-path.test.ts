import { plug, tinyPart } from '../../testing/index.ts'
import { lead, link, wiredRig } from '../../testing/wired.ts'
import { testCheck } from '../tester.ts'
import { timecodePath } from './timecode-path.ts'
import { inShoe } from '../../testing/sound-rigs.ts'

const clock = tinyPart({
  id: 'clock',
  role: 'timecode',
  mounts: [plug('foot', 'shoe-cold')],
  sockets: [
    {
      id: 'out',
      connector: 'timecode-3.5',
      direction: 'out',
      at: [-10, 10, 0],
      out: [-1, 0, 0],
      carries: ['timecode'],
    },
  ],
})

const clockLead = lead('tc', 'timecode-3.5', '3.5-trs', { carries: ['timecode'], thickMm: 3 })

testCheck(timecodePath, {
  speaks: [
    {
      name: 'a box that is joined to nothing',
      message: 'nowhere',
      level: 'risk',
      parts: ['clock'],
      remedies: 1,
      ...wiredRig([clock], [inShoe('clock')], [], { extra: [clockLead] }),
    },
  ],
  silent: [
    {
      name: 'into the mic jack',
      message: 'led',
      ...wiredRig([clock, clockLead], [inShoe('clock')], [link('tc', 'clock/out', 'camera/mic')]),
    },
  ],
})
