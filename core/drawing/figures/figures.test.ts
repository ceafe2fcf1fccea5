import fc from 'fast-check'
import { demoParts } from '@zucchini/demo/catalogue'
import { catalogueOf, type Part, standardOf } from '../../catalogue/index.ts'
import { placeSetup, type Rig, type Setup } from '../../assembly/index.ts'
import type { Point2 } from '../../kernel/index.ts'
import { on, plug, tinyPart, tinyRig } from '../../testing/index.ts'
import {
  bestView,
  extentOfBounds,
  figureOf,
  type Fit,
  flat,
  onSheet,
  silhouette,
  strokesOf,
  type ViewId,
  viewIds,
  views,
} from '../index.ts'
import { firstMark, secondMark } from '@zucchini/demo/scenario'

/** Ten px for a mm: a path is rounded to a tenth of a px. */
const SCALE = 10
const fit: Fit = { scale: SCALE, x: 0, y: 0 }
const catalogue = catalogueOf(demoParts)

/** A part alone, as the root of a set-up. */
const alone = (part: Part) => {
  const setup: Setup = {
    ...(secondMark.setups[0] as Setup),
    root: 'it',
    joints: [],
    braces: [],
    links: [],
    poses: [],
  }
  const rig: Rig = { ...secondMark, kit: [{ id: 'it', partId: part.id, status: 'in' }], setups: [setup] }
  return placeSetup(rig, setup, catalogueOf([...demoParts, part]))
}
/** Every point of a path in mm; of curves the corner they round as well. */
const pointsOf = (d: string): readonly Point2[] =>
  [...d.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]): Point2 => [Number(x) / SCALE, -Number(y) / SCALE])

/** How wide and high an outline is, mm: the same face wherever it is drawn. */
const sizeOf = (outline: string): string => {
  const all = pointsOf(outline)
  const span = (k: 0 | 1) => Math.max(...all.map((p) => p[k])) - Math.min(...all.map((p) => p[k]))
  return `${span(0).toFixed(1)} x ${span(1).toFixed(1)}`
}

/** How far outside a convex outline a point lies, mm; 0 inside. */
const outsideOf = (outline: readonly Point2[], [x, y]: Point2): number => {
  let inside = true
  let least = Infinity
  const turn = outline.reduce((sum, a, i) => {
    const b = outline[(i + 1) % outline.length] ?? a
    return sum + a[0] * b[1] - b[0] * a[1]
  }, 0)
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length] ?? a
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
    if ((dx * (y - a[1]) - dy * (x - a[0])) * Math.sign(turn) < 0) inside = false
    const t = Math.max(0, Math.min(1, ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy || 1)))
    least = Math.min(least, Math.hypot(x - a[0] - t * dx, y - a[1] - t * dy))
  })
  return inside ? 0 : least
}

/** What may stand out: hairs. */
const OVERHANG = new Set(['fur'])
const OUT_MM = 2
const ROUNDING_MM = 0.02
/** Kinds of mounts that lie round their place: in the middle of a ring, between two rods. */
const ROUND_THEIR_PLACE: ReadonlySet<string> = new Set(['filter', 'ring', 'clamp', 'bayonet', 'rods', 'tray'])

const rolesDrawn = [...new Set(demoParts.map(({ role }) => role))]

test.each(rolesDrawn)('%s: no line of it stands more than 2 mm out of its solids, in any of the four views', (role) => {
  let lines = 0
  for (const part of demoParts.filter((one) => one.role === role)) {
    const assembly = alone(part)
    const [piece] = assembly.placed
    if (!piece) throw new Error('it is placed')
    for (const view of viewIds) {
      const outlines = piece.solids.map(({ shape }) => silhouette(view, shape))
      for (const { outline, detail, look, key } of strokesOf(view, assembly, fit, false)) {
        if (OVERHANG.has(look)) continue
        // Arcs are told by their radii; they are circles of the solids themselves.
        for (const p of [outline, detail].filter((d) => !d.includes('a')).flatMap(pointsOf)) {
          lines++
          const out = Math.min(...outlines.map((one) => outsideOf(one, p)))
          if (out > OUT_MM + ROUNDING_MM) throw new Error(`${part.id}, ${view}, ${key}: ${out.toFixed(1)} mm outside`)
        }
      }
    }
  }
  expect(lines).toBeGreaterThan(20)
})

test.each(rolesDrawn)('%s: every mount lies on something that is drawn, in every view, and in no window', (role) => {
  for (const part of demoParts.filter((one) => one.role === role)) {
    const assembly = alone(part)
    for (const view of viewIds) {
      const drawn = strokesOf(view, assembly, fit, false).filter(({ onFace, outline }) => !onFace && outline !== '')
      for (const { id, at, out, standard } of part.mounts) {
        if (ROUND_THEIR_PLACE.has(standardOf(standard).kind)) continue
        const spot = flat(view, at)
        const near = drawn.some(({ outline }) => {
          if (outline.includes('a')) return true
          const [edge = [], ...windows] = outline.split('Z').filter(Boolean).map(pointsOf)
          const xs = edge.map(([x]) => x)
          const ys = edge.map(([, y]) => y)
          const inBox =
            spot[0] >= Math.min(...xs) - OUT_MM &&
            spot[0] <= Math.max(...xs) + OUT_MM &&
            spot[1] >= Math.min(...ys) - OUT_MM &&
            spot[1] <= Math.max(...ys) + OUT_MM
          return inBox && windows.every((window) => outsideOf(window, spot) > 0)
        })
        if (!near)
          throw new Error(
            `${part.id}, ${view}: nothing is drawn where ${id} is (${at.join(' ')}, out ${out.join(' ')})`,
          )
      }
    }
  }
})

test('fur stands out by less than 2.5 mm, looks the same each time, and differently on another part', () => {
  const mic = demoParts.find(({ id }) => id === 'papyr-shotgun') as Part
  const fur = (view: ViewId, part = mic) => strokesOf(view, alone(part), fit, false).find(({ look }) => look === 'fur')
  const piece = alone(mic).placed[0]
  const solid = piece?.solids.find(({ solid: { look } }) => look === 'foam')
  if (!solid) throw new Error('it has fur')
  const hull = silhouette('side', solid.shape)
  for (const p of pointsOf(fur('side')?.outline ?? '')) expect(outsideOf(hull, p)).toBeLessThan(2.5)
  expect(fur('side')?.detail.length).toBeGreaterThan(1000)
  expect(fur('side')).toEqual(fur('side'))
  expect(fur('side', { ...mic, id: 'another' })?.detail).not.toBe(fur('side')?.detail)
})

test('a zoom carries its ends and the usual lengths between, in its collar, upright and from left to right', () => {
  const zoom = demoParts.find(({ id }) => id === 'kabocha-24-70') as Part
  const said = strokesOf('side', alone(zoom), fit, false).flatMap((one) => one.said ?? [])
  expect(said.map(({ text }) => text)).toEqual(['24', '35', '50', '70'])
  // The collar runs from 62 to 76 mm ahead of the seat.
  for (const { x } of said) {
    expect(x / SCALE).toBeGreaterThan(62)
    expect(x / SCALE).toBeLessThan(76)
  }
  expect(strokesOf('side', alone(zoom), { ...fit, scale: 0.5 }, false).flatMap((one) => one.said ?? [])).toEqual([])
})

test('windows of a cage keep off its mounts, and what lies behind shows through', () => {
  const cage = demoParts.find(({ id }) => id === 'reedsmith-full-h1') as Part
  const assembly = alone(cage)
  const strokes = strokesOf('top', assembly, fit, false)
  // A path of several closed lines has windows.
  const windowed = strokes.filter(({ outline, onFace }) => !onFace && outline.split('Z').length > 2)
  expect(windowed.length).toBeGreaterThan(0)
  for (const { at, out, side } of cage.mounts.filter((mount) => mount.out[1] > 0.9 && mount.side === 'holds')) {
    expect([out[1], side]).toEqual([1, 'holds'])
    const spot = flat('top', at)
    const here = windowed.filter(({ depth }) => Math.abs(depth - at[1]) < 1.5)
    const holes = here.flatMap(({ outline }) => outline.split('Z').slice(1, -1).map(pointsOf))
    for (const hole of holes) expect(outsideOf(hole, spot)).toBeGreaterThan(2)
  }
})

test('a form follows the pose: the screen of a camera is drawn where its hinge has it', () => {
  const camera = secondMark.kit.find(({ id }) => id === secondMark.setups[0]?.root)
  if (!camera) throw new Error('the second mark has a camera')
  const posed = (pose: string) => {
    const setup = { ...(secondMark.setups[0] as Setup), joints: [], braces: [], links: [], poses: [] }
    const poses = pose === 'folded' ? [] : [{ instance: camera.id, hinge: 'screen', position: pose }]
    return placeSetup(secondMark, { ...setup, poses } as Setup, catalogue)
  }
  const leftOf = (pose: string) =>
    Math.min(
      ...strokesOf('rear', posed(pose), fit, false)
        .filter(({ look }) => look === 'screen')
        .flatMap(({ outline }) => pointsOf(outline).map(([x]) => x)),
    )
  expect(leftOf('folded')).toBeCloseTo(-40, 0)
  // Out to the side it stands as far beyond its hinge, at 40 mm, as it is wide.
  expect(leftOf('out')).toBeCloseTo(-116, 0)
})

test('a pack in its bay is painted before the body that hides it; a part of one’s own is drawn by its role at once', () => {
  const setup = firstMark.setups[0] as Setup
  const order = strokesOf('side', placeSetup(firstMark, setup, catalogue), fit, false).map(({ instance }) => instance)
  const bay = setup.joints.find(({ hostMount }) => hostMount === 'bay')
  if (!bay) throw new Error('the first mark has a pack in its body')
  expect(order.indexOf(bay.guest)).toBeLessThan(order.indexOf(bay.host))
  const own = tinyPart({
    id: 'own-monitor',
    role: 'monitor',
    solids: [
      { kind: 'box', centre: [0, 40, -10], size: [120, 80, 20], matter: 'body' },
      { kind: 'box', centre: [0, 40, 0.5], size: [110, 66, 1], matter: 'body', look: 'screen' },
    ],
    mounts: [plug('foot', 'thread-1/4')],
  })
  expect(figureOf(own)[0]?.z?.plus?.length).toBe(4)
  const { rig, context } = tinyRig([own], [on('own-monitor', 'foot', 'camera', 'hole')])
  const strokes = strokesOf('rear', placeSetup(rig, rig.setups[0] as Setup, context.catalogue), fit)
  expect(strokes.filter(({ look, onFace }) => look === 'sheen' && onFace).length).toBe(1)
})

test('small drawings drop texture and keep outlines; nothing has more strokes for being small', () => {
  const assembly = placeSetup(secondMark, secondMark.setups[0] as Setup, catalogue)
  const [small, large] = [0.4, 2].map((scale) => strokesOf('side', assembly, { ...fit, scale }))
  expect(small?.some(({ look }) => look === 'texture' || look === 'sheen')).toBe(false)
  expect(large?.some(({ look }) => look === 'sheen' || look === 'texture')).toBe(true)
  expect(small?.length).toBeLessThan(large?.length ?? 0)
})

test('where things are drawn is where they are: the red dot of a lens sits on its seat', () => {
  const prime = demoParts.find(({ id }) => id === 'calabash-20') as Part
  const dot = strokesOf('side', alone(prime), fit, false).find(({ look }) => look === 'mark')
  const xs = pointsOf(dot?.outline ?? '').map(([x]) => x)
  expect((Math.min(...xs) + Math.max(...xs)) / 2).toBeCloseTo(onSheet({ ...fit, scale: 1 }, [4.5, 0])[0], 0)
})

test('whatever solids a part of any role has, it is drawn, and every line of it is somewhere', () => {
  const roles = [...new Set(demoParts.map(({ role }) => role))]
  const size = fc.double({ min: 0.2, max: 400, noNaN: true })
  const place = fc.double({ min: -200, max: 200, noNaN: true })
  const look = fc.constantFrom('plain', 'metal', 'grip', 'ribs', 'glass', 'screen', 'foam', 'knob', 'detail', undefined)
  const solid = fc.oneof(
    fc.record({
      kind: fc.constant('box' as const),
      centre: fc.tuple(place, place, place),
      size: fc.tuple(size, size, size),
      look,
    }),
    fc.record({
      kind: fc.constant('cylinder' as const),
      centre: fc.tuple(place, place, place),
      axis: fc.constantFrom([0, 1, 0] as const, [0, 0, -1] as const, [1, 0, 0] as const, [0.6, 0, 0.8] as const),
      radius: size,
      length: size,
      look,
    }),
  )
  const model = demoParts.filter(({ mounts }) => mounts.length > 0)
  fc.assert(
    fc.property(
      fc.constantFrom(...roles),
      fc.array(solid, { minLength: 1, maxLength: 6 }),
      fc.constantFrom(...model),
      fc.constantFrom(...viewIds),
      (role, solids, { mounts }, view) => {
        const part = {
          ...tinyPart({ id: 'any' }),
          role,
          mounts,
          solids: solids.map((one) => ({ ...one, matter: 'body' as const })),
        } as Part
        for (const { outline, detail } of strokesOf(view, alone(part), { ...fit, scale: 1.3 }))
          expect(/NaN|Infinity|undefined/.test(outline + detail)).toBe(false)
      },
    ),
    { numRuns: 300 },
  )
})

test('a part may say how it is drawn: like another role’s, as its bare solids, closed, smooth', () => {
  const cage = demoParts.find(({ role }) => role === 'cage') as Part
  const windows = (part: Part) => figureOf(part).reduce((n, form) => n + holesIn(form), 0)
  const holesIn = (form: ReturnType<typeof figureOf>[number]) =>
    [form?.x, form?.y, form?.z].reduce((n, face) => n + (face?.holes?.length ?? 0), 0)
  expect(windows(cage)).toBeGreaterThan(3)
  expect(windows({ ...cage, figure: { features: ['closed'] } })).toBe(0)
  expect(figureOf({ ...cage, figure: { like: 'solids' } }).every((form) => form === undefined)).toBe(true)
  const tool: Part = { ...cage, role: 'tool' }
  expect(windows(tool)).toBe(0)
  expect(windows({ ...tool, figure: { like: 'cage' } })).toBe(windows(cage))
  const lens = demoParts.find(({ role }) => role === 'lens') as Part
  const ribs = (part: Part) =>
    figureOf(part)
      .flatMap((form) => [form?.x, form?.y, form?.z].flatMap((face) => face?.on ?? []))
      .filter(({ look }) => look === 'texture').length
  expect(ribs(lens)).toBeGreaterThan(0)
  expect(ribs({ ...lens, figure: { features: ['smooth'] } })).toBe(0)
})

test('through a ring one sees what lies behind it', () => {
  const band = tinyPart({
    id: 'band',
    mounts: [plug('foot', 'thread-1/4')],
    solids: [
      { kind: 'cylinder', centre: [0, 0, 0], axis: [0, 0, -1], radius: 30, length: 8, bore: 22, matter: 'body' },
    ],
  })
  const [hole] = figureOf(band)[0]?.y?.holes ?? []
  const radii = hole?.outline.map(([x, y]) => Math.hypot(x, y)) ?? []
  expect(Math.max(...radii)).toBeCloseTo(22, 6)
  const face = strokesOf('front', alone(band), fit).map(({ outline }) => outline)
  expect(face.some((d) => (d.match(/M/g)?.length ?? 0) === 2)).toBe(true)
})

test.each(rolesDrawn)(
  '%s: a three-quarter picture has the faces of its elevation, true, and stays in its box',
  (role) => {
    for (const part of demoParts.filter((one) => one.role === role).slice(0, 3)) {
      const assembly = alone(part)
      const [piece] = assembly.placed
      if (!piece) throw new Error('a piece')
      const view = bestView(part)
      const flatFaces = new Set(strokesOf(view, assembly, fit).map(({ outline }) => sizeOf(outline)))
      const deep = strokesOf(`${view}-deep`, assembly, fit)
      const box = extentOfBounds(`${view}-deep`, piece.bounds)
      for (const stroke of deep) {
        for (const [x, y] of pointsOf(stroke.outline)) {
          const out = Math.max(box.left - x, x - box.right, box.bottom - y, y - box.top)
          expect([part.id, stroke.key, out < 3]).toEqual([part.id, stroke.key, true])
        }
      }
      expect(deep.filter(({ outline }) => flatFaces.has(sizeOf(outline))).length).toBeGreaterThan(0)
    }
  },
)

test('depth runs up to the right: 10 mm behind the face is 4.6 mm to the right and 3 mm up, in every picture', () => {
  for (const id of viewIds) {
    const at = flat(`${id}-deep`, [0, 0, 0])
    const { towards } = views[id]
    const behind = flat(`${id}-deep`, [-10 * towards[0], -10 * towards[1], -10 * towards[2]])
    expect([behind[0] - at[0], behind[1] - at[1]]).toEqual([expect.closeTo(4.6, 9), expect.closeTo(3, 9)])
  }
})
