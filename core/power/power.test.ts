import fc from 'fast-check'
import type { Phase } from '../brief/index.ts'
import type { Part } from '../catalogue/index.ts'
import { on } from '../testing/index.ts'
import {
  hdmiLead,
  inBay,
  lead,
  link,
  pack,
  screen,
  tank,
  tapLead,
  usbLead,
  wiredCamera,
  wiredRig,
  onTank,
  networkFor,
} from '../testing/wired.ts'
import {
  airBand,
  ChargingTable,
  coldFactor,
  drawIn,
  fillMinutes,
  flowAt,
  fullCells,
  nearMains,
  planDay,
  runDown,
  suits,
  usableWh,
} from './index.ts'

const rolling = drawIn('roll')
const phase = (kind: Phase['kind'], minutes: number, mains = false): Phase => ({ name: kind, kind, minutes, mains })

test.each([
  [20, 1],
  [0, 0.8],
  [10, 0.9],
  [-5, 0.75],
  [-10, 0.7],
  [-30, 0.7],
  [35, 1],
])('at %d C a pack gives %d of its charge', (celsius, factor) => expect(coldFactor(celsius)).toBeCloseTo(factor, 9))

test('what can be taken out: depth, cold and age', () => {
  expect(usableWh(16, 20)).toBeCloseTo(14.4, 9)
  expect(usableWh(16, 0)).toBeCloseTo(11.52, 9)
  expect(usableWh(16, 0, 0.75)).toBeCloseTo(8.64, 9)
})

test('bands for a flight meet at their limits', () => {
  expect([99.9, 100, 100.1, 160, 160.1].map(airBand)).toEqual(['carry', 'carry', 'ask', 'ask', 'never'])
})

test.each([
  [{ min: 11, max: 16.8 }, { min: 6.5, max: 8.6 }, 'dummy', false],
  [{ min: 11, max: 16.8 }, { min: 7, max: 17 }, 'dc-5.5x2.1', true],
  [{ min: 6, max: 8.4 }, { min: 7, max: 17 }, 'dc-5.5x2.1', false],
  [{ min: 7, max: 17 }, { min: 7, max: 17 }, 'dc-5.5x2.1', true],
  [{ min: 5, max: 9 }, { min: 9, max: 20 }, 'usb-c', true],
  [{ min: 5, max: 5 }, { min: 9, max: 20 }, 'usb-c', false],
] as const)('%j into %j by %s: %s', (given, bears, connector, good) =>
  expect(suits(given, bears, connector)).toBe(good),
)

test('a camera on its own pack: 18 Wh at 6 W is 180 min, and 144 at freezing', () => {
  const rig = wiredRig([pack()], [inBay()])
  expect(runDown(networkFor(rig), rolling).nodeMin.get('camera')).toBeCloseTo(180, 6)
  expect(runDown(networkFor(rig, 0), rolling).nodeMin.get('camera')).toBeCloseTo(144, 6)
})

test('a camera without any battery is dark from the start', () => {
  const down = runDown(networkFor(wiredRig([], [])), rolling)
  expect(down.nodeMin.get('camera')).toBe(0)
  expect(down.events).toEqual([{ minute: 0, what: 'dark', id: 'camera', name: 'tiny-camera' }])
})

test('trickle that gives less than is drawn: the pack makes up the rest and lasts pack / (draw - supply)', () => {
  const down = runDown(networkFor(onTank(4)), rolling)
  // 18 Wh / (6 - 4) W = 9 h. The tank gives 5 W by the tap and 4 / 0.9 W by USB-C: 90 / 9.444 = 9.53 h.
  expect(down.cellMin.get('pack')).toBeCloseTo(540, 6)
  // The body runs by USB-C only while its pack is in: it is dark when the pack is.
  expect(down.nodeMin.get('camera')).toBeCloseTo(540, 6)
  // From then on the tank feeds the screen alone: 90 Wh less 9 h of 9.444 W, at 5 W.
  expect(down.nodeMin.get('screen')).toBeCloseTo(540 + ((90 - 9 * (5 + 4 / 0.9)) / 5) * 60, 6)
})

test('trickle that gives enough: the pack stays full, then bridges what is left when the tank is empty', () => {
  const down = runDown(networkFor(onTank(30)), rolling)
  // A full pack takes no charge: 90 Wh / (5 + 6 / 0.9) W = 7.714 h, then 18 Wh / 6 W = 3 h more.
  const tankMin = (90 / (5 + 6 / 0.9)) * 60
  expect(down.cellMin.get('tank')).toBeCloseTo(tankMin, 6)
  expect(down.nodeMin.get('screen')).toBeCloseTo(tankMin, 6)
  expect(down.nodeMin.get('camera')).toBeCloseTo(tankMin + 180, 6)
  expect(down.events.map(({ what, id }) => `${what} ${id}`)).toEqual([
    'empty tank',
    'dark screen',
    'empty pack',
    'dark camera',
  ])
})

test('a half-empty pack is charged with what is left over, less what charging loses', () => {
  const network = networkFor(onTank(10))
  const flow = flowAt(network, new Map([...fullCells(network.cells), ['pack', 9]]), rolling)
  // 10 W arrive, 6 are used, 4 go into the pack and 3.6 of them stay.
  expect(flow.cellW.get('pack')).toBeCloseTo(-3.6, 9)
  expect(flow.storedW).toBeCloseTo(3.6, 9)
  expect(flow.cellW.get('tank')).toBeCloseTo(5 + 10 / 0.9, 9)
})

test('a regulated outlet and a converting lead lose a tenth each', () => {
  const rig = wiredRig(
    [
      screen(),
      tank(),
      lead('step', 'usb-c', 'dc-5.5x2.1', { carries: ['power'], converts: { volts: { min: 12, max: 12 }, watts: 20 } }),
    ],
    [on('screen', 'foot', 'camera', 'pinned'), on('tank', 'foot', 'camera', 'hole')],
    [link('step', 'tank/usb', 'screen/dc')],
  )
  expect(networkFor(rig).feeds.find(({ to }) => to === 'screen')).toMatchObject({
    limitW: 20,
    volts: { min: 12, max: 12 },
  })
  expect(networkFor(rig).feeds.find(({ to }) => to === 'screen')?.efficiency).toBeCloseTo(0.81, 9)
})

test('an input that gets too little is dark, and takes nothing', () => {
  const weak = tank('tank', { sockets: (tank().sockets ?? []).map((socket) => ({ ...socket, watts: 4 })) })
  const rig = wiredRig(
    [screen(), weak, tapLead()],
    [on('screen', 'foot', 'camera', 'pinned'), on('tank', 'foot', 'camera', 'hole')],
    [link('tap', 'tank/tap', 'screen/dc')],
  )
  const flow = flowAt(networkFor(rig), new Map([['tank', 90]]), rolling)
  expect(flow.dark).toEqual(new Set(['camera', 'screen']))
  expect(flow.cellW.get('tank')).toBe(0)
})

test('power in a ring: the lead that would close it is left out and named', () => {
  const cube = (id: string) =>
    screen(id, {
      sockets: [
        { id: 'dc', connector: 'dc-5.5x2.1', direction: 'in', at: [10, 10, 0], out: [1, 0, 0], carries: ['power'] },
        { id: 'on', connector: 'dc-5.5x2.1', direction: 'out', at: [-10, 10, 0], out: [-1, 0, 0], carries: ['power'] },
      ],
    })
  const dc = (id: string) => lead(id, 'dc-5.5x2.1', 'dc-5.5x2.1', { carries: ['power'] })
  const network = networkFor(
    wiredRig(
      [cube('one'), cube('two'), dc('there'), dc('back')],
      [on('one', 'foot', 'camera', 'hole'), on('two', 'foot', 'camera', 'pinned')],
      [link('there', 'one/on', 'two/dc'), link('back', 'two/on', 'one/dc')],
    ),
  )
  expect(network.rings.map(({ cable }) => cable)).toEqual(['back'])
  expect(runDown(network, rolling).nodeMin.get('two')).toBe(0)
})

test('the day swaps packs, counts them, and says when none is left', () => {
  const network = networkFor(wiredRig([pack()], [inBay()]))
  const day = [phase('roll', 240), phase('standby', 120)]
  // 6 W for 4 h and 3 W for 2 h: 30 Wh, 18 at a time: the first is empty after 180 min, the second would last to the end.
  const bare = planDay(network, day, [], [])
  expect(bare).toMatchObject({ minutes: 360, failsAtMin: 180 })
  expect(bare.kinds[0]).toMatchObject({ needed: 2, have: 1, swaps: 0, chargeMin: Infinity })
  expect(bare.kinds[0]?.usedWh).toBeCloseTo(30, 6)
  expect(bare.darkMin.get('camera')).toBeCloseTo(180, 6)
  const spare = planDay(
    network,
    day,
    [{ id: 'second', kind: 'pack cell', usableWh: 18 }],
    [{ kind: 'pack cell', bays: 2, watts: 5 }],
  )
  expect(spare).toMatchObject({ failsAtMin: Infinity, swaps: 1 })
  // 18 and 12 Wh, each in a bay of 5 W, 0.9 of it staying: the fuller takes 160 min, the emptier 240.
  expect(spare.kinds[0]?.chargeMin).toBeCloseTo(240, 6)
})

test('one pack hangs in one bay: a second charger hurries only a second pack', () => {
  expect(fillMinutes([18], [10])).toBeCloseTo(120, 9)
  expect(fillMinutes([18], [10, 10])).toBeCloseTo(120, 9)
  expect(fillMinutes([18, 18], [10, 10])).toBeCloseTo(120, 9)
  expect(fillMinutes([18, 18, 18], [10, 10])).toBeCloseTo(240, 9)
  // 9 W and 4.5 W into the packs: 18 Wh twice in the strong one, 240 min, rather than once in the weak one, 240 min as well; three take 360.
  expect(fillMinutes([18, 18, 18], [10, 5])).toBeCloseTo(240, 9)
  expect([fillMinutes([], []), fillMinutes([1], []), fillMinutes([0], [])]).toEqual([0, Infinity, 0])
})

test('the wall times of a day: who hangs in which bay when, one after the other, and on through a break', () => {
  const table = new ChargingTable([
    { kind: 'cell', bays: 1, watts: 10 },
    { kind: 'cell', bays: 1, watts: 5 },
  ])
  table.lay('a', 'cell', 18)
  table.lay('b', 'cell', 9)
  table.lay('c', 'cell', 9)
  // a in the 10 W bay to 180, b in the 5 W bay to 180; c waits: the wall is left after an hour and a half.
  expect(table.charge(60, 1.5)).toEqual([])
  expect(table.charge(300, 2)).toEqual(['a', 'b', 'c'])
  expect(
    table.schedule.map(({ id, bay, fromMin, toMin, full }) => [id, bay, Math.round(fromMin), Math.round(toMin), full]),
  ).toEqual([
    ['a', 0, 60, 150, false],
    ['b', 1, 60, 150, false],
    ['a', 0, 300, 330, true],
    ['b', 1, 300, 330, true],
    ['c', 0, 330, 390, true],
  ])
  // Against a walk minute by minute: what went in is what was missing, a tenth of the wall's energy lost.
  const wh = table.schedule.reduce((sum, { fromMin, toMin, watts }) => sum + ((toMin - fromMin) / 60) * watts * 0.9, 0)
  expect(wh).toBeCloseTo(36, 9)
})

test('a spent pack comes back from the charger when there is a wall and time enough', () => {
  const network = networkFor(wiredRig([pack()], [inBay()]))
  const day = [phase('roll', 180), phase('off', 120, true), phase('roll', 170)]
  const spares = [{ id: 'second', kind: 'pack cell', usableWh: 18 }]
  const bays = [{ kind: 'pack cell', bays: 1, watts: 10 }]
  // 18 Wh at 9 W into the pack: full again after the two hours; without the wall the last part still has the second pack.
  expect(planDay(network, [...day, phase('roll', 100)], spares, bays).failsAtMin).toBe(Infinity)
  expect(
    planDay(network, [...day.map((part) => ({ ...part, mains: false })), phase('roll', 100)], spares, bays).failsAtMin,
  ).toBeCloseTo(480, 6)
})

test('a change is hot when something else feeds meanwhile, and breaks in when nothing does', () => {
  const alone = planDay(
    networkFor(wiredRig([pack()], [inBay()])),
    [phase('roll', 240)],
    [{ id: 'second', kind: 'pack cell', usableWh: 18 }],
    [],
  )
  expect(alone.kinds[0]).toMatchObject({ swaps: 1, breaks: 1 })
  // The tank feeds the screen alone and the camera beside its pack: 90 Wh at 5 + 6 / 0.9 W are out after 463 min, the pack goes on.
  const beside = planDay(
    networkFor(onTank(30)),
    [phase('roll', 480)],
    [{ id: 'second', kind: 'tank', usableWh: 90 }],
    [],
  )
  expect(beside.kinds.find(({ kind }) => kind === 'tank')).toMatchObject({ swaps: 1, breaks: 1 })
  const noScreen = wiredRig(
    [pack(), tank(), usbLead()],
    [inBay(), on('tank', 'foot', 'camera', 'hole')],
    [link('usb', 'tank/usb', 'camera/usb')],
  )
  // 90 Wh at 6 / 0.9 W: 810 min; the pack bridges the change.
  const bridged = planDay(
    networkFor(noScreen),
    [phase('roll', 900)],
    [{ id: 'second', kind: 'tank', usableWh: 90 }],
    [],
  )
  expect(bridged.kinds.find(({ kind }) => kind === 'tank')).toMatchObject({ swaps: 1, breaks: 0 })
})

test('near the wall it goes on for ever when the bays give back what is drawn', () => {
  const network = networkFor(wiredRig([pack()], [inBay()]))
  const flow = flowAt(network, fullCells(network.cells), rolling)
  const spares = [{ id: 'second', kind: 'pack cell', usableWh: 18 }]
  const forever = (watts: number) => nearMains(network, flow, spares, [{ kind: 'pack cell', bays: 2, watts }])[0]
  // One spare fills one bay: 0.9 x 7 = 6.3 W against 6; 0.9 x 6 = 5.4 is too little.
  expect(forever(7)).toMatchObject({ usesW: 6, chargesW: 6.3, forEver: true })
  expect(forever(6)).toMatchObject({ forEver: false })
})

test('drawing more never lasts longer', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 40, noNaN: true }),
      fc.double({ min: 0, max: 20, noNaN: true }),
      (drawW, more) => {
        const minutes = (watts: number) =>
          runDown(
            networkFor(wiredRig([pack()], [inBay()], [], { camera: { ...wiredCamera, power: { drawW: watts } } })),
            rolling,
          ).nodeMin.get('camera') ?? 0
        expect(minutes(drawW + more)).toBeLessThanOrEqual(minutes(drawW) + 1e-9)
      },
    ),
  )
})

test('a screen on its own slab and a lead that carries no power change nothing for each other', () => {
  const slab = pack('slab', {
    mounts: [{ ...(pack().mounts[0] as Part['mounts'][number]), standard: 'slab-l', family: 'l' }],
  })
  const rig = wiredRig(
    [pack(), screen(), slab, hdmiLead()],
    [inBay(), on('screen', 'foot', 'camera', 'hole'), on('slab', 'contacts', 'screen', 'seat')],
    [link('hdmi', 'camera/hdmi', 'screen/in')],
  )
  const down = runDown(networkFor(rig), rolling)
  expect(down.nodeMin.get('screen')).toBeCloseTo((18 / 5) * 60, 6)
  expect(down.nodeMin.get('camera')).toBeCloseTo(180, 6)
})
