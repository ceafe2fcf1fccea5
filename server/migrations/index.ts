import { firstTables } from './1763900000000-first-tables.ts'

/** In the order they are run; never edited once released. */
export const migrations = [firstTables]
