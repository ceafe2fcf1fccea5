import type { MigrationInterface, QueryRunner } from 'typeorm'

const tables = [
  `CREATE TABLE IF NOT EXISTS locker_piece (
    id VARCHAR(64) NOT NULL PRIMARY KEY,
    partId VARCHAR(64) NOT NULL,
    state VARCHAR(8) NOT NULL,
    revision INT UNSIGNED NOT NULL,
    doc JSON NOT NULL,
    updatedAt DATETIME(3) NOT NULL,
    INDEX piece_by_part (partId, state),
    INDEX piece_by_state (state, partId),
    CONSTRAINT piece_of_part FOREIGN KEY (partId) REFERENCES part (id)
  ) ENGINE=InnoDB`,
  `CREATE TABLE IF NOT EXISTS price_point (
    id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
    partId VARCHAR(64) NOT NULL,
    seenOn DATE NOT NULL,
    shop VARCHAR(60) NOT NULL,
    amountMinor INT UNSIGNED NOT NULL,
    shippingMinor INT UNSIGNED NOT NULL,
    currency CHAR(3) NOT NULL,
    used TINYINT(1) NOT NULL,
    available TINYINT(1) NOT NULL,
    source VARCHAR(8) NOT NULL,
    UNIQUE INDEX price_once (partId, seenOn, shop, used),
    INDEX price_by_source (source),
    CONSTRAINT price_of_part FOREIGN KEY (partId) REFERENCES part (id)
  ) ENGINE=InnoDB`,
  `CREATE TABLE IF NOT EXISTS currency_rate (
    currency CHAR(3) NOT NULL,
    seenOn DATE NOT NULL,
    rate DOUBLE NOT NULL,
    PRIMARY KEY (currency, seenOn)
  ) ENGINE=InnoDB`,
  `CREATE TABLE IF NOT EXISTS price_watch (
    partId VARCHAR(64) NOT NULL PRIMARY KEY,
    belowMinor INT UNSIGNED NOT NULL,
    since DATE NOT NULL,
    CONSTRAINT watch_of_part FOREIGN KEY (partId) REFERENCES part (id)
  ) ENGINE=InnoDB`,
]

const piece = (id: string, partId: string) => ({
  id,
  partId,
  state: 'kept',
  condition: 'good',
  place: '',
  serial: '',
  boughtOn: null,
  boughtFor: '',
  paidMinor: null,
  insuredMinor: null,
  currency: 'EUR',
  notes: '',
  measuredG: null,
  measuredOn: null,
  lentTo: '',
  lentOn: null,
  endedOn: null,
  soldMinor: null,
  usedOn: null,
})

/**
 * The locker by pieces instead of by count, the price ledger, rates and watched prices. Counts become pieces with the
 * same ids every time it runs.
 */
export class lockerAndPrices implements MigrationInterface {
  readonly name = 'lockerAndPrices1764000000000'

  async up(runner: QueryRunner): Promise<void> {
    for (const table of tables) await runner.query(table)
    if (await runner.hasTable('locker_item')) {
      const rows = (await runner.query('SELECT partId, pieces FROM locker_item')) as {
        partId: string
        pieces: number
      }[]
      for (const { partId, pieces } of rows)
        for (let n = 1; n <= pieces; n++) {
          const id = `${partId.slice(0, 58)}-${n}`
          await runner.query(
            'INSERT IGNORE INTO locker_piece (id, partId, state, revision, doc, updatedAt) VALUES (?, ?, ?, 1, ?, UTC_TIMESTAMP(3))',
            [id, partId, 'kept', JSON.stringify(piece(id, partId))],
          )
        }
      await runner.query('DROP TABLE IF EXISTS locker_item')
    }
    await runner.query('ALTER TABLE setting MODIFY value TEXT NOT NULL')
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['price_watch', 'currency_rate', 'price_point', 'locker_piece'])
      await runner.query(`DROP TABLE IF EXISTS ${table}`)
  }
}
