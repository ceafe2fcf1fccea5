import { emptySetup } from '../../assembly/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { on, plug, socket, tinyPart } from '../../testing/index.ts'
import {
  hdmiLead,
  inBay,
  lead,
  link,
  mic,
  micLead,
  pack,
  screen,
  tank,
  tapLead,
  usbLead,
  wiredCamera,
  wiredRig,
} from '../../testing/wired.ts'
import { cableLong } from './cable-long.ts'
import { cableShort } from './cable-short.ts'
import { chainBroken } from './chain-broken.ts'
import { noCable } from './no-cable.ts'
import { noStrainRelief } from './no-strain-relief.ts'
import { plugDirection } from './plug-direction.ts'
import { portWear } from './port-wear.ts'
import { signalUnsupported } from './signal-unsupported.ts'
import { socketTwice } from './socket-twice.ts'
import { testCheck } from '../tester.ts'
import { wrongEnds } from './wrong-ends.ts'

const onHole = on('screen', 'foot', 'camera', 'hole')
/** A screen on the camera with one picture lead; see the cabling tests for its way: 44 + hypot(94, 70, 34) + 44 mm. */
const NEED_MM = 88 + Math.hypot(94, 70, 34)
const shown = (cable: Part, extra: readonly Part[] = [], more: Partial<Part> = {}, camera?: Part) =>
  wiredRig([screen('screen', more), cable], [onHole], [link(cable.id, 'camera/hdmi', 'screen/in')], {
    extra,
    ...(camera ? { camera } : {}),
  })

const drive = tinyPart({
  id: 'drive',
  role: 'drive',
  mounts: [plug('back', 'thread-1/4')],
  sockets: [{ id: 'data', connector: 'usb-c', direction: 'both', at: [0, 10, 10], out: [0, 0, 1], carries: ['data'] }],
  media: { stores: { gb: 1000, writeMBs: 400, readMBs: 400, kind: 'drive' } },
})
testCheck(noCable, {
  speaks: [
    {
      name: 'a screen without a picture; a lead from the shop cures it',
      message: 'picture',
      level: 'risk',
      parts: ['screen'],
      remedies: 1,
      ...wiredRig([screen()], [onHole], [], { extra: [hdmiLead()] }),
    },
    {
      name: 'a mic that nobody hears',
      message: 'sound',
      parts: ['mic'],
      remedies: 1,
      ...wiredRig([mic()], [on('mic', 'foot', 'camera', 'shoe')], [], { extra: [micLead()] }),
    },
    {
      name: 'a drive that is joined to nothing',
      message: 'data',
      parts: ['drive'],
      remedies: 1,
      ...wiredRig([drive], [on('drive', 'back', 'camera', 'hole')], [], { extra: [usbLead()] }),
    },
  ],
  silent: [{ name: 'a lead from the camera', message: 'joined', ...shown(hdmiLead()) }],
})

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
      name: 'a mic in the headphone jack',
      message: 'nothing',
      remedies: 1,
      ...wiredRig(
        [mic(), micLead()],
        [on('mic', 'foot', 'camera', 'shoe')],
        [link('jack', 'mic/out', 'camera/phones')],
      ),
    },
  ],
  silent: [{ name: 'a picture from the camera to the screen', message: 'goes', ...shown(hdmiLead()) }],
})

testCheck(socketTwice, {
  speaks: [
    {
      name: 'two screens from one socket',
      message: 'twice',
      level: 'stop',
      numbers: { plugs: 2, mostPlugs: 1 },
      parts: ['camera', 'hdmi', 'more'],
      remedies: 2,
      ...wiredRig(
        [screen(), screen('second'), hdmiLead(), hdmiLead('more')],
        [onHole, on('second', 'foot', 'camera', 'pinned')],
        [link('hdmi', 'camera/hdmi', 'screen/in'), link('more', 'camera/hdmi', 'second/in')],
      ),
    },
  ],
  silent: [{ name: 'one lead', message: 'once', numbers: { plugs: 1 }, ...shown(hdmiLead()) }],
})

testCheck(cableShort, {
  speaks: [
    {
      name: '120 mm for a way of 210; 300 mm cure it',
      message: 'short',
      level: 'stop',
      numbers: { needMm: NEED_MM, reachMm: 120 },
      remedies: 1,
      ...shown(hdmiLead('hdmi', { lengthMm: 120 }), [hdmiLead('longer')]),
    },
  ],
  silent: [
    {
      name: 'to the millimetre',
      message: 'reaches',
      numbers: { needMm: NEED_MM },
      ...shown(hdmiLead('hdmi', { lengthMm: NEED_MM })),
    },
  ],
})

testCheck(cableLong, {
  speaks: [
    {
      name: '600 mm for a way of 210; 300 mm cure it',
      message: 'long',
      level: 'hint',
      numbers: { spareMm: 600 - NEED_MM, mostMm: 150 },
      remedies: 1,
      ...shown(hdmiLead('hdmi', { lengthMm: 600 }), [hdmiLead('shorter')]),
    },
  ],
  silent: [
    {
      name: '150 mm over',
      message: 'right',
      numbers: { spareMm: 150 },
      ...shown(hdmiLead('hdmi', { lengthMm: NEED_MM + 150 })),
    },
    { name: 'a spring lead', message: 'coil', ...shown(hdmiLead('hdmi', { lengthMm: 180, coil: true })) },
  ],
})

/**
 * A screen whose input looks right, so placed that the tap lead from the tank leaves its plug, angled up, at exactly
 * 120 degrees.
 */
const D = 26
const square = screen('screen', {
  sockets: [
    {
      id: 'dc',
      connector: 'dc-5.5x2.1',
      direction: 'in',
      at: [D - 46 - 25, 24.4 - D / Math.sqrt(3), 16],
      out: [1, 0, 0],
      carries: ['power'],
    },
  ],
})
const boxAt = tinyPart({ id: 'block', mounts: [plug('foot', 'nato', { lengthMm: 20 })] })
testCheck(plugDirection, {
  speaks: [
    {
      name: 'a plug angled down for a screen above; one angled up lies flat',
      message: 'away',
      level: 'hint',
      remedies: 1,
      ...shown(hdmiLead('hdmi', { a: { connector: 'hdmi-a', angle: 'down' } }), [
        hdmiLead('rising', { a: { connector: 'hdmi-a', angle: 'up' } }),
      ]),
    },
    {
      name: 'a block stands right before the socket',
      message: 'tight',
      level: 'risk',
      numbers: { freeMm: 0, roomMm: 40 },
      ...wiredRig(
        [boxAt, drive, usbLead()],
        [on('block', 'foot', 'camera', 'rail', { slideMm: 15 }), on('drive', 'back', 'camera', 'hole')],
        [link('usb', 'camera/usb', 'drive/data')],
      ),
    },
  ],
  silent: [
    {
      name: 'at 120 degrees',
      message: 'flat',
      numbers: { turnsDeg: 120, mostDeg: 120 },
      ...wiredRig(
        [square, tank(), tapLead('tap', { a: { connector: 'd-tap', angle: 'up' } })],
        [on('screen', 'foot', 'camera', 'pinned'), on('tank', 'foot', 'camera', 'hole')],
        [link('tap', 'tank/tap', 'screen/dc')],
      ),
    },
  ],
})

/**
 * A clip that stands on a peg beside the camera and holds a lead 16 mm above where the plug's cable comes free: 60 mm
 * along its way.
 */
const clip = (id = 'clip', above = 20, more: Partial<Part> = {}) =>
  tinyPart({
    id,
    role: 'cable-clamp',
    mounts: [plug('foot', 'thread-1/4')],
    holdsCable: { at: [0, above, 0] },
    ...more,
  })
const pegged: Part = { ...wiredCamera, mounts: [...wiredCamera.mounts, socket('peg', 'thread-1/4', [-94, -29, 20])] }
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

const taking = (...formats: NonNullable<NonNullable<Part['sockets']>[number]['formats']>) => ({
  sockets: (screen().sockets ?? []).map((own) => (own.id === 'in' ? { ...own, formats } : own)),
})
testCheck(signalUnsupported, {
  speaks: [
    {
      name: 'a screen for raw only',
      message: 'none',
      level: 'risk',
      parts: ['screen'],
      ...shown(hdmiLead(), [], taking('raw')),
    },
    {
      name: 'a recorder that gets less than the camera gives',
      message: 'less',
      level: 'hint',
      ...shown(hdmiLead(), [], { ...taking('hd60'), media: { codecs: [{ id: 'hd', title: 'HD', mbps: 50 }] } }),
    },
  ],
  silent: [
    { name: 'all of it', message: 'passes', ...shown(hdmiLead()) },
    { name: 'less, on a screen', message: 'enough', ...shown(hdmiLead('hdmi', { upTo: 'hd60' })) },
  ],
})

const loop = screen('loop', {
  sockets: [
    ...(screen().sockets ?? []),
    { id: 'on', connector: 'hdmi-a', direction: 'out', at: [0, 15, 10], out: [0, 0, 1], carries: ['picture'] },
  ],
})
const chain = (first: boolean, powered: boolean) =>
  wiredRig(
    [loop, screen('far'), hdmiLead(), hdmiLead('next'), ...(powered ? [slab] : [])],
    [
      on('loop', 'foot', 'camera', 'hole'),
      on('far', 'foot', 'camera', 'pinned'),
      ...(powered ? [on('slab', 'contacts', 'loop', 'seat')] : []),
    ],
    [...(first ? [link('hdmi', 'camera/hdmi', 'loop/in')] : []), link('next', 'loop/on', 'far/in')],
  )
const slab = pack('slab', { mounts: [plug('contacts', 'slab-l', { family: 'l' })] })
testCheck(chainBroken, {
  speaks: [
    {
      name: 'it starts at a screen that gets no picture',
      message: 'source',
      level: 'risk',
      parts: ['far'],
      ...chain(false, true),
    },
    { name: 'through a screen without power', message: 'dark', parts: ['far'], ...chain(true, false) },
  ],
  silent: [{ name: 'through a screen that is on', message: 'whole', ...chain(true, true) }],
})

const micro: Part = {
  ...wiredCamera,
  sockets: (wiredCamera.sockets ?? []).map((own) =>
    own.id === 'hdmi' ? { ...own, connector: 'hdmi-d' as const } : own,
  ),
}
const comesAndGoes = (tiny: ReturnType<typeof wiredRig>) => ({
  ...tiny,
  rig: { ...tiny.rig, setups: [...tiny.rig.setups, { ...emptySetup, id: 'other', name: 'other' }] },
})
const microLead = lead('small', 'hdmi-d', 'hdmi-a', { carries: ['picture'] })
testCheck(portWear, {
  speaks: [
    {
      name: 'micro, in one set-up of two',
      message: 'worn',
      level: 'hint',
      numbers: { plugged: 1, without: 1 },
      ...comesAndGoes(shown(microLead, [], {}, micro)),
    },
  ],
  silent: [
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

test('a powered rig is not asked for what it has', () => {
  expect(inBay('pack')).toMatchObject({ host: 'camera', hostMount: 'bay' })
})
