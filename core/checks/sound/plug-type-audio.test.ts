import { lead, link, mic, micLead, wiredRig } from '../../testing/wired.ts'
import { plugTypeAudio } from './plug-type-audio.ts'
import { testCheck } from '../tester.ts'
import { inShoe } from '../../testing/sound-rigs.ts'

testCheck(plugTypeAudio, {
  speaks: [
    {
      name: 'a phone’s plug in the camera; the right lead cures it',
      message: 'rings',
      level: 'risk',
      remedies: 1,
      ...wiredRig(
        [mic(), lead('phone', '3.5-trs', '3.5-trrs', { carries: ['sound'] })],
        [inShoe()],
        [link('phone', 'mic/out', 'camera/mic')],
        { extra: [micLead()] },
      ),
    },
    {
      name: 'a mic that wants phantom power from a jack',
      message: 'feed',
      ...wiredRig(
        [
          mic('mic', { sockets: (mic().sockets ?? []).map((own) => ({ ...own, feeds: ['phantom' as const] })) }),
          micLead(),
        ],
        [inShoe()],
        [link('jack', 'mic/out', 'camera/mic')],
      ),
    },
  ],
  silent: [
    {
      name: 'two rings and plug-in power',
      message: 'suits',
      ...wiredRig([mic(), micLead()], [inShoe()], [link('jack', 'mic/out', 'camera/mic')]),
    },
  ],
})
