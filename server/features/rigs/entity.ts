import type { Rig } from '@zucchini/core/assembly'
import { EntitySchema } from 'typeorm'

export interface RigRow {
  id: string
  revision: number
  name: string
  doc: Rig
  createdAt: Date
  updatedAt: Date
  removedAt: Date | null
}

export interface RigRevisionRow {
  rigId: string
  revision: number
  note: string
  doc: Rig
  savedAt: Date
}

const moment = { type: 'datetime', precision: 3 } as const

export const rigEntity = new EntitySchema<RigRow>({
  name: 'rig',
  columns: {
    id: { type: 'varchar', length: 64, primary: true },
    revision: { type: 'int', unsigned: true },
    name: { type: 'varchar', length: 80 },
    doc: { type: 'json' },
    createdAt: moment,
    updatedAt: moment,
    removedAt: { ...moment, nullable: true },
  },
})

export const rigRevisionEntity = new EntitySchema<RigRevisionRow>({
  name: 'rig_revision',
  columns: {
    rigId: { type: 'varchar', length: 64, primary: true },
    revision: { type: 'int', unsigned: true, primary: true },
    note: { type: 'varchar', length: 200 },
    doc: { type: 'json' },
    savedAt: moment,
  },
})
