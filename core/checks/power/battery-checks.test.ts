import type { Part } from '../../catalogue/index.ts'
import { on, plug, socket, tinyPart } from '../../testing/index.ts'
import { inBay, pack, tank, wiredRig } from '../../testing/wired.ts'
import { airTravelWh } from './air-travel-wh.ts'
import { chargerShort } from './charger-short.ts'
import { dummyDoorOpen } from './dummy-door-open.ts'
import { testCheck } from '../tester.ts'
import { tooManyBatteryKinds } from './too-many-battery-kinds.ts'

const rolling = (minutes: number) => ({ phases: [{ name: 'rolling', kind: 'roll' as const, minutes, mains: false }] })

const dummy = (id: string, doorOpen: boolean): Part =>
  pack(id, {
    role: 'dummy',
    power: doorOpen ? { doorOpen } : {},
    sockets: [
      {
        id: 'lead',
        connector: 'dummy',
        direction: 'in',
        at: [0, 0, 0],
        out: [0, -1, 0],
        carries: ['power'],
        volts: { min: 6, max: 17 },
      },
    ],
  })
testCheck(dummyDoorOpen, {
  speaks: [
    {
      name: 'spray and an open door; another dummy shuts it',
      message: 'open',
      level: 'risk',
      parts: ['dummy'],
      remedies: 1,
      ...wiredRig([dummy('dummy', true)], [inBay('dummy')], [], {
        brief: { conditions: ['spray'] },
        extra: [dummy('tight', false)],
      }),
    },
  ],
  silent: [
    { name: 'a dry day', message: 'dry', ...wiredRig([dummy('dummy', true)], [inBay('dummy')]) },
    {
      name: 'the door shuts',
      message: 'shut',
      ...wiredRig([dummy('dummy', false)], [inBay('dummy')], [], { brief: { conditions: ['spray'] } }),
    },
  ],
})

const slab = (id: string) => pack(id, { mounts: [plug('contacts', 'slab-l', { family: 'l' })] })
testCheck(tooManyBatteryKinds, {
  speaks: [
    {
      name: 'packs, slabs and a tank',
      message: 'many',
      level: 'hint',
      numbers: { kinds: 3, mostKinds: 2 },
      ...wiredRig([pack(), slab('slab'), tank()], [inBay()]),
    },
  ],
  silent: [
    { name: 'packs and slabs', message: 'few', numbers: { kinds: 2 }, ...wiredRig([pack(), slab('slab')], [inBay()]) },
  ],
})

const charger = (id: string, chargesW: number) =>
  tinyPart({
    id,
    role: 'charger',
    mounts: [socket('bay', 'pack', [0, 20, 0], [0, 1, 0], { family: 'cell' })],
    power: { chargesW, mains: true },
  })
const charging = (parts: readonly Part[], extra: readonly Part[] = []) =>
  wiredRig([pack(), ...parts], [inBay()], [], { brief: rolling(180), extra })
testCheck(chargerShort, {
  speaks: [
    { name: 'no charger', message: 'none', level: 'hint', remedies: 1, ...charging([], [charger('charger', 10)]) },
    {
      name: '18 Wh at 2 W, a tenth lost: ten hours; a second charger hurries nothing, a stronger one does',
      message: 'long',
      numbers: { chargeMin: 600, nightMin: 480 },
      remedies: 1,
      ...charging([charger('charger', 2)], [charger('strong', 10)]),
    },
  ],
  silent: [
    {
      name: 'eight hours to the minute',
      message: 'enough',
      numbers: { chargeMin: 480 },
      ...charging([charger('charger', 2.5)]),
    },
  ],
})

const flying = (capacityWh: number, count = 1) =>
  wiredRig(
    [{ ...tank(), power: { store: { capacityWh, volts: { min: 11, max: 16.8 }, maxW: 100, gauge: true } } }],
    [on('tank', 'foot', 'camera', 'hole')],
    [],
    {
      brief: { conditions: ['flight'] },
      kit: Array.from({ length: count }, (_, i) => ({
        id: i === 0 ? 'tank' : `tank-${i + 1}`,
        partId: 'tank',
        status: 'in' as const,
      })),
    },
  )
testCheck(airTravelWh, {
  speaks: [
    { name: '147 Wh: ask', message: 'ask', level: 'risk', numbers: { capacityWh: 147, count: 1 }, ...flying(147) },
    { name: '147 Wh and three spares', message: 'many', level: 'stop', numbers: { count: 4 }, ...flying(147, 4) },
    { name: '190 Wh: never', message: 'never', level: 'stop', ...flying(190) },
  ],
  silent: [
    { name: '100 Wh to the dot', message: 'carry', numbers: { capacityWh: 100, freeWh: 100 }, ...flying(100) },
    { name: 'by train', message: 'ground', ...wiredRig([tank()], [on('tank', 'foot', 'camera', 'hole')]) },
  ],
})
