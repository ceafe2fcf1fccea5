import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import { foot, onShoe } from '../../testing/shoe-rigs.ts'
import { testCheck } from '../tester.ts'
import { shoeSlides } from './shoe-slides.ts'

const running = (massG: number, more = {}, joints = [onShoe]) =>
  tinyRig([foot('arm', massG, more)], joints, { brief: { conditions: ['running'] } })

/** The same foot with a screw that reaches the hole beside the shoe. */
const braced = () =>
  tinyRig(
    [
      tinyPart({
        id: 'arm',
        massG: 300,
        mounts: [plug('foot', 'shoe-cold'), plug('stay', 'thread-1/4', { at: [25, 0, 0] })],
      }),
    ],
    [onShoe],
    {
      brief: { conditions: ['running'] },
      setup: { braces: [on('arm', 'stay', 'camera', 'hole')] },
    },
  )

testCheck(shoeSlides, {
  speaks: [
    {
      name: '56 g without a nut, running',
      message: 'slides',
      level: 'risk',
      numbers: { carriedG: 56, lightG: 55 },
      parts: ['arm'],
      ...running(56),
    },
  ],
  silent: [
    { name: 'exactly 55 g', message: 'light', numbers: { carriedG: 55 }, ...running(55) },
    { name: 'a nut presses it', message: 'locked', ...running(300, { lock: 'nut' }) },
    {
      name: 'a second hold',
      message: 'braced',
      ...braced(),
    },
  ],
})
