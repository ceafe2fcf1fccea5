import { zoom } from '../../testing/glass.ts'
import { tinyPart } from '../../testing/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { clampOnSize } from './clamp-on-size.ts'
import { testCheck } from '../tester.ts'
import { shot } from '../../testing/light-rigs.ts'

const box = (id: string, clampMm: number | undefined): Part =>
  tinyPart({
    id,
    role: 'matte-box',
    mounts:
      clampMm === undefined
        ? [
            {
              id: 'clamp',
              standard: 'rod-15-pair',
              side: 'holds',
              at: [0, 0, 0],
              out: [0, -1, 0],
              up: [0, 0, -1],
              lengthMm: 16,
            },
          ]
        : [
            {
              id: 'ring',
              standard: 'clamp-on',
              side: 'sits',
              at: [0, 0, 0],
              out: [0, 0, 1],
              up: [0, 1, 0],
              family: String(clampMm),
            },
          ],
  })

testCheck(clampOnSize, {
  speaks: [
    {
      name: 'a clamp of 95 and a front of 80; rods suit every lens',
      message: 'other',
      level: 'hint',
      numbers: { clampMm: 95, frontMm: 80 },
      parts: ['box'],
      remedies: 1,
      ...shot({ lens: zoom({ frontMm: 80 }), bag: [box('box', 95)], known: [box('rods', undefined)] }),
    },
    { name: 'a front that no clamp holds', message: 'none', remedies: 0, ...shot({ bag: [box('box', 95)] }) },
  ],
  silent: [
    {
      name: 'the right size',
      message: 'closes',
      numbers: { clampMm: 95, frontMm: 95 },
      ...shot({ lens: zoom({ frontMm: 95 }), bag: [box('box', 95)] }),
    },
  ],
})
