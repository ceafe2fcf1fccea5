import { testCheck } from '../tester.ts'
import { underPayload } from './under-payload.ts'
import { head, standing } from '../../testing/stand-rigs.ts'

testCheck(underPayload, {
  speaks: [
    {
      name: '1,000 g on a head from 1,200 g',
      message: 'under',
      level: 'hint',
      numbers: { payloadG: 1000, fromG: 1200, lacksG: 200 },
      ...standing(head({ fromG: 1200 }), 0),
    },
  ],
  silent: [{ name: 'exactly 1,000 g', message: 'within', ...standing(head({ fromG: 1000 }), 0) }],
})
