import { EntitySchema } from 'typeorm'

export interface SettingRow {
  name: string
  value: string
}

/** Small facts the program keeps about itself, such as whether the demo was loaded. */
export const settingEntity = new EntitySchema<SettingRow>({
  name: 'setting',
  columns: { name: { type: 'varchar', length: 64, primary: true }, value: { type: 'text' } },
})
