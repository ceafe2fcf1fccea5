import type { Part } from '../../catalogue/index.ts'
import { on } from '../../testing/index.ts'
import { hdmiLead, link, screen, wiredRig } from '../../testing/wired.ts'
import { noStrainRelief } from './no-strain-relief.ts'
import { testCheck } from '../tester.ts'
import { onHole, shown, clip, pegged } from '../../testing/lead-rigs.ts'

const clipped = (part: Part) =>
  wiredRig(
    [screen(), hdmiLead(), part],
    [onHole, on(part.id, 'foot', 'camera', 'peg')],
    [link('hdmi', 'camera/hdmi', 'screen/in', part.id)],
    { camera: pegged },
  )

testCheck(noStrainRelief, {
  speaks: [
    {
      name: 'nothing holds it; a clip on the peg does',
      message: 'loose',
      level: 'hint',
      remedies: 1,
      ...shown(hdmiLead(), [clip()], {}, pegged),
    },
    {
      name: 'held 4 mm too far off',
      message: 'far',
      numbers: { heldMm: 64, mostMm: 60 },
      ...clipped(clip('clip', 24)),
    },
  ],
  silent: [{ name: 'held at 60 mm', message: 'held', numbers: { heldMm: 60 }, ...clipped(clip()) }],
})
