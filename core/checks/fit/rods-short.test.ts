import { rodsShort } from './rods-short.ts'
import { testCheck } from '../tester.ts'
import { pairOf, boxed } from '../../testing/rod-pair-rigs.ts'

// The box's back stands 20 + 50 mm ahead of the sensor, and the glass may reach 16 mm into it: 86 mm.
testCheck(rodsShort, {
  speaks: [
    {
      name: 'glass 90 mm ahead',
      message: 'short',
      level: 'stop',
      numbers: { shortMm: 4, glassMm: 90 },
      parts: ['box'],
      remedies: 2,
      ...boxed(60),
    },
    {
      name: 'glass 150 mm ahead: the rods end before, longer ones do',
      message: 'short',
      numbers: { shortMm: 64 },
      remedies: 2,
      ...boxed(120, 100, 0, [pairOf('long-pair', 200)]),
    },
  ],
  silent: [{ name: 'exactly as far as the glass may reach', message: 'ahead', numbers: { shortMm: 0 }, ...boxed(56) }],
})
