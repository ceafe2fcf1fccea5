import type { DataSource } from 'typeorm'
import { settingEntity } from './settings.ts'

const NAME = 'installation'

/**
 * Whose database this is. Each data folder has an id; the database remembers the first one it served.
 * @param id of the installation that starts; none for a server that was given an address only
 * @param own the database lies in the installation's own folder, so it is its own whatever it served before, as in a
 * copied folder
 * @returns ours: it is this installation's, or was nobody's and is now; another's otherwise
 */
export const claimDatabase = async (
  db: DataSource,
  id: string | undefined,
  own = false,
): Promise<'ours' | 'anothers'> => {
  const settings = db.getRepository(settingEntity)
  if (id && own) await db.query('REPLACE INTO setting (name, value) VALUES (?, ?)', [NAME, id])
  else if (id) await db.query('INSERT IGNORE INTO setting (name, value) VALUES (?, ?)', [NAME, id])
  const row = await settings.findOneBy({ name: NAME })
  return !row || row.value === id ? 'ours' : 'anothers'
}
