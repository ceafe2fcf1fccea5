import { hdmiLead } from '../../testing/wired.ts'
import { cableLong } from './cable-long.ts'
import { testCheck } from '../tester.ts'
import { NEED_MM, shown } from '../../testing/lead-rigs.ts'

testCheck(cableLong, {
  speaks: [
    {
      name: '600 mm for a way of 210; 300 mm cure it',
      message: 'long',
      level: 'hint',
      numbers: { spareMm: 600 - NEED_MM, mostMm: 150 },
      remedies: 1,
      ...shown(hdmiLead('hdmi', { lengthMm: 600 }), [hdmiLead('shorter')]),
    },
  ],
  silent: [
    {
      name: '150 mm over',
      message: 'right',
      numbers: { spareMm: 150 },
      ...shown(hdmiLead('hdmi', { lengthMm: NEED_MM + 150 })),
    },
    { name: 'a spring lead', message: 'coil', ...shown(hdmiLead('hdmi', { lengthMm: 180, coil: true })) },
  ],
})
