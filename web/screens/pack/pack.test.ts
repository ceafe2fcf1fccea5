import { packListOf, packNotes } from '@zucchini/core/assess'
import { firstMark } from '@zucchini/demo/scenario'
import { first, second } from '../../testing/demo.ts'
import { groupTitles, isWarning, noteWords } from './pack-words.ts'

const style = { units: 'metric', currency: 'EUR' } as const

test('every note has its words, filled in from what the list gives', () => {
  const lists = [packListOf([second(), second('slip')]), packListOf(firstMark.setups.map(({ id }) => first(id)))]
  const seen = lists.flatMap(({ lines }) => lines.flatMap(({ notes }) => notes))
  expect(seen.length).toBeGreaterThan(10)
  for (const one of seen) expect(noteWords(one, style)).not.toMatch(/[{}]|undefined|NaN/)
  for (const { lines } of lists) for (const { group } of lines) expect(groupTitles[group]).toBeTruthy()
})

test('what is missing or not let on board is marked, the rest is quiet', () => {
  const marked = packNotes.filter((code) => isWarning({ code, numbers: {}, names: {} }))
  expect([...marked].sort()).toEqual(['ask-airline', 'no-charger', 'no-spare', 'not-by-air'])
  expect(noteWords({ code: 'to-full', numbers: { minutes: 138 }, names: {} }, style)).toBe(
    '2 h 18 until all of its kind are full',
  )
})
