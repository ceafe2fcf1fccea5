import { on } from '../../testing/index.ts'
import { tank, wiredRig } from '../../testing/wired.ts'
import { airTravelWh } from './air-travel-wh.ts'
import { testCheck } from '../tester.ts'

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
