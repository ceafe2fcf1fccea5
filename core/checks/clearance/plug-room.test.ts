import { plugRoom } from './plug-room.ts'
import { testCheck } from '../tester.ts'
import { behind } from '../../testing/view-rigs.ts'

testCheck(plugRoom, {
  speaks: [
    {
      name: '20 mm of the 44 a straight plug wants',
      message: 'angled',
      level: 'hint',
      numbers: { freeMm: 20, wantedMm: 44, missingMm: 24 },
      parts: ['brick', 'camera'],
      ...behind(20),
    },
  ],
  silent: [{ name: 'exactly 44 mm', message: 'straight', numbers: { missingMm: 0 }, ...behind(44) }],
})
