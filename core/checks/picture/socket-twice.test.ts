import { on } from '../../testing/index.ts'
import { hdmiLead, link, screen, wiredRig } from '../../testing/wired.ts'
import { socketTwice } from './socket-twice.ts'
import { testCheck } from '../tester.ts'
import { onHole, shown } from '../../testing/lead-rigs.ts'

testCheck(socketTwice, {
  speaks: [
    {
      name: 'two screens from one socket',
      message: 'twice',
      level: 'stop',
      numbers: { plugs: 2, mostPlugs: 1 },
      parts: ['camera', 'hdmi', 'more'],
      remedies: 2,
      ...wiredRig(
        [screen(), screen('second'), hdmiLead(), hdmiLead('more')],
        [onHole, on('second', 'foot', 'camera', 'pinned')],
        [link('hdmi', 'camera/hdmi', 'screen/in'), link('more', 'camera/hdmi', 'second/in')],
      ),
    },
  ],
  silent: [{ name: 'one lead', message: 'once', numbers: { plugs: 1 }, ...shown(hdmiLead()) }],
})
