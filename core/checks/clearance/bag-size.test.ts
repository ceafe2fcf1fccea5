import { bagSize } from './bag-size.ts'
import { testCheck } from '../tester.ts'
import { bag } from '../../testing/view-rigs.ts'
import { tinyPart, tinyRig } from '../../testing/index.ts'

testCheck(bagSize, {
  speaks: [
    {
      name: 'a bag a centimetre short',
      message: 'over',
      level: 'hint',
      numbers: { overMm: 10, longMm: 60, wideMm: 100, tallMm: 80 },
      ...short(),
    },
  ],
  silent: [
    { name: 'exactly the camera and the lining', message: 'goes', numbers: { overMm: 0 }, ...short(124) },
    { name: 'plenty', message: 'goes', ...bag(300) },
  ],
})

function short(longMm = 114) {
  return tinyRig(
    [
      tinyPart({
        id: 'bag',
        role: 'case',
        solids: [{ kind: 'box', centre: [0, 50, 0], size: [longMm, 110, 100], matter: 'soft' }],
      }),
    ],
    [],
  )
}
