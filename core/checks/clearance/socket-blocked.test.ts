import { socketBlocked } from './socket-blocked.ts'
import { testCheck } from '../tester.ts'
import { behind } from '../../testing/view-rigs.ts'

testCheck(socketBlocked, {
  speaks: [
    {
      name: '8 mm behind the socket',
      message: 'covered',
      level: 'risk',
      numbers: { freeMm: 8, leastMm: 12, missingMm: 4 },
      parts: ['brick', 'camera'],
      ...behind(8),
    },
  ],
  silent: [{ name: 'exactly the flattest plug', message: 'free', numbers: { missingMm: 0 }, ...behind(12) }],
})
