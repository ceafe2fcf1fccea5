import fc from 'fast-check'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { soundRigs } from '@zucchini/demo/sound'
import { families, type Finding, findingKey, levels } from '../checks/index.ts'
import { catalogueOf } from '../catalogue/index.ts'
import { trialRuns, trialSeed } from '../testing/trials.ts'
import { cardsIn, cardsOf, evaluate, type Line } from './index.ts'

const catalogue = catalogueOf(demoParts)
const demo = { catalogue, owned: new Map(Object.entries(demoLocker)) }
const tree = { camera: 'camera', hostOf: (id: string) => ({ monitor: 'arm', arm: 'handle' })[id] }
const finding = (check: string, more: Partial<Finding> = {}): Finding => ({
  check,
  family: 'fit',
  key: '',
  message: 'said',
  group: 'speaks',
  level: 'risk',
  parts: [],
  text: '',
  why: '',
  numbers: {},
  names: {},
  measures: [],
  ...more,
})
const on = (lines: readonly Line[]) => lines.map(({ finding: { check } }) => check)
const told = (findings: readonly Finding[]) =>
  cardsOf(findings, tree).map(({ root, follows }) => [root.finding.check, ...on(follows)])

test('what concerns one piece is one card: the worst at its root, causes before effects', () => {
  expect(
    told([
      finding('rolls', { family: 'balance', parts: ['handle'] }),
      finding('too-heavy', { parts: ['monitor'] }),
      finding('wont-go-on', { level: 'stop', parts: ['handle', 'cage'] }),
      finding('screw', { parts: ['handle'] }),
    ]),
  ).toEqual([['wont-go-on', 'screw', 'rolls'], ['too-heavy']])
})

test('one rule about several parts of the day is one line with its range; about two pieces it stays two', () => {
  const light = (stops: number, key: string) =>
    finding('nd-short', {
      family: 'glass',
      key,
      numbers: { mostStops: stops },
      measures: [{ name: 'mostStops', value: stops, unit: 'stops' }],
    })
  const [card, none] = cardsOf([light(6.4, 'noon'), light(2.1, 'dusk'), light(3, 'slip')], tree)
  expect(none).toBeUndefined()
  expect(card?.root.all).toHaveLength(3)
  expect(card?.root.ranges).toEqual([{ name: 'mostStops', unit: 'stops', from: 2.1, to: 6.4 }])
  expect(card?.of).toBe('whole')
  expect(told([finding('screw', { parts: ['cage'] }), finding('screw', { parts: ['plate'] })])).toHaveLength(2)
})

test('to share the camera is not to share a cause; another stop about a shared piece keeps its own card', () => {
  const wrong = finding('wrong-ends', { level: 'stop', family: 'sound', parts: ['lead', 'mic', 'camera'] })
  expect(told([wrong, finding('untethered', { parts: ['camera'] })])).toHaveLength(2)
  const taken = finding('taken', { level: 'stop', parts: ['receiver', 'mic'] })
  expect(told([taken, wrong])).toHaveLength(2)
  expect(told([taken, { ...wrong, level: 'risk' }])).toEqual([['taken', 'wrong-ends']])
})

test('the joint that bears the same load further down is a consequence; one elsewhere is not', () => {
  const heavy = (part: string) => finding('heavy', { parts: [part], numbers: { carriedG: 900 }, message: part })
  expect(told([heavy('monitor'), heavy('arm')])).toEqual([['heavy', 'heavy']])
  expect(told([heavy('monitor'), heavy('plate')])).toHaveLength(2)
})

test('every finding is on exactly one card, whatever is found', () => {
  const any = fc.record({
    check: fc.constantFrom('a', 'b', 'c', 'd'),
    level: fc.constantFrom(...levels),
    family: fc.constantFrom(...families),
    parts: fc.array(fc.constantFrom('camera', 'cage', 'arm', 'monitor', 'mic'), { maxLength: 3 }),
    key: fc.integer({ min: 0, max: 99 }).map(String),
  })
  fc.assert(
    fc.property(fc.array(any, { maxLength: 12 }), (list) => {
      const findings = list.map(({ check, ...more }) => finding(check, more))
      const placed = cardsOf(findings, tree).flatMap(({ root, follows }) =>
        [root, ...follows].flatMap(({ all }) => all),
      )
      expect(placed.map(findingKey).sort()).toEqual(findings.map(findingKey).sort())
      for (const { root, follows } of cardsOf(findings, tree))
        for (const line of follows)
          expect(levels.indexOf(line.finding.level)).toBeGreaterThanOrEqual(levels.indexOf(root.finding.level))
    }),
    { numRuns: trialRuns(200), seed: trialSeed },
  )
})

test('a bad first draft is a dozen cards, a clean rig three at most', () => {
  for (const { id } of firstMark.setups)
    expect([id, cardsIn(evaluate(firstMark, id, demo)).length <= 12]).toEqual([id, true])
  for (const { id } of secondMark.setups) expect(cardsIn(evaluate(secondMark, id, demo)).length).toBeLessThanOrEqual(2)
  for (const rig of soundRigs)
    for (const { id } of rig.setups)
      expect([rig.id, cardsIn(evaluate(rig, id, { catalogue, owned: new Map() })).length <= 3]).toEqual([rig.id, true])
})
