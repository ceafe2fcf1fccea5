import type { Variant } from '@zucchini/core/assess'
import { sheetOf } from './steady-range.ts'

const at = (kind: Variant['kind'], massG: number, yawShake: number): Variant => ({
  id: `${kind} ${massG}`,
  name: kind,
  kind,
  massG,
  yawShake,
  holdMinutes: undefined,
})

test('set-ups that are nearly alike are drawn apart; the bare camera far off is told in words', () => {
  const bare = at('bare', 658, 1)
  const { massG, yawShake, off } = sheetOf([at('now', 2276, 0.24), at('setup', 2215, 0.12), bare])
  expect(off).toBe(bare)
  // 61 g apart are set into 100 g, in steps of 20: 2,195.5 to 2,295.5.
  expect(massG).toEqual({ min: 2180, max: 2300 })
  expect(yawShake.min).toBeCloseTo(0.1, 9)
  expect(yawShake.max).toBeCloseTo(0.26, 9)
})

test('a bare camera that is not far off is drawn with them', () => {
  const { massG, off } = sheetOf([at('now', 1400, 0.6), at('without', 900, 0.8), at('bare', 658, 1)])
  expect(off).toBeUndefined()
  expect(massG.min).toBeLessThan(658)
  expect(massG.max).toBeGreaterThan(1400)
})

test('what is drawn lies inside, and less than nothing is not drawn', () => {
  const { massG, yawShake } = sheetOf([at('now', 30, 0.01), at('bare', 30, 0.01)])
  expect([massG.min, yawShake.min]).toEqual([0, 0])
  expect(massG.max).toBeGreaterThan(30)
})

test('without any set-up that is carried the bare camera is all there is', () => {
  expect(sheetOf([at('bare', 658, 1)]).off).toBeUndefined()
})
