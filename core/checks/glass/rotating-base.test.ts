import type { Part } from '../../catalogue/index.ts'
import { disc, nd, zoom } from '../../testing/glass.ts'
import { on, plug, tinyPart } from '../../testing/index.ts'
import { rotatingBase } from './rotating-base.ts'
import { testCheck } from '../tester.ts'
import { factsOf } from '../../facts/index.ts'
import { placeSetup } from '../../assembly/index.ts'
import { front, screwed } from '../../testing/front-rigs.ts'

const turning = zoom({ frontMm: 95, optics: { turnsFront: true } })

const clampBox = (id: string): Part =>
  tinyPart({
    id,
    role: 'matte-box',
    mounts: [plug('ring', 'clamp-on', { family: '95', out: [0, 0, 1], up: [0, 1, 0] }), plug('arm', 'thread-1/4')],
    opening: { at: [0, 10, -10], wideMm: 140, tallMm: 100 },
  })

const rodBox = tinyPart({
  id: 'rods',
  role: 'matte-box',
  mounts: [plug('arm', 'thread-1/4')],
  opening: { at: [0, 10, -10], wideMm: 140, tallMm: 100 },
})

testCheck(rotatingBase, {
  speaks: [
    {
      name: 'a clamp-on box on a ring that turns; off it comes',
      message: 'box',
      level: 'risk',
      parts: ['box'],
      remedies: 1,
      ...front([turning, clampBox('box')], [on('box', 'ring', 'lens', 'front')]),
    },
    {
      name: 'a variable filter has to be set again',
      message: 'filter',
      level: 'hint',
      parts: ['v'],
      ...front([turning, disc('v', 5, nd(2, 5))], [screwed('v')]),
    },
  ],
  silent: [
    {
      name: 'the same box on a front that stands still',
      message: 'still',
      ...front([zoom({ frontMm: 95 }), clampBox('box')], [on('box', 'ring', 'lens', 'front')]),
    },
  ],
})

test('a box that does not ride on the lens does not turn with it', () => {
  const { rig, context } = front([turning, rodBox], [on('rods', 'arm', 'camera', 'hole')])
  const [setup] = rig.setups
  expect(setup && rotatingBase.judgements(factsOf(placeSetup(rig, setup, context.catalogue), context))).toEqual([])
})
