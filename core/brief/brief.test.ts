import { tinyPart } from '../testing/index.ts'
import { adviceFor, briefSchema, conditionIds, emptyBrief, lightOf, needsOf, shootKinds, unmet } from './index.ts'

const brief = { ...emptyBrief, kind: 'desk' as const }

test('a desk shoot asks for a microphone and nothing else', () => {
  expect(needsOf(brief).map(({ capability }) => capability)).toEqual(['scratch-sound'])
})

test('conditions add to it, each need once, with the first reason', () => {
  const needs = needsOf({ ...brief, kind: 'promo', conditions: ['interviews', 'sun'] })
  expect(needs.filter(({ capability }) => capability === 'wireless-sound')).toHaveLength(1)
  expect(needs.find(({ capability }) => capability === 'sun-view')?.because.from).toBe('condition')
  expect(needs.find(({ capability }) => capability === 'nd')?.because.from).toBe('kind')
})

test('the operator has the last word, both ways', () => {
  const needs = needsOf({ ...brief, wishes: { 'scratch-sound': 'skip', xlr: 'want' } })
  expect(needs.map(({ capability, because }) => [capability, because.from])).toEqual([['xlr', 'operator']])
})

test('what the camera gives is not lacking', () => {
  const needs = needsOf({ ...brief, wishes: { xlr: 'want' } })
  expect(unmet(needs, [tinyPart({ id: 'c', provides: ['xlr'] })]).map(({ capability }) => capability)).toEqual([
    'scratch-sound',
  ])
})

test('every kind of shoot has a word for every station', () => {
  for (const kind of shootKinds)
    for (const conditions of [[], conditionIds]) {
      const advice = adviceFor({ ...brief, kind, conditions: [...conditions] })
      expect(advice).toHaveLength(10)
      for (const { reason } of advice) expect(reason.length).toBeGreaterThan(5)
    }
  expect(adviceFor({ ...brief, kind: 'gimbal' }).find(({ station }) => station === 'grip')?.verdict).toBe('leave out')
})

test('light: overcast alone is EV 12; night to sunlit water spans eleven stops', () => {
  expect(lightOf(brief)).toMatchObject({ lowEv: 12, highEv: 12, scenes: ['overcast'] })
  expect(lightOf({ ...brief, conditions: ['dark', 'sun', 'spray'] })).toMatchObject({ lowEv: 5, highEv: 16 })
})

test.each([
  ['more rolling than there are hours', { hoursRolling: 7, hoursOnLocation: 6 }],
  ['negative money', { budgetMinor: -1 }],
  ['a currency of two letters', { currency: 'EU' }],
  ['grams that are no number', { inHandG: Number.NaN }],
  ['a wish nobody can grant', { wishes: { wings: 'want' } }],
])('refused: %s', (_, change) => {
  expect(briefSchema.safeParse({ ...emptyBrief, ...change }).success).toBe(false)
  expect(briefSchema.safeParse({ ...emptyBrief, hoursRolling: 6, hoursOnLocation: 6 }).success).toBe(true)
})
