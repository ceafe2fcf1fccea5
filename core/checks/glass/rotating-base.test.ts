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

const graduated: Part['optics'] = { kind: 'filter', effect: 'graduated', minStops: 3, maxStops: 3 }
const stacked = (under: Part['optics']) =>
  front([zoom(), disc('v', 5, under), disc('g', 5, graduated)], [screwed('v'), on('g', 'rear', 'v', 'front')])

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
    {
      name: 'a graduated filter before a variable one turns with its ring',
      message: 'ring',
      level: 'risk',
      parts: ['g', 'v'],
      ...stacked(nd(2, 5)),
    },
  ],
  silent: [
    { name: 'the same before a fixed one', message: 'still', ...stacked(nd(3)) },
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
