import type { Part } from '@zucchini/core/catalogue'
import { EntitySchema } from 'typeorm'

export interface PartRow {
  id: string
  role: string
  /**
   * demo: ships with the program. own: entered by the operator. gone: taken out, kept for the rigs and the history that
   * use it.
   */
  origin: string
  doc: Part
}

export const partEntity = new EntitySchema<PartRow>({
  name: 'part',
  columns: {
    id: { type: 'varchar', length: 64, primary: true },
    role: { type: 'varchar', length: 32 },
    origin: { type: 'varchar', length: 16 },
    doc: { type: 'json' },
  },
})
