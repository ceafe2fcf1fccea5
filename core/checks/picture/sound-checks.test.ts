import type { Part } from '../../catalogue/index.ts'
import { on, plug, tinyPart } from '../../testing/index.ts'
import { hdmiLead, lead, link, mic, micLead, screen, wiredCamera, wiredRig } from '../../testing/wired.ts'
import { audioInputsShort } from '../sound/audio-inputs-short.ts'
import { noAudioIn } from '../sound/no-audio-in.ts'
import { noMonitoringPath } from './no-monitoring-path.ts'
import { plugTypeAudio } from '../sound/plug-type-audio.ts'
import { testCheck } from '../tester.ts'
import { timecodePath } from './timecode-path.ts'
import { triggerPath } from './trigger-path.ts'

const inShoe = (id = 'mic') => on(id, 'foot', 'camera', 'shoe')
const without = (...ids: string[]): Part => ({
  ...wiredCamera,
  sockets: (wiredCamera.sockets ?? []).filter(({ id }) => !ids.includes(id)),
})

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

const clock = tinyPart({
  id: 'clock',
  role: 'timecode',
  mounts: [plug('foot', 'shoe-cold')],
  sockets: [
    {
      id: 'out',
      connector: 'timecode-3.5',
      direction: 'out',
      at: [-10, 10, 0],
      out: [-1, 0, 0],
      carries: ['timecode'],
    },
  ],
})
const clockLead = lead('tc', 'timecode-3.5', '3.5-trs', { carries: ['timecode'], thickMm: 3 })
testCheck(timecodePath, {
  speaks: [
    {
      name: 'a box that is joined to nothing',
      message: 'nowhere',
      level: 'risk',
      parts: ['clock'],
      remedies: 1,
      ...wiredRig([clock], [inShoe('clock')], [], { extra: [clockLead] }),
    },
  ],
  silent: [
    {
      name: 'into the mic jack',
      message: 'led',
      ...wiredRig([clock, clockLead], [inShoe('clock')], [link('tc', 'clock/out', 'camera/mic')]),
    },
  ],
})

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
