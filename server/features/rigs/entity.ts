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
  /** The rig as it was then, packed; see revision-codec.ts. */
  body: Buffer
  whole: number | null
  /** The revision it grew from by an edit, and the one it is the same as after an undo or redo. */
  grewFrom: number | null
  same: number | null
  /** What the operator calls it; a revision with a name is never thinned out. */
  name: string | null
  savedAt: Date
}

/** What the shelf shows of a rig, as it was worked out from a revision and what surrounded it then. */
export interface RigSummaryRow {
  rigId: string
  revision: number
  context: string
  doc: object
}

const moment = { type: 'datetime', precision: 3 } as const
const number = { type: 'int', unsigned: true } as const

export const rigEntity = new EntitySchema<RigRow>({
  name: 'rig',
  columns: {
    id: { type: 'varchar', length: 64, primary: true },
    revision: number,
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
    revision: { ...number, primary: true },
    note: { type: 'varchar', length: 200 },
    body: { type: 'longblob' },
    whole: { ...number, nullable: true },
    grewFrom: { ...number, nullable: true },
    same: { ...number, nullable: true },
    name: { type: 'varchar', length: 80, nullable: true },
    savedAt: moment,
  },
})

export const rigSummaryEntity = new EntitySchema<RigSummaryRow>({
  name: 'rig_summary',
  columns: {
    rigId: { type: 'varchar', length: 64, primary: true },
    revision: number,
    context: { type: 'varchar', length: 64 },
    doc: { type: 'json' },
  },
})
