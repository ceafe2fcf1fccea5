import { emptySetup } from '../../assembly/index.ts'
import { on, tinyPart } from '../../testing/index.ts'
import { lead, link, screen, wiredRig } from '../../testing/wired.ts'
import { portWear } from './port-wear.ts'
import { testCheck } from '../tester.ts'
import { onHole, shown, micro, clip, pegged } from '../../testing/lead-rigs.ts'

const comesAndGoes = (tiny: ReturnType<typeof wiredRig>) => ({
  ...tiny,
  rig: { ...tiny.rig, setups: [...tiny.rig.setups, { ...emptySetup, id: 'other', name: 'other' }] },
})

const microLead = lead('small', 'hdmi-d', 'hdmi-a', { carries: ['picture'] })

const saver = tinyPart({
  id: 'saver',
  role: 'coupler',
  coupler: { connector: 'hdmi-d', angle: 'straight', longMm: 30 },
})

testCheck(portWear, {
  speaks: [
    {
      name: 'the same, and a port saver to be had',
      message: 'worn',
      remedies: 1,
      ...comesAndGoes(shown(microLead, [saver], {}, micro)),
    },
    {
      name: 'micro, in one set-up of two',
      message: 'worn',
      level: 'hint',
      numbers: { plugged: 1, without: 1 },
      remedies: 0,
      ...comesAndGoes(shown(microLead, [], {}, micro)),
    },
  ],
  silent: [
    {
      name: 'a port saver stays in it',
      message: 'saved',
      ...comesAndGoes(
        wiredRig(
          [screen(), microLead, saver],
          [onHole],
          [{ ...link('small', 'camera/hdmi', 'screen/in'), couplers: { from: 'saver' } }],
          {
            camera: micro,
          },
        ),
      ),
    },
    { name: 'always in', message: 'stays', numbers: { without: 0 }, ...shown(microLead, [], {}, micro) },
    {
      name: 'a clamp grips the plug',
      message: 'held',
      ...comesAndGoes(
        wiredRig(
          [screen(), microLead, clip('lock', 20, { holdsCable: { at: [0, 20, 0], plug: true } })],
          [onHole, on('lock', 'foot', 'camera', 'peg')],
          [link('small', 'camera/hdmi', 'screen/in', 'lock')],
          { camera: { ...micro, mounts: pegged.mounts } },
        ),
      ),
    },
  ],
})
