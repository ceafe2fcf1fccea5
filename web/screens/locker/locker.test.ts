import { catalogueOf } from '@zucchini/core/catalogue'
import { usageOf } from '@zucchini/core/locker'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoPieces, demoRigs } from '@zucchini/demo/scenario'
import { becauseWords, monthWords, percent, tierWords } from '../money/money-words.ts'
import { filtered, noFilter, placesOf, rowsOf, totalsOf } from './locker-rows.ts'
import { typedMoney } from '../../widgets/typed-money.ts'

const today = '2026-11-25'
const catalogue = catalogueOf(demoParts)
const saved = demoPieces.map((piece) => ({ piece, revision: 1 }))
const rows = rowsOf(saved, catalogue, usageOf(demoRigs), today)
const ids = (list: readonly { readonly piece: { readonly id: string } }[]) => list.map(({ piece }) => piece.id)

test('rows stand by name, with the mass that counts, where they are used and how long they have lain', () => {
  expect(rows.map(({ name }) => name)).toEqual(rows.map(({ name }) => name).sort((a, b) => a.localeCompare(b)))
  const zoom = rows.find(({ piece }) => piece.id === 'kabocha-24-70-1')
  expect(zoom).toMatchObject({ massG: 695, measured: false, idle: false, role: 'lens' })
  expect(zoom?.usage.map(({ rigId }) => rigId)).toEqual(['winter-ferry-1'])
  const weighed = rowsOf(
    saved.map((one) =>
      one.piece.id === 'kabocha-24-70-1' ? { ...one, piece: { ...one.piece, measuredG: 702 } } : one,
    ),
    catalogue,
    new Map(),
    today,
  ).find(({ piece }) => piece.id === 'kabocha-24-70-1')
  expect(weighed).toMatchObject({ massG: 702, measured: true, usage: [] })
})

test('filters: every word somewhere, state, place, idle', () => {
  expect(ids(filtered(rows, { ...noFilter, words: 'gimbal HUMS' }))).toEqual(['marrow-gimbal-1'])
  expect(filtered(rows, { ...noFilter, words: 'gimbal drawer' })).toEqual([])
  expect(ids(filtered(rows, { ...noFilter, place: 'van' }))).toEqual(['gourdwell-head-4-1', 'gourdwell-legs-1'])
  expect(ids(filtered(rows, { ...noFilter, idle: true }))).toContain('tromba-ball-shoe-1')
  const sold = rows.map((row) =>
    row.piece.id === 'marrow-gimbal-1' ? { ...row, piece: { ...row.piece, state: 'sold' as const } } : row,
  )
  expect(filtered(sold, noFilter)).toHaveLength(rows.length - 1)
  expect(ids(filtered(sold, { ...noFilter, state: 'sold' }))).toEqual(['marrow-gimbal-1'])
  expect(filtered(sold, { ...noFilter, state: 'all' })).toHaveLength(rows.length)
})

test('places with what lies there, and sums that leave other currencies and unknown prices out', () => {
  expect(placesOf(rows).find(([place]) => place === 'van')).toEqual(['van', 2])
  const totals = totalsOf(rows, 'EUR')
  expect(totals).toMatchObject({ pieces: 29, lent: 0, insuredMinor: 370_000, paidMinor: 510_600 })
  expect(totals.valueMinor).toBeLessThan(totals.paidMinor)
  expect(totalsOf(rows, 'GBP')).toMatchObject({ pieces: 29, paidMinor: 0, unpriced: 29 })
})

test.each([
  ['49.90', 4990],
  ['49,9', 4990],
  ['0', 0],
  ['', undefined],
  [' ', undefined],
  ['-3', null],
  ['12.345', null],
  ['a lot', null],
])('"%s" typed is %s', (text, wanted) => expect(typedMoney(text)).toBe(wanted))

test('words of the money screen', () => {
  expect([monthWords('2026-11'), monthWords('2027-01')]).toEqual(['Nov 2026', 'Jan 2027'])
  expect(percent(0.5204)).toBe('52 %')
  for (const [title, note] of Object.values(tierWords)) expect(title.length + note.length).toBeGreaterThan(5)
  expect(new Set(Object.values(becauseWords)).size).toBe(Object.keys(becauseWords).length)
})
