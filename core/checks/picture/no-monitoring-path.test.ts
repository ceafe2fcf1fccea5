import { on } from '../../testing/index.ts'
import { hdmiLead, link, screen, wiredRig } from '../../testing/wired.ts'
import { noMonitoringPath } from './no-monitoring-path.ts'
import { testCheck } from '../tester.ts'
import { without } from '../../testing/sound-rigs.ts'

const eared = screen('screen', {
  sockets: [
    ...(screen().sockets ?? []),
    {
      id: 'ears',
      connector: '3.5-trs',
      direction: 'out',
      at: [10, 15, 0],
      out: [1, 0, 0],
      carries: ['sound'],
      phones: true,
    },
  ],
})

const listening = (links: Parameters<typeof wiredRig>[2]) =>
  wiredRig([eared, hdmiLead()], [on('screen', 'foot', 'camera', 'hole')], links, {
    brief: { wishes: { headphones: 'want', 'scratch-sound': 'skip' } },
    camera: without('phones'),
  })

testCheck(noMonitoringPath, {
  speaks: [
    {
      name: 'a jack on a screen that gets no sound',
      message: 'silent',
      level: 'risk',
      parts: ['screen'],
      ...listening([]),
    },
  ],
  silent: [
    {
      name: 'sound comes with the picture',
      message: 'heard',
      ...listening([link('hdmi', 'camera/hdmi', 'screen/in')]),
    },
  ],
})
