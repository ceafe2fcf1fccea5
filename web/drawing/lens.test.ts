import fc from 'fast-check'
import { type Lens, MOST_ZOOM, movedBy, throughLens, wholeSheet, zoomedAt } from './lens.ts'

const fit = { scale: 2, x: 100, y: 300 }
/** Where a place of the rig, mm, is seen on a sheet of 800 x 500. */
const seen = (lens: Lens, mm: number) => {
  const { scale, x } = throughLens(fit, lens, 800, 500)
  return x + mm * scale
}

test('twice about the middle: the middle stays, what was a quarter in is at the edge', () => {
  const lens = zoomedAt(wholeSheet, 2)
  expect(lens).toEqual({ zoom: 2, u: -0.5, v: -0.5 })
  // 150 mm are seen at 400, the middle of 800; 50 mm at 200, a quarter in.
  expect(seen(wholeSheet, 150)).toBe(400)
  expect(seen(lens, 150)).toBe(400)
  expect([seen(wholeSheet, 50), seen(lens, 50)]).toEqual([200, 0])
})

test('the place under the pointer stays under it', () => {
  const at = 0.2
  const lens = zoomedAt(zoomedAt(wholeSheet, 1.5, at, 0.7), 1.6, at, 0.7)
  const mm = (at * 800 - 100) / 2
  expect(seen(lens, mm)).toBeCloseTo(at * 800, 9)
})

test('back to the whole by making it small again, and never beside the sheet', () => {
  expect(zoomedAt(zoomedAt(wholeSheet, 3, 0.1, 0.9), 1 / 3, 0.9, 0.1)).toEqual(wholeSheet)
  expect(movedBy(wholeSheet, 0.3, -0.2)).toEqual(wholeSheet)
  expect(movedBy(zoomedAt(wholeSheet, 2), 5, -5)).toEqual({ zoom: 2, u: 0, v: -1 })
})

test('whatever one does, some of the sheet fills the sheet', () => {
  const step = fc.oneof(
    fc.record({
      factor: fc.double({ min: 0.2, max: 5, noNaN: true }),
      u: fc.double({ min: 0, max: 1, noNaN: true }),
      v: fc.double({ min: 0, max: 1, noNaN: true }),
    }),
    fc.record({ du: fc.double({ min: -2, max: 2, noNaN: true }), dv: fc.double({ min: -2, max: 2, noNaN: true }) }),
  )
  fc.assert(
    fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
      const lens = steps.reduce<Lens>(
        (now, one) => ('factor' in one ? zoomedAt(now, one.factor, one.u, one.v) : movedBy(now, one.du, one.dv)),
        wholeSheet,
      )
      expect(lens.zoom).toBeGreaterThanOrEqual(1)
      expect(lens.zoom).toBeLessThanOrEqual(MOST_ZOOM)
      for (const part of [lens.u, lens.v]) {
        expect(part).toBeLessThanOrEqual(1e-9)
        expect(part + lens.zoom).toBeGreaterThanOrEqual(1 - 1e-9)
      }
    }),
  )
})
