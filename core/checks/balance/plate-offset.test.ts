import { plateOffset } from './plate-offset.ts'
import { testCheck } from '../tester.ts'
import { head, standing } from '../../testing/stand-rigs.ts'

const travel = { along: [0, 0, -1] as const, minMm: -30, maxMm: 30, stepMm: 1 }

const gimbal = (reachMm: number) => {
  const part = head({ travel }, 'gimbal')
  return {
    ...part,
    role: 'gimbal' as const,
    under: { kind: 'gimbal' as const, at: [0, 40, 0] as const, reachMm: [10, 10, reachMm] as const },
  }
}

testCheck(plateOffset, {
  speaks: [
    {
      name: 'centre 20 mm ahead, the plate slides',
      message: 'off',
      level: 'hint',
      numbers: { offMm: 20, alongMm: 20, besideMm: 0 },
      parts: ['head'],
      remedies: 1,
      ...standing(head({ travel }), 20),
    },
    { name: '46 mm, and nothing slides', message: 'off', level: 'risk', remedies: 0, ...standing(head(), 46) },
    {
      name: 'the gimbal’s arm ends 10 mm before the centre',
      message: 'beyond',
      level: 'stop',
      numbers: { beyondMm: 10 },
      remedies: 1,
      ...standing(gimbal(10), 20),
    },
  ],
  silent: [
    { name: 'exactly 15 mm', message: 'over', numbers: { offMm: 15 }, ...standing(head(), 15) },
    { name: 'the arm just reaches', message: 'reached', numbers: { beyondMm: 0 }, ...standing(gimbal(20), 20) },
  ],
})
