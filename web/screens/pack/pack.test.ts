import { packListOf, packNotes } from '@zucchini/core/assess'
import { firstMark } from '@zucchini/demo/scenario'
import Papa from 'papaparse'
import { first, second } from '../../testing/demo.ts'
import { groupTitles, isWarning, noteWords, packCsv, placesIn } from './pack-words.ts'

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
  expect([...marked].sort()).toEqual([
    'ask-airline',
    'no-charger',
    'no-spare',
    'not-by-air',
    'short-cards',
    'short-packs',
    'tool-locker',
    'tool-missing',
  ])
  expect(noteWords({ code: 'to-full', numbers: { minutes: 138 }, names: {} }, style)).toBe(
    '2 h 18 until all of its kind are full',
  )
})

test('the bag as a table has a row a line, with what lies where, as another reader reads it', () => {
  const list = packListOf([second(), second('slip')])
  const places = placesIn([
    { partId: 'calabash-pack', place: 'drawer 2, blue tin', state: 'kept' },
    { partId: 'calabash-pack', place: 'bag', state: 'kept' },
    { partId: 'calabash-pack', place: 'sold', state: 'sold' },
  ])
  const { data, errors } = Papa.parse<Record<string, string>>(packCsv(list, places, style).trim(), { header: true })
  expect(errors).toEqual([])
  expect(data).toHaveLength(list.lines.length)
  expect(data.find((row) => row['lies in'] !== '')?.['lies in']).toBe('drawer 2, blue tin, bag')
  expect(data.reduce((sum, row) => sum + Number(row['mass (g)']), 0)).toBeCloseTo(list.grams, -1)
})
