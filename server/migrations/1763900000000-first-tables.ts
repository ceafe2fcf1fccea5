import type { MigrationInterface, QueryRunner } from 'typeorm'

const tables = [
  `CREATE TABLE IF NOT EXISTS rig (
    id VARCHAR(64) NOT NULL PRIMARY KEY,
    revision INT UNSIGNED NOT NULL,
    name VARCHAR(80) NOT NULL,
    doc JSON NOT NULL,
    createdAt DATETIME(3) NOT NULL,
    updatedAt DATETIME(3) NOT NULL,
    removedAt DATETIME(3) NULL,
    INDEX rig_by_update (removedAt, updatedAt)
  ) ENGINE=InnoDB`,
  `CREATE TABLE IF NOT EXISTS rig_revision (
    rigId VARCHAR(64) NOT NULL,
    revision INT UNSIGNED NOT NULL,
    note VARCHAR(200) NOT NULL,
    doc JSON NOT NULL,
    savedAt DATETIME(3) NOT NULL,
    PRIMARY KEY (rigId, revision),
    CONSTRAINT revision_of_rig FOREIGN KEY (rigId) REFERENCES rig (id)
  ) ENGINE=InnoDB`,
  `CREATE TABLE IF NOT EXISTS part (
    id VARCHAR(64) NOT NULL PRIMARY KEY,
    role VARCHAR(32) NOT NULL,
    origin VARCHAR(16) NOT NULL,
    doc JSON NOT NULL,
    INDEX part_by_role (role)
  ) ENGINE=InnoDB`,
  `CREATE TABLE IF NOT EXISTS locker_item (
    partId VARCHAR(64) NOT NULL PRIMARY KEY,
    pieces INT UNSIGNED NOT NULL,
    CONSTRAINT locker_of_part FOREIGN KEY (partId) REFERENCES part (id)
  ) ENGINE=InnoDB`,
  `CREATE TABLE IF NOT EXISTS setting (
    name VARCHAR(64) NOT NULL PRIMARY KEY,
    value VARCHAR(255) NOT NULL
  ) ENGINE=InnoDB`,
]

/** Rigs with their history, the catalogue, the locker. Each statement may be run again after a crash in between. */
export class firstTables implements MigrationInterface {
  readonly name = 'firstTables1763900000000'

  async up(runner: QueryRunner): Promise<void> {
    for (const table of tables) await runner.query(table)
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['setting', 'locker_item', 'part', 'rig_revision', 'rig'])
      await runner.query(`DROP TABLE IF EXISTS ${table}`)
  }
}
