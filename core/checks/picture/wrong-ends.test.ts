import { on } from '../../testing/index.ts'
import { hdmiLead, lead, link, mic, micLead, screen, wiredRig } from '../../testing/wired.ts'
import { testCheck } from '../tester.ts'
import { wrongEnds } from './wrong-ends.ts'
import { onHole, shown } from '../../testing/lead-rigs.ts'

testCheck(wrongEnds, {
  speaks: [
    {
      name: 'a micro plug for a full-size socket; the right lead cures it',
      message: 'plug',
      level: 'stop',
      parts: ['small', 'camera', 'screen'],
      remedies: 2,
      ...shown(lead('small', 'hdmi-d', 'hdmi-a', { carries: ['picture'] }), [hdmiLead()]),
    },
    {
      name: 'from the screen’s input to the camera’s output',
      message: 'backwards',
      remedies: 1,
      ...wiredRig([screen(), hdmiLead()], [onHole], [link('hdmi', 'screen/in', 'camera/hdmi')]),
    },
    {
      name: 'a mic in the headphone jack: the input beside it takes it, or it is unplugged',
      message: 'nothing',
      remedies: 2,
      ...wiredRig(
        [mic(), micLead()],
        [on('mic', 'foot', 'camera', 'shoe')],
        [link('jack', 'mic/out', 'camera/phones')],
      ),
    },
  ],
  silent: [{ name: 'a picture from the camera to the screen', message: 'goes', ...shown(hdmiLead()) }],
})
