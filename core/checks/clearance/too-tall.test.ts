import { tinyRig } from '../../testing/index.ts'
import { testCheck } from '../tester.ts'
import { tooTall } from './too-tall.ts'
import { cube, onHole } from '../../testing/caps-rigs.ts'

testCheck(tooTall, {
  speaks: [
    {
      name: 'one millimetre over',
      message: 'over',
      level: 'risk',
      numbers: { tallMm: 100, capMm: 99, overMm: 1 },
      parts: ['cube'],
      ...tinyRig([cube('cube')], [onHole], { brief: { tallMm: 99 } }),
    },
  ],
  silent: [
    {
      name: 'exactly at the cap',
      message: 'within',
      numbers: { tallMm: 100, capMm: 100 },
      ...tinyRig([cube('cube')], [onHole], { brief: { tallMm: 100 } }),
    },
  ],
})
