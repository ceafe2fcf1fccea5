import type { Catalogue } from '@zucchini/core/catalogue'
import { isIdle, isOwned, type LockerPiece, type PieceState, type Usage, valueOn } from '@zucchini/core/locker'
import type { SavedPiece } from '../../api.ts'
import { wordFilter } from '../../wording.ts'

/** One line of the locker. */
export interface LockerRow {
  readonly saved: SavedPiece
  readonly piece: LockerPiece
  readonly name: string
  readonly role: string
  readonly massG: number
  readonly measured: boolean
  readonly valueMinor: number | undefined
  readonly idle: boolean
  readonly usage: readonly Usage[]
  /** All that a search looks through, in small letters. */
  readonly words: string
}

export interface LockerFilter {
  readonly words: string
  readonly state: PieceState | 'owned' | 'all'
  readonly place: string
  readonly idle: boolean
}
export const noFilter: LockerFilter = { words: '', state: 'owned', place: '', idle: false }

/** Comparing by one collator is ten times quicker than asking each name. */
const byName = new Intl.Collator()

export const rowsOf = (
  pieces: readonly SavedPiece[],
  catalogue: Catalogue,
  usage: ReadonlyMap<string, readonly Usage[]>,
  today: string,
): readonly LockerRow[] =>
  pieces
    .map((saved): LockerRow => {
      const { piece } = saved
      const part = catalogue.parts.get(piece.partId)
      const name = part?.name ?? piece.partId
      // Put together at the first search, not before the first line.
      let words: string | undefined
      return {
        saved,
        piece,
        name,
        role: part?.role ?? '',
        massG: piece.measuredG ?? part?.massG ?? 0,
        measured: piece.measuredG !== null,
        valueMinor: valueOn(piece, today),
        idle: isIdle(piece, today),
        usage: usage.get(piece.partId) ?? [],
        get words() {
          return (words ??= [name, piece.id, piece.place, piece.serial, piece.notes, piece.lentTo, piece.boughtFor]
            .join(' ')
            .toLowerCase())
        },
      }
    })
    .sort((a, b) => byName.compare(a.name, b.name) || (a.piece.id < b.piece.id ? -1 : 1))

export const filtered = (
  rows: readonly LockerRow[],
  { words, state, place, idle }: LockerFilter,
): readonly LockerRow[] => {
  const wanted = wordFilter(words)
  return rows.filter(
    (row) =>
      (state === 'all' || (state === 'owned' ? isOwned(row.piece) : row.piece.state === state)) &&
      (place === '' || row.piece.place === place) &&
      (!idle || row.idle) &&
      wanted(row.words),
  )
}

/** Where things are kept, by name, with how many lie there. */
export const placesOf = (rows: readonly LockerRow[]): readonly (readonly [place: string, count: number])[] => {
  const counts = new Map<string, number>()
  for (const { piece } of rows)
    if (isOwned(piece) && piece.place) counts.set(piece.place, (counts.get(piece.place) ?? 0) + 1)
  return [...counts].sort(([a], [b]) => a.localeCompare(b))
}

/** Sums over what is owned; pieces in another currency or without a price are counted apart. */
export const totalsOf = (rows: readonly LockerRow[], currency: string) => {
  const owned = rows.filter(({ piece }) => isOwned(piece))
  const here = owned.filter(({ piece }) => piece.currency === currency)
  const sum = (pick: (row: LockerRow) => number | null | undefined) =>
    here.reduce((all, row) => all + (pick(row) ?? 0), 0)
  return {
    pieces: owned.length,
    valueMinor: sum(({ valueMinor }) => valueMinor),
    paidMinor: sum(({ piece }) => piece.paidMinor),
    insuredMinor: sum(({ piece }) => piece.insuredMinor),
    unpriced: owned.filter(({ valueMinor, piece }) => valueMinor === undefined || piece.currency !== currency).length,
    lent: owned.filter(({ piece }) => piece.state === 'lent').length,
    idle: owned.filter(({ idle }) => idle).length,
  }
}
