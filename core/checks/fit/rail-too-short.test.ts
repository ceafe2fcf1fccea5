import { on, tinyRig } from '../../testing/index.ts'
import { railTooShort } from './rail-too-short.ts'
import { testCheck } from '../tester.ts'
import { clamp } from '../../testing/fit-rigs.ts'

const clamped = (lengthMm: number) => tinyRig([clamp(lengthMm)], [on('clamp', 'foot', 'camera', 'rail')])

testCheck(railTooShort, {
  speaks: [
    {
      name: '61 mm of clamp on 60 mm of rail',
      message: 'short',
      level: 'stop',
      numbers: { clampMm: 61, railMm: 60 },
      ...clamped(61),
    },
  ],
  silent: [{ name: 'exactly as long', message: 'holds', ...clamped(60) }],
})
