import { placeSetup, type Setup, pointsOf } from '@zucchini/core/assembly'
import { cross, placeShape, identity } from '@zucchini/core/kernel'
import { on, plug, socket, tinyPart, tinyRig } from '../../core/testing/index.ts'
import { type Dimension, figureSpot, overall } from './dimensions.ts'
import { isCovered, pointMarks, spread } from './marks.ts'
import {
  extentOfRig,
  fitTo,
  flat,
  onSheet,
  roundedPath,
  silhouette,
  strokesOf,
  viewIds,
  views,
  withRoomFor,
} from '@zucchini/core/drawing'

test('each view is right-handed: right x up points to the eye', () => {
  for (const id of viewIds)
    expect(cross(views[id].right, views[id].up).map((value) => value + 0)).toEqual(views[id].towards)
})

test('from the side the lens looks right; from the front the operator’s right is on the left', () => {
  expect(flat('side', [0, 10, -50])).toEqual([50, 10])
  expect(flat('front', [30, 10, 0])).toEqual([-30, 10])
  expect(flat('rear', [30, 10, 0])).toEqual([30, 10])
  expect(flat('top', [30, 0, -50])).toEqual([50, -30])
})

test('a rig of 200 x 100 mm fills a 500 x 400 sheet with margins of 50 at 2 px a mm, centred', () => {
  const extent = { left: -100, right: 100, bottom: 0, top: 100 }
  const fit = fitTo(extent, 500, 400, { left: 50, right: 50, top: 50, bottom: 50 })
  expect(fit.scale).toBe(2)
  expect(onSheet(fit, [-100, 100])).toEqual([50, 100])
  expect(onSheet(fit, [100, 0])).toEqual([450, 300])
  expect(overall(extent, fit)[0]).toMatchObject({ lengthMm: 100, upright: true })
})

test('the outline of a box is its four corners, of a rod seen end-on a circle', () => {
  const box = silhouette('side', placeShape({ kind: 'box', centre: [0, 0, 0], size: [10, 20, 30] }, identity))
  expect(new Set(box.map((p) => p.join()))).toEqual(new Set(['-15,-10', '15,-10', '15,10', '-15,10']))
  const rod = silhouette(
    'front',
    placeShape({ kind: 'cylinder', centre: [0, 0, 0], axis: [0, 0, -1], radius: 5, length: 40 }, identity),
  )
  for (const p of rod) expect(Math.hypot(...p)).toBeCloseTo(5, 9)
})

test('paths close, and two points make none', () => {
  expect(
    roundedPath(
      [
        [0, 0],
        [10, 0],
        [10, 10],
      ],
      2,
    ),
  ).toMatch(/^M.*Z$/)
  expect(
    roundedPath(
      [
        [0, 0],
        [10, 0],
      ],
      2,
    ),
  ).toBe('')
})

test('nearer solids are drawn over farther ones', () => {
  const cube = (id: string) => tinyPart({ id, mounts: [plug('foot', 'thread-1/4')] })
  const { rig, context } = tinyRig(
    [cube('near'), cube('far')],
    [on('near', 'foot', 'camera', 'pinned'), on('far', 'foot', 'camera', 'hole')],
  )
  const assembly = placeSetup(rig, rig.setups[0] as Setup, context.catalogue)
  const fit = fitTo(extentOfRig('side', assembly), 600, 400, { left: 0, right: 0, top: 0, bottom: 0 })
  const order = strokesOf('side', assembly, fit).map(({ instance }) => instance)
  expect(order.indexOf('near')).toBeGreaterThan(order.indexOf('far'))
  const marks = pointMarks('rear', pointsOf(assembly), fit, assembly)
  expect(marks.some(({ point }) => point.mount.id === 'lens')).toBe(false)
  const lens = pointsOf(assembly).find(({ mount }) => mount.id === 'lens')
  expect(pointMarks('rear', lens ? [lens] : [], fit, assembly, lens)).toHaveLength(1)
  expect(pointMarks('front', pointsOf(assembly), fit, assembly).some(({ point }) => point.mount.id === 'lens')).toBe(
    true,
  )
})

test('marks never cover each other', () => {
  const marks = spread(
    Array.from({ length: 5 }, () => ({ x: 0, y: 0 })),
    () => [0, -1],
    17,
  )
  marks.forEach((a, i) =>
    marks.slice(i + 1).forEach((b) => expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThanOrEqual(17)),
  )
})

test('a point behind a taller part is covered from that side only', () => {
  const low = tinyPart({ id: 'low', mounts: [plug('foot', 'thread-1/4'), socket('top', 'thread-1/4', [0, 20, 0])] })
  const tall = tinyPart({
    id: 'tall',
    solids: [{ kind: 'box', centre: [0, 20, 0], size: [20, 40, 20], matter: 'body' }],
    mounts: [plug('foot', 'thread-1/4')],
  })
  const { rig, context } = tinyRig(
    [low, tall],
    [on('low', 'foot', 'camera', 'hole'), on('tall', 'foot', 'camera', 'pinned')],
  )
  const assembly = placeSetup(rig, rig.setups[0] as Setup, context.catalogue)
  const point = pointsOf(assembly).find(({ piece, mount }) => piece.instance.id === 'low' && mount.id === 'top')
  expect(viewIds.map((view) => isCovered(view, point as never, assembly))).toEqual([true, false, false, false])
})

test('the figure of a dimension keeps off marks: it moves along its line, and stays in the middle when it can', () => {
  const line: Dimension = { from: [100, 50], to: [300, 50], lengthMm: 80, upright: false }
  expect(figureSpot(line, [])).toEqual([200, 50])
  expect(figureSpot(line, [[200, 90]])).toEqual([200, 50])
  const [x, y] = figureSpot(line, [[205, 52]])
  expect([y, Math.abs(x - 205) >= 34, x > 110 && x < 290]).toEqual([50, true, true])
  // With a mark everywhere it stands where one looks for it.
  const everywhere = Array.from({ length: 21 }, (_, i) => [100 + 10 * i, 50] as const)
  expect(figureSpot(line, everywhere)).toEqual([200, 50])
})

test('what would come to stand beyond the sheet gets room on it; what lies on it moves nothing', () => {
  // 100 x 100 mm on a sheet of 200 x 200 px with 50 px round it: one px for a mm.
  const rig = { left: 0, right: 100, bottom: 0, top: 100 }
  const fit = fitTo(rig, 200, 200, { left: 50, right: 50, top: 50, bottom: 50 })
  expect([fit.scale, onSheet(fit, [0, 100])]).toEqual([1, [50, 50]])
  const edges = { left: 10, right: 10, top: 10, bottom: 10 }
  const room = (top: number) => withRoomFor(rig, { left: 20, right: 60, bottom: 40, top }, fit, 200, 200, edges)
  expect(room(140)).toBe(rig)
  expect(room(141)).toEqual({ left: 0, right: 100, bottom: 0, top: 141 })
  expect(withRoomFor(rig, undefined, fit, 200, 200, edges)).toBe(rig)
})
