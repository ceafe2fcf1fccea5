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
