import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import fc from 'fast-check'
import { catalogueOf } from '../catalogue/index.ts'
import { conditions, type LockerPiece, newPiece, pieceStates } from '../locker/index.ts'
import { tinyPart } from '../testing/index.ts'
import { dayOf, decodeText, figureOf, isFormula, readLockerCsv, readTable, unguarded, writeLockerCsv } from './index.ts'

const today = '2026-11-25'
const catalogue = catalogueOf(['calabash-85', 'typha-58-vintage', 'phragma-nd-82'].map((id) => tinyPart({ id })))
const read = (text: string, taken: readonly string[] = []) =>
  readLockerCsv(text, catalogue, today, new Set(taken), 'EUR')

test.each([
  ['1234.50', ',', 1234.5],
  ['1,234.50', ',', 1234.5],
  ['1,234', ',', 1234],
  ['1.234,50', ';', 1234.5],
  ['1234,5', ';', 1234.5],
  ['1.234', ';', 1234],
  ['1234.5', ';', 1234.5],
  ['371,5', '\t', 371.5],
  ["1'234.50", ',', 1234.5],
  ['1 234,50', ';', 1234.5],
  ['-3', ',', -3],
  ['12,5', ',', undefined],
  ['1,2,3', ';', undefined],
  ['twelve', ',', undefined],
  ['1e3', ',', undefined],
  ['', ',', undefined],
] as const)('the figure "%s" between "%s" is %s', (cell, delimiter, wanted) =>
  expect(figureOf(cell, delimiter)).toBe(wanted),
)

test.each([
  ['2026-11-25', '2026-11-25'],
  ['25.11.2026', '2026-11-25'],
  ['25/11/2026', '2026-11-25'],
  ['11/25/2026', '2026-11-25'],
  ['3/3/2025', '2025-03-03'],
  ['03/01/2025', undefined],
  ['2026-02-30', undefined],
  ['31.11.2026', undefined],
  ['yesterday', undefined],
])('the day "%s" is %s', (cell, wanted) => expect(dayOf(cell)).toBe(wanted))

test('what a spreadsheet would run, and what only looks like it', () => {
  for (const cell of ['=1+1', '@SUM(A1)', '+cmd|x', '-cmd', '\t=1']) expect(isFormula(cell)).toBe(true)
  for (const cell of ['-3', '+4.5', 'a=b', '1/4"', '']) expect(isFormula(cell)).toBe(false)
  expect([unguarded("'=1+1"), unguarded("'tis"), unguarded('plain')]).toEqual(['=1+1', "'tis", 'plain'])
})

test('bytes: UTF-8 with and without its mark, UTF-16 both ways; anything else is not guessed', () => {
  const decoded = (bytes: number[]) => decodeText(new Uint8Array(bytes))
  expect(decoded([0x67, 0x72, 0xc3, 0xbc, 0x6e])).toEqual({ ok: true, value: 'grün' })
  expect(decoded([0xff, 0xfe, 0x67, 0x00])).toEqual({ ok: true, value: 'g' })
  expect(decoded([0xfe, 0xff, 0x00, 0x67])).toEqual({ ok: true, value: 'g' })
  expect(decoded([0x67, 0x72, 0xfc, 0x6e])).toMatchObject({ ok: false, issues: [{ code: 'wrong-encoding' }] })
  expect(readTable('\uFEFFpart\na').ok && readTable('\uFEFFpart\na')).toMatchObject({ value: { headers: ['part'] } })
  expect(readTable('')).toMatchObject({ ok: false, issues: [{ code: 'empty-file' }] })
  expect(readTable('part,notes\na,"never closed\n')).toMatchObject({ ok: false, issues: [{ code: 'bad-quotes' }] })
})

// Written by a spreadsheet program from one sheet, with commas, with semicolons, as UTF-16 with tabs, and with a German
// one's figures.
const spreadsheet = (name: string) =>
  decodeText(readFileSync(join(import.meta.dirname, `fixtures/spreadsheet-${name}.csv`)))

test.each(['comma', 'semicolon', 'utf16'])('a file a spreadsheet wrote is read as it was meant: %s', (name) => {
  const text = spreadsheet(name)
  const report = read(text.ok ? text.value : '')
  expect(report).toMatchObject({ ok: true, rows: 3, issues: [], unknownColumns: [] })
  expect(report.pieces).toEqual([
    newPiece('calabash-85-1', 'calabash-85', {
      place: 'shelf, left',
      boughtOn: '2025-03-01',
      paidMinor: 123_450,
      measuredG: 371.5,
      notes: 'says "fast"',
    }),
    newPiece('typha-58-vintage-1', 'typha-58-vintage', {
      place: 'drawer',
      boughtOn: '2019-11-30',
      paidMinor: 7500,
      measuredG: 238,
      notes: 'grün & blau',
    }),
    newPiece('phragma-nd-82-1', 'phragma-nd-82', { place: 'filter pouch', boughtOn: '2024-05-30', paidMinor: 4900 }),
  ])
})

test('decimal commas and days with points', () => {
  expect(read('part;paid;measured (g);bought (YYYY-MM-DD)\r\ncalabash-85;1.234,50;371,5;01.03.2025\r\n')).toMatchObject(
    {
      ok: true,
      pieces: [{ paidMinor: 123_450, measuredG: 371.5, boughtOn: '2025-03-01' }],
    },
  )
})

test('a spreadsheet turned 1 March into 03/01/2025: it could be two days, so it is refused', () => {
  const text = spreadsheet('german')
  expect(read(text.ok ? text.value : '').issues).toMatchObject([
    { line: 2, column: 'bought (YYYY-MM-DD)', code: 'no-day', names: { cell: '03/01/2025' } },
  ])
})

const piece: fc.Arbitrary<LockerPiece> = fc
  .record({
    n: fc.integer({ min: 0, max: 999_999 }),
    partId: fc.constantFrom('calabash-85', 'typha-58-vintage'),
    state: fc.constantFrom(...pieceStates),
    condition: fc.constantFrom(...conditions),
    place: fc.string({ maxLength: 20 }),
    notes: fc.oneof(fc.string({ maxLength: 40 }), fc.constantFrom('=cmd|x', '@a', '+b', '-c', 'a,"b"\nc', ' ;')),
    paidMinor: fc.option(fc.integer({ min: 0, max: 9_999_999 })),
    measuredG: fc.option(fc.integer({ min: 1, max: 20_000 })),
    boughtOn: fc.option(fc.constantFrom('2020-02-29', '2026-11-25')),
  })
  .map(({ n, partId, place, notes, ...more }) =>
    newPiece(`piece-${n}`, partId, {
      ...more,
      place: place.trim(),
      notes: notes.trim(),
      ...(more.state === 'lent' ? { lentTo: 'Ines' } : {}),
    }),
  )
  // A text of nothing but an apostrophe and a sign is read as guarded; nobody writes that.
  .filter(
    ({ place, notes }) => !/^'[=+\-@\t\r]/.test(place) && !/^'[=+\-@\t\r]/.test(notes) && !/\r/.test(place + notes),
  )

test('what is written comes back as it was, whatever is in its texts', () => {
  fc.assert(
    fc.property(fc.uniqueArray(piece, { maxLength: 12, minLength: 1, selector: ({ id }) => id }), (pieces) => {
      const text = writeLockerCsv(pieces)
      // No cell starts as a formula does.
      const table = readTable(text)
      if (table.ok)
        for (const { cells } of table.value.rows) for (const cell of cells) expect(/^[=@]/.test(cell)).toBe(false)
      expect(read(text)).toMatchObject({ ok: true, issues: [] })
      expect(read(text).pieces).toEqual(pieces)
    }),
  )
})

test('ids: given ones are kept, missing ones made anew beside those there are, twice is refused with both lines', () => {
  expect(read('part\ncalabash-85\ncalabash-85\n', ['calabash-85-1']).pieces.map(({ id }) => id)).toEqual([
    'calabash-85-2',
    'calabash-85-3',
  ])
  expect(read('id,part\na,calabash-85\na,calabash-85\n')).toMatchObject({
    ok: false,
    issues: [{ line: 3, code: 'id-twice', names: { line: '2' } }],
  })
  expect(read('part,colour\ncalabash-85,red\n')).toMatchObject({ ok: true, unknownColumns: ['colour'] })
})

test('a day to come and an unknown word are told in their column', () => {
  const report = read('part,state,bought (YYYY-MM-DD)\ncalabash-85,stolen,2026-11-26\n')
  expect(report.issues.map(({ line, column, code }) => [line, column, code])).toEqual([
    [2, 'state', 'word-unknown'],
    [2, 'bought (YYYY-MM-DD)', 'future'],
  ])
  expect(report.pieces).toEqual([])
})
