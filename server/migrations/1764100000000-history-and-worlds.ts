import { deflateRawSync } from 'node:zlib'
import type { MigrationInterface, QueryRunner } from 'typeorm'

const AT_ONCE = 200

const tables = [
  `CREATE TABLE IF NOT EXISTS world (
    name VARCHAR(16) NOT NULL PRIMARY KEY,
    number BIGINT UNSIGNED NOT NULL
  ) ENGINE=InnoDB`,
  `CREATE TABLE IF NOT EXISTS rig_summary (
    rigId VARCHAR(64) NOT NULL PRIMARY KEY,
    revision INT UNSIGNED NOT NULL,
    context VARCHAR(64) NOT NULL,
    doc JSON NOT NULL,
    CONSTRAINT summary_of_rig FOREIGN KEY (rigId) REFERENCES rig (id) ON DELETE CASCADE
  ) ENGINE=InnoDB`,
  `CREATE TABLE IF NOT EXISTS rehearsal (
    id CHAR(36) NOT NULL PRIMARY KEY,
    doc JSON NOT NULL,
    number INT UNSIGNED NOT NULL,
    seenAt DATETIME(3) NOT NULL,
    INDEX rehearsal_by_use (seenAt)
  ) ENGINE=InnoDB`,
]
const columns = [
  'body LONGBLOB NULL',
  'whole INT UNSIGNED NULL',
  'grewFrom INT UNSIGNED NULL',
  'same INT UNSIGNED NULL',
  'name VARCHAR(80) NULL',
]

interface Row {
  readonly rigId: string
  readonly revision: number
  readonly text: string
}

/**
 * Revisions packed instead of as text, what each came from, the numbers of the worlds, summaries for the shelf,
 * rehearsals. May be run again after a crash in between.
 */
export class historyAndWorlds implements MigrationInterface {
  readonly name = 'historyAndWorlds1764100000000'

  async up(runner: QueryRunner): Promise<void> {
    for (const table of tables) await runner.query(table)
    for (const world of ['catalogue', 'epoch', 'locker', 'prices', 'rigs', 'settings', 'summaries'])
      await runner.query('INSERT IGNORE INTO world (name, number) VALUES (?, 1)', [world])
    for (const column of columns) await runner.query(`ALTER TABLE rig_revision ADD COLUMN IF NOT EXISTS ${column}`)
    if (await runner.hasColumn('rig_revision', 'doc')) {
      for (;;) {
        const rows = (await runner.query(
          `SELECT rigId, revision, CONCAT(doc, '') AS text FROM rig_revision WHERE body IS NULL LIMIT ${AT_ONCE}`,
        )) as Row[]
        for (const { rigId, revision, text } of rows)
          await runner.query('UPDATE rig_revision SET body = ? WHERE rigId = ? AND revision = ?', [
            deflateRawSync(Buffer.from(text)),
            rigId,
            revision,
          ])
        if (rows.length < AT_ONCE) break
      }
      await runner.query('ALTER TABLE rig_revision DROP COLUMN IF EXISTS doc')
    }
    await runner.query('ALTER TABLE rig_revision MODIFY body LONGBLOB NOT NULL')
  }

  async down(): Promise<void> {
    throw new Error(
      'Packed revisions are not unpacked again. Restore the safety copy made before this migration instead.',
    )
  }
}
