import type { Part } from '../../catalogue/index.ts'
import { plug, on, tinyPart } from '../../testing/index.ts'
import { hdmiLead, link, screen, wiredCamera, wiredRig } from '../../testing/wired.ts'
import { testCheck } from '../tester.ts'
import { leadOverGrip } from './lead-over-grip.ts'

// The lead goes straight from (-94, -25, 20) to (0, 45, 54), 4 mm thick; its middle is (-47, 10, 37). A bar along the same
// way, seen from behind, passes over it.
const lead = hdmiLead()
/** A grip whose bar runs beside the lead, so far over its middle. */
const gripAt = (overMm: number): Part => {
  const n = Math.hypot(70, 94)
  return tinyPart({
    id: 'grip',
    role: 'side-handle',
    solids: [{ kind: 'box', centre: [0, 0, 200], size: [2, 2, 2], matter: 'soft' }],
    mounts: [plug('foot', 'thread-1/4', { at: [-25, 40, 0] })],
    grips: [{ kind: 'side', at: [-47 - (70 * overMm) / n, 10 + (94 * overMm) / n, 37], axis: [94 / n, 70 / n, 0] }],
  })
}
const rig = (overMm: number) =>
  wiredRig(
    [screen(), lead, gripAt(overMm)],
    [on('screen', 'foot', 'camera', 'hole'), on('grip', 'foot', 'camera', 'shoe-hole')],
    [link('hdmi', 'camera/hdmi', 'screen/in')],
    {
      setup: { support: 'two-hand' },
      camera: {
        ...wiredCamera,
        mounts: [
          ...wiredCamera.mounts,
          { id: 'shoe-hole', standard: 'thread-1/4', side: 'holds', at: [-25, 40, 0], out: [0, 1, 0], up: [0, 0, -1] },
        ],
      },
    },
  )

testCheck(leadOverGrip, {
  speaks: [
    {
      name: 'along the bar',
      message: 'over',
      level: 'hint',
      parts: ['hdmi', 'grip'],
      ...rig(0),
    },
  ],
  silent: [
    // 34 mm of hand and 2 mm of cable: 26 mm apart leaves 10 mm to give way.
    { name: 'exactly as far as fingers give way', message: 'clear', numbers: { intoMm: 10 }, ...rig(26) },
    { name: 'past the hand', message: 'clear', numbers: { intoMm: 0 }, ...rig(37) },
  ],
})
