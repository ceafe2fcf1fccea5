import type { FieldEntry } from '@zucchini/core/log'
import { EntitySchema } from 'typeorm'

export interface FieldRow {
  id: string
  rigId: string
  revision: number
  kind: string
  at: Date
  doc: FieldEntry
}

export const fieldEntity = new EntitySchema<FieldRow>({
  name: 'field_entry',
  columns: {
    id: { type: 'char', length: 36, primary: true },
    rigId: { type: 'varchar', length: 64 },
    revision: { type: 'int', unsigned: true },
    kind: { type: 'varchar', length: 8 },
    at: { type: 'datetime', precision: 3 },
    doc: { type: 'json' },
  },
})

export const rowOf = (entry: FieldEntry): FieldRow => ({
  id: entry.id,
  rigId: entry.rigId,
  revision: entry.revision,
  kind: entry.what.kind,
  at: new Date(entry.at),
  doc: entry,
})
