import { secondMark } from '@zucchini/demo/scenario'
import { demoParts } from '@zucchini/demo/catalogue'
import { type Command, edit, placeSetup, type Rig } from '../assembly/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { extentOfRig, fitTo, type Projection, slidStrokesOf, type Stroke, strokesOf, viewIds } from './index.ts'

const catalogue = catalogueOf(demoParts)
const placedIn = (rig: Rig) => {
  const [setup] = rig.setups
  if (!setup) throw new Error('a set-up')
  return placeSetup(rig, setup, catalogue)
}
const after = (commands: readonly Command[]) => {
  const edited = edit(secondMark, commands, catalogue)
  if (!edited.ok) throw new Error('it can be done')
  return placedIn(edited.value)
}
const before = placedIn(secondMark)
const setup = before.setup.id
const room = { left: 20, right: 20, top: 20, bottom: 20 }
const fitIn = (view: Projection) => fitTo(extentOfRig(view, before), 900, 600, room)

/** The places a path goes through; arcs are left out. */
const places = (path: string): readonly (readonly [number, number])[] =>
  [...path.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)])

/** How far at most the strokes lie from where they would be drawn anew, px. */
const apart = (slid: readonly Stroke[], anew: readonly Stroke[]): number => {
  expect(slid.map(({ key, look, onFace }) => [key, look, onFace])).toEqual(
    anew.map(({ key, look, onFace }) => [key, look, onFace]),
  )
  let most = 0
  for (const [i, { outline, by = [0, 0] }] of slid.entries()) {
    const there = places(anew[i]?.outline ?? '')
    for (const [k, [x, y]] of places(outline).entries()) {
      const [tx = NaN, ty = NaN] = there[k] ?? []
      most = Math.max(most, Math.abs(x + by[0] - tx), Math.abs(y + by[1] - ty))
    }
  }
  return most
}
/** Figures of a path are rounded to tenths: twice half of that, and half again for an edge that is rounded anew. */
const ROUNDED_PX = 0.151

test.each(viewIds)('%s: what slid is painted where it would be drawn anew, by the paths it had', (view) => {
  const fit = fitIn(view)
  const first = slidStrokesOf(view, before, fit)
  expect(first.every(({ by }) => by === undefined)).toBe(true)
  const now = after([{ do: 'set', setup, instance: 'handle', slideMm: 9 }])
  const slid = slidStrokesOf(view, now, fit)
  expect(apart(slid, strokesOf(view, now, fit))).toBeLessThan(ROUNDED_PX)
  const outlines = new Map(first.map(({ key, outline }) => [key, outline]))
  expect(slid.every(({ key, outline }) => outlines.get(key) === outline)).toBe(true)
  // Seen from an end nothing moves on the sheet: then it is only nearer or farther.
  const moved = slid.filter(({ instance }) => instance === 'handle')
  expect(moved.length).toBeGreaterThan(0)
  expect(
    slid
      .filter(({ by }) => by)
      .every(({ instance }) => now.byInstance.get(instance) !== before.byInstance.get(instance)),
  ).toBe(true)
})

test('a sheet that is moved leaves all paths; one that is drawn larger, or a piece that is turned, has new ones', () => {
  const fit = fitIn('side')
  const first = slidStrokesOf('side', before, fit)
  const aside = slidStrokesOf('side', before, { ...fit, x: fit.x + 30, y: fit.y - 7 })
  expect(aside.map(({ by }) => by)).toEqual(first.map(() => [30, -7].map((px) => expect.closeTo(px, 9) as number)))
  expect(aside.map(({ outline }) => outline)).toEqual(first.map(({ outline }) => outline))
  const large = { ...fit, scale: fit.scale * 1.5 }
  expect(apart(slidStrokesOf('side', before, large), strokesOf('side', before, large))).toBe(0)
  const turned = after([{ do: 'set', setup, instance: 'handle', turnDeg: 180 }])
  expect(apart(slidStrokesOf('side', turned, large), strokesOf('side', turned, large))).toBeLessThan(ROUNDED_PX)
})
