import type { Part } from '../../catalogue/index.ts'
import { on, plug, tinyPart } from '../../testing/index.ts'
import { lead, link, wiredCamera, wiredRig } from '../../testing/wired.ts'
import { testCheck } from '../tester.ts'
import { triggerPath } from './trigger-path.ts'

/** A handle whose grip lies 30 mm over the camera's top, at 0, 70, 0. */
const handle = (more: Partial<Part> = {}) =>
  tinyPart({
    id: 'handle',
    role: 'top-handle',
    mounts: [plug('foot', 'thread-1/4')],
    grips: [{ kind: 'top', at: [0, 30, 0] }],
    ...more,
  })

const held = (
  aheadMm: number,
  part: Part = handle(),
  extra: readonly Part[] = [],
  links: Parameters<typeof wiredRig>[2] = [],
) =>
  wiredRig(
    [part, ...extra.filter(({ id }) => links.some(({ cable }) => cable === id))],
    [on('handle', 'foot', 'camera', 'hole')],
    links,
    {
      camera: { ...wiredCamera, recordAt: [0, 70, -aheadMm] },
      extra,
    },
  )

const button = handle({
  recordAt: [0, 30, 10],
  sockets: [
    { id: 'out', connector: 'trigger-2.5', direction: 'out', at: [-10, 10, 0], out: [-1, 0, 0], carries: ['trigger'] },
  ],
})

const triggerLead = lead('wire', 'trigger-2.5', 'usb-c', { carries: ['trigger'], thickMm: 2 })

testCheck(triggerPath, {
  speaks: [
    {
      name: 'the button 131 mm from the hand',
      message: 'far',
      level: 'hint',
      numbers: { buttonMm: 131, reachMm: 130 },
      ...held(131),
    },
    {
      name: 'a trigger without its lead; the lead brings the button to the hand',
      message: 'idle',
      parts: ['handle'],
      remedies: 1,
      ...held(131, button, [triggerLead]),
    },
  ],
  silent: [
    { name: 'at 130 mm', message: 'reach', numbers: { buttonMm: 130 }, ...held(130) },
    {
      name: 'the trigger is wired',
      message: 'reach',
      numbers: { buttonMm: 10 },
      ...held(131, button, [triggerLead], [link('wire', 'handle/out', 'camera/usb')]),
    },
  ],
})
