import type { LockerPiece } from '@zucchini/core/locker'
import { EntitySchema } from 'typeorm'

export interface PieceRow {
  id: string
  partId: string
  state: string
  revision: number
  doc: LockerPiece
  updatedAt: Date
}

export const pieceEntity = new EntitySchema<PieceRow>({
  name: 'locker_piece',
  columns: {
    id: { type: 'varchar', length: 64, primary: true },
    partId: { type: 'varchar', length: 64 },
    state: { type: 'varchar', length: 8 },
    revision: { type: 'int', unsigned: true },
    doc: { type: 'json' },
    updatedAt: { type: 'datetime', precision: 3 },
  },
})
