import { evaluate } from '../assess/index.ts'
import { GRAVITY } from '../kernel/index.ts'
import { on, plug, tinyPart, tinyRig } from '../testing/index.ts'
import { allLimits, checks, limitsSchema, paceOf, secondsOfWork } from './index.ts'

/** 500 g 20 mm off its screw: 0.098 N m, over the usual 0.05. */
const bar = tinyPart({ id: 'bar', massG: 500, centre: [20, 10, 0], mounts: [plug('foot', 'thread-1/4')] })
const tiny = tinyRig([bar], [on('bar', 'foot', 'camera', 'hole')])
const said = (limits?: Record<string, Record<string, number>>) =>
  evaluate(tiny.rig, 'main', { ...tiny.shelf, ...(limits ? { limits } : {}) }, false).findings.filter(
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
  expect(places({ nothing: { riskNm: 1 } })).toEqual(['nothing.riskNm'])
  expect(places({ seconds: { 'thread-1/4': 0 } })).toEqual(['seconds.thread-1/4'])
  expect(places({ seconds: { glue: 5 } })).toEqual(['seconds.glue'])
})

test('every option of every check is in the list, with a source; at most ten are our own guess, and none of those is a stop', () => {
  const listed = allLimits()
  for (const { id, defaults } of checks)
    for (const option of Object.keys(defaults as object))
      expect(listed.some((limit) => limit.check === id && limit.option === option)).toBe(true)
  for (const { source } of listed) expect(source.length).toBeGreaterThan(10)
  const guesses = [...new Set(listed.filter(({ guess }) => guess).map(({ check }) => check))]
  expect(guesses.length).toBeLessThanOrEqual(10)
  for (const id of guesses) expect(checks.find((check) => check.id === id)?.level).not.toBe('stop')
})

test('own seconds count in the time to set up', () => {
  const usual = evaluate(tiny.rig, 'main', tiny.shelf, false).setupSeconds
  const quick = evaluate(tiny.rig, 'main', { ...tiny.shelf, limits: { seconds: { 'thread-1/4': 10 } } }, false).setupSeconds
  expect([usual, quick]).toEqual([25, 10])
  expect(paceOf({ seconds: { lead: 3 } }).lead).toBe(3)
  expect(secondsOfWork({ seconds: { lead: 3 } }).find(({ option }) => option === 'lead')).toMatchObject({ usual: 8, own: 3 })
})
