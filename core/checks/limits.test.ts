import { nothingLearnt } from '../log/index.ts'
import { evaluate } from '../assess/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { demoParts } from '../../demo/catalogue/index.ts'
import { secondMark } from '../../demo/scenario/index.ts'
import { GRAVITY } from '../kernel/index.ts'
import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'
import { allLimits, checks, limitsSchema, marginLines, paceOf, secondsOfWork, stockOf } from './index.ts'
import { marginsOf } from '../context/index.ts'

/** 500 g 20 mm off its screw: 0.098 N m, over the usual 0.05. */
const bar = tinyPart({
  id: 'bar',
  massG: 500,
  centre: [20, 10, 0],
  mounts: [plug('foot', 'thread-1/4', { tool: 'fingers' })],
})
const tiny = tinyRig([bar], [on('bar', 'foot', 'camera', 'hole')])
const said = (limits?: Record<string, Record<string, number>>) =>
  evaluate(tiny.rig, 'main', { ...tiny.context, ...(limits ? { limits } : {}) }).findings.filter(
    ({ check }) => check === 'single-screw',
  )

test('the operator’s own limit judges in place of the usual one, and is told in the words', () => {
  expect(said()[0]?.numbers).toMatchObject({ riskNm: 0.05, twistNm: expect.closeTo(0.5 * GRAVITY * 0.02, 9) })
  expect(said({ 'single-screw': { riskNm: 0.0981 } })).toEqual([])
  expect(said({ 'single-screw': { riskNm: 0.098 } })[0]?.numbers['riskNm']).toBe(0.098)
  // What the check does not take counts for nothing.
  expect(said({ 'single-screw': { riskNm: -1 } })[0]?.numbers['riskNm']).toBe(0.05)
})

test('limits that no check has, or does not take, are refused with their place', () => {
  expect(limitsSchema.safeParse({ 'single-screw': { riskNm: 0.1 } }).success).toBe(true)
  const places = (limits: unknown) => limitsSchema.safeParse(limits).error?.issues.map(({ path }) => path.join('.'))
  expect(places({ 'single-screw': { riskNm: -1 } })).toEqual(['single-screw.riskNm'])
  expect(places({ 'single-screw': { odd: 1 } })).toEqual(['single-screw.odd'])
  // What a rule was once limited by is still read, from old files, and counts for nothing.
  expect(places({ 'view-blocked': { mostLines: 2 } })).toBeUndefined()
  expect(places({ nothing: { riskNm: 1 } })).toEqual(['nothing.riskNm'])
  expect(places({ seconds: { 'thread-1/4': 0 } })).toEqual(['seconds.thread-1/4'])
  expect(places({ seconds: { glue: 5 } })).toEqual(['seconds.glue'])
  expect(places({ margins: { packDepthTimes: 1.01 } })).toEqual(['margins.packDepthTimes'])
  expect(places({ margins: { luck: 2 } })).toEqual(['margins.luck'])
  expect(places({ margins: { packDepthTimes: 1, minuteMinor: 0 } })).toBeUndefined()
})

test('every option of every check is in the list, with a source; at most ten are our own guess, and none of those is a stop', () => {
  const listed = allLimits()
  for (const { id, defaults } of checks)
    for (const option of Object.keys(defaults as object))
      expect(listed.some((limit) => limit.check === id && limit.option === option)).toBe(true)
  for (const { source } of listed) expect(source.length).toBeGreaterThan(10)
  const guesses = [...new Set(listed.filter(({ guess }) => guess).map(({ check }) => check))]
  const guessed = marginLines().filter(({ guess }) => guess)
  expect(guesses.length + guessed.length).toBeLessThanOrEqual(10)
  for (const id of guesses) expect(checks.find((check) => check.id === id)?.level).not.toBe('stop')
})

test('own seconds count in the time to set up', () => {
  const usual = evaluate(tiny.rig, 'main', tiny.context).setupSeconds
  const quick = evaluate(tiny.rig, 'main', { ...tiny.context, limits: { seconds: { 'thread-1/4': 10 } } }).setupSeconds
  expect([usual, quick]).toEqual([25, 10])
  expect(paceOf({ limits: { seconds: { lead: 3 } } }).lead).toBe(3)
  // What the watch has shown counts until somebody sets it.
  const lap = { value: 6, times: 4, last: '2026-11-17', shoot: '' }
  const learnt = { ...nothingLearnt, seconds: new Map([['lead', lap]]) }
  expect(paceOf({ learnt }).lead).toBe(6)
  expect(paceOf({ learnt, limits: { seconds: { lead: 3 } } }).lead).toBe(3)
  expect(secondsOfWork({ seconds: { lead: 3 } }).find(({ option }) => option === 'lead')).toMatchObject({
    usual: 8,
    own: 3,
  })
})

test('own margins count in hours, in room on cards and in what a lead costs', () => {
  const margins = {
    packDepthTimes: 0.8,
    converterTimes: 0.95,
    recordSpareTimes: 1.5,
    writeSpareTimes: 1.2,
    minuteMinor: 60,
  }
  expect(marginsOf({ limits: { margins } })).toMatchObject({
    record: { spare: 1.5, write: 1.2 },
    power: { depth: 0.8, converter: 0.95 },
    minuteMinor: 60,
  })
  expect(marginLines({ margins }).map(({ option, usual, own }) => [option, usual, own])).toContainEqual([
    'packDepthTimes',
    0.9,
    0.8,
  ])
  const context = { catalogue: catalogueOf(demoParts), owned: new Map<string, number>() }
  const [usual, mine] = [context, { ...context, limits: { margins } }].map(
    (own) => evaluate(secondMark, 'crossing', own).facts,
  )
  const cell = usual?.network.cells[0]
  // 16 Wh at freezing: 16 x 0.9 x 0.8 and 16 x 0.8 x 0.8.
  expect([cell?.usableWh, mine?.network.cells[0]?.usableWh]).toEqual([
    expect.closeTo(11.52, 9),
    expect.closeTo(10.24, 9),
  ])
  expect((mine?.recordings[0]?.neededMin ?? 0) / (usual?.recordings[0]?.neededMin ?? 1)).toBeCloseTo(1.5 / 1.3, 12)
  // 8 s at 0.20 and at 0.60 a minute.
  expect([usual && stockOf(usual).leadMinor, mine && stockOf(mine).leadMinor]).toEqual([
    expect.closeTo(8 / 3, 9),
    expect.closeTo(8, 9),
  ])
})
