import { on, plug } from '../../testing/index.ts'
import { link, mic, micLead, wiredRig } from '../../testing/wired.ts'
import { noAudioIn } from './no-audio-in.ts'
import { testCheck } from '../tester.ts'
import { inShoe } from '../../testing/sound-rigs.ts'

const receiver = mic('receiver', {
  role: 'receiver',
  mounts: [plug('foot', 'thread-1/4')],
  sockets: [
    { id: 'out', connector: '3.5-trs', direction: 'out', at: [-10, 10, 0], out: [-1, 0, 0], carries: ['sound'] },
    {
      id: 'mix',
      connector: '3.5-trs',
      direction: 'in',
      at: [10, 10, 0],
      out: [1, 0, 0],
      carries: ['sound'],
      feeds: ['plug-in'],
    },
  ],
})

const mixed = (...links: Parameters<typeof link>[]) =>
  wiredRig(
    [mic(), receiver, micLead(), micLead('on')],
    [inShoe(), on('receiver', 'foot', 'camera', 'pinned')],
    links.map((given) => link(...given)),
  )

testCheck(noAudioIn, {
  speaks: [
    {
      name: 'mixed into a receiver that is led nowhere',
      message: 'lost',
      level: 'risk',
      parts: ['mic'],
      ...mixed(['jack', 'mic/out', 'receiver/mix']),
    },
  ],
  silent: [
    {
      name: 'and from there to the camera',
      message: 'recorded',
      ...mixed(['jack', 'mic/out', 'receiver/mix'], ['on', 'receiver/out', 'camera/mic']),
    },
  ],
})
