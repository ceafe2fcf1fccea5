import { firstTables } from './1763900000000-first-tables.ts'
import { lockerAndPrices } from './1764000000000-locker-and-prices.ts'
import { historyAndWorlds } from './1764100000000-history-and-worlds.ts'
import { fieldEntries } from './1764200000000-field.ts'

/** In the order they are run; never edited once released. */
export const migrations = [firstTables, lockerAndPrices, historyAndWorlds, fieldEntries]
