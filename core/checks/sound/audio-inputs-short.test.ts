import { mic, wiredRig } from '../../testing/wired.ts'
import { audioInputsShort } from './audio-inputs-short.ts'
import { testCheck } from '../tester.ts'
import { inShoe, without } from '../../testing/sound-rigs.ts'

testCheck(audioInputsShort, {
  speaks: [
    {
      name: 'two mics and one input',
      message: 'short',
      level: 'risk',
      numbers: { sources: 2, inputs: 1 },
      parts: ['mic', 'second'],
      ...wiredRig([mic(), mic('second')], [inShoe(), inShoe('second')]),
    },
    { name: 'a mic and no input', message: 'none', ...wiredRig([mic()], [inShoe()], [], { camera: without('mic') }) },
  ],
  silent: [
    {
      name: 'one mic, one input',
      message: 'enough',
      numbers: { sources: 1, inputs: 1 },
      ...wiredRig([mic()], [inShoe()]),
    },
  ],
})
