import { demoParts } from '@zucchini/demo/catalogue'
import { firstMark, secondMark } from '@zucchini/demo/scenario'
import { placeSetup, type Setup } from '../assembly/index.ts'
import { catalogueOf, type Mount } from '../catalogue/index.ts'
import { direction, point } from '../kernel/index.ts'
import { on, plug, socket, tinyCamera, tinyPart, tinyRig } from '../testing/index.ts'
import { type Fit, flat, mountMarks, nearness, onSheet, strokesOf, viewIds } from './index.ts'

/** One px for a mm, the axis at 200, 200. */
const fit: Fit = { scale: 1, x: 200, y: 200 }
const placed = (mounts: readonly Mount[]) => {
  const part = tinyPart({
    id: 'block',
    solids: [{ kind: 'box', centre: [0, 10, 0], size: [80, 20, 80], matter: 'body' }],
    mounts: [plug('foot', 'thread-1/4'), ...mounts],
  })
  const { rig, context } = tinyRig([part], [on('block', 'foot', 'camera', 'hole')])
  const piece = placeSetup(rig, rig.setups[0] as Setup, context.catalogue).byInstance.get('block')
  if (!piece) throw new Error('it is placed')
  return piece
}
/** All points of a path. */
const pointsOf = (d: string): readonly (readonly [number, number])[] =>
  [...d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)])
const wideOf = (d: string): number => {
  const xs = pointsOf(d).map(([x]) => x)
  return Math.max(...xs) - Math.min(...xs)
}

test('a hole is drawn where it is and as wide as its screw; from elsewhere nothing is seen of it', () => {
  const piece = placed([socket('top', 'thread-1/4', [3, 20, 4])])
  const [rim, hole] = mountMarks('top', piece, fit).filter(({ mount }) => mount.startsWith('top'))
  expect([rim?.look, hole?.look]).toEqual(['metal', 'hole'])
  expect(wideOf(hole?.outline ?? '')).toBeCloseTo(6.35, 0)
  const [x, y] = onSheet(fit, flat('top', point(piece.frame, [3, 20, 4])))
  const all = pointsOf(hole?.outline ?? '')
  expect(all.reduce((sum, p) => sum + p[0], 0) / all.length).toBeCloseTo(x, 0)
  expect(all.reduce((sum, p) => sum + p[1], 0) / all.length).toBeCloseTo(y, 0)
  for (const view of ['side', 'front', 'rear'] as const)
    expect(mountMarks(view, piece, fit).filter(({ mount }) => mount.startsWith('top'))).toEqual([])
})

test('pins stand beside a pinned hole; a rosette has its thirty marks; a shoe is 18.6 mm wide', () => {
  const pinned = placed([socket('at', 'thread-1/4-pin', [0, 20, 0])])
  expect(mountMarks('top', pinned, fit).filter(({ look }) => look === 'hole')).toHaveLength(3)
  const toothed = placed([socket('at', 'rosette-m6', [0, 20, 0])])
  expect(pointsOf(mountMarks('top', toothed, fit)[0]?.outline ?? '')).toHaveLength(60)
  const shoe = placed([socket('at', 'shoe-cold', [0, 20, 0])])
  expect(wideOf(mountMarks('top', shoe, fit)[0]?.outline ?? '')).toBeCloseTo(18, 0)
})

test('a lens front has a ring of its own thread, and glass within', () => {
  const ring = placed([socket('front', 'filter-thread', [0, 20, 0], [0, 1, 0], { family: '67' })])
  // The thread of a filter is seen as its own rim.
  expect(mountMarks('top', ring, fit).filter(({ mount }) => mount.startsWith('front'))).toEqual([])
  const { optics } = demoParts.find(({ role }) => role === 'lens') ?? {}
  const lens = { ...ring, part: { ...ring.part, optics } }
  const looks = mountMarks('top', lens, fit).map(({ look, outline }) => [look, Math.round(wideOf(outline))])
  expect(looks).toEqual([
    ['metal', 67],
    ['hole', 62],
    ['glass', 57],
  ])
})

test('small drawings leave fine lines out, and cards all marks', () => {
  const shoe = placed([socket('at', 'shoe-cold', [0, 20, 0])])
  expect(mountMarks('top', shoe, fit)[0]?.detail).not.toBe('')
  expect(mountMarks('top', shoe, { ...fit, scale: 0.5 })[0]?.detail).toBe('')
  const { rig, context } = tinyRig([], [])
  const assembly = placeSetup(rig, rig.setups[0] as Setup, context.catalogue)
  expect(strokesOf('top', assembly, fit, false)).toHaveLength(tinyCamera.solids.length)
  expect(strokesOf('top', assembly, fit).length).toBeGreaterThan(tinyCamera.solids.length)
})

test('on every set-up of the demo each mark looks at the eye and stands out of its piece by 2 mm at most', () => {
  const catalogue = catalogueOf(demoParts)
  for (const rig of [firstMark, secondMark])
    for (const setup of rig.setups)
      for (const piece of placeSetup(rig, setup, catalogue).placed)
        for (const view of viewIds)
          for (const { mount, outline } of mountMarks(view, piece, fit)) {
            const own = piece.part.mounts.find(({ id }) => mount.startsWith(id))
            expect(own && nearness(view, direction(piece.frame, own.out))).toBeGreaterThan(0.89)
            const corners = [piece.bounds.min, piece.bounds.max].map((corner) => onSheet(fit, flat(view, corner)))
            for (const at of pointsOf(outline))
              for (const axis of [0, 1] as const) {
                const [least, most] = corners.map((corner) => corner[axis]).sort((a, b) => a - b)
                expect(at[axis]).toBeGreaterThan((least ?? 0) - 2.1)
                expect(at[axis]).toBeLessThan((most ?? 0) + 2.1)
              }
          }
})

test('only a V-mount shows a wedge: a bay for packs and a three-stud plate are not drawn as one', () => {
  const on = (standard: string, family?: string) =>
    mountMarks('top', placed([socket('at', standard, [0, 20, 0], [0, 1, 0], family ? { family } : {})]), fit)
  expect(on('v-lock').map(({ look }) => look)).toEqual(['hole'])
  expect(on('pack', 'cell')).toEqual([])
  expect(on('slab-l')).toEqual([])
  // Three keyholes, each a wide hole and the slot its stud slides into.
  expect(on('three-stud').map(({ look }) => look)).toEqual(Array.from({ length: 6 }, () => 'hole'))
})
