import type { Input, Origin } from '@zucchini/core/assess'
import { originInWords, sourcesInWords } from './origin-words.ts'

const input = (kind: 'weighed' | 'datasheet' | 'unknown'): Input => ({
  instance: 'a',
  name: 'a',
  value: 100,
  error: 3,
  source: kind === 'weighed' ? { kind, on: '2026-11-20' } : { kind },
})
const origin = (more: Partial<Origin>): Origin => ({
  value: 300,
  low: 295,
  high: 305,
  unknown: false,
  inputs: [input('datasheet')],
  ...more,
})
const grams = (value: number) => `${value} g`

test('what a figure is made of, counted by where it comes from', () => {
  expect(sourcesInWords([input('datasheet'), input('weighed'), input('datasheet')])).toBe('1 weighed, 2 as stated')
})

test('a band where all is known, a floor where something is not, nothing where nothing went in', () => {
  expect(originInWords(origin({}), grams)).toBe('Likely 295 g to 305 g. Made of 1 as stated.')
  expect(originInWords(origin({ unknown: true, inputs: [input('weighed'), input('unknown')] }), grams)).toBe(
    'At least 295 g. Made of 1 weighed, 1 unknown.',
  )
  expect(originInWords(origin({ inputs: [] }), grams)).toBe('')
})
