import { newRig } from '../assembly/index.ts'
import { addDays } from '../kernel/index.ts'
import {
  futureDates,
  isIdle,
  isOwned,
  laidOn,
  later,
  measuredMasses,
  newPiece,
  newScale,
  pieceSchema,
  readingOf,
  rigWeighing,
  samePiece,
  type Scale,
  tared,
  trueMassG,
  usageOf,
  valueOn,
  valueOver,
} from './index.ts'

const today = '2026-11-25'
const zoom = newPiece('zoom-1', 'zoom', { boughtOn: '2024-11-25', paidMinor: 100_000 })

test('two pieces say the same whatever the order of their fields, and any one field tells them apart', () => {
  const backwards = Object.fromEntries(Object.entries(zoom).reverse()) as typeof zoom
  expect(samePiece(zoom, backwards)).toBe(true)
  for (const other of [
    { notes: 'lent cap' },
    { paidMinor: 100_001 },
    { paidMinor: null },
    { usedOn: today },
    { id: 'zoom-2' },
  ])
    expect(samePiece(zoom, { ...zoom, ...other })).toBe(false)
})

test('what a piece is worth by hand: a fifth less each year, not under its floor, nothing once it has gone', () => {
  expect(valueOn(zoom, '2024-11-25')).toBe(100_000)
  expect(valueOn(zoom, '2024-11-24')).toBe(0)
  // Two years of 365.25 days: 0.8 to the power of 1.9986.
  expect(valueOn(zoom, today)).toBe(Math.round(100_000 * 0.8 ** (730 / 365.25)))
  expect(valueOn(zoom, '2044-11-25')).toBe(12_000)
  expect(valueOn({ ...zoom, state: 'sold', endedOn: '2026-01-01' }, today)).toBe(0)
  expect(valueOn({ ...zoom, state: 'sold', endedOn: '2026-01-01' }, '2025-12-31')).toBeGreaterThan(0)
  expect(valueOn({ ...zoom, paidMinor: null }, today)).toBeUndefined()
  expect(valueOver([zoom, newPiece('x', 'y')], [today])).toEqual([
    { day: today, valueMinor: valueOn(zoom, today), unknown: 1 },
  ])
})

test('idle after a year without a shoot; unknown days and sold pieces are left alone', () => {
  expect(isIdle({ ...zoom, usedOn: addDays(today, -365) }, today)).toBe(false)
  expect(isIdle({ ...zoom, usedOn: addDays(today, -366) }, today)).toBe(true)
  expect(isIdle(zoom, today)).toBe(true)
  expect(isIdle(newPiece('x', 'y'), today)).toBe(false)
  expect(isIdle({ ...zoom, state: 'sold' }, today)).toBe(false)
  expect([isOwned(zoom), isOwned({ state: 'lent' }), isOwned({ state: 'retired' })]).toEqual([true, true, false])
})

test.each([
  ['money under nothing', { paidMinor: -1 }],
  ['lent to nobody', { state: 'lent' }],
  ['a day that is none', { boughtOn: '2026-13-01' }],
  ['a mass of nothing', { measuredG: 0 }],
  ['a field nobody asked for', { colour: 'red' }],
])('refused: %s', (_, more) => expect(pieceSchema.safeParse({ ...zoom, ...more }).success).toBe(false))

test('days in the future are named', () => {
  expect(futureDates({ ...zoom, boughtOn: '2026-11-26', usedOn: '2027-01-01' }, today)).toEqual(['boughtOn', 'usedOn'])
  expect(futureDates({ ...zoom, boughtOn: today }, today)).toEqual([])
})

test('which rigs use a part, and in which set-ups', () => {
  const rig = newRig('ferry', 'Ferry', 'body')
  const wired = {
    ...rig,
    kit: [
      ...rig.kit,
      { id: 'cage', partId: 'cage-a', status: 'in' as const },
      { id: 'spare', partId: 'pack', status: 'in' as const },
    ],
    setups: rig.setups.map((setup) => ({
      ...setup,
      joints: [{ guest: 'cage', guestMount: 'seat', host: 'camera', hostMount: 'seat', slideMm: 0, turnDeg: 0 }],
    })),
  }
  const found = usageOf([wired])
  expect(found.get('cage-a')).toEqual([{ rigId: 'ferry', rigName: 'Ferry', setups: ['main'] }])
  expect(found.get('body')?.[0]?.setups).toEqual(['main'])
  expect(found.get('pack')?.[0]?.setups).toEqual([])
  expect(found.get('unused')).toBeUndefined()
})

test('the mean of what was weighed takes the place of the datasheet', () => {
  const measured = measuredMasses([
    { partId: 'cage', measuredG: 210 },
    { partId: 'cage', measuredG: 220 },
    { partId: 'cage', measuredG: null },
    { partId: 'mic', measuredG: null },
  ])
  expect([...measured]).toEqual([['cage', 215]])
})

const rested = (scale: Scale, seconds = 8): Scale =>
  Array.from({ length: seconds * 5 }).reduce<Scale>((now) => later(now, 0.2), scale)

test('the scale swings, comes to rest near the load, and says when it is steady', () => {
  const swinging = laidOn(newScale(3), 700)
  expect(readingOf(swinging)?.stable).toBe(false)
  const still = rested(swinging)
  expect(readingOf(still)?.stable).toBe(true)
  expect(Math.abs((readingOf(still)?.grams ?? 0) - 700)).toBeLessThanOrEqual(3)
  expect(readingOf({ ...still, plugged: false })).toBeUndefined()
})

test('over many readings the noise is small and has no lean', () => {
  let scale = rested(laidOn(newScale(11), 500), 4)
  const errors = Array.from({ length: 400 }, () => {
    scale = later(scale, 0.05)
    return (readingOf(scale)?.grams ?? 0) - 500
  })
  const mean = errors.reduce((sum, error) => sum + error, 0) / errors.length
  expect(Math.abs(mean)).toBeLessThan(0.6)
  expect(Math.max(...errors.map(Math.abs))).toBeLessThanOrEqual(4)
})

test('taring takes the holder away; a swinging or unplugged scale is not tared', () => {
  const holder = rested(laidOn(newScale(5), 250))
  const zeroed = tared(holder)
  expect(zeroed && Math.abs(readingOf(zeroed)?.grams ?? 99)).toBeLessThanOrEqual(3)
  expect(tared(laidOn(holder, 800))).toBeUndefined()
  expect(tared({ ...holder, plugged: false })).toBeUndefined()
})

test('a piece of a part always weighs the same in the simulation, within four in a hundred', () => {
  expect(trueMassG('cage', 200)).toBe(trueMassG('cage', 200))
  for (const id of ['cage', 'mic', 'zoom', 'plate'])
    expect(Math.abs(trueMassG(id, 1000) / 1000 - 1)).toBeLessThanOrEqual(0.04)
})

test('a whole rig against its sum, by hand', () => {
  const pieces = [
    { name: 'camera', massG: 700, measured: true },
    { name: 'cage', massG: 200, measured: false },
    { name: 'handle', massG: 100, measured: false },
  ]
  // Allowed: 2 of the scale, 1 for the camera, 6 and 3 for the rest: sqrt(4 + 1 + 36 + 9) = 7.07.
  const fits = rigWeighing(pieces, 1007)
  expect(fits).toMatchObject({ sumG: 1000, unexplainedG: 7, explained: true })
  expect(fits.allowedG).toBeCloseTo(Math.sqrt(50), 12)
  const heavy = rigWeighing(pieces, 1044)
  expect(heavy).toMatchObject({ unexplainedG: 44, explained: false })
  expect(heavy.unweighed.map(({ name }) => name)).toEqual(['cage', 'handle'])
})
