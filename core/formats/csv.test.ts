import Papa from 'papaparse'
import { writeCsv } from './index.ts'

test('commas, quotes and line breaks survive; what looks like a formula is only text', () => {
  const rows = [
    ['a, b', 'say "hm"', 'two\nlines', 1.5],
    ['=cmd()', '+1', '@x', -2],
    ['', undefined, 'plain', 0],
  ]
  const text = writeCsv(['one', 'two', 'three', 'mass (g)'], rows)
  expect(text.endsWith('\r\n')).toBe(true)
  const back = Papa.parse<string[]>(text.trimEnd()).data
  expect(back[0]).toEqual(['one', 'two', 'three', 'mass (g)'])
  expect(back[1]).toEqual(['a, b', 'say "hm"', 'two\nlines', '1.5'])
  expect(back[2]?.slice(0, 3)).toEqual(["'=cmd()", "'+1", "'@x"])
  expect(back[3]).toEqual(['', '', 'plain', '0'])
})
