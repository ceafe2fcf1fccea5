import type { MigrationInterface, QueryRunner } from 'typeorm'

/** What was told from the field, each entry once and for all. May be run again after a crash in between. */
export class fieldEntries implements MigrationInterface {
  readonly name = 'fieldEntries1764200000000'

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE IF NOT EXISTS field_entry (
      id CHAR(36) NOT NULL PRIMARY KEY,
      rigId VARCHAR(64) NOT NULL,
      revision INT UNSIGNED NOT NULL,
      kind VARCHAR(8) NOT NULL,
      at DATETIME(3) NOT NULL,
      doc JSON NOT NULL,
      INDEX entry_by_kind (kind, at),
      INDEX entry_by_rig (rigId, kind, at),
      CONSTRAINT entry_of_rig FOREIGN KEY (rigId) REFERENCES rig (id)
    ) ENGINE=InnoDB`)
    for (const world of ['field', 'ticks'])
      await runner.query('INSERT IGNORE INTO world (name, number) VALUES (?, 1)', [world])
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE IF EXISTS field_entry')
    await runner.query("DELETE FROM world WHERE name IN ('field', 'ticks')")
  }
}
