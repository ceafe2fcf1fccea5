import { evaluate, type FigureId, figureIds, reckoningOf } from '@zucchini/core/assess'
import { catalogueOf } from '@zucchini/core/catalogue'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { boundWords, figureTitles, formulaWords, inUnit, sourceWords, valueWords } from './figure-words.ts'

const context = { catalogue: catalogueOf(demoParts), owned: new Map(Object.entries(demoLocker)) }
const style = { currency: 'EUR', units: 'metric' } as const
const crossing = evaluate(secondMark, 'crossing', context)
const asked = (id: FigureId, assessment = crossing) => {
  const found = reckoningOf(assessment, id)
  if (!found) throw new Error(`no ${id}`)
  return found
}

test('each figure has words for its value, its formula and its limit, with nothing left open', () => {
  for (const assessment of [crossing, evaluate(firstMark, 'crossing', context)])
    for (const id of figureIds) {
      const found = reckoningOf(assessment, id)
      if (!found) continue
      const words = [figureTitles[id], valueWords(found, style), formulaWords(found, style), boundWords(found, style)]
      for (const text of [
        ...words,
        ...found.terms.map(
          (term) => `${term.name} ${inUnit(term.value, term.unit, style)} ${sourceWords(term, style)}`,
        ),
      ])
        expect([id, text]).toEqual([id, expect.not.stringMatching(/NaN|undefined|Infinity/)])
    }
})

test('the tilt in its formula, with whose limit it is held to and where the heaviest piece lies', () => {
  const hangs = asked('hangs')
  expect(formulaWords(hangs, style)).toMatch(/^atan \( 0\.\d mm (ahead|behind) ÷ 65 mm below the hand \)$/)
  expect(boundWords(hangs, style)).toBe('limit 3.0°: How I work')
  expect(sourceWords(hangs.terms[0] ?? asked('tall').terms[0] ?? { name: '', value: 0, unit: 'mm' }, style)).toMatch(
    /^658 g, \d+ mm behind the palm$/,
  )
})

test('even bands are a plus and minus, others from to; what is unknown is at least, or at most', () => {
  const mass = asked('in-hand')
  expect(valueWords(mass, style)).toMatch(/^2,276 g ± \d+ g$/)
  expect(valueWords({ ...mass, unknown: true }, style)).toMatch(/^≥ /)
  expect(valueWords({ ...mass, low: 2000, high: 2300 }, style)).toBe('2,276 g (2,000 g to 2,300 g)')
  expect(valueWords({ ...asked('runs'), unknown: true, value: 60, low: 60, high: 60 }, style)).toBe('≤ 1 h 00')
  expect(valueWords({ ...asked('runs'), value: Infinity, low: Infinity, high: Infinity }, style)).toBe('without end')
})

test('where a term comes from', () => {
  const term = { name: 'a', value: 100, unit: 'g' as const }
  expect(sourceWords({ ...term, error: 1, source: { kind: 'weighed', on: '2026-11-20' } }, style)).toBe(
    'weighed on 2026-11-20 (± 1 g)',
  )
  expect(
    sourceWords({ ...term, unit: 'money', error: 150, source: { kind: 'seen', on: '2026-11-02', points: 1 } }, style),
  ).toBe('seen on 2026-11-02, 1 price (± €1.50)')
  expect(sourceWords({ ...term, source: { kind: 'unknown' } }, style)).toContain('nobody knows it')
  expect(sourceWords(term, style)).toBe('')
})
