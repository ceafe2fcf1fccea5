import { on } from '../../testing/index.ts'
import { link, mic, micLead, mixingReceiver, wiredRig } from '../../testing/wired.ts'
import { noAudioIn } from './no-audio-in.ts'
import { testCheck } from '../tester.ts'
import { inShoe } from '../../testing/sound-rigs.ts'

const mixed = (...links: Parameters<typeof link>[]) =>
  wiredRig(
    [mic(), mixingReceiver(), micLead(), micLead('on')],
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
