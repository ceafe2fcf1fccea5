import { money } from '../../wording.ts'
import type { Told } from '../../stores/told.ts'
import type { LockerRow } from './locker-rows.ts'

/** So many pieces are named, dearest first. */
const NAMED = 12

const rowsBy = (
  rows: readonly LockerRow[],
  of: (row: LockerRow) => number | undefined,
  note: (row: LockerRow) => string,
) =>
  rows
    .flatMap((row) => {
      const value = of(row)
      return value === undefined || value === 0 ? [] : [{ row, value }]
    })
    .sort((a, b) => b.value - a.value)
    .slice(0, NAMED)
    .map(({ row, value }) => ({ name: row.name, value: money(value, row.piece.currency), note: note(row) }))

const boughtWords = ({ piece }: LockerRow) =>
  piece.boughtOn ? `bought on ${piece.boughtOn}, ${piece.condition}` : piece.condition

/** What the sums of the locker are made of. */
export const sumsTold = (
  rows: readonly LockerRow[],
  totals: { readonly paidMinor: number; readonly valueMinor: number; readonly insuredMinor: number },
  home: string,
): Readonly<Record<'paid' | 'worth' | 'insured', () => Told>> => ({
  paid: () => ({
    id: 'paid',
    title: 'Paid for what is owned',
    value: money(totals.paidMinor, home),
    how: 'the sum of what was paid for each piece that is still owned; what has no price is not in it',
    formulas: [],
    rows: rowsBy(rows, ({ piece }) => piece.paidMinor ?? undefined, boughtWords),
  }),
  worth: () => ({
    id: 'worth',
    title: 'Worth about',
    value: money(totals.valueMinor, home),
    how: 'what each piece cost, less what its age and condition take each year; an estimate, not a valuation',
    formulas: ['Worth'],
    rows: rowsBy(rows, ({ valueMinor }) => valueMinor, boughtWords),
  }),
  insured: () => ({
    id: 'insured',
    title: 'Insured for',
    value: money(totals.insuredMinor, home),
    how: 'the sum of what each piece is insured for, as it was typed in',
    formulas: [],
    rows: rowsBy(rows, ({ piece }) => piece.insuredMinor ?? undefined, boughtWords),
  }),
})

/** What one piece is worth, and how that comes about. */
export const pieceTold = (row: LockerRow): Told => ({
  id: 'piece-worth',
  title: `${row.name}, worth about`,
  value: row.valueMinor === undefined ? '–' : money(row.valueMinor, row.piece.currency),
  how: 'what was paid, less what age and condition take each year; an estimate, not a valuation',
  formulas: ['Worth'],
  rows:
    row.piece.paidMinor === null
      ? []
      : [{ name: 'paid', value: money(row.piece.paidMinor, row.piece.currency), note: boughtWords(row) }],
})
