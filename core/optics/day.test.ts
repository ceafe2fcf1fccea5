import { placeSetup } from '../assembly/index.ts'
import { emptyBrief, type Scene } from '../brief/index.ts'
import { catalogueOf, mate, type Part, partIssues, partSchema } from '../catalogue/index.ts'
import { adapterTo, dayOfScenes, disc, nd, seeingCamera, stepUp, zoom } from '../testing/glass.ts'
import { on, plug, socket, tinyPart, tinyRig } from '../testing/index.ts'
import {
  adaptersFor,
  cropFor,
  economyOf,
  goesBefore,
  insideNd,
  lensFits,
  lightPlan,
  pictureOf,
  settingOf,
} from './index.ts'

const assemblyOf = (
  parts: readonly Part[],
  scenes: readonly Scene[],
  body = seeingCamera(),
  joints: Parameters<typeof tinyRig>[1] = [],
) => {
  const { rig, context } = tinyRig([zoom(), ...parts], [on('lens', 'bayonet', 'camera', 'lens'), ...joints], {
    extra: [body],
    brief: dayOfScenes(scenes),
  })
  const [setup] = rig.setups
  if (!setup) throw new Error('a tiny rig has a set-up')
  return placeSetup(rig, setup, context.catalogue)
}

test('a day of three scenes at f/4, 1/64 s and ISO 100: EV 10 is exposed right', () => {
  const plan = lightPlan(
    assemblyOf([disc('v', 7, nd(2, 5)), disc('three', 5, nd(3))], ['water-in-sun', 'overcast', 'night']),
  )
  expect(plan.setting).toEqual({ fNumber: 4, iso: 100, fps: 32, shutterDeg: 180 })
  expect(plan.phases.map(({ mostStops }) => mostStops)).toEqual([6, 2, -5])
  // 2 to 5 alone, 3 alone, both together 5 to 8.
  expect(plan.phases.map(({ by }) => by[0]?.ids)).toEqual([['three', 'v'], ['v'], []])
  expect(plan.phases.map(({ missesBy }) => missesBy)).toEqual([0, 0, 0])
  // Without filters: f/4 and six stops are f/32; night wants ISO 3200.
  expect(plan.phases[0]?.iris).toBeCloseTo(32, 9)
  expect(plan.phases[2]?.iso).toBeCloseTo(3200, 6)
})

test('an ISO that nobody asked for and no camera states is only assumed; a stated or an asked one is not', () => {
  const nameless = { ...seeingCamera(), optics: { kind: 'sensor' as const, wideMm: 36, tallMm: 24 } }
  const plan = lightPlan(assemblyOf([], ['sun'], nameless))
  expect([plan.setting.iso, plan.assumed]).toEqual([100, ['iso']])
  expect(lightPlan(assemblyOf([], ['sun'])).assumed).toEqual([])
})

test('a polariser on the lens takes light before any neutral density does', () => {
  const polariser = disc('pol', 5, { kind: 'filter', effect: 'polariser', minStops: 1.5, maxStops: 1.5 })
  const plan = lightPlan(assemblyOf([polariser], ['overcast'], seeingCamera(), [on('pol', 'rear', 'lens', 'thread')]))
  expect(plan.lossStops).toBe(1.5)
  expect(plan.phases[0]?.mostStops).toBe(0.5)
  // Without neutral density the polariser is still on: half a stop more than f/4, not two.
  expect(plan.phases[0]?.iris).toBeCloseTo(4 * 2 ** 0.25, 9)
})

test('what the camera has inside: one step at a time, with or without a filter before it', () => {
  const stepped = seeingCamera({ nd: { stops: [0, 2, 4], smooth: false } })
  const plan = lightPlan(assemblyOf([disc('two', 5, nd(2))], ['water-in-sun', 'hazy'], stepped))
  expect(plan.phases.map(({ by }) => by[0]?.ids)).toEqual([['camera 4', 'two'], ['camera 4']])
  expect(insideNd({ kind: 'sensor', wideMm: 1, tallMm: 1, nd: { stops: [2, 7], smooth: true } })).toMatchObject([
    { minStops: 2, maxStops: 7 },
  ])
  expect(insideNd(undefined)).toEqual([])
})

test('the brief\u2019s own stop and sensitivity win, but a lens opens no wider than it does', () => {
  const assembly = assemblyOf([], ['sun'], seeingCamera({ isos: [800, 3200] }))
  const set = (light: object) =>
    settingOf({
      ...assembly,
      rig: { ...assembly.rig, brief: { ...assembly.rig.brief, light: { ...emptyBrief.light, ...light } } },
    })
  expect(set({ stop: 0, iso: 0 })).toMatchObject({ fNumber: 2.5, iso: 800 })
  expect(set({ stop: 1.4, iso: 3200 })).toMatchObject({ fNumber: 2.5, iso: 3200 })
  expect(set({ stop: 8 })).toMatchObject({ fNumber: 8 })
})

test('filters go before a lens by their thread, through rings, or in a tray', () => {
  const lens = zoom({ threadMm: 77 })
  const tray = tinyPart({ id: 'pane', role: 'filter', mounts: [plug('edge', 'tray', { family: '4x4' })] })
  const box = tinyPart({
    id: 'box',
    role: 'matte-box',
    mounts: [socket('tray', 'tray', [0, 20, 0], [0, 1, 0], { family: '4x4' })],
  })
  expect(goesBefore(disc('a', 5, nd(3), {}, 77), lens, [])).toBe(true)
  expect(goesBefore(disc('a', 5, nd(3)), lens, [])).toBe(false)
  expect(goesBefore(disc('a', 5, nd(3)), lens, [stepUp(77, 82)])).toBe(true)
  expect(goesBefore(tray, lens, [])).toBe(false)
  expect(goesBefore(tray, lens, [box])).toBe(true)
})

test('a picture that is turned upright stands the sensor up', () => {
  const sensor = { wideMm: 36, tallMm: 24 }
  expect(pictureOf(sensor, 16 / 9, false)).toEqual({ wideMm: 36, tallMm: 20.25 })
  expect(pictureOf(sensor, 9 / 16, true)).toEqual({ wideMm: 36, tallMm: 20.25 })
  expect(pictureOf(sensor, 9 / 16, false)).toEqual({ wideMm: 13.5, tallMm: 24 })
  expect(pictureOf(sensor, 0, true, 1.5)).toEqual({ wideMm: 24, tallMm: 16 })
})

test('how lenses go on a camera, and what they show there', () => {
  const body = seeingCamera({ crops: [1.5, 2] })
  const parts = [
    zoom(),
    zoom({ id: 'small', optics: { imageCircleMm: 34, autofocus: true } }),
    zoom({ id: 'tiny', optics: { imageCircleMm: 20 } }),
    zoom({ id: 'foreign', family: 'other', optics: { autofocus: true } }),
    zoom({ id: 'lost', family: 'nobody' }),
    adapterTo('other', false, 'dumb'),
    adapterTo('other', true, 'smart'),
  ]
  const catalogue = catalogueOf([body, ...parts])
  const uses = ['lens', 'small', 'tiny', 'foreign', 'lost', 'unheard-of'].map((partId) => ({ partId, share: 20 }))
  const fits = lensFits(body, uses, catalogue, new Map())
  expect(fits.map(({ part, way, focus, crop, cropMode }) => [part.id, way, focus, crop, cropMode])).toEqual([
    ['lens', 'direct', 'hand', 1, true],
    // 50 / 1.5 = 33.3 mm is within a circle of 34; 50 / 2 = 25 is not within one of 20: 2.5 times without a mode for
    // it.
    ['small', 'direct', 'auto', 1.5, true],
    ['tiny', 'direct', 'hand', 2.5, false],
    ['foreign', 'adapter', 'auto', 1, true],
    ['lost', 'none', 'hand', 1, true],
  ])
  // 25 mm on 50 mm across shows what 21.63 shows on 43.27; cropped by 1.5 it is 32.45.
  expect(fits[0]?.fromMm).toBeCloseTo((25 * Math.hypot(36, 24)) / 50, 9)
  expect(fits[1]?.fromMm).toBeCloseTo((25 * 1.5 * Math.hypot(36, 24)) / 50, 9)
  // 40 mm at 25 mm: 2 atan(0.8).
  expect(fits[0]?.wideDeg).toBeCloseTo(77.32, 2)
  // Delivered 9:16 from a level camera it is a crop of all the 30 mm height, 16.875 wide: 2 atan(0.3375).
  const [upright] = lensFits(body, uses, catalogue, new Map(), { aspect: 9 / 16, upright: false })
  expect(upright?.wideDeg).toBeCloseTo(37.3, 1)
  expect(upright?.fromMm).toBeCloseTo((25 * Math.hypot(36, 24)) / Math.hypot(16.875, 30), 9)
  expect(fits[3]?.adapter?.id).toBe('smart')
  const foreign = parts[3]
  expect(foreign && adaptersFor(body, foreign, catalogue, new Map([['dumb', 1]])).map(({ id }) => id)).toEqual([
    'dumb',
    'smart',
  ])
  expect(cropFor({ kind: 'sensor', wideMm: 40, tallMm: 30 }, 49.9)).toEqual({ crop: 1, cropMode: true })
})

test('one large filter, one each, or one dropped into a box on rods', () => {
  const body = seeingCamera()
  const pane = tinyPart({
    id: 'pane',
    role: 'filter',
    massG: 140,
    optics: nd(6),
    mounts: [plug('edge', 'tray', { family: '4x4' })],
    price: { low: 1, usual: 6000, high: 7000 },
  })
  const box = tinyPart({
    id: 'box',
    role: 'matte-box',
    massG: 400,
    mounts: [
      socket('tray', 'tray', [0, 20, 0], [0, 1, 0], { family: '4x4' }),
      socket('clamp', 'rod-15-pair', [0, 0, 0], [0, -1, 0]),
    ],
    price: { low: 1, usual: 20_000, high: 30_000 },
  })
  const parts = [
    zoom(),
    zoom({ id: 'small', threadMm: 67 }),
    disc('six', 5, nd(6)),
    disc('six67', 5, nd(6), {}, 67),
    stepUp(67, 82),
    pane,
    box,
  ]
  const catalogue = catalogueOf([body, ...parts])
  const uses = ['lens', 'small'].map((partId) => ({ partId, share: 50 }))
  const ways = economyOf(lensFits(body, uses, catalogue, new Map()), 'nd', catalogue, new Map([['six', 1]]))
  expect(ways).toEqual([
    // The large one is owned, the ring is 10.00; both weigh 100 g.
    { way: 'one-with-rings', costMinor: 1000, massG: 200, secondsPerChange: 30, without: [] },
    { way: 'one-each', costMinor: 1000, massG: 200, secondsPerChange: 0, without: [] },
    { way: 'drop-in', costMinor: 26_000, massG: 540, secondsPerChange: 0, without: [] },
  ])
  expect(economyOf([], 'nd', catalogue, new Map())).toEqual([])
})

const flanged = (rearMm: number, frontMm: number, thickMm: number): Part =>
  tinyPart({
    id: 'adapter',
    role: 'lens-adapter',
    solids: [
      { kind: 'cylinder', centre: [0, 0, -thickMm / 2], axis: [0, 0, -1], radius: 30, length: thickMm, matter: 'body' },
    ],
    mounts: [
      plug('rear', 'lens-mount', { family: 'a', flangeMm: rearMm, out: [0, 0, 1], up: [0, 1, 0] }),
      socket('front', 'lens-mount', [0, 0, -thickMm], [0, 0, -1], { family: 'b', flangeMm: frontMm }),
    ],
  })

test('an adapter goes from the longer flange to the shorter, as thick as their difference', () => {
  expect(partIssues(flanged(18, 44, 26))).toEqual([])
  expect(partIssues(flanged(18, 44, 26.1))).toEqual([])
  expect(partIssues(flanged(18, 44, 25))).toMatchObject([
    { code: 'adapter-thickness', numbers: { thickMm: 25, wantsMm: 26 } },
  ])
  expect(partIssues(flanged(44, 18, 26))).toMatchObject([
    { code: 'adapter-backwards', numbers: { lensMm: 18, bodyMm: 44 } },
  ])
})

test('a lens of the same bayonet but another flange distance is refused', () => {
  const end = (side: 'holds' | 'sits', flangeMm?: number) => ({
    part: tinyPart({ id: side }),
    mount: {
      id: side,
      standard: 'lens-mount',
      side,
      at: [0, 0, 0],
      out: [0, 0, 1],
      up: [0, 1, 0],
      family: 'a',
      ...(flangeMm ? { flangeMm } : {}),
    } as const,
  })
  expect(mate(end('holds', 18), end('sits', 18)).ok).toBe(true)
  expect(mate(end('holds', 18), end('sits')).ok).toBe(true)
  expect(mate(end('holds', 18), end('sits', 20))).toMatchObject({
    ok: false,
    issues: [{ code: 'flange-differs', numbers: { holdsMm: 18, wantsMm: 20 } }],
  })
})

test('glass that can not be is refused where it is entered', () => {
  const lens = zoom()
  const refused = (optics: object) =>
    partSchema.safeParse({ ...lens, optics: { ...lens.optics, ...optics } }).error?.issues[0]?.message
  expect(refused({ focalMinMm: 60 })).toBe('the long end can not be shorter than the short end')
  expect(refused({ stop: 0 })).toBeDefined()
  expect(refused({ focalMinMm: 0 })).toBeDefined()
  const filter = disc('a', 5, nd(2, 5))
  expect(partSchema.safeParse({ ...filter, optics: { ...filter.optics, minStops: 6 } }).success).toBe(false)
  expect(partSchema.safeParse({ ...filter, opening: { at: [0, 0, 0] } }).success).toBe(false)
  expect(
    partSchema.safeParse({ ...filter, opening: { at: [0, 0, 0], clearMm: 50, wideMm: 3, tallMm: 3 } }).success,
  ).toBe(false)
  expect(partSchema.safeParse(filter).success).toBe(true)
  expect(partSchema.safeParse({ ...seeingCamera(), optics: { ...seeingCamera().optics, isos: [0] } }).success).toBe(
    false,
  )
})
