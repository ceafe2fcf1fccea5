import { askedFact } from '@zucchini/core/assess'
import { factNames } from '@zucchini/core/facts'
import { factSaid, factValue, readWords } from './fact-words.ts'
import { first, second } from './testing/demo.ts'

const style = { currency: 'EUR', units: 'metric' as const }

test('every figure has a title and says how it is worked out; no two titles are the same', () => {
  for (const name of factNames) {
    expect([name, factSaid[name].title.length > 3, factSaid[name].how.length > 10]).toEqual([name, true, true])
    expect([name, factSaid[name].how.endsWith('.')]).toEqual([name, false])
  }
  expect(new Set(factNames.map((name) => factSaid[name].title)).size).toBe(factNames.length)
})

test.each([
  ['crossing', 'mass', '2,276 g in the hand'],
  ['crossing', 'hang', '0.3°'],
  ['crossing', 'day', '6 h 00 of 6 h 00'],
  ['crossing', 'cost', '€895.00'],
  ['crossing', 'clean', 'from 20 mm on'],
  ['slip', 'hang', '14.1°'],
] as const)('second mark, %s: %s comes to something a person can read', (setup, name, words) => {
  const said = factValue(name, second(setup).facts, style)
  if (setup === 'crossing' && name !== 'clean') expect(said).toBe(words)
  else expect(said).toMatch(/\d/)
})

test('what has no single value says nothing, and what is missing says so', () => {
  expect(factValue('points', second().facts, style)).toBe('')
  expect(factValue('tip', second().facts, style)).toBe('on no legs')
  expect(factValue('steadiness', second('slip').facts, style)).toBe('on a stand')
  expect(factValue('onPlate', second().facts, style)).toBe('on no plate')
})

test('for every figure of both marks, what was read is said in words: no name of a field is left', () => {
  for (const assessment of [first(), second(), second('slip')])
    for (const name of factNames)
      for (const words of readWords(askedFact(assessment, name))) {
        expect([name, words]).toEqual([name, expect.stringMatching(/^[a-zA-Z][^._]*$/)])
        expect([name, /[a-z][A-Z]/.test(words)]).toEqual([name, false])
      }
})
