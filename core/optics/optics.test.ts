import fc from 'fast-check'
import { sceneEv } from '../brief/index.ts'
import {
  angleDeg,
  answerDay,
  choicesOf,
  clipping,
  coverage,
  cropped,
  depthOfField,
  equivalentMm,
  ev100,
  filterEconomy,
  gapsOf,
  hyperfocalMm,
  irisWithout,
  isoFor,
  MOST_RINGS,
  type Nd,
  ndStops,
  neededMm,
  openSeconds,
  pictureOf,
  type Ring,
  settingTrouble,
  shortestClean,
  type Step,
  stepChain,
  suitsNd,
} from './index.ts'

const usual = { fNumber: 2.8, iso: 100, fps: 25, shutterDeg: 180 }

// Rows of the published exposure value table: f-number, shutter seconds, EV.
test.each([
  [1, 1, 0],
  [1.4, 1 / 2, 2],
  [2, 1 / 30, 7],
  [2.8, 1 / 60, 9],
  [5.6, 1 / 125, 12],
  [8, 1 / 250, 14],
  [16, 1 / 125, 15],
  [22, 1 / 250, 17],
])('f/%d at %d s is EV %d in the table, which rounds its shutter times', (fNumber, seconds, ev) =>
  expect(Math.abs(ev100(fNumber, seconds) - ev)).toBeLessThan(0.15),
)

test('sun at f/2.8 and 1/50 s wants 6.4 stops, and as many more as the sensitivity rises', () => {
  expect(openSeconds(usual)).toBeCloseTo(1 / 50, 12)
  // 15 - log2(2.8^2 x 50) = 15 - 8.6147
  expect(ndStops(sceneEv.sun, usual)).toBeCloseTo(6.3853, 4)
  expect(ndStops(sceneEv.sun, { ...usual, iso: 800 })).toBeCloseTo(9.3853, 4)
  expect(ndStops(sceneEv.indoor, usual)).toBeLessThan(0)
})

test('what would do without a filter: the iris closed to f/25.6, or at night a higher sensitivity', () => {
  expect(irisWithout(sceneEv.sun, usual)).toBeCloseTo(25.6, 1)
  // Street at night, EV 5: 3.6147 stops short at ISO 100.
  expect(isoFor(sceneEv.night, usual)).toBeCloseTo(100 * 2 ** 3.6147, 0)
  expect(isoFor(sceneEv.sun, usual)).toBe(100)
})

test.each([
  [{ fNumber: 0 }, 'f-number'],
  [{ iso: 0 }, 'iso'],
  [{ fps: 0 }, 'frame-rate'],
  [{ shutterDeg: 361 }, 'shutter'],
  [{ shutterDeg: 0 }, 'shutter'],
  [{ fNumber: NaN }, 'f-number'],
] as const)('%j can not be reckoned with', (wrong, why) => {
  expect(settingTrouble({ ...usual, ...wrong })).toBe(why)
  expect(() => ndStops(15, { ...usual, ...wrong })).toThrow(why)
})

// 36 x 24, 23.5 x 15.6 and 18.9 x 10.6 mm: diagonals 43.27, 28.21 and 21.67.
test.each([
  [24, { wideMm: 36, tallMm: 24 }, 24],
  [16, { wideMm: 23.5, tallMm: 15.6 }, 24.54],
  [12, { wideMm: 18.9, tallMm: 10.6 }, 23.96],
])('%d mm on %j shows what %d mm shows on full frame', (focal, sensor, equivalent) =>
  expect(equivalentMm(focal, sensor)).toBeCloseTo(equivalent, 2),
)

test('angles of view, aspects and crops', () => {
  expect(angleDeg(24, 36)).toBeCloseTo(73.74, 2)
  expect(angleDeg(50, Math.hypot(36, 24))).toBeCloseTo(46.79, 2)
  expect(cropped({ wideMm: 36, tallMm: 24 }, 16 / 9)).toEqual({ wideMm: 36, tallMm: 20.25 })
  expect(cropped({ wideMm: 36, tallMm: 24 }, 9 / 16)).toEqual({ wideMm: 13.5, tallMm: 24 })
  expect(cropped({ wideMm: 36, tallMm: 24 }, 1.5, 1.5)).toEqual({ wideMm: 24, tallMm: 16 })
})

test('which asked fields a kit gives on a sensor', () => {
  const kit = [
    { id: 'zoom', fromMm: 24.5, toMm: 76.7 },
    { id: 'long', fromMm: 107, toMm: 307 },
  ]
  expect(coverage([20, 24.2, 50, 85, 135], kit).map(({ by }) => by)).toEqual([[], ['zoom'], ['zoom'], [], ['long']])
})

test('the clear radius a ring needs, and the shortest clean focal length, by hand', () => {
  // 40 x 43.27 / 48 + 24 / 8 = 36.06 + 3
  expect(neededMm({ depthMm: 40, acrossMm: 43.27 }, 24, 4)).toBeCloseTo(39.058, 3)
  // f^2 / 8 - 40 f + 865.4 = 0: f = (40 - sqrt(1600 - 432.7)) x 4 = 23.34
  expect(shortestClean([{ id: 'r', depthMm: 40, clearMm: 40, acrossMm: 43.27 }], 16, 70, 4)).toBeCloseTo(23.34, 2)
  expect(shortestClean([{ id: 'r', depthMm: 10, clearMm: 40, acrossMm: 43.27 }], 16, 70, 4)).toBe(16)
  expect(shortestClean([{ id: 'r', depthMm: 200, clearMm: 10, acrossMm: 43.27 }], 16, 70, 4)).toBeUndefined()
  expect(
    clipping(
      [
        { id: 'slim', depthMm: 30, clearMm: 38, acrossMm: 43.27 },
        { id: 'thick', depthMm: 44, clearMm: 38, acrossMm: 43.27 },
      ],
      24,
      4,
    ).map(({ id }) => id),
  ).toEqual(['thick'])
})

/**
 * Straight rays, drawn one by one: from all over the pupil's rim, parallel to the one that makes the corner of the
 * picture.
 */
const raysPass = ({ depthMm, clearMm, acrossMm }: Ring, focalMm: number, stop: number): boolean => {
  const pupil = focalMm / stop / 2
  const slope = acrossMm / 2 / focalMm
  return Array.from({ length: 720 }, (_, i) => (i / 720) * 2 * Math.PI).every((turn) => {
    const [x, y] = [pupil * Math.cos(turn) + slope * Math.max(0, depthMm), pupil * Math.sin(turn)]
    return Math.hypot(x, y) <= clearMm + 1e-9
  })
}

test('vignetting agrees with rays drawn one by one, on any stack', () => {
  const ring = fc.record({
    id: fc.constant('ring'),
    depthMm: fc.double({ min: 0, max: 80, noNaN: true }),
    clearMm: fc.double({ min: 10, max: 60, noNaN: true }),
    acrossMm: fc.constantFrom(20.25, 21.67, 28.21, 43.27),
  })
  fc.assert(
    fc.property(
      fc.array(ring, { minLength: 1, maxLength: 4 }),
      fc.double({ min: 12, max: 90, noNaN: true }),
      fc.constantFrom(1.4, 2.8, 4, 5.6),
      (rings, focal, stop) => {
        const margins = rings.map((one) => Math.abs(neededMm(one, focal, stop) - one.clearMm))
        fc.pre(margins.every((margin) => margin > 1e-3))
        expect(clipping(rings, focal, stop).length === 0).toBe(rings.every((one) => raysPass(one, focal, stop)))
      },
    ),
  )
})

test('from the shortest clean focal length on nothing clips, and just below something does', () => {
  const ring = fc.record({
    id: fc.constant('ring'),
    depthMm: fc.integer({ min: 0, max: 70 }),
    clearMm: fc.integer({ min: 20, max: 50 }),
    acrossMm: fc.constantFrom(28.21, 43.27),
  })
  fc.assert(
    fc.property(fc.array(ring, { minLength: 1, maxLength: 3 }), (rings) => {
      const clean = shortestClean(rings, 14, 80, 4)
      if (clean === undefined) {
        for (let focal = 14; focal <= 80; focal += 1) expect(clipping(rings, focal, 4).length).toBeGreaterThan(0)
        return
      }
      expect(clipping(rings, clean + 1e-6, 4)).toEqual([])
      if (clean > 14) expect(clipping(rings, clean - 1e-3, 4).length).toBeGreaterThan(0)
    }),
  )
})

const vnd: Nd = { id: 'vnd', minStops: 2, maxStops: 5, variable: true, costMinor: 0 }
const nd6: Nd = { id: 'nd6', minStops: 6, maxStops: 6, variable: false, costMinor: 3900 }
const other: Nd = { ...vnd, id: 'other', costMinor: 7200 }

test('filters alone and in pairs; two variable ones are never stacked', () => {
  expect(choicesOf([vnd, nd6, other]).map(({ ids }) => ids.join('+'))).toEqual([
    '',
    'vnd',
    'nd6',
    'other',
    'vnd+nd6',
    'nd6+other',
  ])
  expect(suitsNd(vnd, 5.3)).toBe(true)
  expect(suitsNd(vnd, 5.4)).toBe(false)
})

test('a day: shade, sun off water, and night, with what answers each and what misses', () => {
  const [shade, water, night, much] = answerDay([3.4, 7.4, -3, 12.5], [vnd, nd6])
  expect(shade).toMatchObject({ by: [{ ids: ['vnd'] }], missesBy: 0 })
  // 6 fixed is 1.4 short; 2 to 5 and 6 together take 8 to 11: 0.6 too much.
  expect(water?.by).toEqual([])
  expect(water?.missesBy).toBeCloseTo(0.6, 9)
  expect(night).toMatchObject({ wantedStops: 0, by: [{ ids: [] }] })
  expect(much?.missesBy).toBeCloseTo(1.5, 9)
})

test('gaps between what filters reach', () => {
  const gaps = gapsOf(0, 12, choicesOf([vnd, nd6])).map(([low, high]) => [
    Math.round(low * 100) / 100,
    Math.round(high * 100) / 100,
  ])
  // Nothing: to 1/3. The variable one: 1 2/3 to 5 1/3. The fixed one: 5 2/3 to 6 1/3. Both: 7 2/3 to 11 1/3.
  expect(gaps).toEqual([
    [0.33, 1.67],
    [5.33, 5.67],
    [6.33, 7.67],
    [11.33, 12],
  ])
  expect(gapsOf(2, 5, choicesOf([vnd]))).toEqual([])
})

const ring = (fromMm: number, toMm: number, costMinor = 900): Step => ({
  id: `${fromMm}-${toMm}-${costMinor}`,
  fromMm,
  toMm,
  costMinor,
  massG: 14,
})

test('the fewest rings win, then the least money', () => {
  const rings = [ring(55, 67), ring(67, 77), ring(77, 82), ring(67, 82, 1200), ring(67, 82, 1000)]
  expect(stepChain(55, 82, rings)?.ids).toEqual(['55-67-900', '67-82-1000'])
  expect(stepChain(82, 82, rings)).toEqual({ ids: [], costMinor: 0, massG: 0 })
  expect(stepChain(49, 82, rings)).toBeUndefined()
})

test('the best chain is the best of all chains, tried one by one', () => {
  const sizes = fc.constantFrom(49, 52, 55, 58, 67, 72, 77, 82)
  const rings = fc.uniqueArray(fc.tuple(sizes, sizes, fc.integer({ min: 1, max: 9 })), {
    maxLength: 9,
    selector: (r) => r.join(),
  })
  fc.assert(
    fc.property(rings, sizes, sizes, (list, from, to) => {
      const steps = list.map(([a, b, cost]) => ring(a, b, cost))
      const all: Step[][] = []
      const walk = (at: number, path: Step[]) => {
        if (at === to) all.push(path)
        if (path.length < MOST_RINGS)
          for (const step of steps) if (step.fromMm === at && !path.includes(step)) walk(step.toMm, [...path, step])
      }
      walk(from, [])
      const cost = (path: readonly Step[]) =>
        path.length * 1e6 + path.reduce((sum, { costMinor }) => sum + costMinor, 0)
      const best = all.length > 0 ? Math.min(...all.map(cost)) : undefined
      const found = stepChain(from, to, steps)
      expect(found && found.ids.length * 1e6 + found.costMinor).toBe(best)
    }),
  )
})

test('one large filter with rings against one for each thread', () => {
  const filters = [
    { threadMm: 67, costMinor: 7200, massG: 48 },
    { threadMm: 82, costMinor: 9500, massG: 63 },
  ]
  const [large, each] = filterEconomy([67, 82, 67, 55], filters, [ring(67, 82), ring(55, 67)])
  // 95.00 and the rings 67-82 for the one, 55-67 and 67-82 for the other.
  expect(large).toEqual({
    way: 'one-with-rings',
    costMinor: 9500 + 900 + 1800,
    massG: 63 + 14 + 28,
    secondsPerChange: 30,
    without: [],
  })
  expect(each).toEqual({ way: 'one-each', costMinor: 16_700, massG: 111, secondsPerChange: 0, without: [55] })
  expect(filterEconomy([], filters, [])).toEqual([
    { way: 'one-each', costMinor: 0, massG: 0, secondsPerChange: 0, without: [] },
  ])
})

// 50 mm at f/2.8 with a circle of 0.03 mm: H = 2500 / 0.084 + 50 = 29,811.9 mm.
test('depth of field: 50 mm at f/2.8 focused on 3 m is sharp from 2.73 to 3.33 m', () => {
  expect(hyperfocalMm(50, 2.8, 0.03)).toBeCloseTo(29_811.905, 2)
  const sharp = depthOfField(50, 2.8, 0.03, 3000)
  expect(sharp?.nearMm).toBeCloseTo((3000 * 29_761.905) / 32_711.905, 3)
  expect(sharp?.farMm).toBeCloseTo((3000 * 29_761.905) / 26_811.905, 3)
  expect([sharp?.nearMm, sharp?.farMm].map((mm) => Math.round((mm ?? 0) / 10) / 100)).toEqual([2.73, 3.33])
})

test('focused on the hyperfocal distance all is sharp from half of it to infinity; nearer than the focal length nothing is', () => {
  const far = hyperfocalMm(35, 4, 0.0275)
  expect(depthOfField(35, 4, 0.0275, far)).toMatchObject({ farMm: Infinity, nearMm: expect.closeTo(far / 2, 6) })
  expect(depthOfField(35, 4, 0.0275, far - 1)?.farMm).toBeGreaterThan(1e6)
  expect(depthOfField(35, 4, 0.0275, 35)).toBeUndefined()
})

test('an independent way to the same depth: the blur of a point at either end is the circle of confusion', () => {
  // A thin lens focused on s images a point at distance x as a disc of (f / N) |v - u| / u across, 1/u = 1/f - 1/x and
  // 1/v = 1/f - 1/s.
  const blur = (focal: number, fNumber: number, s: number, x: number) => {
    const [u, v] = [1 / (1 / focal - 1 / x), 1 / (1 / focal - 1 / s)]
    return ((focal / fNumber) * Math.abs(v - u)) / u
  }
  for (const [focal, fNumber, circle, s] of [
    [24, 2.8, 0.0275, 1500],
    [85, 1.4, 0.019, 4000],
    [200, 5.6, 0.03, 12_000],
  ] as const) {
    const sharp = depthOfField(focal, fNumber, circle, s)
    expect(blur(focal, fNumber, s, sharp?.nearMm ?? 1)).toBeCloseTo(circle, 6)
    expect(blur(focal, fNumber, s, sharp?.farMm ?? 1)).toBeCloseTo(circle, 6)
  }
})

test('an upright picture cut from a level camera: 20 mm sees 37 degrees across, not 84', () => {
  const cut = pictureOf({ wideMm: 36, tallMm: 24 }, 9 / 16, false)
  expect(cut).toEqual({ wideMm: 13.5, tallMm: 24 })
  expect(angleDeg(20, cut.wideMm)).toBeCloseTo(37.3, 1)
  expect(equivalentMm(20, cut)).toBeCloseTo((20 * Math.hypot(36, 24)) / Math.hypot(13.5, 24), 9)
})
