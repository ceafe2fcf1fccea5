import type { Phase } from '../../brief/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { on, plug, socket, tinyPart } from '../../testing/index.ts'
import { inBay, lead, link, pack, screen, tank, tapLead, usbLead, wiredCamera, wiredRig } from '../../testing/wired.ts'
import { brickNotNeeded } from './brick-not-needed.ts'
import { converterUnpowered } from './converter-unpowered.ts'
import { diesFirst } from './dies-first.ts'
import { noGauge } from './no-gauge.ts'
import { polarityPlug } from './polarity-plug.ts'
import { powerLoop } from './power-loop.ts'
import { runtimeShort } from './runtime-short.ts'
import { supplyBelowDraw } from './supply-below-draw.ts'
import { testCheck } from '../tester.ts'
import { unpowered } from './unpowered.ts'
import { voltage } from './voltage.ts'
import { watts } from './watts.ts'

const day = (...parts: readonly (readonly [Phase['kind'], number])[]) => ({
  phases: parts.map(([kind, minutes]): Phase => ({ name: kind, kind, minutes, mains: false })),
})
type Sockets = NonNullable<Part['sockets']>
/** A part with one of its sockets changed. */
const changed = (part: Part, id: string, more: Partial<Sockets[number]>): Part => ({
  ...part,
  sockets: (part.sockets ?? []).map((own) => (own.id === id ? { ...own, ...more } : own)),
})
const withStore = (part: Part, more: Partial<NonNullable<NonNullable<Part['power']>['store']>>): Part => {
  const store = part.power?.store
  return store ? { ...part, power: { ...part.power, store: { ...store, ...more } } } : part
}
/** A screen fed from a tank beside it. */
const tapped = (tankPart: Part, screenPart: Part, cable: Part, extra: readonly Part[] = []) =>
  wiredRig(
    [pack(), screenPart, tankPart, cable],
    [inBay(), on('screen', 'foot', 'camera', 'pinned'), on('tank', 'foot', 'camera', 'hole')],
    [link(cable.id, 'tank/tap', 'screen/dc')],
    { extra },
  )
/** The camera fed from the tank by USB-C, with its own pack or without. */
const trickled = (
  usbWatts: number,
  more: { pack?: boolean; camera?: Part; tank?: Part; extra?: readonly Part[] } = {},
) => {
  const source = changed(more.tank ?? tank(), 'usb', { watts: usbWatts })
  return wiredRig(
    [...(more.pack === false ? [] : [pack()]), source, usbLead()],
    [...(more.pack === false ? [] : [inBay()]), on('tank', 'foot', 'camera', 'hole')],
    [link('usb', 'tank/usb', 'camera/usb')],
    { ...(more.camera ? { camera: more.camera } : {}), extra: more.extra ?? [] },
  )
}
const free = changed(wiredCamera, 'usb', { needsPack: false })

testCheck(unpowered, {
  speaks: [
    {
      name: 'an empty bay; a pack goes in',
      message: 'none',
      level: 'risk',
      numbers: { watts: 6 },
      parts: ['camera'],
      remedies: 1,
      ...wiredRig([], [], [], { extra: [pack()] }),
    },
    {
      name: 'a lead that gives too little',
      message: 'little',
      parts: ['screen'],
      ...tapped(changed(tank(), 'tap', { watts: 4 }), screen(), tapLead()),
    },
  ],
  silent: [{ name: 'a pack in the bay', message: 'fed', ...wiredRig([pack()], [inBay()]) }],
})

const converter = tinyPart({
  id: 'converter',
  role: 'converter',
  mounts: [plug('foot', 'thread-1/4')],
  power: { drawW: 2 },
  sockets: [
    {
      id: 'power',
      connector: 'usb-c',
      direction: 'in',
      at: [10, 10, 0],
      out: [1, 0, 0],
      carries: ['power'],
      volts: { min: 5, max: 5 },
      watts: 8,
    },
  ],
})
const converting = (links: Parameters<typeof wiredRig>[2], parts: readonly Part[], extra: readonly Part[] = []) =>
  wiredRig(
    [pack(), converter, tank(), ...parts],
    [inBay(), on('converter', 'foot', 'camera', 'pinned'), on('tank', 'foot', 'camera', 'hole')],
    links,
    {
      extra,
    },
  )
testCheck(converterUnpowered, {
  speaks: [
    {
      name: 'no lead',
      message: 'dark',
      level: 'risk',
      numbers: { watts: 2 },
      parts: ['converter'],
      remedies: 1,
      ...converting([], [], [usbLead()]),
    },
  ],
  silent: [
    { name: 'fed by USB-C', message: 'fed', ...converting([link('usb', 'tank/usb', 'converter/power')], [usbLead()]) },
  ],
})

const bears = (min: number, max: number) => changed(screen(), 'dc', { volts: { min, max } })
const { volts: _volts, ...bareDc } = (screen().sockets ?? [])[1] as Sockets[number]
testCheck(voltage, {
  speaks: [
    {
      name: 'a tap of up to 16.8 V into an input for 12; a lead that steps down cures it',
      message: 'over',
      level: 'stop',
      numbers: { volts: 16.8, mostVolts: 12 },
      parts: ['tap', 'tank', 'screen'],
      remedies: 2,
      ...tapped(tank(), bears(6, 12), tapLead(), [
        lead('step', 'd-tap', 'dc-5.5x2.1', {
          carries: ['power'],
          converts: { volts: { min: 11.8, max: 12 }, watts: 20 },
        }),
      ]),
    },
    {
      name: 'a battery that falls below what the input wants',
      message: 'under',
      level: 'risk',
      numbers: { lowVolts: 11, leastVolts: 12 },
      remedies: 1,
      ...tapped(tank(), bears(12, 17), tapLead()),
    },
    {
      name: 'no USB-C step that both know',
      message: 'step',
      level: 'risk',
      parts: ['usb', 'tank', 'camera'],
      ...trickled(30, { camera: changed(wiredCamera, 'usb', { volts: { min: 20, max: 20 } }) }),
    },
    {
      name: 'a pack of the wrong voltage in the bay',
      message: 'over',
      parts: ['pack', 'camera'],
      remedies: 1,
      ...wiredRig([withStore(pack(), { volts: { min: 11, max: 16.8 } })], [inBay()]),
    },
  ],
  silent: [
    {
      name: 'exactly what is borne',
      message: 'suits',
      numbers: { volts: 16.8, mostVolts: 16.8 },
      ...tapped(tank(), bears(11, 16.8), tapLead()),
    },
  ],
  cannotTell: [
    {
      name: 'an input that states nothing',
      message: 'unknown',
      ...tapped(
        tank(),
        screen('screen', { sockets: [(screen().sockets ?? [])[0] as Sockets[number], bareDc] }),
        tapLead(),
      ),
    },
  ],
})

testCheck(polarityPlug, {
  speaks: [
    {
      name: 'a 2.5 mm plug over a 2.1 mm pin; the right lead cures it',
      message: 'differs',
      level: 'risk',
      parts: ['wide', 'tank', 'screen'],
      remedies: 1,
      ...tapped(tank(), screen(), lead('wide', 'd-tap', 'dc-5.5x2.5', { carries: ['power'] }), [tapLead('right')]),
    },
  ],
  silent: [{ name: 'the plug the socket wants', message: 'same', ...tapped(tank(), screen(), tapLead()) }],
})

testCheck(watts, {
  speaks: [
    {
      name: 'a battery made for 3 W that gives 5',
      message: 'battery',
      level: 'risk',
      numbers: { watts: 5, mostWatts: 3 },
      parts: ['tank'],
      ...tapped(withStore(tank(), { maxW: 3 }), screen(), tapLead()),
    },
    {
      name: 'an outlet of 4 W for a screen of 5',
      message: 'outlet',
      numbers: { watts: 5, mostWatts: 4 },
      parts: ['screen'],
      ...tapped(changed(tank(), 'tap', { watts: 4 }), screen(), tapLead()),
    },
  ],
  silent: [
    { name: 'exactly as much', message: 'enough', ...tapped(withStore(tank(), { maxW: 5 }), screen(), tapLead()) },
  ],
})

const onPacks = (minutes: number, packs: number) =>
  wiredRig([pack()], [inBay()], [], {
    brief: day(['roll', minutes]),
    kit: Array.from({ length: packs }, (_, i) => ({
      id: i === 0 ? 'pack' : `pack-${i + 1}`,
      partId: 'pack',
      status: 'in' as const,
    })),
  })
/** The same with a box on top whose draw nobody knows. */
const withUnknown = () => {
  const box = tinyPart({ id: 'box', unknown: ['drawW'], mounts: [plug('foot', 'thread-1/4')] })
  return wiredRig([pack(), box], [inBay(), on('box', 'foot', 'camera', 'hole')], [], { brief: day(['roll', 180]) })
}

testCheck(runtimeShort, {
  cannotTell: [
    {
      name: 'three hours on one pack, and a piece of unknown draw',
      message: 'unknown',
      parts: ['box'],
      ...withUnknown(),
    },
  ],
  speaks: [
    {
      name: 'four hours at 6 W on one pack of 18 Wh; a second cures it',
      message: 'short',
      level: 'risk',
      numbers: { needed: 2, have: 1, darkMin: 180 },
      remedies: 1,
      ...onPacks(240, 1),
    },
  ],
  silent: [
    { name: 'two packs for five hours', message: 'enough', numbers: { needed: 2, have: 2 }, ...onPacks(300, 2) },
    { name: 'three hours to the minute', message: 'enough', numbers: { needed: 1, have: 1 }, ...onPacks(180, 1) },
  ],
})

const oneForAll = (parts: readonly Part[], joints: Parameters<typeof wiredRig>[1]) =>
  wiredRig(
    [...parts, screen(), tank(), tapLead(), usbLead()],
    [...joints, on('screen', 'foot', 'camera', 'pinned'), on('tank', 'foot', 'camera', 'hole')],
    [link('tap', 'tank/tap', 'screen/dc'), link('usb', 'tank/usb', 'camera/usb')],
    { camera: free },
  )
testCheck(diesFirst, {
  speaks: [
    {
      name: 'camera and screen on one tank, no pack in the body',
      message: 'all',
      level: 'hint',
      numbers: { together: 2, lastMin: (90 / (5 + 6 / 0.9)) * 60 },
      ...oneForAll([], []),
    },
  ],
  silent: [
    { name: 'a pack in the body bridges it', message: 'apart', ...oneForAll([pack()], [inBay()]) },
    {
      name: 'the camera alone',
      message: 'apart',
      numbers: { together: 1, mostTogether: 1 },
      ...trickled(30, { pack: false, camera: free }),
    },
  ],
})

const blindTank = (id: string, gauge: boolean) => withStore(tank(id), { gauge })
testCheck(noGauge, {
  speaks: [
    {
      name: 'a tank without a gauge behind the camera; one with a gauge takes its place and its leads',
      message: 'none',
      level: 'hint',
      parts: ['tank'],
      remedies: 1,
      ...trickled(30, { tank: blindTank('tank', false), extra: [blindTank('seeing', true)] }),
    },
  ],
  silent: [{ name: 'with a gauge', message: 'gauge', ...trickled(30) }],
})

const bricked = (minutes: number) => {
  const brick = { ...tank('brick'), mounts: [plug('back', 'v-lock')] }
  return wiredRig(
    [pack(), brick, usbLead()],
    [inBay(), on('brick', 'back', 'camera', 'v-plate')],
    [link('usb', 'brick/usb', 'camera/usb')],
    {
      brief: day(['roll', minutes]),
      camera: { ...wiredCamera, mounts: [...wiredCamera.mounts, socket('v-plate', 'v-lock', [0, 0, 30], [0, 0, 1])] },
    },
  )
}
testCheck(brickNotNeeded, {
  speaks: [
    {
      name: 'two hours, and the pack lasts three',
      message: 'spare',
      level: 'hint',
      numbers: { massG: 100 },
      parts: ['brick'],
      remedies: 1,
      ...bricked(120),
    },
  ],
  silent: [{ name: 'four hours', message: 'needed', ...bricked(240) }],
})

testCheck(supplyBelowDraw, {
  speaks: [
    {
      name: '4 W by lead against 6 drawn',
      message: 'below',
      level: 'hint',
      numbers: { watts: 6, mostWatts: 4, lastMin: 540 },
      parts: ['camera'],
      ...trickled(4),
    },
  ],
  silent: [{ name: 'as much as is drawn', message: 'enough', numbers: { watts: 6, mostWatts: 6 }, ...trickled(6) }],
})

const passing = (id: string) =>
  screen(id, {
    sockets: [
      { id: 'dc', connector: 'dc-5.5x2.1', direction: 'in', at: [10, 10, 0], out: [1, 0, 0], carries: ['power'] },
      { id: 'on', connector: 'dc-5.5x2.1', direction: 'out', at: [-10, 10, 0], out: [-1, 0, 0], carries: ['power'] },
    ],
  })
const dc = (id: string) => lead(id, 'dc-5.5x2.1', 'dc-5.5x2.1', { carries: ['power'] })
const ring = (...links: Parameters<typeof link>[]) =>
  wiredRig(
    [passing('one'), passing('two'), dc('there'), dc('back')],
    [on('one', 'foot', 'camera', 'hole'), on('two', 'foot', 'camera', 'pinned')],
    links.map((given) => link(...given)),
  )
testCheck(powerLoop, {
  speaks: [
    {
      name: 'there and back',
      message: 'ring',
      level: 'stop',
      parts: ['back', 'two', 'one'],
      remedies: 1,
      ...ring(['there', 'one/on', 'two/dc'], ['back', 'two/on', 'one/dc']),
    },
  ],
  silent: [{ name: 'there only', message: 'straight', ...ring(['there', 'one/on', 'two/dc']) }],
})
