import { EntitySchema } from 'typeorm'

export interface LockerRow {
  partId: string
  pieces: number
}

export const lockerEntity = new EntitySchema<LockerRow>({
  name: 'locker_item',
  columns: { partId: { type: 'varchar', length: 64, primary: true }, pieces: { type: 'int', unsigned: true } },
})
