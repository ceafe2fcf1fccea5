import { createHash } from 'node:crypto'
import { summarySchema } from '@zucchini/core/assess'
import type { DataSource } from 'typeorm'
import { z } from 'zod'
import type { KeptAnswer } from '../../kept-answers.ts'
import { operatorDay } from '../../operator-day.ts'
import { inTransaction } from '../../transactions.ts'
import { raise, type Worlds } from '../../versions.ts'
import type { Pool } from '../../work/pool.ts'
import type { CardAnswer, CardTask } from '../../work/tasks.ts'
import type { Surroundings } from './surroundings.ts'
import type { ShelfEntry } from '@zucchini/contract'

/** A stored card: what is known of a rig, or why nothing could be worked out. */
const cardSchema = z.union([z.object({ summary: summarySchema }), z.object({ why: z.string() })])
type Card = z.infer<typeof cardSchema>

interface Row {
  readonly id: string
  readonly name: string
  readonly revision: number
  readonly updatedAt: Date
  readonly cardOf: number | null
  readonly context: string | null
  readonly card: string | null
}

const PAUSE_MS = 40
/** Saves that follow each other faster than this are one change for the card, ms. */
const QUIET_MS = 1500

/**
 * The shelf at a glance. Cards are worked out in a worker after a save, stored with the revision and the surroundings
 * they belong to, and done anew when one of them changed; until then the old card is shown as old.
 */
export class ShelfService {
  readonly #db: DataSource
  readonly #worlds: Worlds
  readonly #pool: Pool
  readonly #surroundings: Surroundings
  readonly #now: () => Date
  #held: (KeptAnswer & { readonly key: string; readonly stale: readonly string[] }) | undefined
  readonly #wanted = new Set<string>()
  readonly #soon = new Map<string, NodeJS.Timeout>()
  #working = false
  #closed = false

  constructor(
    db: DataSource,
    worlds: Worlds,
    pool: Pool,
    surroundings: Surroundings,
    now: () => Date = () => new Date(),
  ) {
    this.#db = db
    this.#worlds = worlds
    this.#pool = pool
    this.#surroundings = surroundings
    this.#now = now
  }

  /** The answer to who looks at the shelf; cards that are old or missing are worked out meanwhile. */
  async answer(): Promise<KeptAnswer> {
    const numbers = await this.#worlds.now()
    const context = this.#surroundings.key(numbers, operatorDay(this.#now()))
    const key = `${numbers.rigs} ${numbers.summaries} ${context}`
    if (this.#held?.key === key) {
      // A card that could not be worked out the last time, with the worker or the database away, is asked for again.
      for (const id of this.#held.stale) this.#want(id)
      return this.#held
    }
    const rigs = await this.#entries(context)
    const stale = rigs.filter(({ fresh }) => !fresh).map(({ id }) => id)
    for (const id of stale) this.#want(id)
    const bytes = Buffer.from(JSON.stringify({ rigs }))
    this.#held = { key, stale, bytes, tag: createHash('sha256').update(key).digest('hex').slice(0, 16) }
    return this.#held
  }

  /** A rig was saved: its card is to be worked out once the saves pause; a look at the shelf asks for it sooner. */
  changed(id: string): void {
    clearTimeout(this.#soon.get(id))
    const timer = setTimeout(() => {
      this.#soon.delete(id)
      this.#want(id)
    }, QUIET_MS)
    timer.unref()
    this.#soon.set(id, timer)
  }

  /** Lets no new work begin. */
  close(): void {
    this.#closed = true
    for (const timer of this.#soon.values()) clearTimeout(timer)
    this.#soon.clear()
    this.#wanted.clear()
  }

  /** Done when no card is waiting; for tests. */
  async settled(): Promise<void> {
    while (this.#working) await new Promise((done) => setTimeout(done, PAUSE_MS))
  }

  async #entries(context: string): Promise<ShelfEntry[]> {
    const rows = await this.#db.query<Row[]>(
      `SELECT rig.id, rig.name, rig.revision, rig.updatedAt, card.revision AS cardOf, card.context, CONCAT(card.doc, '') AS card
       FROM rig LEFT JOIN rig_summary card ON card.rigId = rig.id
       WHERE rig.removedAt IS NULL ORDER BY rig.updatedAt DESC, rig.id`,
    )
    return rows.map((row) => {
      const card = row.card === null ? undefined : readCard(row.card)
      return {
        id: row.id,
        name: row.name,
        revision: row.revision,
        updatedAt: row.updatedAt.toISOString(),
        summary: card && 'summary' in card ? card.summary : null,
        why: card && 'why' in card ? card.why : null,
        fresh: card !== undefined && row.cardOf === row.revision && row.context === context,
      }
    })
  }

  #want(id: string): void {
    if (this.#closed) return
    this.#wanted.add(id)
    if (this.#working) return
    this.#working = true
    void this.#workOff().finally(() => (this.#working = false))
  }

  async #workOff(): Promise<void> {
    // A breath first: the answer that asked for it goes out before, and saves that follow each other are one piece of
    // work.
    await new Promise((done) => setTimeout(done, PAUSE_MS))
    for (let [id] = this.#wanted; id !== undefined && !this.#closed; [id] = this.#wanted) {
      this.#wanted.delete(id)
      try {
        await this.#workOut(id)
      } catch {
        // The database or the worker is away, or the rig is gone: the card stays old and is asked for again by whoever
        // looks.
      }
    }
  }

  async #workOut(id: string): Promise<void> {
    const numbers = await this.#worlds.now()
    const day = operatorDay(this.#now())
    const context = this.#surroundings.key(numbers, day)
    const [row] = await this.#db.query<{ revision: number; text: string }[]>(
      "SELECT revision, CONCAT(doc, '') AS text FROM rig WHERE id = ? AND removedAt IS NULL",
      [id],
    )
    if (!row) return
    const task: CardTask = { key: context, rig: JSON.parse(row.text) as unknown }
    let answer: CardAnswer = await this.#pool.card(task)
    if (answer === 'send-the-sources')
      answer = await this.#pool.card({ ...task, sources: await this.#surroundings.sources() })
    if (answer === 'send-the-sources' || this.#closed) return
    const card: Card = answer.ok ? { summary: answer.summary } : { why: answer.why }
    await inTransaction(this.#db, async (manager) => {
      await manager.query(
        'REPLACE INTO rig_summary (rigId, revision, context, doc) SELECT id, ?, ?, ? FROM rig WHERE id = ?',
        [row.revision, context, JSON.stringify(card), id],
      )
      await raise(manager, 'summaries')
    })
  }
}

/** A card that another version of the program wrote in another form is none. */
const readCard = (text: string): Card | undefined => {
  const parsed = cardSchema.safeParse(JSON.parse(text))
  return parsed.success ? parsed.data : undefined
}
