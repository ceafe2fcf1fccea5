import { GRAVITY } from '../../kernel/index.ts'
import { headMoment } from './head-moment.ts'
import { testCheck } from '../tester.ts'
import { head, standing } from '../../testing/stand-rigs.ts'

// 1 kg 40 mm over the plate: 0.392 N m.
const tiltedNm = 1 * GRAVITY * 0.04

testCheck(headMoment, {
  speaks: [
    {
      name: 'rated for less',
      message: 'over',
      level: 'risk',
      numbers: { momentNm: tiltedNm, ratedNm: 0.3, aboveMm: 40, inHandG: 1000 },
      remedies: 2,
      ...standing(head({ momentNm: 0.3 }), 0, [head({ momentNm: 1 }, 'strong')]),
    },
  ],
  silent: [
    { name: 'rated for exactly that', message: 'holds', ...standing(head({ momentNm: tiltedNm }), 0) },
    {
      // 40 mm up and 30 mm ahead of the clamp: on a line of 50 mm when it is tilted by 37 degrees.
      name: 'the way it stands ahead counts as well',
      message: 'holds',
      numbers: { momentNm: 1 * GRAVITY * 0.05, besideMm: 30 },
      ...standing(head({ momentNm: 1 }), 30),
    },
  ],
})
