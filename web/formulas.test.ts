import { figureIds } from '@zucchini/core/assess'
import { factNames } from '@zucchini/core/facts'
import { formulasNamed, formulasOf, formulasOfBar } from './formulas.ts'

/** Figures that are read off the plan as it is: nothing is reckoned. */
const lists = ['points', 'cables', 'pictures', 'sounds', 'entries', 'crowds', 'grips', 'asked', 'needs', 'unmet']

test('every figure that is reckoned has its formula, written down where the documents have it', () => {
  expect(factNames.filter((name) => formulasOf(name).length === 0).sort()).toEqual(lists.sort())
  for (const id of figureIds) expect([id, formulasOfBar(id).length > 0]).toEqual([id, true])
})

test('a formula is its paragraph: with its symbols, and without the links of the document', () => {
  expect(formulasOf('hang')[0]?.text).toMatch(/atan2/)
  expect(formulasOf('day').map(({ title }) => title)).toEqual(['The day', 'Charging'])
  expect(formulasOfBar('set-up')[0]?.text).not.toMatch(/\]\(/)
  expect(formulasOfBar('set-up')[0]?.text).toContain('see standards')
  expect(formulasOfBar('held')[0]?.text).toContain('Rohmert')
})

test('a title that nobody wrote is a fault of the program, and said', () => {
  expect(() => formulasNamed(['The phase of the moon'])).toThrow('no "The phase of the moon"')
})
