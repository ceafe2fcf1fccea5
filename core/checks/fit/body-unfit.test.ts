import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { bodyUnfit } from './body-unfit.ts'
import { testCheck } from '../tester.ts'

const cage = (id: string, family: string, usual: number) =>
  tinyPart({
    id,
    role: 'cage',
    fits: [family],
    price: { low: 0, usual, high: usual },
    mounts: [plug('seat', 'body', { out: [0, 1, 0] })],
    solids: [{ kind: 'box', centre: [0, -5, 0], size: [80, 10, 40], matter: 'body' }],
  })

testCheck(bodyUnfit, {
  speaks: [
    {
      name: 'made for another body, a fitting one is known',
      message: 'unfit',
      level: 'stop',
      parts: ['other'],
      remedies: 2,
      ...tinyRig([cage('other', 'huge', 5000)], [on('other', 'seat', 'camera', 'seat')], {
        extra: [cage('right', 'tiny', 9000)],
      }),
    },
    {
      name: 'no other is known',
      message: 'unfit',
      remedies: 1,
      ...tinyRig([cage('other', 'huge', 5000)], [on('other', 'seat', 'camera', 'seat')]),
    },
  ],
  silent: [
    {
      name: 'made for it',
      message: 'fits',
      ...tinyRig([cage('right', 'tiny', 9000)], [on('right', 'seat', 'camera', 'seat')]),
    },
  ],
})
