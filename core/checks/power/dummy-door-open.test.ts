import type { Part } from '../../catalogue/index.ts'
import { inBay, pack, wiredRig } from '../../testing/wired.ts'
import { dummyDoorOpen } from './dummy-door-open.ts'
import { testCheck } from '../tester.ts'

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
