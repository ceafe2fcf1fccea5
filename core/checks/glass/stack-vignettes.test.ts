import { disc, nd, zoom } from '../../testing/glass.ts'
import { stackVignettes } from './stack-vignettes.ts'
import { testCheck } from '../tester.ts'
import { front, screwed, standard } from '../../testing/front-rigs.ts'

// The pupil lies 20 mm behind the front: a filter of 5 mm ends 25 mm before it. At 25 mm and f/2.5 it needs 25 x 50 /
// 50 + 5 = 30 mm.
const slim = disc('slim', 5, nd(6))

testCheck(stackVignettes, {
  speaks: [
    {
      name: 'a standard filter clips where a slim one passes; the slim one cures it, and so does none',
      message: 'short',
      level: 'risk',
      numbers: { cleanMm: (30 - Math.sqrt(300)) / 0.4, shortMm: 25, overMm: 5 },
      parts: ['standard'],
      remedies: 2,
      ...front([zoom(), standard], [screwed('standard')], { extra: [slim] }),
    },
    {
      name: 'a tube of 30 mm is never clean',
      message: 'never',
      numbers: { overMm: 25 },
      ...front([zoom(), disc('tube', 30, undefined, { role: 'hood' })], [screwed('tube')]),
    },
    {
      name: 'a box whose height is too little: 25 x 30 / 50 + 5 = 20 mm, and it has 19',
      message: 'short',
      numbers: { overMm: 1 },
      ...front(
        [
          zoom(),
          disc('gate', 5, undefined, { role: 'matte-box', opening: { at: [0, 0, -5], wideMm: 60, tallMm: 38 } }),
        ],
        [screwed('gate')],
      ),
    },
  ],
  silent: [
    {
      name: 'a slim filter just passes',
      message: 'clean',
      numbers: { cleanMm: 25, shortMm: 25 },
      ...front([zoom(), slim], [screwed('slim')]),
    },
    {
      name: 'a box as high as it must be',
      message: 'clean',
      ...front(
        [
          zoom(),
          disc('gate', 5, undefined, { role: 'matte-box', opening: { at: [0, 0, -5], wideMm: 50, tallMm: 40 } }),
        ],
        [screwed('gate')],
      ),
    },
  ],
})
