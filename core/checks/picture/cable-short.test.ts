import { hdmiLead } from '../../testing/wired.ts'
import { cableShort } from './cable-short.ts'
import { testCheck } from '../tester.ts'
import { NEED_MM, shown } from '../../testing/lead-rigs.ts'

testCheck(cableShort, {
  speaks: [
    {
      name: '120 mm for a way of 210; 300 mm cure it',
      message: 'short',
      level: 'stop',
      numbers: { needMm: NEED_MM, reachMm: 120 },
      remedies: 1,
      ...shown(hdmiLead('hdmi', { lengthMm: 120 }), [hdmiLead('longer')]),
    },
  ],
  silent: [
    {
      name: 'to the millimetre',
      message: 'reaches',
      numbers: { needMm: NEED_MM },
      ...shown(hdmiLead('hdmi', { lengthMm: NEED_MM })),
    },
  ],
})
