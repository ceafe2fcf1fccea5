import type { Joint } from '../../assembly/index.ts'
import type { Part } from '../../catalogue/index.ts'
import { disc, nd, seeingCamera, zoom } from '../../testing/glass.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../../testing/index.ts'
import { filterStack } from './filter-stack.ts'
import { followFocusOnAf } from './follow-focus-on-af.ts'
import { gearMissing } from './gear-missing.ts'
import { motorReach } from './motor-reach.ts'
import { rotatingBase } from './rotating-base.ts'
import { stackVignettes } from './stack-vignettes.ts'
import { supportReach } from './support-reach.ts'
import { testCheck } from '../tester.ts'
import { mountMoment } from './mount-moment.ts'
import { factsOf } from '../../facts/index.ts'
import { placeSetup } from '../../assembly/index.ts'
import { emptyBrief } from '../../brief/index.ts'

const mounted = on('lens', 'bayonet', 'camera', 'lens')
/** All of the sensor is used: 50 mm across. */
const whole = { light: { ...emptyBrief.light, aspect: 'full' as const } }
const front = (parts: readonly Part[], joints: readonly Joint[], more: Parameters<typeof tinyRig>[2] = {}) =>
  tinyRig(parts, [mounted, ...joints], { brief: whole, ...more, extra: [seeingCamera(), ...(more.extra ?? [])] })
const screwed = (id: string) => on(id, 'rear', 'lens', 'thread')

// The pupil lies 20 mm behind the front: a filter of 5 mm ends 25 mm before it. At 25 mm and f/2.5 it needs 25 x 50 /
// 50 + 5 = 30 mm.
const slim = disc('slim', 5, nd(6))
// Of 10 mm: f^2 / 5 - 30 f + 750 = 0, f = (30 - sqrt(300)) / 0.4 = 31.70. At 25 mm it needs 35, 5 more than it has.
const standard = disc('standard', 10, nd(6))

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

test('a picture cropped to 16:9 leaves more room in its corners', () => {
  const { rig, context } = front([zoom(), standard], [screwed('standard')])
  const clean = (aspect: 'full' | '16:9' | '9:16') => {
    const brief = { ...rig.brief, light: { ...rig.brief.light, aspect } }
    const [setup] = rig.setups
    return setup && factsOf(placeSetup({ ...rig, brief }, setup, context.catalogue), context).clean?.fromMm
  }
  expect(clean('16:9')).toBeLessThan(clean('full') ?? 0)
  expect(clean('9:16')).toBeLessThan(clean('16:9') ?? 0)
})

testCheck(filterStack, {
  speaks: [
    {
      name: 'three panes; the last comes off',
      message: 'many',
      level: 'risk',
      numbers: { count: 3, most: 2 },
      parts: ['a', 'b', 'c'],
      remedies: 1,
      ...front(['a', 'b', 'c'].map((id) => disc(id, 3, nd(1))).concat([zoom()]), [
        screwed('a'),
        on('b', 'rear', 'a', 'front'),
        on('c', 'rear', 'b', 'front'),
      ]),
    },
  ],
  silent: [
    {
      name: 'two are plenty',
      message: 'few',
      numbers: { count: 2 },
      ...front([zoom(), disc('a', 3, nd(1)), disc('b', 3, nd(1))], [screwed('a'), on('b', 'rear', 'a', 'front')]),
    },
  ],
})

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

// The teeth lie 40 mm from the axis, 50 mm ahead of the sensor. The wheel of the drive has a radius of 10 mm and swings
// 14.
const drive = (y: number, z = -50): Part =>
  tinyPart({
    id: 'drive',
    role: 'follow-focus',
    mounts: [
      plug('foot', 'thread-1/4'),
      plug('gear', 'gear-0.8', { at: [0, y, z], out: [0, 1, 0], odMm: 20, carries: true }),
    ],
  })
const held = on('drive', 'foot', 'camera', 'hole')
const geared = zoom({ geared: true, optics: { throwDeg: 270 } })

testCheck(motorReach, {
  speaks: [
    {
      name: '20 mm off',
      message: 'far',
      level: 'risk',
      numbers: { offMm: 20, reachMm: 14 },
      parts: ['drive'],
      ...front([geared, drive(30)], [held]),
    },
    { name: '20 mm into the ring', message: 'into', numbers: { offMm: 20 }, ...front([geared, drive(-10)], [held]) },
    {
      name: 'beside the teeth, with no rod to slide on',
      message: 'along',
      numbers: { offMm: 10, reachMm: 0 },
      ...front([geared, drive(20, -60)], [held]),
    },
  ],
  silent: [
    {
      name: 'at the end of its arm',
      message: 'meets',
      numbers: { offMm: 14, reachMm: 14 },
      ...front([geared, drive(24)], [held]),
    },
  ],
})

test('turns of the wheel from stop to stop: 270 degrees of a ring of 40 mm by a wheel of 10 mm are three', () => {
  const { rig, context } = front([geared, drive(20)], [held])
  const [setup] = rig.setups
  expect(setup && factsOf(placeSetup(rig, setup, context.catalogue), context).drives[0]?.turns).toBeCloseTo(3, 12)
})

const gearRing = (minMm: number, maxMm: number): Part =>
  tinyPart({
    id: 'gear-ring',
    role: 'gear-ring',
    solids: [{ kind: 'box', centre: [0, 2, 0], size: [4, 4, 4], matter: 'soft' }],
    mounts: [plug('seat', 'lens-ring', { closesOn: { minMm, maxMm } }), socket('gear', 'gear-0.8', [0, 4, 0])],
  })

testCheck(gearMissing, {
  speaks: [
    {
      name: 'a bare ring of 80 mm; a gear ring for 76 to 82 cures it, or the drive comes off',
      message: 'bare',
      level: 'risk',
      parts: ['drive', 'lens'],
      remedies: 2,
      ...front([zoom({ ringMm: 80 }), drive(24)], [held], { extra: [gearRing(76, 82)] }),
    },
    {
      name: 'a gear ring for other diameters is no cure',
      message: 'bare',
      remedies: 1,
      ...front([zoom({ ringMm: 83 }), drive(24)], [held], { extra: [gearRing(76, 82)] }),
    },
  ],
  silent: [
    { name: 'teeth of its own', message: 'toothed', ...front([geared, drive(24)], [held]) },
    {
      name: 'teeth on a ring',
      message: 'toothed',
      ...front([zoom({ ringMm: 82 }), drive(24), gearRing(76, 82)], [held, on('gear-ring', 'seat', 'lens', 'ring')]),
    },
  ],
})

testCheck(followFocusOnAf, {
  speaks: [
    {
      name: 'a lens that focuses by itself',
      message: 'idle',
      level: 'hint',
      numbers: { massG: 100, priceMinor: 1000 },
      parts: ['drive'],
      remedies: 1,
      ...front([zoom({ geared: true, optics: { autofocus: true } }), drive(24)], [held]),
    },
  ],
  silent: [{ name: 'a lens for the hand', message: 'manual', ...front([geared, drive(24)], [held]) }],
})

// The lens's underside is 40 mm under the axis; the shelf stands 70 mm under it: 30 mm between them.
const context = (z: number): Part => ({
  ...seeingCamera(),
  mounts: [...seeingCamera().mounts, socket('shelf', 'thread-1/4', [0, -70, z])],
})
const cradle = (lowMm: number, highMm: number, id = 'cradle'): Part =>
  tinyPart({
    id,
    role: 'lens-support',
    solids: [{ kind: 'box', centre: [0, 5, 0], size: [10, 10, 10], matter: 'soft' }],
    mounts: [plug('foot', 'thread-1/4')],
    optics: { kind: 'support', lowMm, highMm },
  })
const under = (
  low: number,
  high: number,
  more: { z?: number; extra?: readonly Part[]; upright?: boolean; massG?: number } = {},
) =>
  tinyRig(
    [{ ...zoom(), massG: more.massG ?? 100 }, cradle(low, high)],
    [mounted, on('cradle', 'foot', 'camera', 'shelf')],
    {
      extra: [context(more.z ?? -50), ...(more.extra ?? [])],
      setup: more.upright ? { orientation: 'upright' } : {},
    },
  )

testCheck(supportReach, {
  speaks: [
    {
      name: 'two millimetres too low; a taller one cures it',
      message: 'low',
      level: 'risk',
      numbers: { neededMm: 30, reachMm: 29 },
      parts: ['cradle'],
      remedies: 2,
      ...under(20, 28, { extra: [cradle(25, 40, 'taller')] }),
    },
    {
      name: 'two millimetres too high',
      message: 'high',
      numbers: { neededMm: 30, reachMm: 31 },
      remedies: 1,
      ...under(32, 40),
    },
    { name: 'the lens ends before it', message: 'past', ...under(20, 40, { z: -90 }) },
    { name: 'upright, it stands beside the lens', message: 'beside', ...under(20, 40, { upright: true }) },
  ],
  silent: [
    { name: 'a millimetre of cork', message: 'holds', numbers: { neededMm: 30, reachMm: 30 }, ...under(20, 29) },
  ],
})

test('a lens on its support no longer pulls at the mount', () => {
  const words = (low: number, high: number) => {
    const { rig, context: known } = under(low, high, { massG: 8000 })
    const [setup] = rig.setups
    return (
      setup &&
      mountMoment.judgements(factsOf(placeSetup(rig, setup, known.catalogue), known)).map(({ message }) => message)
    )
  }
  expect(words(20, 40)).toEqual(['supported'])
  expect(words(32, 40)).not.toEqual(['supported'])
})
